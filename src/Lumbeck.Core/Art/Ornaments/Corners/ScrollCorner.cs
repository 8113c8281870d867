namespace Lumbeck.Core.Art.Ornaments;

/// <summary>
/// Scrolls that grow along both sides from a corner; drawn for the upper left, mirrored for the others.
/// </summary>
public sealed record ScrollCorner : Ornament
{
    /// <summary>How often a scroll turns.</summary>
    public decimal Turns { get; init; } = 1.1m;

    public override string Kind => "scroll corner";
    public override OrnamentSort Sort => OrnamentSort.Corner;
    public override ImmutableArray<string> Slots => ["Scrolls", "Leaves", "Beads"];
    public override (double Wide, double High) First => (30, 30);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<ScrollCorner>("turns", "Turns", "", 0.4m, 1.8m, o => o.Turns, (o, n) => o with { Turns = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var r = Math.Min(wide, high);
        foreach (var way in (Affine[])[Affine.Identity, new(0, 1, 1, 0, 0, 0)])
        {
            var line = Strokes.Spiral(r * 0.72, r * 0.25, r * 0.03, r * 0.17, -(double)Turns, 0.4, 26);
            line.AddRange([(r * 0.36, r * 0.12), (r * 0.16, r * 0.1), (r * 0.06, r * 0.06)]);
            yield return new Area(Strokes.Swelling(line, t => r * 0.028 * (0.5 + (1.9 * t * (1 - t)))).Under(way));
            foreach (var (x, y, turns, size) in ((double, double, double, double)[])[(0.4, 0.12, 0.07, 0.2),
                (0.24, 0.1, 0.13, 0.15), (0.86, 0.12, -0.06, 0.15)])
                yield return new Area(Shapes.Leaf(r * size, r * size * 0.42).Under(Seeded.Place(r * x, r * y, turns)).Under(way), 1);
        }
        yield return new Area(Shapes.Circle(r * 0.06, r * 0.06, r * 0.05), 2);
        yield return new Area(Shapes.Circle(r * 0.19, r * 0.19, r * 0.03), 2);
    }
}
