namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A feather with its barbs parted here and there.</summary>
public sealed record Feather : Ornament
{
    /// <summary>How many barbs on each side.</summary>
    public decimal Barbs { get; init; } = 22m;

    public override string Kind => "feather";
    public override OrnamentSort Sort => OrnamentSort.Nature;
    public override ImmutableArray<string> Slots => ["Vane", "Quill", "Gaps"];
    public override (double Wide, double High) First => (22, 64);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Feather>("barbs", "Barbs", "", 8m, 40m, o => o.Barbs, (o, n) => o with { Barbs = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (x, many) = (wide / 2, (int)Barbs);
        double half(double t) => wide * 0.48 * Math.Sqrt(Math.Max(0, Seeded.Sine(0.5 * t))) * (1 - (0.25 * t));
        (double X, double Y) at(double t) => (x + (wide * 0.1 * Seeded.Sine(t * 0.5)), high * (0.8 - (0.79 * t)));
        foreach (var side in (int[])[-1, 1])
            for (var n = 0; n < many; n++)
            {
                var (a, b) = (n / (double)many, (n + 0.86) / many);
                var ((x1, y1), (x2, y2)) = (at(a), at(b));
                var (w1, w2) = (half(a), half(b));
                var slip = high * 0.09 * (0.8 + (0.4 * Chance(1, (n * 2) + side)));
                yield return new Area(Shapes.Of(pen =>
                {
                    pen.Move(x1, y1);
                    pen.Quad(x1 + (side * w1 * 0.7), y1 - (slip * 0.35), x1 + (side * w1), y1 - slip);
                    pen.Line(x2 + (side * w2), y2 - slip);
                    pen.Quad(x2 + (side * w2 * 0.7), y2 - (slip * 0.35), x2, y2);
                    pen.Close();
                }));
            }
        yield return new Area(Strokes.Swelling([(x - (wide * 0.06), high),
            .. Enumerable.Range(0, 10).Select(n => at(n / 10.0))],
            t => wide * 0.035 * (1.1 - t)),
            1);
    }
}
