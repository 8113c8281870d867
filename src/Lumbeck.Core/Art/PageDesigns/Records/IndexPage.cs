namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// What is found where, by the alphabet: the pages that were made of a table’s rows, by their headings. What is left of
/// it is ruled, for those who write their own.
/// </summary>
public sealed record IndexPage : PageDesign
{
    public Length Pitch { get; init; } = Length.FromMillimetres(7);

    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    public override string Kind => "index";
    protected override ImmutableArray<string> OwnSlots => ["Rules"];

    public override bool Varies => true;

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Measure<IndexPage>("pitch", "Pitch", 3, 40, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Weighed<IndexPage>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Listed.Fit(page, Pitch) is var fit ? (fit.Count, 1, fit.Over) : default;

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, true, unit)}, ÷ {Pitch.Show(unit)} = " +
            $"{Listed.Fit(page, Pitch).Say("row", "the head", unit)}";

    public override int? Lists(Surface page) => Listed.Fit(Room(page), Pitch).Count;

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at) =>
        Listed.Draw(page, Pitch, Weight, at.Index, at, ruled: true, InWords);
}
