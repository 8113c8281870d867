namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A heavy line and a fine one within it, drawn in at the corners.</summary>
public sealed record DoubleBorder : Ornament
{
    /// <summary>How heavy the outer line is, in millimetres.</summary>
    public decimal Weight { get; init; } = 1.4m;
    /// <summary>How far the inner line lies from it, in millimetres.</summary>
    public decimal Gap { get; init; } = 2m;

    public override string Kind => "double border";
    public override OrnamentSort Sort => OrnamentSort.Border;
    public override ImmutableArray<string> Slots => ["Outer line", "Inner line", "Corners"];
    public override (double Wide, double High) First => (100, 140);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<DoubleBorder>("weight", "Weight", " mm", 0.3m, 12m, o => o.Weight, (o, n) => o with { Weight = n }),
            Number<DoubleBorder>("gap", "Gap", " mm", 0.5m, 20m, o => o.Gap, (o, n) => o with { Gap = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (t, gap) = ((double)Weight, (double)Gap);
        yield return new Area(Strokes.Band(wide, high, 0, t));
        var (a, b, r) = (t + gap, t + gap + (t * 0.35), (t + gap) * 1.6);
        // The inner line turns round a quarter circle at each corner.
        yield return new Line(Shapes.Of(pen =>
        {
            pen.Move(a + r, a);
            pen.Line(wide - a - r, a);
            pen.Quad(wide - a - r, a + r, wide - a, a + r);
            pen.Line(wide - a, high - a - r);
            pen.Quad(wide - a - r, high - a - r, wide - a - r, high - a);
            pen.Line(a + r, high - a);
            pen.Quad(a + r, high - a - r, a, high - a - r);
            pen.Line(a, a + r);
            pen.Quad(a + r, a + r, a + r, a);
            pen.Close();
        }), (b - a) * 2.83, 1);
        foreach (var (x, y) in ((double, double)[])[(a + (r * 0.3), a + (r * 0.3)), (wide - a - (r * 0.3),
            a + (r * 0.3)),
            (wide - a - (r * 0.3), high - a - (r * 0.3)), (a + (r * 0.3), high - a - (r * 0.3))])
            yield return new Area(Shapes.Circle(x, y, r * 0.2), 2);
    }
}
