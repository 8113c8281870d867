namespace Lumbeck.Core.Art.Vistas;

/// <summary>A meadow: grasses and flowers before a line of trees, under a high sky with clouds.</summary>
public sealed record Meadow : Vista
{
    public override string Kind => "meadow";
    public override ImmutableArray<string> Slots => ["Sky", "Clouds", "Trees", "Grass", "Deep grass", "Flowers"];
    public override ImmutableArray<Role> Roles() => [Role.Sky, Role.Low, Role.Far, Role.Far, Role.Near, Role.Light];
    public override ImmutableArray<string> Layers => ["sky", "clouds", "trees", "meadow", "grasses", "flowers"];

    public override IEnumerable<(int, Drawn)> Draw(Stage stage)
    {
        var (u, horizon) = (stage.Unit, stage.Down(0.64));
        yield return (1, Land.Sky(stage, 0, 1, horizon * 1.05));
        for (var n = 0; n < Many(6); n++)
        {
            var y = stage.Down(0.3 + (0.26 * Chance(1, n)));
            yield return (2,
                new Area(Land.Cloud(Chance(2, n) * stage.Wide, y, u * (0.45 + (0.6 * Chance(3, n))), Seed, 60 + n),
                    1)
                { Toward = (0, 0.08 + (0.15 * Chance(4, n))) });
        }
        for (var row = 0; row < 2; row++)
        {
            double trees(double x) =>
                horizon + (u * 0.012) - (u * (0.03 + (0.02 * row)) * (1 + (0.9 * Land.Ridge(x, u * 0.22, 0.72, Seed,
                    30 + row))));
            yield return (3,
                new Area(Land.Under(stage, trees, 0.6), 2) { Toward = (0, (1 - row) * (0.3 + (0.55 * Air))) });
        }
        yield return (4,
            new Graded(stage.Strip(horizon, stage.High + 2), new(3, 1, 0.22 * Air), 4, 0, horizon, 0, stage.High));
        foreach (var d in Grasses(stage, horizon)) yield return d;
    }

    /// <summary>Rows of blades from the horizon to the eye, each row larger and darker, flowers among them.</summary>
    private IEnumerable<(int, Drawn)> Grasses(Stage stage, double horizon)
    {
        var (u, rows) = (stage.Unit, 12);
        for (var row = 0; row < rows; row++)
        {
            var t = (row + 0.6) / rows;
            var y = horizon + ((stage.High - horizon) * t * t) + (u * 0.01);
            var tall = u * (0.015 + (0.27 * t * t));
            var (blades, heads, stems) = (new Pen(), new Pen(), new Pen());
            var many = Many(stage.Wide / (0.5 + (tall * 0.13)));
            for (var n = 0; n < many; n++)
            {
                var x = (n + Chance(10, n, row)) / many * stage.Wide;
                var high = tall * (0.5 + (0.6 * Chance(11, n, row)));
                // The wind goes over them in waves.
                var lean = high * ((0.35 * Seeded.Along(x / (u * 0.3), Seed,
                    70 + row)) + (0.5 * (Chance(12, n, row) - 0.5)));
                var w = 0.1 + (tall * 0.016);
                blades.Move(x - w, y + (tall * 0.2));
                blades.Quad(x + (lean * 0.15), y - (high * 0.6), x + lean, y - high);
                blades.Quad(x + (lean * 0.3) + w, y - (high * 0.5), x + w, y + (tall * 0.2));
                blades.Close();
                if (Chance(13, n, row) > 0.07 + (0.14 * stage.Near(x))) continue;
                Flower(stems, heads, x, y, high * 1.16, lean, tall * 0.07 * (0.7 + (0.6 * Chance(14, n, row))));
            }
            yield return (5,
                new Area(blades.Done(), row % 2 == 0 ? 3 : 4)
                {
                    Toward = (row % 2 == 0 ? 4 : 3,
                    0.55 * (1 - Math.Abs((2 * t) - 1)))
                });
            yield return (6, new Area(stems.Done(), 4));
            yield return (6, new Area(heads.Done(), 5) { Toward = (1, row % 3 * 0.16) });
        }
    }

    private static void Flower(Pen stems, Pen heads, double x, double y, double high, double lean, double r)
    {
        var (tx, ty) = (x + lean, y - high);
        stems.Add(Strokes.Swelling([(x, y), (x + (lean * 0.3), y - (high * 0.5)), (tx, ty)],
            _ => Math.Max(0.08, r * 0.12)));
        for (var p = 0; p < 6; p++) heads.Add(Shapes.Leaf(r, r * 0.6).Under(Seeded.Place(tx, ty, p / 6.0)));
    }
}
