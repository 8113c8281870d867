namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A twig round the edge, with a leaf to each side in turn.</summary>
public sealed record LeafBorder : Ornament
{
    /// <summary>How long a motif is, in millimetres, before whole ones are fitted.</summary>
    public decimal Pitch { get; init; } = 9m;

    public override string Kind => "leaf border";
    public override OrnamentSort Sort => OrnamentSort.Border;
    public override ImmutableArray<string> Slots => ["Leaves", "Twig", "Berries"];
    public override (double Wide, double High) First => (100, 140);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<LeafBorder>("pitch", "Motif", " mm", 3m, 40m, o => o.Pitch, (o, n) => o with { Pitch = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high) => Borders.Draw(wide, high, (double)Pitch, Motif);

    private IEnumerable<Drawn> Motif(double length, bool corner)
    {
        var (p, y) = ((double)Pitch, (double)Pitch * 0.5);
        yield return new Line(Shapes.Of(pen =>
        {
            pen.Move(corner ? y : 0, corner ? length : y);
            if (corner) pen.Quad(y, y, length, y);
            else pen.Line(length, y);
        }), p * 0.18, 1);
        if (corner)
        {
            yield return new Area(Shapes.Leaf(p * 0.8, p * 0.34).Under(Seeded.Place(p * 0.66, p * 0.66, 0.625)));
            yield break;
        }
        foreach (var (at, turns) in ((double, double)[])[(0.12, -0.1), (0.52, 0.1)])
            yield return new Area(Shapes.Leaf(p * 0.62, p * 0.28).Under(Seeded.Place(length * at, y, turns)));
        yield return new Area(Shapes.Circle(length * 0.32, y + (p * 0.24), p * 0.075), 2);
        yield return new Area(Shapes.Circle(length * 0.76, y - (p * 0.24), p * 0.075), 2);
    }
}
