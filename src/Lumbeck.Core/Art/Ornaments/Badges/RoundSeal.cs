namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A seal with a scalloped rim and rings within.</summary>
public sealed record RoundSeal : Ornament
{
    /// <summary>How many scallops go round.</summary>
    public decimal Scallops { get; init; } = 32m;

    public override string Kind => "round seal";
    public override OrnamentSort Sort => OrnamentSort.Badge;
    public override ImmutableArray<string> Slots => ["Seal", "Rings", "Middle"];
    public override (double Wide, double High) First => (45, 45);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<RoundSeal>("scallops", "Scallops", "", 8m, 72m, o => o.Scallops, (o, n) => o with { Scallops = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (r, x, y, many) = (Math.Min(wide, high) / 2, wide / 2, high / 2, (int)Scallops);
        yield return new Area(Shapes.Of(pen =>
        {
            for (var n = 0; n < many; n++)
            {
                var (from, tip, to) = (Seeded.From(x, y, r * 0.93, (double)n / many),
                    Seeded.From(x, y, r * 1.06, (n + 0.5) / many), Seeded.From(x, y, r * 0.93, (n + 1.0) / many));
                if (n == 0) pen.Move(from.X, from.Y);
                pen.Quad(tip.X, tip.Y, to.X, to.Y);
            }
            pen.Close();
        }));
        foreach (var (far, weight) in ((double, double)[])[(0.86, 0.02), (0.55, 0.02), (0.82, 0.008), (0.59, 0.008)])
            yield return new Line(Shapes.Circle(x, y, r * far), r * weight * 2.83, 1);
        yield return new Area(Shapes.Of(pen => pen.Polygon(Strokes.Star(x, y, r * 0.4, r * 0.17, 5))), 2);
    }

    public override WordPlace Words(double wide, double high) =>
        new(new((wide / 2) - (Math.Min(wide, high) * 0.62), (high / 2) - (Math.Min(wide, high) * 0.41),
            (wide / 2) + (Math.Min(wide, high) * 0.62), high / 2), Math.Min(wide, high) * 0.085, 200);
}
