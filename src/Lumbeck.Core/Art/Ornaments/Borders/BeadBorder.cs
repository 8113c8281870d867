namespace Lumbeck.Core.Art.Ornaments;

/// <summary>Beads between two fine lines, large and small in turn.</summary>
public sealed record BeadBorder : Ornament
{
    /// <summary>How long a motif is, in millimetres, before whole ones are fitted.</summary>
    public decimal Pitch { get; init; } = 6m;

    public override string Kind => "bead border";
    public override OrnamentSort Sort => OrnamentSort.Border;
    public override ImmutableArray<string> Slots => ["Beads", "Small beads", "Lines"];
    public override (double Wide, double High) First => (100, 140);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<BeadBorder>("pitch", "Motif", " mm", 3m, 40m, o => o.Pitch, (o, n) => o with { Pitch = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high) => Borders.Draw(wide, high, (double)Pitch, Motif);

    private IEnumerable<Drawn> Motif(double length, bool corner)
    {
        var p = (double)Pitch;
        foreach (var y in (double[])[p * 0.12, p * 0.88])
            yield return new Line(Shapes.Of(pen =>
            {
                if (corner) pen.Path((length, y), (y, y), (y, length));
                else pen.Path((0, y), (length, y));
            }), p * 0.14, 2);
        if (corner)
        {
            yield return new Area(Shapes.Of(pen => pen.Polygon(Strokes.Star(p / 2, p / 2, p * 0.32, p * 0.15, 4))));
            yield break;
        }
        yield return new Area(Shapes.Circle(length / 2, p / 2, p * 0.25));
        yield return new Area(Shapes.Circle(0, p / 2, p * 0.1), 1);
    }
}
