namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>A grid of letters with words hidden in it, and the words below.</summary>
public sealed record WordSearchPage : PuzzlePage
{
    /// <summary>
    /// A word a line; a blank line parts the words of one page from those of the next, which begin again after the last.
    /// </summary>
    public string Hidden { get; init; } =
        "anchor\nbuoy\ncompass\nfender\nhalyard\nkeel\nlantern\nmooring\nrudder\nsextant\ntiller\nwindlass";

    public int Across { get; init; } = 13;
    public int Down { get; init; } = 13;

    public WordWays Ways { get; init; } = WordWays.Eight;

    public override string Kind => "word search";
    public override int ShadeSlot => 1;
    protected override ImmutableArray<string> OwnSlots => ["Rules", "Found"];
    protected override IEnumerable<string> Words => [Hidden];

    private static readonly (string, WordWays)[] Kinds =
        [("right and down", WordWays.Two), ("and slanting", WordWays.Four), ("all eight", WordWays.Eight)];

    protected override IReadOnlyList<Field> Settings =>
    [
        Lines<WordSearchPage>("words", "Words", d => d.Hidden, (d, s) => d with { Hidden = s }),
        Count<WordSearchPage>("across", "Letters across", 4, WordSearch.MostSide, d => d.Across,
            (d, n) => d with { Across = n }),
        Count<WordSearchPage>("down", "Letters down", 4, WordSearch.MostSide, d => d.Down, (d, n) => d with { Down = n }),
        new Field<WordSearchPage, WordWays>("ways", "Ways", Values.OneOf(Kinds), d => d.Ways, (d, w) => d with { Ways = w })
        { Choices = [.. Kinds.Select(k => (k.Item1, k.Item1))] },
    ];

    private string[] Groups =>
        [.. Hidden.Split("\n\n", StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)];

    public override int? RowsToPrint => Groups.Length;

    /// <summary>The words of a page.</summary>
    private string[] Of(int n, PageFacts at)
    {
        var groups = Groups;
        return groups.Length == 0 ? []
            : [.. at.Fill(groups[n % groups.Length]).Split(['\n', ','], StringSplitOptions.TrimEntries
                | StringSplitOptions.RemoveEmptyEntries)];
    }

    private WordSearch Search(int n, PageFacts at) => WordSearch.Of(Of(n, at), Across, Down, Ways, Seed, n);

    public override string? Identity(int n, PageFacts at) => string.Concat(Search(n, at).Letters);

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Search(0, PageFacts.None) is var _ ? (Down, Across, null) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        _ = Search(0, PageFacts.None);
        var cell = Cell(Places(page, false).First());
        return $"{PageLines.Room(page, false, unit)}; {Across} × {Down} letters, cells of " +
            $"{Length.FromPoints((decimal)Math.Round(cell, 3)).Show(unit)}; {Of(0, PageFacts.None).Length} words";
    }

    /// <summary>A part of the box’s foot is the words’.</summary>
    private const double ForWords = 0.24;

    private double Cell(Bounds box) =>
        Math.Min((box.Right - box.Left) / Across, (1 - ForWords) * (box.Bottom - box.Top) / Down);

    public override IEnumerable<Drawn> One(Bounds box, int n, PageFacts at, bool solved, int words)
    {
        var search = Search(n, at);
        var cell = solved ? Math.Min((box.Right - box.Left) / Across, (box.Bottom - box.Top) / Down) : Cell(box);
        var (left, top) = ((box.Left + box.Right - (cell * Across)) / 2, box.Top);
        double x(double column) => left + (cell * (at.Mirrored ? Across - column : column));
        (double X, double Y) middle(int column, int row) => (x(column + 0.5), top + (cell * (row + 0.5)));
        if (solved)
            foreach (var f in search.Words)
            {
                var (a, b) = (middle(f.X, f.Y), middle(f.X + ((f.Word.Length - 1) * f.StepX), f.Y + ((f.Word.Length - 1) * f.StepY)));
                yield return new Line(PageLines.Line(a.X, a.Y, b.X, b.Y), 0.72 * cell, 1) { Round = true };
            }
        yield return new Line(Shapes.Box(left + 0.5, top + 0.5, left + (cell * Across) - 0.5, top + (cell * Down) - 0.5),
            solved ? 0.5 : 1, 0);
        for (var row = 0; row < Down; row++)
            for (var column = 0; column < Across; column++)
            {
                var (cx, cy) = middle(column, row);
                yield return new Written(search.At(column, row), new(cx - (cell / 2), cy - (cell / 2), cx + (cell / 2),
                    cy + (cell / 2)), 0.6 * cell, words)
                { Align = Align.Centre, Stand = Stand.Middle };
            }
        if (solved) yield break;
        // In as many columns as words fit under each other.
        var all = Of(n, at);
        var foot = top + (cell * Down) + 8;
        var columns = Math.Min(4, Math.Max(2, (int)Math.Ceiling(all.Length * 11.0 / Math.Max(11, box.Bottom - foot))));
        var rows = (all.Length + columns - 1) / columns;
        var (wide, high) = ((box.Right - box.Left) / columns, Math.Min(14, (box.Bottom - foot) / Math.Max(1, rows)));
        foreach (var (k, word) in all.Index())
        {
            var column = at.Mirrored ? columns - 1 - (k / rows) : k / rows;
            var y = foot + (k % rows * high);
            yield return new Written(word, new(box.Left + (column * wide), y, box.Left + ((column + 1) * wide) - 2, y + high),
                Math.Min(10, 0.78 * high), words)
            { Align = at.Mirrored ? Align.Right : Align.Left };
        }
    }
}
