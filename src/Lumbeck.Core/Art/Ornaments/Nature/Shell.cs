namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A shell whose ribs spread from its hinge.</summary>
public sealed record Shell : Ornament
{
    /// <summary>How many ribs.</summary>
    public decimal Ribs { get; init; } = 9m;

    public override string Kind => "shell";
    public override OrnamentSort Sort => OrnamentSort.Nature;
    public override ImmutableArray<string> Slots => ["Shell", "Ribs", "Hinge"];
    public override (double Wide, double High) First => (44, 42);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Shell>("ribs", "Ribs", "", 5m, 15m, o => o.Ribs, (o, n) => o with { Ribs = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (x, y, many) = (wide / 2, high * 0.9, (int)Ribs);
        var r = Math.Min(wide / 1.82, high * 0.88);
        (double X, double Y) at(double far, double t) => Seeded.From(x, y, far, -0.25 + (0.34 * (t - 0.5)));
        yield return new Area(Shapes.Of(pen =>
        {
            pen.Move(x, y);
            var first = at(r * 0.86, 0);
            pen.Line(first.X, first.Y);
            for (var n = 0; n < many; n++)
            {
                var (tip, to) = (at(r * (1.02 + (0.03 * Seeded.Sine(n * 0.5 / many))), (n + 0.5) / many),
                    at(r * (0.86 + (0.1 * Seeded.Sine((n + 1.0) * 0.5 / many))), (n + 1.0) / many));
                pen.Quad(tip.X, tip.Y, to.X, to.Y);
            }
            pen.Close();
        }));
        for (var n = 1; n < many; n++)
        {
            var t = n / (double)many;
            yield return new Area(Strokes.Swelling([at(r * 0.12, t), at(r * 0.5, t),
                at(r * (0.86 + (0.1 * Seeded.Sine(t * 0.5))), t)],
                s => r * (0.006 + (0.012 * s))),
                1);
        }
        yield return new Area(Shapes.Of(pen =>
            pen.Polygon([(x - (r * 0.24), y - (r * 0.02)), (x - (r * 0.1), high), (x + (r * 0.1), high),
                (x + (r * 0.24), y - (r * 0.02)), (x, y - (r * 0.2))])),
            2);
    }
}
