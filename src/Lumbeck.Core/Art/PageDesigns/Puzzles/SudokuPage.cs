namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Sudokus of 4, 6 or 9 digits, graded, with one solution that needs no guess.</summary>
public sealed record SudokuPage : PuzzlePage
{
    /// <summary>4, 6 or 9.</summary>
    public int Size { get; init; } = 9;

    public Grade Grade { get; init; } = Grade.Medium;

    /// <summary>A maker’s own givens, or a word in braces that a table fills; empty for those made here.</summary>
    public string Givens { get; init; } = "";

    public int Across { get; init; } = 1;
    public int Down { get; init; } = 1;

    public override string Kind => "sudoku";
    protected override ImmutableArray<string> OwnSlots => ["Rules", "Box rules"];
    protected override IEnumerable<string> Words => [Givens];
    public override (int Across, int Down) OnPage => (Across, Down);

    private static readonly (string, Grade)[] Grades =
        [("easy", Grade.Easy), ("medium", Grade.Medium), ("hard", Grade.Hard), ("very hard", Grade.VeryHard)];

    protected override IReadOnlyList<Field> Settings =>
    [
        new Field<SudokuPage, int>("size", "Digits", Values.Counts("9"), d => d.Size, (d, n) => d with { Size = n })
        { Fault = (n, _) => n is 4 or 6 or 9 ? null : $"{n} digits make no sudoku here: 4, 6 or 9, from 4 to 9" },
        new Field<SudokuPage, Grade>("grade", "How hard", Values.OneOf(Grades), d => d.Grade,
            (d, g) => d with { Grade = g }) { Choices = [.. Grades.Select(g => (g.Item1, g.Item1))] },
        Count<SudokuPage>("across", "Across", 1, 3, d => d.Across, (d, n) => d with { Across = n }),
        Count<SudokuPage>("down", "Down", 1, 4, d => d.Down, (d, n) => d with { Down = n }),
        Line<SudokuPage>("givens", "Your own", d => d.Givens, (d, s) => d with { Givens = s }),
    ];

    public override SudokuAsk? Asks(int pages) =>
        Givens.Length > 0 ? null : new(Size, Grade, Seed, pages * Across * Down);

    protected override string Sum(Surface page, Unit unit)
    {
        var place = Places(page, false).First();
        var side = Length.FromPoints((decimal)Math.Round(Side(place), 3));
        return $"{PageLines.Room(page, false, unit)}; {Across} × {Down} on a page, grids of {side.Show(unit)}, cells of " +
            $"{(1m / Size * side).Show(unit)}";
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) => (Size, Size, null);

    private static double Side(Bounds box) => Math.Min(box.Right - box.Left, box.Bottom - box.Top) - 2;

    private string? Text(int n, PageFacts at) => Givens.Length > 0 ? at.Fill(Givens)
        : at.Made.IsDefault || n >= at.Made.Length ? null : at.Made[n];

    public override string? Identity(int n, PageFacts at) =>
        Text(n, at) is { } text ? SudokuMaker.Same(SudokuShape.Read(text).Cells) : null;

    public override string? Fault(int n, PageFacts at)
    {
        if (Givens.Length == 0) return null;
        var ((shape, cells), no) = Attempt.Of(() => SudokuShape.Read(at.Fill(Givens)));
        return no?.Message ?? SudokuSolver.Solve(shape, cells).Count switch
        {
            0 => "it has no solution",
            1 => null,
            _ => "it has two solutions or more",
        };
    }

    public override IEnumerable<Drawn> One(Bounds box, int n, PageFacts at, bool solved, int words)
    {
        var text = Text(n, at);
        var (shape, givens) = text is null ? (SudokuShape.Of(Size), null) : SudokuShape.Read(text);
        var side = Side(box);
        var (left, top, cell) = ((box.Left + box.Right - side) / 2, (box.Top + box.Bottom - side) / 2, side / shape.Size);
        var (fine, heavy) = (solved && side < 150 ? 0.5 : 0.75, solved && side < 150 ? 1.0 : 1.75);
        Drawn rules(bool down, double weight, int slot, Func<int, bool> which) => PageLines.Again(
            down ? PageLines.Upright(0, 0, side) : PageLines.Level(0, 0, side), Length.FromPoints((decimal)weight), slot,
            Enumerable.Range(1, shape.Size - 1).Where(which)
                .Select(k => down ? (left + (k * cell), top) : (left, top + (k * cell))));
        yield return rules(true, fine, 0, k => k % shape.BoxWide != 0);
        yield return rules(false, fine, 0, k => k % shape.BoxHigh != 0);
        yield return rules(true, heavy, 1, k => k % shape.BoxWide == 0);
        yield return rules(false, heavy, 1, k => k % shape.BoxHigh == 0);
        yield return new Line(Shapes.Box(left, top, left + side, top + side), heavy, 1);
        if (givens is null)
        {
            yield return new Written("being made", box, 9, words) { Align = Align.Centre, Stand = Stand.Middle };
            yield break;
        }
        var shown = solved ? SudokuSolver.Solve(shape, givens).Solution ?? givens : givens;
        for (var k = 0; k < shape.Cells; k++)
        {
            if (shown[k] == 0) continue;
            var (x, y) = (left + (k % shape.Size * cell), top + (k / shape.Size * cell));
            yield return new Written(shown[k].ToString(CultureInfo.InvariantCulture), new(x, y, x + cell, y + cell),
                0.58 * cell, words)
            // What was given stands out among what was found.
            { Align = Align.Centre, Stand = Stand.Middle, Heads = solved && givens[k] > 0 };
        }
    }
}
