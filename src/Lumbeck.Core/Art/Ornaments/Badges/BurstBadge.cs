namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A burst of points with a plate in its middle.</summary>
public sealed record BurstBadge : Ornament
{
    /// <summary>How many points.</summary>
    public decimal Points { get; init; } = 24m;
    /// <summary>How near the inner ends come to the rim, in percent.</summary>
    public decimal Depth { get; init; } = 86m;

    public override string Kind => "burst badge";
    public override OrnamentSort Sort => OrnamentSort.Badge;
    public override ImmutableArray<string> Slots => ["Burst", "Label", "Edge"];
    public override (double Wide, double High) First => (45, 45);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<BurstBadge>("points", "Points", "", 8m, 60m, o => o.Points, (o, n) => o with { Points = n }),
            Number<BurstBadge>("depth", "Inner ends", " %", 60m, 96m, o => o.Depth, (o, n) => o with { Depth = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (r, x, y) = (Math.Min(wide, high) / 2, wide / 2, high / 2);
        yield return new Area(Shapes.Of(pen =>
            pen.Polygon(Strokes.Star(x, y, r, r * (double)Depth / 100, (int)Points))));
        yield return new Area(Shapes.Circle(x, y, r * 0.68), 1);
        yield return new Line(Shapes.Circle(x, y, r * 0.62), r * 0.05, 2);
    }

    public override int WordsLieOn => 1;

    public override WordPlace Words(double wide, double high) =>
        new(new(wide * 0.24, high * 0.38, wide * 0.76, high * 0.62), Math.Min(wide, high) * 0.15);
}
