namespace Lumbeck.Core.Art.Ornaments;

/// <summary>Two scrolls that roll toward one another.</summary>
public sealed record ScrollRule : Ornament
{
    /// <summary>How often a scroll turns.</summary>
    public decimal Turns { get; init; } = 1.6m;

    public override string Kind => "scroll rule";
    public override OrnamentSort Sort => OrnamentSort.Rule;
    public override ImmutableArray<string> Slots => ["Scrolls", "Beads"];
    public override (double Wide, double High) First => (80, 12);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<ScrollRule>("turns", "Turns", "", 0.8m, 2.6m, o => o.Turns, (o, n) => o with { Turns = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (y, r) = (high / 2, high * 0.46);
        foreach (var side in (int[])[-1, 1])
        {
            var middle = wide / 2 + (side * r * 1.2);
            var rolled = Strokes.Spiral(0, 0, r * 0.16, r, 1 - (double)Turns, 0.75, 30);
            var line = rolled.Concat([(r * 1.2, -r * 0.92), ((wide / 2) - (r * 2.4), -r * 0.1),
                ((wide / 2) - (r * 1.2), 0)])
                .Select(p => (middle + (side * p.Item1), y + p.Item2)).ToList();
            yield return new Area(Strokes.Swelling(line, t => high * 0.075 * (0.4 + (2.4 * t * (1 - t)))));
        }
        yield return new Area(Shapes.Circle(wide / 2, y + (r * 0.55), high * 0.1), 1);
        yield return new Area(Shapes.Circle(wide / 2, y - (r * 0.55), high * 0.1), 1);
    }
}
