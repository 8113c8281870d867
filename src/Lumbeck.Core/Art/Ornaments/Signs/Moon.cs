namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A crescent moon with a star in its arms.</summary>
public sealed record Moon : Ornament
{
    /// <summary>How much of it is lit, in percent.</summary>
    public decimal Light { get; init; } = 30m;

    public override string Kind => "moon";
    public override OrnamentSort Sort => OrnamentSort.Sign;
    public override ImmutableArray<string> Slots => ["Moon", "Stars"];
    public override (double Wide, double High) First => (38, 38);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Moon>("light", "Lit", " %", 10m, 48m, o => o.Light, (o, n) => o with { Light = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (r, x, y) = (Math.Min(wide, high) / 2 * 0.96, wide / 2, high / 2);
        var thin = (double)Light / 100;
        yield return new Area(Shapes.Of(pen =>
        {
            // The lit limb is half a circle; the edge of the shadow half an ellipse.
            const double k = 0.5522847498;
            var e = r * (1 - (2 * thin));
            pen.Move(x, y - r);
            pen.Cubic(x - (k * r), y - r, x - r, y - (k * r), x - r, y);
            pen.Cubic(x - r, y + (k * r), x - (k * r), y + r, x, y + r);
            pen.Cubic(x - (k * e), y + r, x - e, y + (k * r), x - e, y);
            pen.Cubic(x - e, y - (k * r), x - (k * e), y - r, x, y - r);
            pen.Close();
        }).Under(Affine.Move(r * 0.3, 0)));
        foreach (var (sx, sy, size) in ((double, double, double)[])[(0.45, -0.05, 0.2), (0.72, 0.42, 0.1),
            (0.68, -0.5, 0.12)])
            yield return new Area(Shapes.Of(pen =>
                pen.Polygon(Strokes.Star(x + (r * sx), y + (r * sy), r * size, r * size * 0.4, 5))),
                1);
    }
}
