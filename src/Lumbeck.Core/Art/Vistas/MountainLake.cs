namespace Lumbeck.Core.Art.Vistas;

/// <summary>Mountains with lit and shaded faces, and the lake that mirrors them.</summary>
public sealed record MountainLake : Vista
{
    public override string Kind => "mountain lake";
    public override ImmutableArray<string> Slots => ["Sky", "Horizon", "Lit faces", "Shaded faces", "Water", "Shore"];
    public override ImmutableArray<Role> Roles() => [Role.Sky, Role.Low, Role.Light, Role.Far, Role.Far, Role.Near];
    public override ImmutableArray<string> Layers => ["sky", "far range", "mountains", "shore", "lake", "ripples"];

    public override IEnumerable<(int, Drawn)> Draw(Stage stage)
    {
        var (u, shore) = (stage.Unit, stage.Down(0.68));
        yield return (1, Land.Sky(stage, 0, 1, shore));
        double far(double x) => shore - (u * (0.12 + (0.08 * Land.Ridge(x, u * 0.5, 0.55, Seed, 1))));
        yield return (2, new Area(Land.Under(stage, far), 3) { Toward = (1, 0.45 + (0.45 * Air)) });
        var peaks = Peaks(stage, shore);
        foreach (var (lit, shape) in Faces(peaks, shore))
            yield return (3,
                new Graded(shape, new(lit ? 2 : 3, 1, lit ? 0 : 0.1 * Air), new(lit ? 2 : 3, 1, 0.3 + (0.5 * Air)), 0,
                    shore - (u * 0.45), 0, shore));
        double bank(double x) => shore - (u * (0.012 + (0.02 * Math.Max(0, Land.Ridge(x, u * 0.3, 0.65, Seed, 4)))));
        yield return (4, new Area(Land.Under(stage, bank, 0.7), 5) { Toward = (1, 0.15 * Air) });
        yield return (5, new Graded(stage.Strip(shore, stage.High + 2), new(4, 1, 0.4), 4, 0, shore, 0, stage.High));
        // What stands above lies below, darker and somewhat shorter.
        var mirror = new Affine(1, 0, 0, -0.86, 0, shore * 1.86);
        foreach (var (lit, shape) in Faces(peaks, shore))
            yield return (5,
                new Graded(shape.Under(mirror), new(4, lit ? 2 : 3, 0.5), new(4, lit ? 2 : 3, 0.12), 0, shore, 0,
                    shore + (u * 0.4)));
        yield return (5,
            new Area(Land.Streak(stage.Wide / 2, shore, stage.Wide * 0.7, u * 0.008), 5) { Toward = (4, 0.3) });
        yield return (6, new Area(Ripples(stage, shore, 30), 4) { Toward = (3, 0.22) });
        yield return (6, new Area(Ripples(stage, shore, 31), 4) { Toward = (1, 0.5) });
    }

    /// <summary>Where peaks and the gaps between them are; the highest stands on the front.</summary>
    private List<(double X, double Y)> Peaks(Stage stage, double shore)
    {
        var u = stage.Unit;
        var main = stage.Across((double)Stand / 100);
        var points = new List<(double X, double Y)>();
        var step = u * 0.36;
        var first = (int)Math.Floor((-main - u) / step);
        for (var n = first; main + (n * step) < stage.Wide + u; n++)
        {
            var x = main + (n * step) + (n == 0 ? 0 : step * 0.4 * (Chance(1, n - first) - 0.5));
            var tall = n == 0 ? 0.44 : (0.14 + (0.2 * Chance(2, n - first))) * (0.6 + (0.5 * stage.Near(x)));
            points.Add((x, shore - (u * tall)));
            points.Add((x + (step * (0.4 + (0.2 * Chance(3, n - first)))),
                shore - (u * tall * (0.25 + (0.25 * Chance(4, n - first))))));
        }
        return points;
    }

    /// <summary>
    /// Each peak as a lit face to its left and a shaded one to its right, with a broken edge between.
    /// </summary>
    private IEnumerable<(bool Lit, Outline Shape)> Faces(List<(double X, double Y)> p, double shore)
    {
        for (var i = 2; i + 1 < p.Count; i += 2)
        {
            var (before, peak, after) = (p[i - 1], p[i], p[i + 1]);
            var ridge = Broken((peak.X, peak.Y), (peak.X + ((after.X - peak.X) * 0.55), shore + 1), 9, i);
            yield return (true, Shapes.Of(pen =>
            {
                pen.Polygon([.. Broken((before.X - ((peak.X - before.X) * 0.9), shore + 1), (peak.X, peak.Y), 11,
                    i + 50),
                    .. ridge]);
            }));
            yield return (false, Shapes.Of(pen =>
            {
                pen.Polygon([.. ridge.AsEnumerable().Reverse(),
                    .. Broken((peak.X, peak.Y), (after.X + ((after.X - peak.X) * 1.3), shore + 1), 11, i + 90)]);
            }));
        }
    }

    /// <summary>A line that is broken again and again on its way.</summary>
    private List<(double X, double Y)> Broken((double X, double Y) from, (double X, double Y) to, int parts, int n)
    {
        var (dx, dy) = (to.X - from.X, to.Y - from.Y);
        return
        [
            .. Enumerable.Range(0, parts + 1).Select(k =>
            {
                var t = k / (double)parts;
                var off = k == 0 || k == parts ? 0 : 0.085 * (Chance(6, k, n) - 0.5);
                return (Seeded.Round(from.X + (dx * t) - (dy * off)),
                    Seeded.Round(from.Y + (dy * t) + (dx * off * 0.5)));
            }),
        ];
    }

    private Outline Ripples(Stage stage, double shore, int what) => Shapes.Of(pen =>
    {
        for (var n = 0; n < Many(stage.Wide * 0.55); n++)
        {
            var t = Chance(what, n);
            pen.Add(Land.Streak(Seeded.Round(Chance(what + 5, n) * stage.Wide), Seeded.Round(shore + ((stage.High - shore) * t)),
                stage.Unit * (0.02 + (0.12 * t)) * (0.4 + Chance(what + 9, n)), 0.09 + (0.35 * t)));
        }
    });
}
