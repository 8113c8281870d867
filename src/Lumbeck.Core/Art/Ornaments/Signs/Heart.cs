namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A heart with a line within its edge.</summary>
public sealed record Heart : Ornament
{
    /// <summary>How far its line lies within, in percent; 0 for none.</summary>
    public decimal Inset { get; init; } = 9m;

    public override string Kind => "heart";
    public override OrnamentSort Sort => OrnamentSort.Sign;
    public override ImmutableArray<string> Slots => ["Heart", "Line"];
    public override (double Wide, double High) First => (36, 34);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Heart>("inset", "Line inside", " %", 0m, 30m, o => o.Inset, (o, n) => o with { Inset = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        Outline heart(double s) => Shapes.Of(pen =>
        {
            pen.Move(0, 0.5 * s);
            pen.Cubic(-0.16 * s, 0.34 * s, -0.52 * s, 0.12 * s, -0.52 * s, -0.18 * s);
            pen.Cubic(-0.52 * s, -0.42 * s, -0.36 * s, -0.5 * s, -0.25 * s, -0.5 * s);
            pen.Cubic(-0.1 * s, -0.5 * s, -0.02 * s, -0.4 * s, 0, -0.28 * s);
            pen.Cubic(0.02 * s, -0.4 * s, 0.1 * s, -0.5 * s, 0.25 * s, -0.5 * s);
            pen.Cubic(0.36 * s, -0.5 * s, 0.52 * s, -0.42 * s, 0.52 * s, -0.18 * s);
            pen.Cubic(0.52 * s, 0.12 * s, 0.16 * s, 0.34 * s, 0, 0.5 * s);
            pen.Close();
        });
        var place = new Affine(wide / 1.04, 0, 0, high, wide / 2, high / 2);
        yield return new Area(heart(1).Under(place));
        if (Inset > 0)
            yield return new Line(heart(1 - (2 * (double)Inset / 100)).Under(place), Math.Min(wide, high) * 0.07, 1);
    }
}
