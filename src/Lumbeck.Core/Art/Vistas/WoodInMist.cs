namespace Lumbeck.Core.Art.Vistas;

/// <summary>Trunks in a wood, the farther the paler, with light between them and undergrowth at their feet.</summary>
public sealed record WoodInMist : Vista
{
    public override string Kind => "wood in mist";
    public override ImmutableArray<string> Slots => ["Mist", "Light", "Trunks", "Ground"];
    public override ImmutableArray<Role> Roles() => [Role.Low, Role.Light, Role.Near, Role.Near];
    public override ImmutableArray<string> Layers =>
        ["mist", "light", "far trunks", "middle trunks", "near trunks", "ground"];

    private const int Rows = 5;

    public override IEnumerable<(int, Drawn)> Draw(Stage stage)
    {
        var u = stage.Unit;
        var (lx, ly) = (stage.Across((double)Stand / 100), stage.Down(0.52));
        yield return (1, Land.Sky(stage, 0, new(0, 1, 0.45), stage.Down(0.75)));
        foreach (var d in Land.Halo((0, 1), stage.Down(1.65), lx, ly, u * 0.9, 1, 0.95)) yield return (2, d);
        for (var row = 0; row < Rows; row++)
        {
            var depth = row / (Rows - 1.0);
            var tone = (Slot: 0, Share: Math.Clamp((1 - depth) * (0.55 + (0.5 * Air)), 0, 0.93));
            var ground = stage.Down(0.7 + (0.2 * depth));
            var trunks = new Pen();
            var step = u * (0.075 + (0.16 * depth)) * 100 / (double)Density;
            for (var n = -1; n * step < stage.Wide + step; n++)
            {
                var x = (n + (0.9 * Chance(1, n + 9, row))) * step;
                // A lane is left open where the light stands.
                if (Math.Abs(x - lx) < u * (0.06 + (0.16 * depth))) continue;
                foreach (var part in Trunk(x, ground + (u * 0.05 * Chance(2, n + 9, row)),
                    u * (0.006 + (0.024 * depth * depth)), stage, n + 9, row))
                    trunks.Add(part);
            }
            yield return (row < 2 ? 3 : row < 4 ? 4 : 5, // Crowns are lost in the mist, where a title may stand.
                new Graded(trunks.Done(), new(2, 0, Math.Max(tone.Share, 0.86)), new(2, 0, tone.Share), 0,
                    stage.Down(0.26), 0, stage.Down(0.62)));
            double line(double x) => ground - (u * 0.012) - (u * 0.02 * Land.Ridge(x, u * 0.3, 0.55, Seed, 20 + row));
            yield return (6,
                new Graded(Land.Under(stage, line), new(3, 0, tone.Share * 0.9), new(3, 0, tone.Share * 0.55), 0,
                    ground, 0, ground + (u * 0.3)));
        }
        yield return (6, new Area(Undergrowth(stage), 3) { Toward = (2, 0.55) });
    }

    /// <summary>A trunk that leans a little, with stubs of boughs.</summary>
    private IEnumerable<Outline> Trunk(double x, double foot, double half, Stage stage, int n, int row)
    {
        var (lean, top) = (stage.Unit * 0.07 * (Chance(4, n, row) - 0.5), -4.0);
        (double X, double Y) at(double t) => (Seeded.Round(x + (lean * t) + (half * 0.9 * Seeded.Along(t * 5, Seed,
            300 + (n * 8) + row))),
            Seeded.Round(foot + ((top - foot) * t)));
        yield return Strokes.Swelling([.. Enumerable.Range(0, 12).Select(i => at(i / 11.0))],
            t => half * (0.55 + (0.45 * (1 - t)) + (0.9 * Math.Max(0, 0.08 - t) / 0.08)));
        for (var b = 0; b < 4; b++)
        {
            var t = 0.35 + (0.6 * Chance(5, (n * 5) + b, row));
            var (bx, by) = at(t);
            var side = Chance(6, (n * 5) + b, row) < 0.5 ? -1 : 1;
            var far = half * (4 + (7 * Chance(7, (n * 5) + b, row)));
            yield return Strokes.Swelling([(bx, by), (bx + (side * far * 0.5), by - (far * 0.2)),
                (bx + (side * far), by - (far * 0.7))],
                s => half * 0.2 * (1 - (s * 0.9)));
        }
    }

    private Outline Undergrowth(Stage stage) => Shapes.Of(pen =>
    {
        var many = Many(stage.Wide * 1.1);
        for (var n = 0; n < many; n++)
        {
            var x = (n + Chance(8, n)) / many * stage.Wide;
            var y = stage.Down(0.9) + (Chance(9, n) * (stage.High - stage.Down(0.9)));
            var tall = stage.Unit * (0.03 + (0.06 * Chance(10, n)));
            var lean = tall * (Chance(12, n) - 0.5) * 1.3;
            pen.Move(x - 0.3, y + 1);
            pen.Quad(x + (lean * 0.2), y - (tall * 0.6), x + lean, y - tall);
            pen.Quad(x + (lean * 0.3) + 0.5, y - (tall * 0.5), x + 0.4, y + 1);
            pen.Close();
        }
    });
}
