namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A stem with leaves in pairs, growing outward from a berry in its middle.</summary>
public sealed record LeafRule : Ornament
{
    /// <summary>Pairs of leaves on each side.</summary>
    public decimal Pairs { get; init; } = 5m;

    public override string Kind => "leaf rule";
    public override OrnamentSort Sort => OrnamentSort.Rule;
    public override ImmutableArray<string> Slots => ["Leaves", "Stem", "Berry"];
    public override (double Wide, double High) First => (80, 9);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<LeafRule>("pairs", "Pairs of leaves", "", 2m, 12m, o => o.Pairs, (o, n) => o with { Pairs = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (y, pairs) = (high / 2, (int)Pairs);
        yield return new Line(Shapes.Of(pen => pen.Path((0, y), (wide, y))), high * 0.16, 1);
        foreach (var side in (int[])[-1, 1])
            for (var n = 0; n < pairs; n++)
            {
                var x = (wide / 2) + (side * (high * 0.5 + ((n + 0.1) * ((wide / 2) - (high * 0.6)) / pairs)));
                var size = (high * 0.62) * (1 - (0.45 * n / pairs)) * (0.9 + (0.2 * Chance(1, n)));
                foreach (var up in (int[])[-1, 1])
                    yield return new Area(Shapes.Leaf(size * 1.5, size * 0.62)
                        .Under(Seeded.Place(x, y, (side > 0 ? 0 : 0.5) + (side * up * 0.1))));
            }
        yield return new Area(Shapes.Circle(wide / 2, y, high * 0.24), 2);
    }
}
