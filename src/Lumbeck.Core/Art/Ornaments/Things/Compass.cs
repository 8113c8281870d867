namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A compass in its case, with a needle.</summary>
public sealed record Compass : Ornament
{
    /// <summary>Where its needle points, in degrees clockwise from the head.</summary>
    public decimal Heading { get; init; } = 30m;

    public override string Kind => "compass";
    public override OrnamentSort Sort => OrnamentSort.Thing;
    public override ImmutableArray<string> Slots => ["Case", "Face", "Needle", "Marks"];
    public override (double Wide, double High) First => (40, 48);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Compass>("heading", "Heading", "°", 0m, 359m, o => o.Heading, (o, n) => o with { Heading = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var r = Math.Min(wide / 2, high * 0.42);
        var (x, y) = (wide / 2, high - r);
        yield return new Area(Strokes.Ring(x, y - r - (r * 0.12), r * 0.2, r * 0.12));
        yield return new Area(Shapes.Circle(x, y, r));
        yield return new Area(Shapes.Circle(x, y, r * 0.84), 1);
        for (var n = 0; n < 32; n++)
        {
            var (from, to) = (Seeded.From(x, y, r * (n % 8 == 0 ? 0.64 : n % 4 == 0 ? 0.7 : 0.75), n / 32.0),
                Seeded.From(x, y, r * 0.8, n / 32.0));
            yield return new Line(Shapes.Of(pen => pen.Path(from, to)), r * (n % 8 == 0 ? 0.1 : 0.05), 3);
        }
        var turn = (double)Heading / 360;
        foreach (var (half, slot) in ((double, int)[])[(0, 2), (0.5, 3)])
            yield return new Area(Shapes.Of(pen => pen.Polygon([Seeded.From(x, y, r * 0.6, turn - 0.25 + half),
                Seeded.From(x, y, r * 0.1, turn + half), Seeded.From(x, y, r * 0.1, turn - 0.5 + half)])), slot);
        yield return new Area(Shapes.Circle(x, y, r * 0.05), 1);
    }
}
