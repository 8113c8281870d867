namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A fine rule with diamonds, large and small, along its middle.</summary>
public sealed record DiamondRule : Ornament
{
    /// <summary>How many diamonds.</summary>
    public decimal Many { get; init; } = 5m;

    public override string Kind => "diamond rule";
    public override OrnamentSort Sort => OrnamentSort.Rule;
    public override ImmutableArray<string> Slots => ["Rule", "Diamonds"];
    public override (double Wide, double High) First => (70, 4);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<DiamondRule>("many", "Diamonds", "", 1m, 15m, o => o.Many, (o, n) => o with { Many = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (many, y) = ((int)Many, high / 2);
        var step = Math.Min(high * 1.15, wide / many);
        var half = many * step / 2;
        foreach (var (from, to) in ((double, double)[])[(0, (wide / 2) - half - step * 0.4),
            ((wide / 2) + half + step * 0.4, wide)])
            if (to > from) yield return new Line(Shapes.Of(pen => pen.Path((from, y), (to, y))), high * 0.25);
        for (var n = 0; n < many; n++)
        {
            var middle = 1 - (Math.Abs(n - ((many - 1) / 2.0)) / many);
            var r = high / 2 * (0.35 + (0.65 * middle));
            var x = (wide / 2) - half + ((n + 0.5) * step);
            yield return new Area(Shapes.Of(pen =>
                pen.Polygon([(x, y - r), (x + r * 0.72, y), (x, y + r), (x - r * 0.72, y)])),
                1);
        }
    }
}
