namespace Lumbeck.Core.Art.Ornaments;

/// <summary>One flower with two rows of petals and leaves at its stem.</summary>
public sealed record SingleFlower : Ornament
{
    /// <summary>Petals in a row.</summary>
    public decimal Petals { get; init; } = 9m;

    public override string Kind => "single flower";
    public override OrnamentSort Sort => OrnamentSort.Nature;
    public override ImmutableArray<string> Slots => ["Petals", "Inner petals", "Heart", "Stem and leaves"];
    public override (double Wide, double High) First => (36, 62);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<SingleFlower>("petals", "Petals", "", 5m, 16m, o => o.Petals, (o, n) => o with { Petals = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var r = Math.Min(wide / 2, high * 0.3);
        var (x, y, many) = (wide / 2, r, (int)Petals);
        var lean = wide * 0.08 * (Chance(1) - 0.5);
        (double X, double Y) at(double t) => (x + (lean * Seeded.Sine(t * 0.5)), y + ((high - y) * t));
        yield return new Area(Strokes.Swelling([.. Enumerable.Range(0, 9).Select(n => at(n / 8.0))],
            t => r * (0.035 + (0.03 * t))),
            3);
        foreach (var (t, side) in ((double, int)[])[(0.62, -1), (0.78, 1)])
        {
            var (lx, ly) = at(t);
            yield return new Area(Shapes.Leaf(r * 0.95, r * 0.36).Under(Seeded.Place(lx, ly, -0.25 + (side * 0.14))),
                3);
        }
        foreach (var (far, slot, turn) in ((double, int, double)[])[(1, 0, 0), (0.66, 1, 0.5 / many)])
            for (var n = 0; n < many; n++)
                yield return new Area(Shapes.Leaf(r * far, r * far * 3.6 / many)
                    .Under(Seeded.Place(x, y, ((double)n / many) + turn + (0.01 * (Chance(2, n) - 0.5)))), slot);
        yield return new Area(Shapes.Circle(x, y, r * 0.24), 2);
    }
}
