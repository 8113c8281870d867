namespace Lumbeck.Core.Art.Vistas;

/// <summary>Drops on a window, with the lights of a street out of focus behind it.</summary>
public sealed record RainOnWindow : Vista
{
    public override string Kind => "rain on a window";
    public override ImmutableArray<string> Slots => ["Dusk", "Street", "Lights", "Other lights", "Drops"];
    public override ImmutableArray<Role> Roles() => [Role.Sky, Role.Near, Role.Light, Role.Light, Role.Light];
    public override ImmutableArray<string> Layers => ["dusk", "lights", "runs", "drops"];

    public override IEnumerable<(int, Drawn)> Draw(Stage stage)
    {
        var u = stage.Unit;
        yield return (1, Land.Sky(stage, 0, 1, stage.Down(0.9)));
        for (var n = 0; n < Many(stage.Wide / u * 22); n++)
        {
            // Lights keep to the lower half, and to the front.
            var x = Chance(1, n) * stage.Wide;
            if (Chance(2, n) > 0.35 + (0.65 * stage.Near(x + (u * ((double)Stand - 60) / 100)))) continue;
            var y = stage.Down(0.5 + (0.5 * Chance(3, n)));
            var r = u * (0.02 + (0.075 * Chance(4, n) * Chance(4, n)));
            var slot = Chance(5, n) < 0.62 ? 2 : 3;
            var faint = 0.35 + (0.5 * Chance(6, n));
            yield return (2,
                new Graded(Shapes.Circle(Seeded.Round(x), Seeded.Round(y), r), new(slot, 1, faint),
                    new(slot, 1, Math.Max(0, faint - 0.22)), x, y, x + r, y, Round: true));
        }
        var (runs, shine) = (new Pen(), new Pen());
        for (var n = 0; n < Many(stage.Wide / u * 16); n++)
        {
            var (x, y) = (Chance(10, n) * stage.Wide, Chance(11, n) * stage.High * 0.7);
            var (long_, half) = (u * (0.1 + (0.5 * Chance(12, n))), 0.25 + (0.5 * Chance(13, n)));
            List<(double X, double Y)> line =
                [.. Enumerable.Range(0, 10)
                    .Select(i =>
                        (Seeded.Round(x + (u * 0.012 * Seeded.Along(i * 0.7, Seed, 400 + n))),
                            Seeded.Round(y + (long_ * i / 9))))];
            runs.Add(Strokes.Swelling(line, t => half * (0.35 + (0.75 * t))));
            Drop(runs, shine, line[^1].X, line[^1].Y, half * 2.4);
        }
        yield return (3, new Area(runs.Done(), 4) { Toward = (0, 0.62) });
        yield return (3, new Area(shine.Done(), 4));
        var (drops, light, dark) = (new Pen(), new Pen(), new Pen());
        for (var n = 0; n < Many(stage.Wide * stage.High / 95); n++)
        {
            var r = 0.3 + (3.2 * Chance(22, n) * Chance(22, n) * Chance(23, n) * Chance(23, n));
            var (x, y) = (Seeded.Round(Chance(20, n) * stage.Wide), Seeded.Round(Chance(21, n) * stage.High));
            Drop(drops, light, x, y, r);
            if (r > 0.7) dark.Add(Shapes.Circle(0, 0, 1).Under(new(r * 0.5, 0, 0, r * 0.22, x, y - (r * 0.62))));
        }
        yield return (4, new Area(drops.Done(), 4) { Toward = (1, 0.6) });
        yield return (4, new Area(dark.Done(), 0) { Toward = (1, 0.2) });
        yield return (4, new Area(light.Done(), 4) { Toward = (2, 0.15) });
    }

    /// <summary>A drop, heavier at its foot, with a light in its lower edge.</summary>
    private static void Drop(Pen drops, Pen light, double x, double y, double r)
    {
        drops.Move(x, y - (r * 1.15));
        drops.Cubic(x + (r * 0.75), y - (r * 0.8), x + r, y + r, x, y + r);
        drops.Cubic(x - r, y + r, x - (r * 0.75), y - (r * 0.8), x, y - (r * 1.15));
        drops.Close();
        light.Move(x - (r * 0.5), y + (r * 0.42));
        light.Quad(x, y + (r * 0.95), x + (r * 0.5), y + (r * 0.42));
        light.Quad(x, y + (r * 0.66), x - (r * 0.5), y + (r * 0.42));
        light.Close();
    }
}
