namespace Lumbeck.Core.Art.Ornaments;

/// <summary>Two twigs of leaves bent to a wreath, open at its head.</summary>
public sealed record Wreath : Ornament
{
    /// <summary>Pairs of leaves on each twig.</summary>
    public decimal Leaves { get; init; } = 12m;

    public override string Kind => "wreath";
    public override OrnamentSort Sort => OrnamentSort.Nature;
    public override ImmutableArray<string> Slots => ["Leaves", "Twigs", "Berries"];
    public override (double Wide, double High) First => (60, 60);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Wreath>("leaves", "Pairs of leaves", "", 6m, 24m, o => o.Leaves, (o, n) => o with { Leaves = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (r, x, y, many) = (Math.Min(wide, high) / 2 * 0.84, wide / 2, high / 2, (int)Leaves);
        foreach (var side in (int[])[-1, 1])
        {
            var flip = new Affine(side, 0, 0, 1, x, y);
            var open = 0.07;
            yield return new Line(Strokes.Smooth(Strokes.Spiral(0, 0, r, r, 0.25, -0.25 + open, 24)).Under(flip),
                r * 0.05, 1);
            for (var n = 0; n < many; n++)
            {
                var t = 0.25 - ((0.5 - open) * (n + 0.4) / many);
                var (lx, ly) = Seeded.From(0, 0, r, t);
                var size = r * 3.4 / many * (0.95 + (0.2 * Chance(1, n)));
                foreach (var out_ in (int[])[-1, 1])
                    yield return new Area(Shapes.Leaf(size, size * 0.42)
                        .Under(Seeded.Place(lx, ly, t - 0.25 + (out_ * 0.09))).Under(flip));
                if (n % 3 == 1) yield return new Area(Shapes.Circle(lx * 0.92, ly * 0.92, r * 0.03).Under(flip), 2);
            }
        }
    }

    public override WordPlace Words(double wide, double high) =>
        new(new(wide * 0.24, high * 0.36, wide * 0.76, high * 0.64), Math.Min(wide, high) * 0.14);
}
