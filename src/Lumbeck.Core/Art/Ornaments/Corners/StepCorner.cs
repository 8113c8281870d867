namespace Lumbeck.Core.Art.Ornaments;

/// <summary>Steps of straight lines, one within the other.</summary>
public sealed record StepCorner : Ornament
{
    /// <summary>How many steps.</summary>
    public decimal Steps { get; init; } = 3m;

    public override string Kind => "step corner";
    public override OrnamentSort Sort => OrnamentSort.Corner;
    public override ImmutableArray<string> Slots => ["Outer line", "Inner line", "Square"];
    public override (double Wide, double High) First => (28, 28);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<StepCorner>("steps", "Steps", "", 1m, 6m, o => o.Steps, (o, n) => o with { Steps = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (r, steps) = (Math.Min(wide, high), (int)Steps);
        foreach (var (off, weight, slot) in ((double, double, int)[])[(0, 0.05, 0), (0.1, 0.025, 1)])
        {
            var u = r * 0.56 / steps;
            var path = new List<(double X, double Y)> { (r, r * (0.04 + off)) };
            for (var n = 0; n < steps; n++)
            {
                var x = (r * (0.62 + off)) - (n * u);
                path.Add((x, r * (0.04 + off) + (n * u)));
                path.Add((x, r * (0.04 + off) + ((n + 1) * u)));
            }
            path.Add((r * (0.04 + off), r * (0.62 + off)));
            path.Add((r * (0.04 + off), r));
            yield return new Line(Shapes.Of(pen => pen.Path([.. path])), r * weight * 1.6, slot);
        }
        yield return new Area(Shapes.Box(r * 0.06, r * 0.06, r * 0.22, r * 0.22), 2);
    }
}
