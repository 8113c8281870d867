namespace Lumbeck.Core.Art.Patterns;

/// <summary>Rays from a point: wedges in two colours, with hairlines between.</summary>
public sealed record Rays : Pattern
{
    /// <summary>How many rays go round.</summary>
    public decimal Many { get; init; } = 36m;

    /// <summary>Where they begin, in millimetres from the pattern’s origin.</summary>
    public decimal Across { get; init; } = 65m;

    /// <summary>Where they begin, in millimetres from the pattern’s origin.</summary>
    public decimal Down { get; init; } = 150m;

    public override string Kind => "rays";

    public override ImmutableArray<string> Slots => ["Ray", "Between", "Hairline"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Rays>("rays", "Rays", "", 8m, 120m, p => p.Many, (p, n) => p with { Many = n }),
            Number<Rays>("across", "Across", " mm", -300m, 300m, p => p.Across, (p, n) => p with { Across = n }),
            Number<Rays>("down", "Down", " mm", -300m, 400m, p => p.Down, (p, n) => p with { Down = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var (cx, cy, many) = ((double)Across, (double)Down, (int)Many);
        // Far enough for any sheet; a larger window shows no more than a larger part of the same wedges.
        const double far = 3000;
        for (var n = 0; n < many; n++)
        {
            double at(int k) => (k + (0.36 * (Seeded.At(k % many, 0, Seed) - 0.5))) / many;
            var (from, half, to) = (at(n), (at(n) + at(n + 1)) / 2, at(n + 1));
            yield return new Area(Shapes.Of(p =>
                p.Polygon([(cx, cy), Seeded.From(cx, cy, far, from), Seeded.From(cx, cy, far, half)])));
            if (n % 3 == 0)
                yield return new Area(Shapes.Of(p => p.Polygon([(cx, cy), Seeded.From(cx, cy, far,
                    half + ((to - half) * 0.3)),
                    Seeded.From(cx, cy, far, half + ((to - half) * 0.6))])), 1);
            yield return new Line(Shapes.Of(p =>
                p.Path(Seeded.From(cx, cy, 6, to - ((to - half) * 0.2)),
                    Seeded.From(cx, cy, far, to - ((to - half) * 0.2)))),
                0.5, 2);
        }
    }
}
