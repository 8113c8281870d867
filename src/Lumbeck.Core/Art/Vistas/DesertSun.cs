namespace Lumbeck.Core.Art.Vistas;

/// <summary>Dunes with a bright and a shaded side under a large sun.</summary>
public sealed record DesertSun : Vista
{
    public override string Kind => "desert and sun";
    public override ImmutableArray<string> Slots => ["Sky", "Horizon", "Sun", "Sand", "Shadow"];
    public override ImmutableArray<Role> Roles() => [Role.Sky, Role.Low, Role.Light, Role.Far, Role.Far];
    public override ImmutableArray<string> Layers => ["sky", "sun", "far dunes", "near dunes", "ripples"];

    private const int Dunes = 5;

    public override IEnumerable<(int, Drawn)> Draw(Stage stage)
    {
        var (u, horizon) = (stage.Unit, stage.Down(0.6));
        var (sx, sy) = (stage.Across((double)Stand / 100), stage.Down(0.5));
        yield return (1, Land.Sky(stage, 0, 1, horizon));
        foreach (var d in Land.Halo((0, 1), horizon, sx, sy, u * 0.8, 2, 0.75)) yield return (2, d);
        yield return (2,
            new Graded(Shapes.Circle(sx, sy, u * 0.2), 2, new(2, 1, 0.35), sx, sy - (u * 0.2), sx, sy + (u * 0.22)));
        for (var n = 0; n < Dunes; n++)
        {
            var depth = n / (Dunes - 1.0);
            var y = horizon + ((stage.High - horizon) * 0.82 * depth * depth);
            // Crests: long slopes toward the wind, short ones away from it.
            double crest(double x)
            {
                var t = (x / (u * (0.7 + (0.8 * depth)))) + (Chance(1, n) * 7);
                var f = t - Math.Floor(t);
                var slope = f < 0.72 ? f / 0.72 : (1 - f) / 0.28;
                var ease = slope * slope * (3 - (2 * slope));
                return y - (u * (0.05 + (0.1 * depth)) * ease * (0.5 + (0.7 * Seeded.At((int)Math.Floor(t), n, Seed,
                    3))))
                    - (u * 0.01 * Land.Ridge(x, u * 0.5, 0.4, Seed, 50 + n));
            }
            var air = (1 - depth) * (0.3 + (0.55 * Air));
            yield return (n < 2 ? 3 : 4,
                new Graded(Land.Under(stage, crest, 1.6), new(3, 1, air), new(3, 4, 0.18 * depth), 0, y - (u * 0.1), 0,
                    y + (u * 0.35)));
            foreach (var shade in Lee(stage, crest, u * (0.7 + (0.8 * depth)), Chance(1, n) * 7,
                u * (0.1 + (0.34 * depth))))
                yield return (n < 2 ? 3 : 4, new Area(shade, 4) { Toward = (3, (0.3 * (1 - depth)) + (air * 0.6)) });
            if (n >= 3) yield return (5, new Area(Ripples(stage, crest, n), 4) { Toward = (3, 0.68) });
        }
    }

    /// <summary>The sides that turn away from the sun, beneath each crest.</summary>
    private static IEnumerable<Outline> Lee(Stage stage, Func<double, double> crest, double length, double phase,
        double deep)
    {
        for (var k = (int)Math.Floor(phase) - 1; (k - phase) * length < stage.Wide; k++)
        {
            var (peak, foot) = ((k + 0.72 - phase) * length, (k + 1.0 - phase) * length);
            if (foot < -length) continue;
            yield return Shapes.Of(pen =>
            {
                pen.Move(peak, crest(peak));
                for (var i = 1; i <= 10; i++)
                    pen.Line(peak + ((foot - peak) * i / 10), crest(peak + ((foot - peak) * i / 10)));
                pen.Cubic(foot - (length * 0.08), crest(foot) + (deep * 0.5), peak + (length * 0.02),
                    crest(peak) + (deep * 0.9), peak - (length * 0.16), crest(peak) + (deep * 1.5));
                pen.Cubic(peak - (length * 0.02), crest(peak) + (deep * 0.8), peak - (length * 0.05),
                    crest(peak) + (deep * 0.25), peak, crest(peak));
                pen.Close();
            });
        }
    }

    private Outline Ripples(Stage stage, Func<double, double> crest, int n) => Shapes.Of(pen =>
    {
        for (var i = 0; i < Many(stage.Wide * 0.7); i++)
        {
            var x = Chance(10, i, n) * stage.Wide;
            var y = crest(x) + (stage.Unit * (0.05 + (0.32 * Chance(11, i, n))));
            pen.Add(Land.Streak(Seeded.Round(x), Seeded.Round(y), stage.Unit * (0.015 + (0.035 * Chance(12, i, n))),
                0.14));
        }
    });
}
