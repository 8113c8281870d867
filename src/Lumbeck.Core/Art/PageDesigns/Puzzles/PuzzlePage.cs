namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// Puzzles on a page: made here from a seed, each page of a run its own, or a maker’s own out of a table
/// (docs/inside.md, Puzzles).
/// </summary>
public abstract record PuzzlePage : PageDesign
{
    public Seed Seed { get; init; } = 1;

    /// <summary>What stands under it where the book has its solution; empty for nothing.</summary>
    public string Told { get; init; } = "Solution on page {solution}";

    public override bool Varies => true;
    public override IEnumerable<string> Given => [.. base.Given, .. Words];

    /// <summary>The words in it that a table may fill.</summary>
    protected virtual IEnumerable<string> Words => [];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        new Field<PuzzlePage, Seed>("seed", "Seed", Values.Seeds, d => d.Seed, (d, s) => d with { Seed = s }),
        .. Settings,
        Line<PuzzlePage>("told", "Under it", d => d.Told, (d, s) => d with { Told = s }),
    ];

    protected abstract IReadOnlyList<Field> Settings { get; }

    /// <summary>Puzzles on a page, across and down.</summary>
    public virtual (int Across, int Down) OnPage => (1, 1);

    /// <summary>The slot of what shades, which solutions print light; below 0 for none.</summary>
    public virtual int ShadeSlot => -1;

    /// <summary>The place of its first puzzle on a page, which solutions show smaller.</summary>
    public Bounds PlaceOn(Surface page) => Places(Room(page), false).First();

    /// <summary>What is to be made before its pages can be drawn, for a run of so many; null for nothing.</summary>
    public virtual SudokuAsk? Asks(int pages) => null;

    /// <summary>Draws a puzzle.</summary>
    /// <param name="box">Where, in points.</param>
    /// <param name="n">Which of its run, from 0.</param>
    /// <param name="at">The page that it stands on, or that it was set on.</param>
    /// <param name="solved">Whether it is shown solved.</param>
    /// <param name="words">The slot of its words.</param>
    public abstract IEnumerable<Drawn> One(Bounds box, int n, PageFacts at, bool solved, int words);

    /// <summary>What two puzzles share that are the same; null where it is not made yet.</summary>
    public abstract string? Identity(int n, PageFacts at);

    /// <summary>Why a maker’s own can’t be solved as it should; null where it can, or was made here.</summary>
    public virtual string? Fault(int n, PageFacts at) => null;

    /// <summary>Room under a puzzle for what is told of its solution.</summary>
    private Length Under => Told.Length == 0 ? Length.Zero : Length.FromMillimetres(6);

    /// <summary>The places of puzzles on a page, in their order.</summary>
    protected IEnumerable<Bounds> Places(Surface page, bool mirrored)
    {
        var (across, down) = OnPage;
        var gap = Length.FromMillimetres(8);
        var safe = page.Safe.Inset(Length.Zero, Length.Zero, Length.Zero, Under);
        var (wide, high) = (1m / across * (safe.Width - ((across - 1) * gap)), 1m / down * (safe.Height - ((down - 1) * gap)));
        if (wide < Length.FromMillimetres(20) || high < Length.FromMillimetres(20))
            throw new Refusal("across", $"{across} × {down} puzzles leave {Length.Max(wide, default).Show(Unit.Millimetre)} × " +
                $"{Length.Max(high, default).Show(Unit.Millimetre)} for each: one wants 20 mm each way");
        for (var row = 0; row < down; row++)
            for (var column = 0; column < across; column++)
            {
                var place = mirrored ? across - 1 - column : column;
                var (x, y) = ((safe.X + (place * (wide + gap))).Points, (safe.Y + (row * (high + gap))).Points);
                yield return new(x, y, x + wide.Points, y + high.Points);
            }
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var many = OnPage.Across * OnPage.Down;
        foreach (var (k, place) in Places(page, at.Mirrored).Index())
        {
            var n = ((at.Time - 1) * many) + k;
            var box = place;
            if (many > 1)
            {
                yield return new Written((n + 1).ToString(CultureInfo.InvariantCulture),
                    box with { Bottom = box.Top + 12 }, 9, InWords)
                { Heads = true, Align = Align.Centre };
                box = box with { Top = box.Top + 14 };
            }
            foreach (var drawn in One(box, n, at, false, InWords)) yield return drawn;
        }
        if (Told.Length > 0 && at.Fields.ContainsKey("solution"))
            yield return new Written(at.Fill(Told), new(page.Safe.X.Points, (page.Safe.Bottom - Under).Points + 3,
                page.Safe.Right.Points, page.Safe.Bottom.Points), 7.5, InWords)
            { Align = Align.Centre, Stand = Stand.Foot, Fits = true };
    }
}
