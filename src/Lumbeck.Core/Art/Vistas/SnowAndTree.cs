namespace Lumbeck.Core.Art.Vistas;

/// <summary>Snow, and one bare tree with its shadow.</summary>
public sealed record SnowAndTree : Vista
{
    public override string Kind => "snow and one tree";
    public override ImmutableArray<string> Slots => ["Sky", "Horizon", "Snow", "Shadow", "Tree"];
    public override ImmutableArray<Role> Roles() => [Role.Sky, Role.Low, Role.Light, Role.Far, Role.Near];
    public override ImmutableArray<string> Layers => ["sky", "far wood", "snow", "shadows", "tree", "flakes"];

    public override IEnumerable<(int, Drawn)> Draw(Stage stage)
    {
        var (u, horizon) = (stage.Unit, stage.Down(0.68));
        yield return (1, Land.Sky(stage, 0, 1, horizon));
        double wood(double x) => horizon - (u * (0.02 + (0.035 * Math.Max(0, Land.Ridge(x, u * 0.6, 0.6, Seed, 1)))));
        yield return (2, new Area(Land.Under(stage, wood, 0.7), 3) { Toward = (1, 0.35 + (0.5 * Air)) });
        var root = (X: stage.Across((double)Stand / 100), Y: stage.Down(0.8));
        for (var n = 0; n < 4; n++)
        {
            var y = horizon + ((stage.High - horizon) * n / 4.0);
            double line(double x) =>
                y + (u * 0.035 * (1 + (0.4 * n)) * Land.Ridge(x, u * (0.8 + (0.3 * n)), 0.3, Seed, 5 + n));
            yield return (3,
                new Graded(Land.Under(stage, line, 2.5), new(2, 3, 0.28 - (0.07 * n)), new(2, 3, 0.04), 0,
                    y - (u * 0.05), 0, y + (u * 0.3)));
        }
        // The shadow falls toward the eye and to the left: the tree lies down on the snow.
        var tree = Tree(root.X, root.Y, u * 0.5);
        var fall = new Affine(1, 0, 0.9, -0.42, root.X - (root.X * 1) - (root.Y * 0.9), root.Y + (root.Y * 0.42));
        yield return (4, new Area(tree.Under(fall), 3) { Toward = (2, 0.3) });
        yield return (5, new Area(tree, 4));
        yield return (5, new Area(Land.Streak(root.X, root.Y + 0.6, u * 0.07, u * 0.012), 2));
        var flakes = new Pen();
        for (var n = 0; n < Many(stage.Wide * stage.High / 260); n++)
        {
            var size = Chance(22, n) * Chance(22, n);
            flakes.Circle(Seeded.Round(Chance(20, n) * stage.Wide), Seeded.Round(Chance(21, n) * stage.High),
                0.18 + (0.5 * size));
        }
        yield return (6, new Area(flakes.Done(), 2));
    }

    /// <summary>A trunk that parts and parts again, thinner each time.</summary>
    private Outline Tree(double x, double y, double high)
    {
        var pen = new Pen();
        Branch(pen, x, y + (high * 0.01), high * 0.27, -0.25 + (0.012 * (Chance(30) - 0.5)), high * 0.042, 0, 1);
        return pen.Done();
    }

    private void Branch(Pen pen, double x, double y, double length, double turns, double half, int level, int n)
    {
        var bend = 0.05 * (Chance(31, n, level) - 0.5);
        var (mx, my) = Seeded.From(x, y, length * 0.5, turns + bend);
        var (tx, ty) = Seeded.From(mx, my, length * 0.5, turns - (bend * 0.4));
        pen.Add(Strokes.Swelling([(x, y), (mx, my), (tx, ty)],
            t => half * (1 - (0.42 * t)) * (level == 0 ? 1 + (0.5 * Math.Max(0, 0.25 - t)) : 1)));
        if (level >= 7 || half < 0.08) return;
        var arms = level < 2 ? 3 : 2;
        for (var i = 0; i < arms; i++)
        {
            var spread = ((i + 0.5) / arms) - 0.5;
            // Twigs turn upward, as they look for light.
            var way = turns + (spread * (0.27 + (0.1 * Chance(32, (n * 3) + i, level)))) + (0.03 * (Chance(33, (n * 3) + i, level) - 0.5));
            way += (-0.25 - way) * 0.08;
            Branch(pen, tx, ty, length * (0.66 + (0.22 * Chance(34, (n * 3) + i, level))), way, half * 0.6, level + 1,
                (n * 3) + i);
        }
    }
}
