namespace Lumbeck.Core.Art.Vistas;

/// <summary>
/// Hills, one behind the other, each in paler air than the one before it, under a low sun; conifers on the nearer ones.
/// </summary>
public sealed record Hills : Vista
{
    public override string Kind => "hills";
    public override ImmutableArray<string> Slots => ["Sky", "Horizon", "Light", "Far hills", "Near hills"];
    public override ImmutableArray<Role> Roles() => [Role.Sky, Role.Low, Role.Light, Role.Far, Role.Near];
    public override ImmutableArray<string> Layers => ["sky", "sun", "far hills", "middle hills", "near hills", "trees"];

    private const int Ridges = 7;

    public override IEnumerable<(int, Drawn)> Draw(Stage stage)
    {
        var (u, horizon) = (stage.Unit, stage.Down(0.56));
        yield return (1, Land.Sky(stage, 0, 1, horizon));
        var (sx, sy) = (stage.Across((double)Stand / 100), stage.Down(0.47));
        foreach (var d in Land.Halo((0, 1), horizon, sx, sy, u * 0.75, 2, 0.8)) yield return (2, d);
        yield return (2, new Area(Shapes.Circle(sx, sy, u * 0.095), 2));
        for (var n = 0; n < Ridges; n++)
        {
            var depth = n / (Ridges - 1.0);
            var layer = n < 3 ? 3 : n < 5 ? 4 : 5;
            // The farther, the more of the horizon's own light lies over it.
            var far = (1 - depth) * (0.35 + (0.6 * Air));
            double line(double x) => stage.Down(0.5 + (0.42 * depth * (0.6 + (0.4 * depth))))
                - (u * (0.085 + (0.05 * depth)) * Land.Ridge(x, u * (0.5 + (0.55 * depth)), 0.46, Seed, 10 + n));
            var tone = depth < 0.5
                ? new Tone(3, 1, far)
                : new Tone(4, 3, (1 - depth) * 1.3);
            var top = stage.Down(0.42 + (0.42 * depth * (0.6 + (0.4 * depth))));
            // Mist lies in the valley at each hill's foot.
            yield return (layer, new Graded(Land.Under(stage, line), tone,
                tone with
                {
                    Toward = depth < 0.5 ? 1 : 3,
                    Share = Math.Min(1, tone.Share + (0.22 * Air * (1.4 - depth)) + 0.06),
                },
                0, top, 0, top + (u * 0.45)));
            if (n < 4) continue;
            foreach (var tree in Trees(stage, n, line)) yield return (6, tree);
        }
    }

    /// <summary>Conifers in groves along a ridge; those on the back are few.</summary>
    private IEnumerable<Drawn> Trees(Stage stage, int ridge, Func<double, double> line)
    {
        var size = stage.Unit * (0.022 + (0.026 * (ridge - 4)));
        var step = size * 0.42 * 100 / (double)Density;
        var pen = new Pen();
        for (var n = 0; n * step < stage.Wide; n++)
        {
            var x = (n + Chance(2, n, ridge)) * step;
            var grove = Land.Ridge(x, stage.Unit * 0.5, 0.5, Seed, 40 + ridge);
            if (Chance(3, n, ridge) > 0.35 + (0.9 * grove) + (0.12 * stage.Near(x))) continue;
            pen.Add(Land.Conifer(size * (0.55 + (0.75 * Chance(4, n, ridge))), Seed, (n * 7) + ridge)
                .Under(Affine.Move(Seeded.Round(x), Seeded.Round(line(x)) + 0.5)));
        }
        yield return new Area(pen.Done(), 4) { Toward = (3, (6 - ridge) * 0.28) };
    }
}
