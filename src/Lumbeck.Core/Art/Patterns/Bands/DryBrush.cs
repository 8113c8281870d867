namespace Lumbeck.Core.Art.Patterns;

/// <summary>Bands laid with a dry brush: bristles that run out, one beside another.</summary>
public sealed record DryBrush : Pattern
{
    /// <summary>How high a band is, in millimetres.</summary>
    public decimal Band { get; init; } = 26m;

    /// <summary>How much of a band is missing, in percent.</summary>
    public decimal Dry { get; init; } = 45m;

    public override string Kind => "dry brush";

    public override ImmutableArray<string> Slots => ["Stroke", "Bristle", "Trace"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<DryBrush>("band", "Band", " mm", 6m, 80m, p => p.Band, (p, n) => p with { Band = n }),
            Number<DryBrush>("dry", "Dryness", " %", 0m, 90m, p => p.Dry, (p, n) => p with { Dry = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var (band, dry) = ((double)Band, (double)Dry / 100);
        const double bristle = 0.9, run = 60;
        for (var row = (int)Math.Floor(window.Top / band) - 1; row * band <= window.Bottom; row++)
        {
            var many = (int)(band * 0.78 / bristle);
            for (var n = 0; n < many; n++)
            {
                var y = (row * band) + (n * bristle);
                var edge = Math.Abs((n + 0.5) / many - 0.5) * 2;
                foreach (var x in Enumerable.Range((int)Math.Floor(window.Left / run) - 1,
                    (int)Math.Ceiling((window.Right - window.Left) / run) + 3))
                {
                    var key = (row * 512) + n;
                    if (Seeded.At(x, key, Seed) < dry * (0.5 + edge)) continue;
                    var from = Seeded.Round((x * run) + (run * 0.5 * dry * Seeded.At(x, key, Seed, 1)));
                    var to = Seeded.Round(((x + 1) * run) + (run * (0.3 - (0.8 * dry * Seeded.At(x, key, Seed, 2)))));
                    if (to - from < 4) continue;
                    var slot = Seeded.At(x, key, Seed, 3) is var s && s < 0.72 ? 0 : s < 0.93 ? 1 : 2;
                    var wide = bristle * (0.55 + (0.5 * Seeded.At(x, key, Seed, 4)));
                    yield return new Line(Shapes.Of(p =>
                        p.Path((from, Seeded.Round(y)),
                            ((from + to) / 2, Seeded.Round(y + (0.35 * Seeded.Along(x, Seed, key)))),
                            (to, Seeded.Round(y)))),
                        wide * 72 / 25.4, slot);
                }
            }
        }
    }
}
