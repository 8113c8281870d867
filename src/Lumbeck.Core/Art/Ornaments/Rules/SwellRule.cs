namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A rule that swells toward its middle, with a bead or a diamond there.</summary>
public sealed record SwellRule : Ornament
{
    /// <summary>How thick it is beside its middle, in percent of its height.</summary>
    public decimal Swell { get; init; } = 60m;

    public override string Kind => "swelling rule";
    public override OrnamentSort Sort => OrnamentSort.Rule;
    public override ImmutableArray<string> Slots => ["Rule", "Middle"];
    public override (double Wide, double High) First => (70, 5);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<SwellRule>("swell", "Swells to", " %", 20m, 100m, o => o.Swell, (o, n) => o with { Swell = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var (y, gap) = (high / 2, high * 0.9);
        foreach (var side in (int[])[-1, 1])
        {
            (double X, double Y) at(double share) => ((wide / 2) + (side * (gap + (share * ((wide / 2) - gap)))), y);
            yield return new Area(Strokes.Swelling([.. Enumerable.Range(0, 13).Select(n => at(n / 12.0))],
                t => high * (double)Swell / 100 * (1 - t) * (0.35 + (0.65 * t * (1 - t) * 4)) / 2));
        }
        yield return new Area(Shapes.Of(pen =>
            pen.Polygon(Strokes.Star(wide / 2, y, high * 0.42, high * 0.42 * 0.71, 2))),
            1);
    }
}
