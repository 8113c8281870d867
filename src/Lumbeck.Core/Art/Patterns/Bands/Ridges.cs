namespace Lumbeck.Core.Art.Patterns;

/// <summary>Ridges one behind another: each line hides what lies behind it.</summary>
public sealed record Ridges : Pattern
{
    /// <summary>From one ridge to the next, in millimetres.</summary>
    public decimal Pitch { get; init; } = 5m;

    /// <summary>How high the highest peaks stand, in millimetres.</summary>
    public decimal Height { get; init; } = 18m;

    public override string Kind => "ridges";

    public override ImmutableArray<string> Slots => ["Hill", "Ridge line", "Far line"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Ridges>("pitch", "Pitch", " mm", 2m, 20m, p => p.Pitch, (p, n) => p with { Pitch = n }),
            Number<Ridges>("height", "Height", " mm", 2m, 60m, p => p.Height, (p, n) => p with { Height = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var (pitch, high) = ((double)Pitch, (double)Height);
        var across = Seeded.Steps(window.Left, window.Right, 2.5);
        for (var row = (int)Math.Floor(window.Top / pitch) - 1; row * pitch <= window.Bottom + high; row++)
        {
            double top(double x)
            {
                var swell = 0.5 + (0.5 * Seeded.Over(x / 60, row * pitch / 50, Seed));
                var peak = Math.Max(0, Seeded.Along(x / 11, Seed, 7 + row)) + (0.35 * Math.Max(0,
                    Seeded.Along(x / 4.3, Seed, 900 + row)));
                return Seeded.Round((row * pitch) - (high * (0.12 + (0.88 * swell)) * peak));
            }
            var line = across.Select(x => (x, top(x))).ToArray();
            // Down to where the next ridge begins, so that nothing shows between two.
            var foot = (row * pitch) + (pitch * 1.05);
            yield return new Area(Shapes.Of(pen => pen.Polygon([.. line, (across[^1], foot), (across[0], foot)])));
            yield return new Line(Shapes.Of(pen => pen.Path(line)), row % 4 == 0 ? 1 : 0.6, row % 4 == 0 ? 1 : 2);
        }
    }
}
