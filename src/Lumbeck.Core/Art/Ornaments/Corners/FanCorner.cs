namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A fan of blades in a quarter circle.</summary>
public sealed record FanCorner : Ornament
{
    /// <summary>How many blades.</summary>
    public decimal Blades { get; init; } = 7m;

    public override string Kind => "fan corner";
    public override OrnamentSort Sort => OrnamentSort.Corner;
    public override ImmutableArray<string> Slots => ["Blades", "Rim", "Hub"];
    public override (double Wide, double High) First => (30, 30);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<FanCorner>("blades", "Blades", "", 3m, 15m, o => o.Blades, (o, n) => o with { Blades = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (r, many) = (Math.Min(wide, high), (int)Blades);
        for (var n = 0; n < many; n++)
        {
            var (a, b) = ((n + 0.08) / (4.0 * many), (n + 0.92) / (4.0 * many));
            var far = r * (n % 2 == 0 ? 0.84 : 0.74);
            yield return new Area(Shapes.Of(pen =>
            {
                var (near1, far1, tip) = (Seeded.From(0, 0, r * 0.24, a), Seeded.From(0, 0, far * 0.9, a),
                    Seeded.From(0, 0, far * 1.03, (a + b) / 2));
                var (far2, near2) = (Seeded.From(0, 0, far * 0.9, b), Seeded.From(0, 0, r * 0.24, b));
                pen.Move(near1.X, near1.Y);
                pen.Line(far1.X, far1.Y);
                pen.Quad(tip.X, tip.Y, far2.X, far2.Y);
                pen.Line(near2.X, near2.Y);
                pen.Close();
            }));
        }
        foreach (var (far, weight) in ((double, double)[])[(0.93, 0.022), (0.985, 0.012)])
            yield return new Line(Strokes.Smooth(Strokes.Spiral(0, 0, r * far, r * far, 0, 0.25, 12)),
                r * weight * 2.83, 1);
        yield return new Area(Shapes.Of(pen =>
        {
            pen.Move(0, 0);
            foreach (var (x, y) in Strokes.Spiral(0, 0, r * 0.18, r * 0.18, 0, 0.25, 10)) pen.Line(x, y);
            pen.Close();
        }), 2);
    }
}
