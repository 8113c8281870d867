namespace Lumbeck.Core.Art.Patterns;

/// <summary>Gingham: bands across and down, and a deeper square where they cross.</summary>
public sealed record Gingham : Pattern
{
    /// <summary>From one band to the next, in millimetres.</summary>
    public decimal Repeat { get; init; } = 10m;

    public override string Kind => "gingham";

    public override ImmutableArray<string> Slots => ["Down", "Across", "Crossing"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Gingham>("repeat", "Repeat", " mm", 3m, 60m, p => p.Repeat, (p, n) => p with { Repeat = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var (repeat, band) = ((double)Repeat, (double)Repeat / 2);
        var columns = (int)Math.Floor(window.Left / repeat) - 1;
        var rows = (int)Math.Floor(window.Top / repeat) - 1;
        var (lastColumn, lastRow) = (Math.Ceiling(window.Right / repeat), Math.Ceiling(window.Bottom / repeat));
        for (var n = columns; n <= lastColumn; n++)
            yield return new Area(Shapes.Box(n * repeat, window.Top, (n * repeat) + band, window.Bottom));
        for (var n = rows; n <= lastRow; n++)
            yield return new Area(Shapes.Box(window.Left, n * repeat, window.Right, (n * repeat) + band), 1);
        // A little larger than the crossing, so that no hairline of a band shows round it.
        yield return new Repeated([new Area(Shapes.Box(-0.025, -0.025, band + 0.025, band + 0.025), 2)],
            [.. Seeded.Cells(window, repeat, repeat).Select(c => Seeded.Place(c.X * repeat, c.Y * repeat))]);
    }
}
