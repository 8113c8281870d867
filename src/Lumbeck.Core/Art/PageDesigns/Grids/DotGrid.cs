namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Dots in a square lattice; what is left over lies half at each side, and at the head.</summary>
public sealed record DotGrid : PageDesign
{
    public Length Pitch { get; init; } = Length.FromMillimetres(5);

    /// <summary>Of a dot, across.</summary>
    public Length Dot { get; init; } = Length.FromMillimetres(0.4m);

    public override string Kind => "dots";
    protected override ImmutableArray<string> OwnSlots => ["Dots"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Measure<DotGrid>("pitch", "Pitch", 2, 30, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Measure<DotGrid>("dot", "Dot", 0.3m, 3, d => d.Dot, (d, l) => d with { Dot = l }),
    ];

    // A dot's own half lies within the margins too.
    private (Fitted Across, Fitted Down) Fit(Surface page) =>
        (Fitted.Of(page.Safe.Width - Dot, Pitch, "column"), Fitted.Of(page.Safe.Height - Dot, Pitch, "row"));

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var (across, down) ? (down.Count, across.Count, down.Over) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var (across, down) = Fit(page);
        return $"{page.Safe.Width.Show(unit)} × {page.Safe.Height.Show(unit)}, ÷ {Pitch.Show(unit)} = " +
            $"{across.Count + 1} × {down.Count + 1} dots, {Fitted.SayOver(across, down, unit)}";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (across, down) = Fit(page);
        var (r, safe) = (Dot.Points / 2, page.Safe);
        var left = (safe.X + (0.5m * Dot) + (0.5m * across.Over)).Points;
        var foot = (safe.Bottom - (0.5m * Dot)).Points;
        var p = Pitch.Points;
        yield return new Repeated([new Area(Shapes.Circle(0, 0, r))],
            [.. from row in Enumerable.Range(0, down.Count + 1)
                from column in Enumerable.Range(0, across.Count + 1)
                select Affine.Move(left + (column * p), foot - ((down.Count - row) * p))]);
    }
}
