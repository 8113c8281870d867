namespace Lumbeck.Core.Art.Vistas;

/// <summary>A moon over the sea, with clouds before it and its light on the water.</summary>
public sealed record SeaAndMoon : Vista
{
    public override string Kind => "sea and moon";
    public override ImmutableArray<string> Slots => ["Sky", "Horizon", "Moon", "Clouds", "Sea"];
    public override ImmutableArray<Role> Roles() => [Role.Sky, Role.Low, Role.Light, Role.Low, Role.Far];
    public override ImmutableArray<string> Layers => ["sky", "moon", "clouds", "sea", "light on the water"];

    public override IEnumerable<(int, Drawn)> Draw(Stage stage)
    {
        var (u, horizon) = (stage.Unit, stage.Down(0.66));
        var (mx, my) = (stage.Across((double)Stand / 100), stage.Down(0.4));
        yield return (1, Land.Sky(stage, 0, 1, horizon));
        foreach (var d in Land.Halo((0, 1), horizon, mx, my, u * 0.5, 2, 0.38)) yield return (1, d);
        for (var n = 0; n < Many(110); n++)
        {
            var (x, y) = (Chance(1, n) * stage.Wide, Chance(2, n) * horizon * 0.8);
            if (Math.Abs(x - mx) < u * 0.25 && Math.Abs(y - my) < u * 0.25) continue;
            yield return (1,
                new Area(Shapes.Circle(Seeded.Round(x), Seeded.Round(y), 0.12 + (0.22 * Chance(3, n) * Chance(3, n))),
                    2)
                { Toward = (0, 0.35) });
        }
        yield return (2, new Area(Shapes.Circle(mx, my, u * 0.13), 2));
        // Seas of the moon, fainter than a shadow.
        foreach (var (dx, dy, r) in ((double, double, double)[])[(-0.03, -0.04, 0.04), (0.035, 0.01, 0.028),
            (-0.01, 0.05, 0.03), (0.05, -0.05, 0.02)])
            yield return (2, new Area(Shapes.Circle(mx + (u * dx), my + (u * dy), u * r), 2) { Toward = (1, 0.16) });
        for (var n = 0; n < Many(9); n++)
        {
            var y = horizon - (u * (0.06 + (0.28 * Chance(5, n) * Chance(5, n))));
            var wide = u * (0.3 + (0.6 * Chance(6, n)));
            yield return (3,
                new Area(Land.Cloud(Chance(7, n) * stage.Wide, y, wide, Seed, 100 + n),
                    3)
                { Toward = (1, 0.25 + (0.5 * Air * (1 - ((horizon - y) / u)))) });
        }
        yield return (4,
            new Graded(stage.Strip(horizon, stage.High + 2), new(4, 1, 0.35 + (0.4 * Air)), 4, 0, horizon, 0,
                horizon + ((stage.High - horizon) * 0.6)));
        foreach (var d in Swell(stage, horizon, mx)) yield return d;
    }

    private IEnumerable<(int, Drawn)> Swell(Stage stage, double horizon, double mx)
    {
        var (u, deep, many) = (stage.Unit, stage.High - horizon, Many(46));
        var (dark, bright, glints) = (new Pen(), new Pen(), new Pen());
        for (var row = 0; row < many; row++)
        {
            var t = (row + 0.5) / many;
            var y = horizon + (deep * t * t);
            var half = u * (0.02 + (0.16 * t));
            var count = (int)(stage.Wide / (half * 3.4)) + 1;
            for (var n = 0; n < count; n++)
            {
                var x = (n + Chance(11, n, row)) / count * stage.Wide;
                dark.Add(Land.Streak(Seeded.Round(x), Seeded.Round(y), half * (0.4 + Chance(12, n, row)),
                    0.1 + (u * 0.006 * t)));
            }
            // The path of light widens toward the eye, and is broken by the swell.
            for (var n = 0; n < 4; n++)
            {
                var away = (Chance(14, n, row) + Chance(15, n, row) - 1) * u * (0.05 + (0.2 * t));
                var glint = Land.Streak(Seeded.Round(mx + away), Seeded.Round(y + (deep * 0.012 * Chance(16, n, row))),
                    u * (0.012 + (0.055 * t)) * (0.4 + Chance(17, n, row)), 0.12 + (u * 0.005 * t));
                (Math.Abs(away) < u * 0.07 ? bright : glints).Add(glint);
            }
        }
        yield return (4, new Area(dark.Done(), 4) { Toward = (0, 0.45) });
        yield return (5, new Area(glints.Done(), 4) { Toward = (2, 0.5) });
        yield return (5, new Area(bright.Done(), 2) { Toward = (4, 0.08) });
    }
}
