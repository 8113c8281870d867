namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A bird in outline on a twig.</summary>
public sealed record Bird : Ornament
{
    /// <summary>How far its tail is lifted, on a board of 100 by 80.</summary>
    public decimal Lift { get; init; } = 4m;

    public override string Kind => "bird";
    public override OrnamentSort Sort => OrnamentSort.Nature;
    public override ImmutableArray<string> Slots => ["Bird", "Wing", "Twig"];
    public override (double Wide, double High) First => (50, 40);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Bird>("lift", "Tail lifted", "", 0m, 30m, o => o.Lift, (o, n) => o with { Lift = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var place = new Affine(wide / 100, 0, 0, high / 80, 0, 0);
        var lift = (double)Lift;
        // Drawn on a board of 100 by 80.
        yield return new Area(Shapes.Of(pen =>
        {
            pen.Move(9, 25);
            pen.Line(20, 20);
            pen.Cubic(23, 11, 35, 8, 42, 16);
            pen.Cubic(50, 26, 60, 30, 72, 40);
            pen.Line(98, 58 - lift);
            pen.Line(93, 65 - lift);
            pen.Line(70, 54);
            pen.Cubic(58, 64, 36, 62, 27, 47);
            pen.Cubic(22, 39, 23, 32, 19, 28);
            pen.Close();
        }).Under(place));
        yield return new Area(Shapes.Of(pen =>
        {
            pen.Move(37, 33);
            pen.Cubic(46, 28, 60, 34, 82, 50 - (lift / 2));
            pen.Cubic(66, 51, 52, 56, 42, 48);
            pen.Cubic(37, 44, 34, 38, 37, 33);
            pen.Close();
        }).Under(place), 1);
        yield return new Area(Shapes.Circle(29, 20, 1.9).Under(place), 1);
        foreach (var x in (double[])[42, 49])
            yield return new Area(Strokes.Swelling([(x, 58), (x + 1.5, 64), (x, 70)], _ => 0.8).Under(place), 2);
        yield return new Area(Strokes.Swelling([(4, 73), (30, 70), (60, 71.5), (95, 66)], t => 1.7 - t).Under(place),
            2);
        yield return new Area(Shapes.Leaf(15, 6).Under(Seeded.Place(76, 69, -0.1)).Under(place), 2);
        yield return new Area(Shapes.Leaf(13, 5).Under(Seeded.Place(14, 72, 0.37)).Under(place), 2);
    }
}
