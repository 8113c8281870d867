namespace Lumbeck.Core.Art.Vistas;

/// <summary>Boats at anchor in a harbour at the day's end, with their masts mirrored in still water.</summary>
public sealed record Harbour : Vista
{
    public override string Kind => "harbour";
    public override ImmutableArray<string> Slots => ["Sky", "Horizon", "Sun", "Hills", "Water", "Boats", "Sails"];
    public override ImmutableArray<Role> Roles() => [Role.Sky, Role.Low, Role.Light, Role.Far, Role.Far, Role.Near, Role.Light];
    public override ImmutableArray<string> Layers => ["sky", "sun", "hills", "water", "boats", "mirrored"];

    public override IEnumerable<(int, Drawn)> Draw(Stage stage)
    {
        var (u, sea) = (stage.Unit, stage.Down(0.62));
        var sx = stage.Across((double)Stand / 100 > 0.5 ? 0.28 : 0.72);
        yield return (1, Land.Sky(stage, 0, 1, sea));
        foreach (var d in Land.Halo((0, 1), sea, sx, sea - (u * 0.1), u * 0.65, 2, 0.8)) yield return (2, d);
        yield return (2, new Area(Shapes.Circle(sx, sea - (u * 0.1), u * 0.07), 2));
        for (var n = 0; n < Many(5); n++)
            yield return (1,
                new Area(Land.Cloud(Chance(1, n) * stage.Wide, sea - (u * (0.2 + (0.35 * Chance(2, n)))),
                    u * (0.4 + (0.6 * Chance(3, n))), Seed, 80 + n),
                    1)
                { Toward = (0, 0.2 + (0.25 * Chance(4, n))) });
        for (var n = 0; n < 2; n++)
        {
            double hill(double x) =>
                sea - (u * (0.035 + (0.045 * (1 - n)) + (0.045 * Land.Ridge(x, u * 0.7, 0.45, Seed, 3 + n))));
            yield return (3,
                new Area(Land.Under(stage, hill), 3) { Toward = (1, (n == 0 ? 0.35 : 0.1) + (0.4 * Air)) });
        }
        yield return (4, new Graded(stage.Strip(sea, stage.High + 2), new(4, 1, 0.65), 4, 0, sea, 0, stage.High));
        for (var n = 0; n < 30; n++)
        {
            var t = n / 30.0;
            yield return (4, new Area(Land.Streak(Seeded.Round(sx + (u * 0.12 * (Chance(5, n) - 0.5) * (0.4 + t))),
                Seeded.Round(sea + ((stage.High - sea) * 0.7 * t * t) + 0.6),
                u * (0.015 + (0.07 * t)) * (0.5 + Chance(6, n)), 0.15 + (0.5 * t)), 2)
            {
                Toward = (4,
                    0.15 + (0.5 * t))
            });
        }
        foreach (var d in Boats(stage, sea)) yield return d;
        var swell = new Pen();
        for (var n = 0; n < Many(stage.Wide * 0.5); n++)
        {
            var t = Chance(7, n);
            swell.Add(Land.Streak(Seeded.Round(Chance(8, n) * stage.Wide), Seeded.Round(sea + ((stage.High - sea) * t)),
                u * (0.02 + (0.1 * t)), 0.1 + (0.4 * t)));
        }
        yield return (4, new Area(swell.Done(), 4) { Toward = (1, 0.3) });
    }

    /// <summary>The main boat on the front, others beyond it; far ones first.</summary>
    private IEnumerable<(int, Drawn)> Boats(Stage stage, double sea)
    {
        var u = stage.Unit;
        var main = (X: stage.Across((double)Stand / 100), Y: sea + (u * 0.2), Size: u * 0.34, N: 0);
        var others = Enumerable.Range(1, Many(6))
            .Select(n =>
                (X: Chance(10, n) * stage.Wide, Y: sea + (u * 0.12 * Chance(11, n)),
                    Size: u * (0.07 + (0.1 * Chance(11, n))), N: n))
            .Where(b => Math.Abs(b.X - main.X) > u * 0.22 && stage.Near(b.X) > 0.1);
        foreach (var boat in others.OrderBy(b => b.Y).Append(main))
        {
            var far = boat.N == 0 ? 0 : 0.3 + (0.5 * Air * (1 - ((boat.Y - sea) / (u * 0.12))));
            var mirror = new Affine(1, 0, 0, -0.8, 0, boat.Y * 1.8);
            foreach (var (shape, slot) in Boat(boat.X, boat.Y, boat.Size, boat.N))
                yield return (6,
                    new Graded(shape.Under(mirror), new(4, slot, 0.62), new(4, slot, 0.08), 0, boat.Y, 0,
                        boat.Y + (boat.Size * 1.1)));
            foreach (var (shape, slot) in Boat(boat.X, boat.Y, boat.Size, boat.N))
                yield return (5, new Area(shape, slot) { Toward = (1, far) });
            yield return (6,
                new Area(Land.Streak(boat.X, boat.Y + 0.3, boat.Size * 0.52, boat.Size * 0.018),
                    1)
                { Toward = (4, 0.4) });
        }
    }

    /// <summary>A hull, a mast, and a sail that is furled or set.</summary>
    private IEnumerable<(Outline, int)> Boat(double x, double y, double size, int n)
    {
        var place = new Affine(size * (Chance(12, n) < 0.5 ? -1 : 1), 0, 0, size, x, y);
        yield return (Shapes.Of(pen =>
        {
            pen.Move(-0.46, -0.13);
            pen.Cubic(-0.2, -0.09, 0.2, -0.09, 0.52, -0.17);
            pen.Cubic(0.46, -0.05, 0.38, 0, 0.3, 0.01);
            pen.Line(-0.36, 0.01);
            pen.Close();
        }).Under(place), 5);
        yield return (Shapes.Of(pen =>
            pen.Polygon([(-0.3, -0.1), (-0.26, -0.21), (-0.02, -0.2), (0.02, -0.1)])).Under(place),
            5);
        yield return (Shapes.Of(pen =>
            pen.Polygon([(0.04, -0.1), (0.052, -1.12), (0.062, -1.12), (0.08, -0.1)])).Under(place),
            5);
        if (Chance(13, n) < 0.55 || n == 0)
        {
            yield return (Shapes.Of(pen =>
                {
                    pen.Move(0.085, -1.05); pen.Quad(0.17, -0.5, 0.47, -0.2); pen.Line(0.085, -0.22); pen.Close();
                }).Under(place),
                6);
            yield return (Shapes.Of(pen =>
                {
                    pen.Move(0.03, -1.0); pen.Quad(-0.17, -0.6, -0.36, -0.24); pen.Line(0.03, -0.22); pen.Close();
                }).Under(place),
                6);
        }
        else yield return (Strokes.Swelling([(0.05, -0.26), (-0.2, -0.28), (-0.42, -0.25)], _ => 0.018).Under(place),
            6);
        yield return (Strokes.Swelling([(0.056, -1.1), (0.3, -0.6), (0.51, -0.17)], _ => 0.0035).Under(place), 5);
    }
}
