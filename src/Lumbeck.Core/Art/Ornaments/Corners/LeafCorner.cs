namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A twig that bends round a corner, with leaves on both its sides.</summary>
public sealed record LeafCorner : Ornament
{
    /// <summary>Pairs of leaves.</summary>
    public decimal Leaves { get; init; } = 8m;

    public override string Kind => "leaf corner";
    public override OrnamentSort Sort => OrnamentSort.Corner;
    public override ImmutableArray<string> Slots => ["Leaves", "Twig", "Berries"];
    public override (double Wide, double High) First => (32, 32);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<LeafCorner>("leaves", "Pairs of leaves", "", 4m, 14m, o => o.Leaves,
                (o, n) => o with { Leaves = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (r, many) = (Math.Min(wide, high), (int)Leaves);
        (double X, double Y) at(double t) => (r * (0.08 + (0.9 * t * t)), r * (0.08 + (0.9 * (1 - t) * (1 - t))));
        yield return new Line(Strokes.Smooth([.. Enumerable.Range(0, 13).Select(n => at(n / 12.0))]), r * 0.06, 1);
        for (var n = 0; n < many; n++)
        {
            var t = (n + 0.5) / many;
            var ((x, y), (x2, y2)) = (at(t), at(t + 0.01));
            var size = r * (0.2 + (0.05 * Chance(1, n)));
            // A leaf leans from the corner's middle toward the nearer end.
            var along = t < 0.5 ? -1 : 1;
            foreach (var side in (int[])[-1, 1])
            {
                var (dx, dy) = (along * (x2 - x), along * (y2 - y));
                var far = Math.Sqrt((dx * dx) + (dy * dy));
                var (c, s) = (dx / far, dy / far);
                var (lean, out_) = (0.75, side * 0.66);
                var place = new Affine((c * lean) - (s * out_), (s * lean) + (c * out_), -((s * lean) + (c * out_)),
                    (c * lean) - (s * out_), x, y);
                yield return new Area(Shapes.Leaf(size, size * 0.44).Under(place));
            }
            if (n % 2 == 1) yield return new Area(Shapes.Circle(x + (r * 0.05), y + (r * 0.05), r * 0.022), 2);
        }
    }
}
