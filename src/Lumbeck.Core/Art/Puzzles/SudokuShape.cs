namespace Lumbeck.Core.Art.Puzzles;

/// <summary>
/// A sudoku's size: as many digits as cells in a row, in a column and in a box. Four have boxes of 2 × 2, six of 2 high
/// and 3 wide, nine of 3 × 3.
/// </summary>
public sealed class SudokuShape
{
    private SudokuShape(int size, int boxHigh, int boxWide)
    {
        (Size, BoxHigh, BoxWide) = (size, boxHigh, boxWide);
        int[] box(int n) => [.. Enumerable.Range(0, size).Select(k =>
            ((((n / BoxHigh) * boxHigh) + (k / boxWide)) * size) + ((n % BoxHigh) * boxWide) + (k % boxWide))];
        Units =
        [
            .. Enumerable.Range(0, size).Select(r => Enumerable.Range(0, size).Select(c => (r * size) + c).ToArray()),
            .. Enumerable.Range(0, size).Select(c => Enumerable.Range(0, size).Select(r => (r * size) + c).ToArray()),
            .. Enumerable.Range(0, size).Select(box),
        ];
        UnitsOf = [.. Enumerable.Range(0, size * size).Select(cell =>
            Units.Index().Where(u => u.Item.Contains(cell)).Select(u => u.Index).ToArray())];
        Peers = [.. Enumerable.Range(0, size * size).Select(cell => UnitsOf[cell].SelectMany(u => Units[u])
            .Where(c => c != cell).Distinct().ToArray())];
    }

    public static ImmutableArray<SudokuShape> All { get; } = [new(4, 2, 2), new(6, 2, 3), new(9, 3, 3)];

    /// <summary>Digits, and cells in a row: 4, 6 or 9.</summary>
    public int Size { get; }

    /// <summary>Rows of a box, and its columns.</summary>
    public int BoxHigh { get; }
    public int BoxWide { get; }

    public int Cells => Size * Size;

    /// <summary>Rows, columns and boxes, in this order: the cells of each, by row and column.</summary>
    public ImmutableArray<int[]> Units { get; }

    /// <summary>The row, the column and the box of a cell.</summary>
    public ImmutableArray<int[]> UnitsOf { get; }

    /// <summary>The cells that a cell shares a unit with.</summary>
    public ImmutableArray<int[]> Peers { get; }

    /// <summary>Every digit of it as a bit: bit 0 is the digit 1.</summary>
    public int Every => (1 << Size) - 1;

    /// <exception cref="Refusal">There is none of this size.</exception>
    public static SudokuShape Of(int size) => All.FirstOrDefault(s => s.Size == size)
        ?? throw new Refusal("size", $"a sudoku of {size} can't be made: 4, 6 or 9 digits");

    /// <summary>Digits row by row as they are written: 0, a dot or a space for an empty cell.</summary>
    /// <exception cref="Refusal">There are not as many as a size has, or one is no digit of it.</exception>
    public static (SudokuShape Shape, int[] Cells) Read(string text)
    {
        var said = text.Where(c => c is not ('\n' or '\r' or '\t' or '|' or '-' or '+')).ToArray();
        if (said.Length > 100) said = [.. said.Where(c => c != ' ')];
        var shape = All.FirstOrDefault(s => s.Cells == said.Length)
            ?? throw new Refusal("puzzle", $"{said.Length} cells are no sudoku: 16, 36 or 81, row by row, with a dot " +
                "for an empty one");
        var cells = new int[shape.Cells];
        foreach (var (n, c) in said.Index())
            cells[n] = c is '.' or '0' or ' ' or '_' ? 0
                : c >= '1' && c <= '0' + shape.Size ? c - '0'
                : throw new Refusal("puzzle", $"`{c}` in row {(n / shape.Size) + 1}, column {(n % shape.Size) + 1} is " +
                    $"no digit of it: 1 to {shape.Size}, or a dot");
        return (shape, cells);
    }

    /// <summary>Cells as they are written.</summary>
    public static string Write(IEnumerable<int> cells) => string.Concat(cells.Select(c => c == 0 ? "." : ((char)('0' + c)).ToString()));
}
