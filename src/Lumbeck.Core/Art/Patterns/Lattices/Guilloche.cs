namespace Lumbeck.Core.Art.Patterns;

/// <summary>Fine waves that cross one another in bands, as on a share or a banknote.</summary>
public sealed record Guilloche : Pattern
{
    /// <summary>How high a band is, in millimetres.</summary>
    public decimal Band { get; init; } = 30m;

    /// <summary>How many lines a band has.</summary>
    public decimal Lines { get; init; } = 10m;

    public override string Kind => "guilloche";

    public override ImmutableArray<string> Slots => ["First", "Second", "Third"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Guilloche>("band", "Band", " mm", 10m, 120m, p => p.Band, (p, n) => p with { Band = n }),
            Number<Guilloche>("lines", "Lines", "", 4m, 24m, p => p.Lines, (p, n) => p with { Lines = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var (band, many) = ((double)Band, (int)Lines);
        var across = Seeded.Steps(window.Left, window.Right, 1.5);
        for (var row = (int)Math.Floor(window.Top / band) - 1; row * band <= window.Bottom + band; row++)
        {
            var (slow, quick) = (70 + (50 * Seeded.At(row & 3, 1, Seed)), 22 + (14 * Seeded.At(row & 3, 2, Seed)));
            for (var n = 0; n < many; n++)
            {
                var phase = (double)n / many;
                var line = across.Select(x =>
                {
                    var swell = 0.62 + (0.38 * Seeded.Sine(x / slow));
                    return (x, Seeded.Round((row * band) + (band / 2) + (band * 0.46 * swell * Seeded.Sine((x / quick) + phase))));
                }).ToArray();
                yield return new Line(Shapes.Of(p => p.Path(line)), 0.45, n % 3);
            }
        }
    }
}
