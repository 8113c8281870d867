namespace Lumbeck.Core.Art.Ornaments;

/// <summary>Stars in a row, the largest in the middle, between fine rules.</summary>
public sealed record StarRule : Ornament
{
    /// <summary>How many stars.</summary>
    public decimal Many { get; init; } = 3m;
    /// <summary>Points of a star.</summary>
    public decimal Points { get; init; } = 5m;

    public override string Kind => "star rule";
    public override OrnamentSort Sort => OrnamentSort.Rule;
    public override ImmutableArray<string> Slots => ["Stars", "Rules"];
    public override (double Wide, double High) First => (70, 6);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<StarRule>("many", "Stars", "", 1m, 9m, o => o.Many, (o, n) => o with { Many = n }),
            Number<StarRule>("points", "Points", "", 4m, 9m, o => o.Points, (o, n) => o with { Points = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (many, y) = ((int)Many, high / 2);
        var step = Math.Min(high * 1.25, wide / many);
        var half = many * step / 2;
        foreach (var (from, to) in ((double, double)[])[(0, (wide / 2) - half), ((wide / 2) + half, wide)])
            if (to > from)
                foreach (var off in (double[])[-0.12, 0.12])
                    yield return new Line(Shapes.Of(pen => pen.Path((from, y + (off * high)), (to, y + (off * high)))),
                        high * 0.12, 1);
        for (var n = 0; n < many; n++)
        {
            var r = high / 2 * (1 - (0.5 * Math.Abs(n - ((many - 1) / 2.0)) / Math.Max(1, many / 2)));
            yield return new Area(Shapes.Of(pen =>
                pen.Polygon(Strokes.Star((wide / 2) - half + ((n + 0.5) * step), y, r, r * 0.42, (int)Points))));
        }
    }
}
