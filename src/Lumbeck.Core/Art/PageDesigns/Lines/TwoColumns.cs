namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Rules in two columns with a gap between them.</summary>
public sealed record TwoColumns : PageDesign
{
    public Length Pitch { get; init; } = Length.FromMillimetres(7);

    /// <summary>Between the two columns.</summary>
    public Length Gap { get; init; } = Length.FromMillimetres(8);

    /// <summary>The first column's share of what both have, in percent.</summary>
    public int First { get; init; } = 50;

    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    public override string Kind => "two columns";
    protected override ImmutableArray<string> OwnSlots => ["Rules", "Rules of the second"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Measure<TwoColumns>("pitch", "Pitch", 2, 60, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Measure<TwoColumns>("gap", "Gap", 1, 60, d => d.Gap, (d, l) => d with { Gap = l }),
        Count<TwoColumns>("first", "First, percent", 15, 85, d => d.First, (d, n) => d with { First = n }),
        Weighed<TwoColumns>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    /// <exception cref="Refusal">They don't fit.</exception>
    private (Fitted Rows, Length First, Length Second) Fit(Surface page)
    {
        var room = page.Safe.Width - Gap;
        if (room.Units <= 0)
            throw new Refusal("gap", $"a gap of {Gap.Show(Unit.Millimetre)} leaves no columns within the margins");
        var first = First / 100m * room;
        return (Fitted.Of(page.Safe.Height, Pitch, "row"), first, room - first);
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page).Rows is var fit ? (fit.Count, 2, fit.Over) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var (rows, first, second) = Fit(page);
        return $"{PageLines.Room(page, true, unit)}, ÷ {Pitch.Show(unit)} = {rows.Say("row", "the head", unit)}; " +
            $"{page.Safe.Width.Show(unit)} − {Gap.Show(unit)} = {first.Show(unit)} + {second.Show(unit)}";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (rows, first, second) = Fit(page);
        var safe = page.Safe;
        IEnumerable<(double, double)> down(Length x) =>
            Enumerable.Range(0, rows.Count).Select(n => (x.Points, (safe.Bottom - (n * Pitch)).Points)).Reverse();
        yield return PageLines.Again(PageLines.Level(0, 0, first.Points), Weight, 0, down(safe.X));
        yield return PageLines.Again(PageLines.Level(0, 0, second.Points), Weight, 1, down(safe.X + first + Gap));
    }
}
