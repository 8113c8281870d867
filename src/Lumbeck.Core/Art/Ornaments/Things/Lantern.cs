namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A lantern that hangs from a ring.</summary>
public sealed record Lantern : Ornament
{
    /// <summary>How tall its flame is, in percent.</summary>
    public decimal Flame { get; init; } = 80m;

    public override string Kind => "lantern";
    public override OrnamentSort Sort => OrnamentSort.Thing;
    public override ImmutableArray<string> Slots => ["Frame", "Glass", "Flame"];
    public override (double Wide, double High) First => (30, 52);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Lantern>("flame", "Flame", " %", 40m, 100m, o => o.Flame, (o, n) => o with { Flame = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var place = new Affine(wide / 60, 0, 0, high / 100, 0, 0);
        yield return new Area(Shapes.Of(pen => pen.Polygon([(14, 34), (46, 34), (50, 86), (10, 86)])).Under(place), 1);
        yield return new Area(Shapes.Of(pen =>
        {
            var tall = (double)Flame * 0.3;
            pen.Move(30, 78 - tall);
            pen.Cubic(36, 78 - (tall * 0.5), 38, 70, 36, 74);
            pen.Cubic(35, 81, 25, 81, 24, 74);
            pen.Cubic(22, 69, 28, 68, 30, 78 - tall);
            pen.Close();
        }).Under(place), 2);
        yield return new Area(Shapes.Box(27, 78, 33, 86).Under(place));
        yield return new Area(Strokes.Ring(30, 7, 6.5, 4).Under(place));
        yield return new Area(Shapes.Of(pen => pen.Polygon([(27, 12), (33, 12), (36, 19), (52, 32), (8, 32), (24, 19)]))
            .Under(place));
        yield return new Area(Shapes.Box(6, 32, 54, 37).Under(place));
        yield return new Area(Shapes.Box(4, 86, 56, 92).Under(place));
        yield return new Area(Shapes.Box(9, 92, 51, 98).Under(place));
        foreach (var (top, foot) in ((double, double)[])[(13, 9), (30, 30), (47, 51)])
            if (top != 30)
                yield return new Area(Shapes.Of(pen =>
                    pen.Polygon([(top - 2, 36), (top + 2, 36), (foot + 2, 87), (foot - 2, 87)]))
                    .Under(place));
        yield return new Area(Shapes.Box(11, 56, 49, 58.5).Under(place));
    }
}
