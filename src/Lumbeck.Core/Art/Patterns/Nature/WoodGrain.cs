namespace Lumbeck.Core.Art.Patterns;

/// <summary>Wood cut along its grain: lines that lean aside for knots.</summary>
public sealed record WoodGrain : Pattern
{
    /// <summary>From one line to the next, in millimetres.</summary>
    public decimal Grain { get; init; } = 2.4m;

    /// <summary>How often a knot comes, in percent.</summary>
    public decimal Knots { get; init; } = 40m;

    public override string Kind => "wood grain";

    public override ImmutableArray<string> Slots => ["Grain", "Ring", "Heartwood"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<WoodGrain>("grain", "Grain", " mm", 0.8m, 10m, p => p.Grain, (p, n) => p with { Grain = n }),
            Number<WoodGrain>("knots", "Knots", " %", 0m, 100m, p => p.Knots, (p, n) => p with { Knots = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var grain = (double)Grain;
        const double plank = 95;
        var down = Seeded.Steps(window.Top, window.Bottom, 4);
        var knots = Seeded.Cells(window, plank, 160, 2).Where(c => Seeded.At(c.X, c.Y, Seed, 1) * 100 < (double)Knots)
            .Select(c => (X: (c.X + 0.25 + (0.5 * Seeded.At(c.X, c.Y, Seed, 2))) * plank, Y: (c.Y + Seeded.At(c.X, c.Y, Seed, 3)) * 160,
                R: 5 + (7 * Seeded.At(c.X, c.Y, Seed, 4)))).ToList();
        double at(double x, double y)
        {
            var to = x + (5.5 * Seeded.Over(x / 40, y / 150, Seed, 5)) + (1.1 * Seeded.Over(x / 9, y / 36, Seed, 6));
            foreach (var knot in knots)
            {
                var (dx, dy) = (to - knot.X, (y - knot.Y) / 2.6);
                var near = (dx * dx) + (dy * dy);
                // What would run through a knot runs round it.
                to += (dx < 0 ? -1 : 1) * knot.R * Math.Max(0, 1 - (near / (knot.R * knot.R * 9))) * Math.Max(0,
                    1 - (Math.Abs(dx) / (knot.R * 3.2)));
            }
            return Seeded.Round(to);
        }
        for (var n = (int)Math.Floor((window.Left - 30) / grain); n * grain <= window.Right + 30; n++)
        {
            var x = n * grain;
            var line = down.Select(y => (at(x, y), y)).ToArray();
            yield return new Line(Shapes.Of(p => p.Path(line)), n % 7 == 0 ? 1.1 : 0.5, n % 7 == 0 ? 1 : 0);
        }
        foreach (var knot in knots)
        {
            Outline ring(double r) =>
                Shapes.Circle(0, 0, knot.R * r).Under(new(1, 0, 0, 1.8, Seeded.Round(knot.X), Seeded.Round(knot.Y)));
            yield return new Area(ring(0.2), 2);
            foreach (var r in (double[])[0.36, 0.52, 0.68, 0.86]) yield return new Line(ring(r), 0.5, r > 0.8 ? 1 : 0);
        }
    }
}
