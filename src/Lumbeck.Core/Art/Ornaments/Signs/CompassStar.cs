namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A star of long and short points, each split into light and dark.</summary>
public sealed record CompassStar : Ornament
{
    /// <summary>How many long points; as many short ones stand between.</summary>
    public decimal Points { get; init; } = 4m;

    public override string Kind => "compass star";
    public override OrnamentSort Sort => OrnamentSort.Sign;
    public override ImmutableArray<string> Slots => ["Light halves", "Dark halves", "Ring"];
    public override (double Wide, double High) First => (42, 42);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<CompassStar>("points", "Long points", "", 4m, 12m, o => o.Points, (o, n) => o with { Points = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (r, x, y, many) = (Math.Min(wide, high) / 2, wide / 2, high / 2, (int)Points);
        yield return new Line(Shapes.Circle(x, y, r * 0.62), r * 0.07, 2);
        foreach (var (far, waist, turn) in ((double, double, double)[])[(0.66, 0.2, 0.5 / many), (1, 0.2, 0)])
            for (var n = 0; n < many; n++)
            {
                var at = ((double)n / many) + turn - 0.25;
                var tip = Seeded.From(x, y, r * far, at);
                foreach (var side in (int[])[-1, 1])
                    yield return new Area(Shapes.Of(pen =>
                        pen.Polygon([(x, y), tip, Seeded.From(x, y, r * waist, at + (side * 0.5 / many))])),
                        side < 0 ? 0 : 1);
            }
    }
}
