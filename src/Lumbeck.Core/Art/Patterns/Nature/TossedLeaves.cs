namespace Lumbeck.Core.Art.Patterns;

/// <summary>Leaves thrown over the ground, each turned as it fell, with a vein.</summary>
public sealed record TossedLeaves : Pattern
{
    /// <summary>How far leaves lie apart, in millimetres.</summary>
    public decimal Pitch { get; init; } = 19m;

    /// <summary>A leaf’s width, in percent of its length.</summary>
    public decimal Slender { get; init; } = 40m;

    public override string Kind => "tossed leaves";

    public override ImmutableArray<string> Slots => ["Leaf", "Second leaf", "Vein"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<TossedLeaves>("pitch", "Pitch", " mm", 5m, 80m, p => p.Pitch, (p, n) => p with { Pitch = n }),
            Number<TossedLeaves>("slender", "Slenderness", " %", 10m, 100m, p => p.Slender,
                (p, n) => p with { Slender = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var pitch = (double)Pitch;
        var kinds = new List<Affine>[3, 2];
        for (var k = 0; k < 6; k++) kinds[k / 2, k % 2] = [];
        foreach (var (x, y) in Seeded.Cells(window, pitch, pitch))
        {
            if (Seeded.Of(11, x, y, Seed) == 0) continue;
            var (cx, cy) = ((x + 0.5 + (0.55 * (Seeded.At(x, y, Seed, 1) - 0.5))) * pitch,
                (y + 0.5 + (0.55 * (Seeded.At(x, y, Seed, 2) - 0.5))) * pitch);
            var size = Seeded.Of(3, x, y, Seed, 3);
            var turn = Seeded.At(x, y, Seed, 4);
            // Turned about its middle, so that none leaves its place.
            var (sx, sy) = Seeded.From(cx, cy, -Length(size) / 2, turn);
            kinds[size, Seeded.Of(3, x, y, Seed, 5) == 0 ? 1 : 0].Add(Seeded.Place(sx, sy, turn));
        }
        for (var size = 0; size < 3; size++)
            for (var slot = 0; slot < 2; slot++)
            {
                var (length, wide) = (Length(size), Length(size) * (double)Slender / 100);
                var vein = Shapes.Of(p =>
                {
                    p.Path((-length * 0.14, 0), (length * 0.86, 0));
                    for (var n = 1; n <= 4; n++)
                    {
                        var from = length * (0.08 + (0.16 * n));
                        p.Path((from, 0), (from + (length * 0.11), -wide * 0.3 * (1 - (n * 0.12))));
                        p.Path((from, 0), (from + (length * 0.11), wide * 0.3 * (1 - (n * 0.12))));
                    }
                });
                yield return new Repeated([new Area(Shapes.Leaf(length, wide), slot), new Line(vein, 0.5, 2)],
                    [.. kinds[size, slot]]);
            }
    }

    private double Length(int size) => (double)Pitch * (0.62 + (0.16 * size));
}
