namespace Lumbeck.Core.Art.Ornaments;

/// <summary>Two strands twisted about one another.</summary>
public sealed record RopeBorder : Ornament
{
    /// <summary>How long a motif is, in millimetres, before whole ones are fitted.</summary>
    public decimal Pitch { get; init; } = 7m;

    public override string Kind => "rope border";
    public override OrnamentSort Sort => OrnamentSort.Border;
    public override ImmutableArray<string> Slots => ["Strands", "Shade"];
    public override (double Wide, double High) First => (100, 140);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<RopeBorder>("pitch", "Motif", " mm", 3m, 40m, o => o.Pitch, (o, n) => o with { Pitch = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high) => Borders.Draw(wide, high, (double)Pitch, Motif);

    private IEnumerable<Drawn> Motif(double length, bool corner)
    {
        var p = (double)Pitch;
        var w = p * 0.5;
        if (corner)
        {
            yield return new Area(Strokes.Ring(p * 0.62, p * 0.62, p * 0.36, p * 0.16));
            yield return new Area(Shapes.Circle(p * 0.62, p * 0.62, p * 0.1), 1);
            yield break;
        }
        foreach (var half in (int[])[0, 1])
        {
            var x = half * length / 2;
            yield return new Area(Shapes.Of(pen =>
            {
                pen.Move(x, (p * 0.62) - (w / 2));
                pen.Cubic(x + (length * 0.3), (p * 0.62) - (w / 2), x + (length * 0.2), (p * 0.62) + (w / 2),
                    x + (length * 0.5), (p * 0.62) + (w / 2));
                pen.Cubic(x + (length * 0.34), (p * 0.62) + (w * 0.5), x + (length * 0.14), (p * 0.62) + (w * 0.42),
                    x + (length * 0.08), (p * 0.62) + (w * 0.1));
                pen.Cubic(x + (length * 0.04), (p * 0.62) - (w * 0.1), x, (p * 0.62) - (w * 0.3), x,
                    (p * 0.62) - (w / 2));
                pen.Close();
            }));
            yield return new Line(Shapes.Of(pen =>
            {
                pen.Move(x + (length * 0.1), (p * 0.62) - (w * 0.3));
                pen.Quad(x + (length * 0.22), p * 0.62, x + (length * 0.32), (p * 0.62) + (w * 0.3));
            }), p * 0.09, 1);
        }
    }
}
