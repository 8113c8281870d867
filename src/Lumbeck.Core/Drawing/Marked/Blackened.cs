namespace Lumbeck.Core.Drawing.Marked;

/// <summary>
/// Marks where black is the only ink: each ink becomes one, and a finishing ink what stands for it on a screen.
/// </summary>
/// <param name="black">What an ink is in black.</param>
public sealed class Blackened(Func<Ink, Ink> black) : IMarkVisitor<Mark>
{
    public static Mark Of(Mark mark, Func<Ink, Ink> black) => mark.Accept(new Blackened(black));

    private Ink Black(Mark mark, Ink ink) => black(mark.Finish is { } finish ? Finishes.Likeness(finish.Name) : ink);

    private Gradient Shaded(Gradient shade) =>
        shade with { Stops = [.. shade.Stops.Select(s => (s.At, black(s.Ink)))] };

    public Mark Fill(FillMark mark) => mark with { Ink = Black(mark, mark.Ink), Finish = null };
    public Mark Gradient(GradientMark mark) => mark with { Gradient = Shaded(mark.Gradient) };
    public Mark Line(LineMark mark) => mark with { Ink = Black(mark, mark.Ink), Finish = null };

    public Mark Glyphs(GlyphMark mark) => mark with
    {
        Ink = Black(mark, mark.Ink),
        Finish = null,
        Gradient = mark.Gradient is { } run ? Shaded(run) : null,
    };

    public Mark Blurred(BlurredMark mark) => mark with { Ink = Black(mark, mark.Ink), Finish = null };

    // Pictures become black where their pixels are made.
    public Mark Picture(PictureMark mark) => mark;
    public Mark Tiles(TilesMark mark) => mark;
    public Mark Grown(GrownMark mark) => mark;

    public Mark Repeated(RepeatedMark mark) =>
        mark with { Symbol = [.. mark.Symbol.Select(m => m.Accept(this))], Finish = null };

    public Mark Drawing(DrawingMark mark) =>
        mark with { Marks = [.. mark.Marks.Select(m => m.Accept(this))], Finish = null };
}
