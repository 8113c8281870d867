namespace Lumbeck.Core.Art.Patterns;

/// <summary>Stripes of a ticking cloth: broad ones, with finer ones at both sides, all of one repeat.</summary>
public sealed record Stripes : Pattern
{
    /// <summary>From one broad stripe to the next, in millimetres.</summary>
    public decimal Repeat { get; init; } = 16m;

    /// <summary>The broad stripe’s share of the repeat, in percent.</summary>
    public decimal Broad { get; init; } = 36m;

    public override string Kind => "stripes";

    public override ImmutableArray<string> Slots => ["Broad", "Side", "Hairline"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Stripes>("repeat", "Repeat", " mm", 4m, 60m, p => p.Repeat, (p, n) => p with { Repeat = n }),
            Number<Stripes>("broad", "Broad", " %", 10m, 70m, p => p.Broad, (p, n) => p with { Broad = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var repeat = (double)Repeat;
        var half = repeat * (double)Broad / 200;
        var left = repeat - (2 * half);
        for (var n = (int)Math.Floor(window.Left / repeat) - 1; n <= Math.Ceiling(window.Right / repeat); n++)
        {
            var x = n * repeat;
            yield return new Area(Shapes.Box(x - half, window.Top, x + half, window.Bottom));
            foreach (var side in (double[])[-1, 1])
            {
                var at = x + (side * (half + (left * 0.2)));
                yield return new Area(Shapes.Box(at - (left * 0.07), window.Top, at + (left * 0.07), window.Bottom), 1);
            }
            var middle = x + (repeat / 2);
            yield return new Line(Shapes.Of(p => p.Path((middle, window.Top), (middle, window.Bottom))), 0.5, 2);
        }
    }
}
