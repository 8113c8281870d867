namespace Lumbeck.Core.Art.Ornaments;

/// <summary>An oval plate in a frame of scrolls.</summary>
public sealed record Cartouche : Ornament
{
    /// <summary>How often its scrolls turn.</summary>
    public decimal Turns { get; init; } = 1.2m;

    public override string Kind => "cartouche";
    public override OrnamentSort Sort => OrnamentSort.Label;
    public override ImmutableArray<string> Slots => ["Label", "Frame", "Scrolls"];
    public override (double Wide, double High) First => (90, 60);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Cartouche>("turns", "Turns", "", 0.6m, 2m, o => o.Turns, (o, n) => o with { Turns = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (cx, cy) = (wide / 2, high / 2);
        var (rx, ry) = (wide * 0.4, high * 0.38);
        Affine oval(double grow) => new(rx + grow, 0, 0, ry + grow, cx, cy);
        foreach (var (sx, sy) in ((int, int)[])[(-1, -1), (1, -1), (-1, 1), (1, 1)])
        {
            var r = Math.Min(wide, high) * 0.12;
            var line = Strokes.Spiral(wide * 0.37, high * 0.36, r * 0.15, r, (double)Turns, 0.1, 24);
            line.AddRange([(wide * 0.33, high * 0.46), (wide * 0.14, high * 0.475), (0, high * 0.44)]);
            yield return new Area(Strokes.Swelling(line, t => r * 0.2 * (0.4 + (2.2 * t * (1 - t))))
                .Under(new(sx, 0, 0, sy, cx, cy)), 2);
        }
        yield return new Area(Shapes.Circle(0, 0, 1).Under(oval(2.2)), 1);
        yield return new Area(Shapes.Circle(0, 0, 1).Under(oval(0.9)));
        yield return new Line(Shapes.Circle(0, 0, 1).Under(oval(-0.6)), 0.7, 1);
    }

    public override WordPlace Words(double wide, double high) =>
        new(new(wide * 0.2, high * 0.3, wide * 0.8, high * 0.7), high * 0.16);
}
