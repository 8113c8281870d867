namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Lines for a plucked instrument's strings, set after set.</summary>
public sealed record Tablature : PageDesign
{
    public int Strings { get; init; } = 6;

    /// <summary>From one string to the next.</summary>
    public Length Space { get; init; } = Length.FromMillimetres(3);

    /// <summary>Between one set and the next.</summary>
    public Length Gap { get; init; } = Length.FromMillimetres(12);

    public Length Weight { get; init; } = Length.FromPoints(0.5m);

    public override string Kind => "string tablature";
    protected override ImmutableArray<string> OwnSlots => ["Strings", "Ends"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Count<Tablature>("strings", "Strings", 3, 12, d => d.Strings, (d, n) => d with { Strings = n }),
        Measure<Tablature>("space", "Space", 1.5m, 10, d => d.Space, (d, l) => d with { Space = l }),
        Measure<Tablature>("gap", "Gap", 2, 80, d => d.Gap, (d, l) => d with { Gap = l }),
        Weighed<Tablature>("weight", "Weight", 0.25m, 2, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    private Length Set => (Strings - 1) * Space;

    private Fitted Fit(Surface page) => Fitted.Of(page.Safe.Height + Gap, Set + Gap, "set");

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var fit ? (fit.Count, null, fit.Over) : default;

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, true, unit)}; sets of {Strings - 1} × {Space.Show(unit)} = {Set.Show(unit)}, " +
            $"{Gap.Show(unit)} apart: {Fit(page).Say("set", "the head", unit)}";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (fit, safe) = (Fit(page), page.Safe);
        var lines = new Pen();
        for (var n = 0; n < Strings; n++) lines.Add(PageLines.Level(0, (n * Space).Points, safe.Width.Points));
        (double, double)[] heads = [.. Enumerable.Range(0, fit.Count).Reverse()
            .Select(n => (safe.X.Points, (safe.Bottom - Set - (n * (Set + Gap))).Points))];
        yield return PageLines.Again(lines.Done(), Weight, 0, heads);
        var ends = new Pen();
        ends.Add(PageLines.Upright(0, 0, Set.Points));
        ends.Add(PageLines.Upright(safe.Width.Points, 0, Set.Points));
        yield return PageLines.Again(ends.Done(), Weight, 1, heads);
    }
}
