namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// A list of what stands in the book, each with the page it is found on, over as many pages as it needs.
/// </summary>
public abstract record ListPage : PageDesign
{
    public Length Pitch { get; init; }

    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    protected override ImmutableArray<string> OwnSlots => ["Rules"];

    public override bool Varies => true;

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Measure<ListPage>("pitch", "Pitch", 3, 40, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Weighed<ListPage>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Listed.Fit(page, Pitch) is var fit ? (fit.Count, 1, fit.Over) : default;

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, true, unit)}, ÷ {Pitch.Show(unit)} = " +
            $"{Listed.Fit(page, Pitch).Say("row", "the head", unit)}";

    public override int? Lists(Surface page) => Listed.Fit(Room(page), Pitch).Count;

    /// <summary>What is listed.</summary>
    protected abstract ImmutableArray<PageEntry> Entries(PageFacts at);

    /// <summary>Whether what is left of it is ruled, for those who write their own.</summary>
    protected virtual bool Ruled => false;

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at) =>
        Listed.Draw(page, Pitch, Weight, Entries(at), at, Ruled, InWords);
}
