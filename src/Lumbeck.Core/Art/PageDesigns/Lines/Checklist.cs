namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Rules with a box to tick before each.</summary>
public sealed record Checklist : PageDesign
{
    public Length Pitch { get; init; } = Length.FromMillimetres(9);

    /// <summary>A box's side.</summary>
    public Length Box { get; init; } = Length.FromMillimetres(4);

    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    public override string Kind => "checklist";
    protected override ImmutableArray<string> OwnSlots => ["Rules", "Boxes"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Measure<Checklist>("pitch", "Pitch", 4, 60, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Measure<Checklist>("box", "Box", 2, 30, d => d.Box, (d, l) => d with { Box = l }),
        Weighed<Checklist>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    /// <exception cref="Refusal">Not one row fits, or a box is higher than its row.</exception>
    private Fitted Fit(Surface page) => Box < Pitch
        ? Fitted.Of(page.Safe.Height, Pitch, "row")
        : throw new Refusal("box", $"a box of {Box.Show(Unit.Millimetre)} is as high as its row of " +
            $"{Pitch.Show(Unit.Millimetre)}: make it smaller");

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var fit ? (fit.Count, null, fit.Over) : default;

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, true, unit)}, ÷ {Pitch.Show(unit)} = {Fit(page).Say("row", "the head", unit)}";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (rows, safe, side) = (Fit(page).Count, page.Safe, Box.Points);
        var gap = 0.6 * side;
        var half = Weight.Points / 2;
        (double X, double Y)[] feet =
            [.. Enumerable.Range(0, rows).Select(n => (safe.X.Points, (safe.Bottom - (n * Pitch)).Points)).Reverse()];
        yield return PageLines.Again(PageLines.Level(side + gap, 0, safe.Width.Points - side - gap), Weight, 0, feet);
        // It stands on its rule.
        yield return PageLines.Again(Outline.Rectangle(half, -side, side - (2 * half), side - (2 * half)), Weight, 1,
            feet);
    }
}
