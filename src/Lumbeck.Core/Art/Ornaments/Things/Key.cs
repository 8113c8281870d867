namespace Lumbeck.Core.Art.Ornaments;

/// <summary>An old key.</summary>
public sealed record Key : Ornament
{
    /// <summary>How many teeth its bit has.</summary>
    public decimal Teeth { get; init; } = 3m;

    public override string Kind => "key";
    public override OrnamentSort Sort => OrnamentSort.Thing;
    public override ImmutableArray<string> Slots => ["Key", "Ring"];
    public override (double Wide, double High) First => (64, 26);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Key>("teeth", "Teeth", "", 1m, 5m, o => o.Teeth, (o, n) => o with { Teeth = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (h, y) = (high, high / 2);
        var bow = h * 0.48;
        yield return new Area(Strokes.Ring(bow, y, bow, bow * 0.62));
        for (var n = 0; n < 4; n++)
        {
            var (x1, y1) = Seeded.From(bow, y, bow * 0.5, (n / 4.0) + 0.125);
            yield return new Area(Strokes.Ring(x1, y1, bow * 0.3, bow * 0.17), 1);
        }
        yield return new Area(Shapes.Box(bow * 1.96, y - (h * 0.075), wide, y + (h * 0.075)));
        foreach (var at in (double[])[bow * 2.15, bow * 2.4])
            yield return new Area(Shapes.Box(at, y - (h * 0.14), at + (h * 0.08), y + (h * 0.14)));
        for (var n = 0; n < (int)Teeth; n++)
        {
            var x = wide - (h * 0.1) - (n * h * 0.22);
            yield return new Area(Shapes.Box(x - (h * 0.13), y, x, y + (h * (0.3 + (0.14 * Chance(1, n))))));
        }
    }
}
