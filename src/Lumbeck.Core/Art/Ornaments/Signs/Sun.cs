namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A sun with straight and waving rays in turn.</summary>
public sealed record Sun : Ornament
{
    /// <summary>How many rays.</summary>
    public decimal Rays { get; init; } = 20m;

    public override string Kind => "sun";
    public override OrnamentSort Sort => OrnamentSort.Sign;
    public override ImmutableArray<string> Slots => ["Disc", "Rays", "Ring"];
    public override (double Wide, double High) First => (38, 38);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Sun>("rays", "Rays", "", 8m, 40m, o => o.Rays, (o, n) => o with { Rays = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (r, x, y, many) = (Math.Min(wide, high) / 2, wide / 2, high / 2, (int)Rays);
        for (var n = 0; n < many; n++)
        {
            var ray = n % 2 == 0
                ? Shapes.Of(pen => pen.Polygon([(r * 0.52, -r * 0.09), (r, 0), (r * 0.52, r * 0.09)]))
                : Strokes.Swelling([.. Enumerable.Range(0, 9).Select(i =>
                    (r * (0.52 + (0.4 * i / 8)), r * 0.05 * Seeded.Sine(i / 8.0)))], t => r * 0.075 * (1 - t));
            yield return new Area(ray.Under(Seeded.Place(x, y, (n / (double)many) - 0.25)), 1);
        }
        yield return new Area(Shapes.Circle(x, y, r * 0.44));
        yield return new Line(Shapes.Circle(x, y, r * 0.36), r * 0.06, 2);
    }
}
