namespace Lumbeck.Core.Art.Vistas;

/// <summary>A planet with bands and rings, its moons on their orbits, and stars.</summary>
public sealed record Orbit : Vista
{
    public override string Kind => "orbit";
    public override ImmutableArray<string> Slots => ["Space", "Glow", "Stars", "Planet", "Bands", "Rings"];
    public override ImmutableArray<Role> Roles() => [Role.Sky, Role.Low, Role.Light, Role.Far, Role.Near, Role.Low];
    public override ImmutableArray<string> Layers => ["space", "stars", "orbits", "planet", "rings", "moons"];

    public override IEnumerable<(int, Drawn)> Draw(Stage stage)
    {
        var u = stage.Unit;
        var (px, py, r) = (stage.Across((double)Stand / 100), stage.Down(0.62), u * 0.26);
        yield return (1, Land.Sky(stage, 0, new(0, 1, 0.55), stage.High));
        foreach (var d in Land.Halo((0, 1), stage.High * 1.8, px, py, u * 1.1, 1, 0.85)) yield return (1, d);
        var (small, large) = (new Pen(), new Pen());
        for (var n = 0; n < Many(stage.Wide * stage.High / 120); n++)
        {
            var (x, y, size) = (Chance(1, n) * stage.Wide, Chance(2, n) * stage.High, Chance(3, n));
            (size > 0.985 ? large : small).Add(size > 0.985
                ? Shapes.Of(pen => pen.Polygon(Strokes.Star(x, y, u * 0.012, u * 0.002, 4)))
                : Shapes.Circle(Seeded.Round(x), Seeded.Round(y), 0.1 + (0.22 * size * size)));
        }
        yield return (2, new Area(small.Done(), 2) { Toward = (0, 0.35) });
        yield return (2, new Area(large.Done(), 2));
        var tilt = Seeded.Place(px, py, -0.045 + (0.02 * (Chance(4) - 0.5)));
        Affine ellipse(double far) => new Affine(r * far, 0, 0, r * far * 0.26, 0, 0).Then(tilt);
        for (var n = 0; n < 4; n++)
            yield return (3,
                new Line(Shapes.Circle(0, 0, 1).Under(ellipse(2.7 + (0.62 * n))), 0.5, 2) { Toward = (0, 0.55) });
        foreach (var d in Rings(ellipse, front: false)) yield return (5, d);
        foreach (var d in Planet(px, py, r, tilt)) yield return (4, d);
        foreach (var d in Rings(ellipse, front: true)) yield return (5, d);
        for (var n = 0; n < 4; n++)
        {
            var (mx, my) = ellipse(2.7 + (0.62 * n)).At(Seeded.Cosine(Chance(6, n)), Seeded.Sine(Chance(6, n)));
            if (mx < stage.Front.Left + (u * 0.06) || mx > stage.Front.Right - (u * 0.06)) continue;
            var s = u * (0.012 + (0.022 * Chance(7, n)));
            yield return (6,
                new Graded(Shapes.Circle(mx, my, s), 2, new(3, 0, 0.75), mx - (s * 0.5), my - (s * 0.5), mx + s,
                    my + s));
        }
    }

    /// <summary>A globe lit from its upper left, with bands that bend round it.</summary>
    private IEnumerable<Drawn> Planet(double x, double y, double r, Affine tilt)
    {
        yield return new Graded(Shapes.Circle(x, y, r), 3, new(3, 0, 0.82), x - (r * 0.75), y - (r * 0.6),
            x + (r * 0.85), y + (r * 0.75));
        for (var n = 0; n < 8; n++)
        {
            var (v, half) = (-0.82 + (1.64 * (n + 0.2 + (0.5 * Chance(8, n))) / 8), 0.028 + (0.06 * Chance(9, n)));
            var points = Enumerable.Range(0, 25).Select(i => -1 + (2 * i / 24.0)).ToList();
            (double X, double Y) at(double s, double latitude)
            {
                var w = Math.Sqrt(Math.Max(0, 1 - (latitude * latitude)));
                return (s * w * r,
                    (latitude + (0.1 * (1 - (s * s)) * w) + (0.008 * Seeded.Along(s * 5, Seed, 500 + n))) * r);
            }
            var band = Shapes.Of(pen =>
            {
                var upper = points.Select(s => at(s, v - half)).ToList();
                pen.Move(upper[0].X, upper[0].Y);
                foreach (var p in upper.Skip(1)) pen.Line(p.X, p.Y);
                foreach (var s in points.AsEnumerable().Reverse()) { var p = at(s, v + half); pen.Line(p.X, p.Y); }
                pen.Close();
            }).Under(tilt);
            yield return new Graded(band, new(4, 3, 0.25), new(4, 0, 0.84), x - (r * 0.75), y - (r * 0.6),
                x + (r * 0.85), y + (r * 0.75));
        }
    }

    /// <summary>Rings: the half behind the planet, or that before it.</summary>
    private static IEnumerable<Drawn> Rings(Func<double, Affine> ellipse, bool front)
    {
        foreach (var (inner, outer, share) in ((double, double, double)[])[(1.34, 1.52, 0.5), (1.56, 1.86, 0.15),
            (1.92, 2.06, 0.62)])
            yield return new Area(Shapes.Of(pen =>
            {
                var way = front ? 1 : -1;
                var steps = Enumerable.Range(0, 41).Select(i => i / 80.0).ToList();
                var first = true;
                foreach (var t in steps) Go(ellipse(outer).At(Seeded.Cosine(way * t), Seeded.Sine(way * t)));
                foreach (var t in steps.AsEnumerable().Reverse())
                    Go(ellipse(inner).At(Seeded.Cosine(way * t), Seeded.Sine(way * t)));
                pen.Close();
                void Go((double X, double Y) p)
                {
                    if (first) pen.Move(p.X, p.Y); else pen.Line(p.X, p.Y);
                    first = false;
                }
            }), 5)
            { Toward = (0, share) };
    }
}
