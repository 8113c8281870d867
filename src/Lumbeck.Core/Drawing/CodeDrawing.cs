namespace Lumbeck.Core.Drawing;

/// <summary>
/// A QR code as drawn (ISO/IEC 18004): its squares as one shape on a white plate, with a quiet zone of four squares all
/// round.
/// </summary>
public static class CodeDrawing
{
    public const int Quiet = 4;

    /// <summary>How large one square is.</summary>
    public static Length Module(CodeItem code, int squares) => 1m / (squares + (2 * Quiet)) * code.Side;

    public static IEnumerable<Mark> Draw(CodeItem code, IReadOnlyList<Swatch> swatches, bool[,]? squares)
    {
        var side = code.Side.Points;
        yield return new FillMark(Outline.Rectangle(0, 0, side, side), Ink.White);
        if (squares is null) yield break;
        var (count, pen) = (squares.GetLength(0), new Pen());
        var module = side / (count + (2 * Quiet));
        for (var row = 0; row < count; row++)
            for (var column = 0; column < count; column++)
            {
                if (!squares[row, column]) continue;
                var first = column;
                while (column + 1 < count && squares[row, column + 1]) column++;
                var (x, y, right, foot) = ((first + Quiet) * module, (row + Quiet) * module,
                    (column + 1 + Quiet) * module, (row + 1 + Quiet) * module);
                pen.Move(x, y); pen.Line(right, y); pen.Line(right, foot); pen.Line(x, foot); pen.Close();
            }
        yield return PaintedMarks.Filled(pen.Done(), code.Paint, swatches, side, side);
    }
}
