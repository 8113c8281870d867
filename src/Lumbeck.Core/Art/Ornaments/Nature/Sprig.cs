namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A twig with leaves to both sides, growing upward.</summary>
public sealed record Sprig : Ornament
{
    /// <summary>Pairs of leaves.</summary>
    public decimal Leaves { get; init; } = 7m;

    public override string Kind => "sprig";
    public override OrnamentSort Sort => OrnamentSort.Nature;
    public override ImmutableArray<string> Slots => ["Leaves", "Twig", "Berries"];
    public override (double Wide, double High) First => (34, 60);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Sprig>("leaves", "Pairs of leaves", "", 3m, 14m, o => o.Leaves, (o, n) => o with { Leaves = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var many = (int)Leaves;
        var bend = wide * 0.12 * (Chance(1) - 0.5) * 2;
        (double X, double Y) at(double t) => ((wide / 2) + (bend * Seeded.Sine(t * 0.5)), high * (0.99 - (0.85 * t)));
        yield return new Area(Strokes.Swelling([.. Enumerable.Range(0, 13).Select(n => at(n / 12.0))],
            t => Math.Max(0.12, high * 0.012 * (1.15 - t))),
            1);
        for (var n = 0; n < many; n++)
        {
            var t = 0.14 + (0.78 * n / many);
            var (x, y) = at(t);
            var size = Math.Min(wide * 0.48, high * 0.3) * (1.05 - (0.5 * t)) * (0.9 + (0.2 * Chance(2, n)));
            foreach (var side in (int[])[-1, 1])
                yield return new Area(Shapes.Leaf(size, size * 0.42)
                    .Under(Seeded.Place(x, y, -0.25 + (side * (0.12 + (0.02 * Chance(3, n)))))));
            if (n % 2 == 1)
                yield return new Area(Shapes.Circle(x + (wide * 0.06 * (Chance(4, n) < 0.5 ? 1 : -1)), y, high * 0.014),
                    2);
        }
        var (tx, ty) = at(0.96);
        yield return new Area(Shapes.Leaf(high * 0.16, high * 0.06).Under(Seeded.Place(tx, ty + (high * 0.02), -0.25)));
    }
}
