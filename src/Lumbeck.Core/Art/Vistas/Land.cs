namespace Lumbeck.Core.Art.Vistas;

/// <summary>Land, water and sky: lines and shapes that many vistas are made of, in millimetres.</summary>
internal static class Land
{
    /// <summary>A ridge: noise in five octaves, each half as high as the one before.</summary>
    /// <param name="x">How far along.</param>
    /// <param name="length">Of its longest swell.</param>
    /// <param name="rough">How much of each octave's height the next keeps.</param>
    /// <param name="seed">The seed.</param>
    /// <param name="what">What it is for.</param>
    /// <returns>From about −1 to 1.</returns>
    public static double Ridge(double x, double length, double rough, int seed, int what)
    {
        var (sum, part) = (0.0, 1.0);
        for (var octave = 0; octave < 5; octave++)
        {
            sum += part * Seeded.Along(x / length, seed, (what * 8) + octave);
            (length, part) = (length * 0.47, part * rough);
        }
        return sum * 0.62;
    }

    /// <summary>All that lies under a line, down to the foot of the picture.</summary>
    public static Outline Under(Stage stage, Func<double, double> line, double step = 1.2) => Shapes.Of(pen =>
    {
        pen.Move(-2, stage.High + 2);
        for (var x = -2.0; x < stage.Wide + 2 + step; x += step) pen.Line(x, Seeded.Round(line(x)));
        pen.Line(stage.Wide + 4, stage.High + 2);
        pen.Close();
    });

    /// <summary>A sky from its upper tone to that at the horizon.</summary>
    public static Drawn Sky(Stage stage, Tone head, Tone foot, double horizon) =>
        new Graded(stage.Strip(-2, stage.High + 2), head, foot, 0, 0, 0, horizon);

    /// <summary>
    /// A light's halo over a sky that runs from one slot to another: rings that go toward the light little by little,
    /// each
    /// with the sky's own run in it.
    /// </summary>
    /// <param name="sky">The slots of the sky's head and of its horizon.</param>
    /// <param name="horizon">Where the sky's run ends.</param>
    /// <param name="x">The light.</param>
    /// <param name="y">The light.</param>
    /// <param name="r">How far the halo reaches.</param>
    /// <param name="light">The light's slot.</param>
    /// <param name="most">How far the innermost ring goes toward it, from 0 to 1.</param>
    public static IEnumerable<Drawn> Halo((int Head, int Foot) sky, double horizon, double x, double y, double r,
        int light, double most)
    {
        const int rings = 22;
        for (var n = 0; n < rings; n++)
        {
            var far = r * (1 - (n / (double)rings));
            // Light falls off with the square of the way, nearly.
            var share = (n + 0.5) / rings;
            share *= share * most;
            Tone at(double down) =>
                new Tone(sky.Head, sky.Foot, Math.Clamp(down / horizon, 0, 1)) { Lit = (light, share) };
            var (top, foot) = (Math.Max(0, y - far), Math.Min(horizon, y + far));
            yield return new Graded(Shapes.Circle(x, y, far), at(top), at(foot), x, top, x, foot);
        }
    }

    /// <summary>A streak that is thick in its middle and runs out to both sides.</summary>
    public static Outline Streak(double x, double y, double half, double thick) => Shapes.Of(pen =>
    {
        pen.Move(x - half, y);
        pen.Cubic(x - (half * 0.3), y - thick, x + (half * 0.3), y - thick, x + half, y);
        pen.Cubic(x + (half * 0.3), y + (thick * 0.7), x - (half * 0.3), y + (thick * 0.7), x - half, y);
        pen.Close();
    });

    /// <summary>A cloud: streaks that lie over one another, longest at its foot.</summary>
    public static Outline Cloud(double x, double y, double wide, int seed, int what) => Shapes.Of(pen =>
    {
        for (var n = 0; n < 7; n++)
        {
            var rise = n / 6.0;
            var half = wide * (0.5 - (0.33 * rise)) * (0.7 + (0.5 * Seeded.At(n, 0, seed, what)));
            var off = wide * 0.22 * (Seeded.At(n, 1, seed, what) - 0.5);
            pen.Add(Streak(x + off, y - (wide * 0.085 * rise * (0.6 + Seeded.At(n, 2, seed, what))), half,
                wide * 0.032));
        }
    });

    /// <summary>A conifer that stands at 0, 0 and is so high: boughs in steps, no two the same.</summary>
    public static Outline Conifer(double high, int seed, int n) => Shapes.Of(pen =>
    {
        var steps = 7 + Seeded.Of(4, n, 0, seed, 71);
        var wide = high * (0.17 + (0.07 * Seeded.At(n, 1, seed, 71)));
        pen.Move(0, -high);
        foreach (var side in (int[])[1, -1])
        {
            for (var i = 0; i < steps; i++)
            {
                var k = side > 0 ? i : steps - 1 - i;
                var t = (k + 1.0) / steps;
                var reach = wide * t * (0.75 + (0.45 * Seeded.At(n, k, seed, side > 0 ? 72 : 73)));
                var y = -high * (1 - (t * 0.96));
                if (side > 0) { pen.Line(reach, y + (high * 0.012)); pen.Line(reach * 0.42, y - (high * 0.012)); }
                else { pen.Line(-reach * 0.42, y - (high * 0.012)); pen.Line(-reach, y + (high * 0.012)); }
            }
            if (side > 0)
            {
                pen.Line(high * 0.014, -high * 0.04);
                pen.Line(high * 0.014, 0.4);
                pen.Line(-high * 0.014, 0.4);
                pen.Line(-high * 0.014, -high * 0.04);
            }
        }
        pen.Close();
    });
}
