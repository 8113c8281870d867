namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Hexagons that stand on a corner, whole within the margins.</summary>
public sealed record HexagonGrid : PageDesign
{
    /// <summary>A hexagon's side.</summary>
    public Length Side { get; init; } = Length.FromMillimetres(6);

    public Length Weight { get; init; } = Length.FromPoints(0.5m);

    public override string Kind => "hexagons";
    protected override ImmutableArray<string> OwnSlots => ["Lines"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Measure<HexagonGrid>("side", "Side", 2, 40, d => d.Side, (d, l) => d with { Side = l }),
        Weighed<HexagonGrid>("weight", "Weight", 0.25m, 3, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    /// <summary>From one flat to the other: the square root of three, to a millionth.</summary>
    private const decimal Across = 1.732051m;

    // Every second row stands half a hexagon aside, and each takes three quarters of one's height.
    private (Fitted Columns, Fitted Rows) Fit(Surface page) =>
        (Fitted.Of(page.Safe.Width - (Across / 2 * Side), Across * Side, "column"),
            Fitted.Of(page.Safe.Height - (0.5m * Side), 1.5m * Side, "row"));

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var (columns, rows) ? (rows.Count, columns.Count, rows.Over) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var (columns, rows) = Fit(page);
        return $"hexagons {(Across * Side).Show(unit)} wide: {columns.Count} in a row, {columns.Over.Show(unit)} " +
            $"over, half " +
            $"at each side; {rows.Say("row", "the head", unit)}";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (columns, rows) = Fit(page);
        var (safe, s) = (page.Safe, Side.Points);
        var flat = (double)Across * s;
        var (left, foot) = ((safe.X + (0.5m * columns.Over)).Points, safe.Bottom.Points);
        var hexagon = new Pen();
        hexagon.Move(0, -s);
        foreach (var (x, y) in ((double, double)[])[(flat / 2, -s / 2), (flat / 2, s / 2), (0, s), (-flat / 2, s / 2),
            (-flat / 2, -s / 2)])
            hexagon.Line(x, y);
        hexagon.Close();
        yield return PageLines.Again(hexagon.Done(), Weight, 0,
            from row in Enumerable.Range(0, rows.Count)
            from column in Enumerable.Range(0, columns.Count)
            select (left + (flat * (column + 0.5 + (row % 2 == 0 ? 0 : 0.5))),
                foot - s - ((rows.Count - 1 - row) * 1.5 * s)));
    }
}
