namespace Lumbeck.Core.Art.Vistas;

/// <summary>A town by night: roofs behind roofs, a tower, and windows that are lit.</summary>
public sealed record TownByNight : Vista
{
    public override string Kind => "town by night";
    public override ImmutableArray<string> Slots => ["Sky", "Glow", "Windows", "Houses", "Near roofs"];
    public override ImmutableArray<Role> Roles() => [Role.Sky, Role.Low, Role.Light, Role.Far, Role.Near];
    public override ImmutableArray<string> Layers => ["sky", "far houses", "middle houses", "near houses", "windows"];

    public override IEnumerable<(int, Drawn)> Draw(Stage stage)
    {
        var u = stage.Unit;
        yield return (1, Land.Sky(stage, 0, 1, stage.Down(0.85)));
        for (var n = 0; n < Many(130); n++)
            yield return (1, new Area(Shapes.Circle(Seeded.Round(Chance(1, n) * stage.Wide), Seeded.Round(Chance(2, n) * stage.Down(0.6)),
                0.12 + (0.25 * Chance(3, n) * Chance(3, n))), 2)
            { Toward = (0, 0.3) });
        for (var row = 0; row < 4; row++)
        {
            var depth = row / 3.0;
            var (houses, lit, dim) = (new Pen(), new Pen(), new Pen());
            var x = -u * 0.1 * Chance(4, row);
            for (var n = 0; x < stage.Wide + (u * 0.1); n++)
            {
                var wide = u * (0.07 + (0.07 * Chance(5, n, row)) + (0.06 * depth));
                // The town stands higher on the front than on the back, where words are.
                var tall =
                    u * (0.12 + (0.26 * Chance(6, n, row))) * (0.55 + (0.6 * stage.Near(x))) * (1.15 - (0.25 * depth));
                var foot = stage.Down(0.84 + (0.14 * depth));
                House(houses, x, foot - tall, wide, stage.High + 2, Seeded.Of(4, n, row, Seed, 7));
                Windows(lit, dim, x, foot - tall, wide, stage.High, u * (0.014 + (0.01 * depth)), n, row);
                x += wide * (0.92 + (0.16 * Chance(8, n, row)));
            }
            if (row == 1) Tower(houses, lit, stage.Across((double)Stand / 100), stage.Down(0.42), u);
            var far = (1 - depth) * (0.25 + (0.6 * Air));
            yield return (row == 0 ? 2 : row < 3 ? 3 : 4,
                new Area(houses.Done(), depth > 0.7 ? 4 : 3) { Toward = (1, far) });
            yield return (5, new Area(dim.Done(), 3) { Toward = (2, 0.22 + (0.1 * depth)) });
            yield return (5, new Area(lit.Done(), 2) { Toward = (1, far * 0.55) });
        }
    }

    /// <summary>A house with one of four roofs, and a chimney on some.</summary>
    private static void House(Pen pen, double x, double top, double wide, double foot, int roof)
    {
        var rise = wide * (roof == 0 ? 0.08 : 0.5);
        pen.Move(x, foot);
        pen.Line(x, top);
        if (roof == 1) pen.Line(x + (wide / 2), top - rise);
        else if (roof == 2)
        {
            pen.Line(x + (wide * 0.28), top - (rise * 0.8));
            pen.Line(x + (wide * 0.72), top - (rise * 0.8));
        }
        else if (roof == 3) pen.Line(x + wide, top - (rise * 0.7));
        pen.Line(x + wide, top);
        pen.Line(x + wide, foot);
        pen.Close();
        if (roof is 1 or 2)
            pen.Box(x + (wide * 0.66), top - rise, x + (wide * 0.66) + (wide * 0.1), top - (rise * 0.1));
    }

    private void Windows(Pen lit, Pen dim, double x, double top, double wide, double foot, double pane, int n, int row)
    {
        var (columns, rows) = ((int)(wide / (pane * 2.1)), (int)Math.Min(14, (foot - top) / (pane * 2.9)));
        var gap = wide / Math.Max(1, columns);
        for (var c = 0; c < columns; c++)
            for (var r = 0; r < rows; r++)
            {
                var chance = Chance(9, (n * 97) + c, (row * 31) + r);
                if (chance > 0.72) continue;
                var (left, head) = (x + (gap * (c + 0.5)) - (pane * 0.36), top + (pane * (1.5 + (r * 2.9))));
                (chance < 0.24 ? lit : dim)
                    .Box(Seeded.Round(left), Seeded.Round(head), Seeded.Round(left + (pane * 0.72)),
                        Seeded.Round(head + (pane * 1.2)));
            }
    }

    /// <summary>The town's tower, with a clock that is lit.</summary>
    private static void Tower(Pen houses, Pen lit, double x, double top, double u)
    {
        var half = u * 0.045;
        houses.Polygon([(x - half, top + (u * 0.7)), (x - half, top), (x - (half * 1.25), top), (x - (half * 1.25),
            top - (u * 0.02)),
            (x - (half * 0.9), top - (u * 0.02)), (x, top - (u * 0.2)), (x + (half * 0.9), top - (u * 0.02)),
            (x + (half * 1.25), top - (u * 0.02)), (x + (half * 1.25), top), (x + half, top),
                (x + half, top + (u * 0.7))]);
        lit.Circle(x, top + (half * 1.1), half * 0.62);
    }
}
