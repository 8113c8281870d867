namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Three families of lines at 60° to one another, to draw solids on.</summary>
public sealed record IsometricGrid : PageDesign
{
    /// <summary>A triangle's side.</summary>
    public Length Side { get; init; } = Length.FromMillimetres(6);

    public Length Weight { get; init; } = Length.FromPoints(0.5m);

    public override string Kind => "isometric";
    protected override ImmutableArray<string> OwnSlots => ["Lines"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Measure<IsometricGrid>("side", "Side", 2, 40, d => d.Side, (d, l) => d with { Side = l }),
        Weighed<IsometricGrid>("weight", "Weight", 0.25m, 3, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    /// <summary>Half of the square root of three, to a millionth.</summary>
    private const decimal Height = 0.866025m;

    private (Fitted Across, Fitted Down) Fit(Surface page) =>
        (Fitted.Of(page.Safe.Width, Height * Side, "column"), Fitted.Of(page.Safe.Height, Side, "row"));

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var (across, down) ? (down.Count, across.Count, down.Over) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var (across, down) = Fit(page);
        return $"upright lines {(Height * Side).Show(unit)} apart: {page.Safe.Width.Show(unit)} hold {across.Count}, " +
            $"{across.Over.Show(unit)} over, half at each side; {down.Say("side", "the head", unit)}";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (across, down) = Fit(page);
        var (safe, s, step) = (page.Safe, Side.Points, (double)Height * Side.Points);
        var (left, head) = ((safe.X + (0.5m * across.Over)).Points, (safe.Y + down.Over).Points);
        var (wide, high) = (across.Count * step, down.Count * s);
        var pen = new Pen();
        for (var n = 0; n <= across.Count; n++) pen.Add(PageLines.Upright(left + (n * step), head, high));
        // Slanted lines rise by half a side from one upright to the next; each is cut at the grid's own edge.
        var reach = across.Count;
        foreach (var way in (int[])[1, -1])
            for (var k = -reach; k <= (2 * down.Count) + reach; k++)
            {
                var (y0, y1) = (k * s / 2, (k * s / 2) + (way * reach * s / 2));
                var (from, to) = Within(y0, y1, high);
                if (from >= to) continue;
                pen.Add(PageLines.Line(left + (from * wide), head + y0 + (from * (y1 - y0)), left + (to * wide),
                    head + y0 + (to * (y1 - y0))));
            }
        yield return new Line(pen.Done(), Weight.Points);
    }

    /// <summary>
    /// Which part of a line from one height to another lies between 0 and a height, as shares of its way.
    /// </summary>
    private static (double From, double To) Within(double y0, double y1, double high)
    {
        if (y0 == y1) return y0 >= 0 && y0 <= high ? (0, 1) : (0, 0);
        var (a, b) = ((0 - y0) / (y1 - y0), (high - y0) / (y1 - y0));
        return (Math.Max(0, Math.Min(a, b)), Math.Min(1, Math.Max(a, b)));
    }
}
