namespace Lumbeck.Core.Art.Patterns;

/// <summary>A vine that climbs a trellis: laths crossing, a stem that sways, leaves and berries.</summary>
public sealed record TrellisVine : Pattern
{
    /// <summary>From one lath to the next, in millimetres.</summary>
    public decimal Trellis { get; init; } = 38m;

    public override string Kind => "trellis vine";

    public override ImmutableArray<string> Slots => ["Lath", "Leaf", "Berry"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<TrellisVine>("lath", "Trellis", " mm", 14m, 120m, p => p.Trellis, (p, n) => p with { Trellis = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var t = (double)Trellis;
        var lath = t * 0.035;
        var half = t / 2;
        // One field of the trellis, with two laths that cross in its middle.
        var cross = Shapes.Of(p =>
        {
            p.Polygon([(-half - lath, -half + lath), (-half + lath, -half - lath), (half + lath, half - lath),
                (half - lath, half + lath)]);
            p.Polygon([(half - lath, -half - lath), (half + lath, -half + lath), (-half + lath, half + lath),
                (-half - lath, half - lath)]);
        });
        yield return new Repeated([new Area(cross)],
            [.. Seeded.Cells(window, t, t).Select(c => Seeded.Place(c.X * t, c.Y * t))]);
        var stem = Shapes.Of(p =>
        {
            p.Move(0, -half);
            p.Cubic(t * 0.3, -t * 0.25, t * 0.3, -t * 0.25, 0, 0);
            p.Cubic(-t * 0.3, t * 0.25, -t * 0.3, t * 0.25, 0, half);
        });
        Drawn[] vine(bool berries) =>
        [
            new Line(stem, 1.3, 1),
            .. Leaves.Select(l =>
                new Area(Shapes.Leaf(t * 0.24, t * 0.13).Under(Seeded.Place(l.X * t, l.Y * t, l.Turn)), 1)),
            .. Berries(berries).Select(b => new Area(Shapes.Circle(b.X * t, b.Y * t, t * 0.026), 2)),
        ];
        foreach (var berries in (bool[])[false, true])
            yield return new Repeated([.. vine(berries)], [.. Seeded.Cells(window, t, t)
                .Where(c => Seeded.Of(2, c.X, c.Y, Seed) == 0 == berries).Select(c => Seeded.Place(c.X * t, c.Y * t))]);
    }

    /// <summary>Where leaves begin, in parts of a field, and how they are turned.</summary>
    private static readonly (double X, double Y, double Turn)[] Leaves =
        [(0.22, -0.3, -0.1), (0.2, -0.16, 0.12), (-0.2, 0.18, 0.4), (-0.2, 0.32, 0.6), (0.02, 0.02, -0.35)];

    private static (double X, double Y)[] Berries(bool any) => any ? [(0.05, -0.2), (0.09, -0.16), (0.045, -0.14)] : [];
}
