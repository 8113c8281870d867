namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Rows of an account: a wide column for words, and columns for figures at the right.</summary>
public sealed record Ledger : PageDesign
{
    public Length Pitch { get; init; } = Length.FromMillimetres(7);

    /// <summary>Columns for figures.</summary>
    public int Columns { get; init; } = 3;

    /// <summary>Of a column for figures.</summary>
    public Length Wide { get; init; } = Length.FromMillimetres(16);

    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    public override string Kind => "ledger";
    protected override ImmutableArray<string> OwnSlots => ["Rules", "Columns"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Measure<Ledger>("pitch", "Pitch", 3, 40, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Count<Ledger>("columns", "Columns", 1, 12, d => d.Columns, (d, n) => d with { Columns = n }),
        Measure<Ledger>("wide", "Column wide", 6, 80, d => d.Wide, (d, l) => d with { Wide = l }),
        Weighed<Ledger>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    /// <summary>What is left for words.</summary>
    /// <exception cref="Refusal">Too little.</exception>
    private Length Words(Surface page)
    {
        var left = page.Safe.Width - (Columns * Wide);
        return left >= Wide
            ? left
            : throw new Refusal("columns", $"{Columns} columns of {Wide.Show(Unit.Millimetre)} leave " +
                $"{Length.Max(left, default).Show(Unit.Millimetre)} of {page.Safe.Width.Show(Unit.Millimetre)} for " +
                    $"words: " +
                    "take fewer, or narrower ones");
    }

    private Fitted Fit(Surface page) => Fitted.Of(page.Safe.Height, Pitch, "row");

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var fit ? (fit.Count, Columns + 1, fit.Over) : default;

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, true, unit)}, ÷ {Pitch.Show(unit)} = {Fit(page).Say("row", "the head", unit)}; " +
            $"{page.Safe.Width.Show(unit)} − {Columns} × {Wide.Show(unit)} = {Words(page).Show(unit)} for words";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (fit, words, safe) = (Fit(page), Words(page), page.Safe);
        yield return PageLines.Again(PageLines.Level(0, 0, safe.Width.Points), Weight, 0,
            Enumerable.Range(0, fit.Count + 1).Reverse()
                .Select(n => (safe.X.Points, (safe.Bottom - (n * Pitch)).Points)));
        var high = (fit.Count * Pitch).Points;
        yield return PageLines.Again(PageLines.Upright(0, -high, high), Weight, 1,
            Enumerable.Range(0, Columns).Select(n => ((safe.X + words + (n * Wide)).Points, safe.Bottom.Points)));
    }
}
