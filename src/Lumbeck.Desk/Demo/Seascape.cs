using NetVips;

namespace Lumbeck.Desk.Demo;

/// <summary>A sound by moonlight, computed: sky, ridges in mist, and water with the moon's path on it. The same every time.</summary>
internal static class Seascape
{
    private const int Wide = 1040, High = 780;
    private const double Horizon = 0.54, MoonX = 0.66, MoonY = 0.24;

    /// <summary>As a PNG in sRGB.</summary>
    public static byte[] Png()
    {
        var pixels = new byte[Wide * High * 3];
        Parallel.For(0, High, y =>
        {
            for (var x = 0; x < Wide; x++)
            {
                var (u, v) = (x / (double)Wide, y / (double)High);
                var c = v < Horizon ? Land(u, v) : Water(u, v);
                var grain = (Hash(x, y, 9) - 0.5) * 5;
                for (var i = 0; i < 3; i++) pixels[(((y * Wide) + x) * 3) + i] = (byte)Math.Clamp(c[i] + grain, 0, 255);
            }
        });
        using var image = Image.NewFromMemory(pixels, Wide, High, 3, Enums.BandFormat.Uchar);
        using var named = image.Copy(interpretation: Enums.Interpretation.Srgb, xres: 300 / 25.4, yres: 300 / 25.4);
        return named.PngsaveBuffer(compression: 6);
    }

    private static double[] Sky(double u, double v)
    {
        var c = Mix([26, 36, 62], [150, 162, 172], Math.Pow(v / Horizon, 1.6));
        var (dx, dy) = ((u - MoonX) * Wide / High, v - MoonY);
        var away = Math.Sqrt((dx * dx) + (dy * dy));
        c = Mix(c, [226, 224, 206], 0.55 * Math.Exp(-away * away / 0.03));
        return away < 0.042 ? Mix(c, [246, 243, 226], Math.Clamp((0.042 - away) * 400, 0, 1) * (0.9 + (0.1 * Noise(u * 60, v * 60, 3)))) : c;
    }

    /// <summary>Ridges stand one before the other, the nearer the darker.</summary>
    private static double[] Land(double u, double v)
    {
        var c = Sky(u, v);
        for (var layer = 0; layer < 4; layer++)
        {
            var top = Horizon - (0.012 + ((0.15 - (layer * 0.036)) * Math.Pow(Fractal((u * (2.2 + layer)) + (layer * 7.3), layer), 1.4)));
            if (v < top) continue;
            var mist = Math.Clamp((v - top) / (Horizon - top + 0.001), 0, 1);
            c = Mix(Mix([118, 132, 146], [34, 46, 62], (layer + 1) / 4.0), [150, 160, 168], mist * 0.35);
        }
        return c;
    }

    private static double[] Water(double u, double v)
    {
        var near = (v - Horizon) / (1 - Horizon);
        var c = Mix([112, 126, 138], [20, 30, 46], Math.Pow(near, 0.55));
        // Waves are long far off and short near by; each catches the light or does not.
        var wave = Fractal(u * (6 + (10 * (1 - near))), 11) + (0.9 * Noise(u * (30 + (50 * (1 - near))), 70 / (near + 0.12), 12)) - 0.9;
        c = Mix(c, [150, 162, 172], Math.Clamp(wave * 0.4, 0, 0.35));
        var path = Math.Exp(-Math.Pow((u - MoonX) / (0.02 + (0.11 * near)), 2));
        return Mix(c, [240, 236, 214], Math.Clamp(path * ((Noise(u * 90, 90 / (near + 0.1), 13) * 1.7) - 0.5), 0, 0.95));
    }

    private static double[] Mix(double[] a, double[] b, double share) => [a[0] + ((b[0] - a[0]) * share), a[1] + ((b[1] - a[1]) * share), a[2] + ((b[2] - a[2]) * share)];

    private static double Fractal(double x, int seed)
    {
        var (sum, size) = (0.0, 0.5);
        for (var octave = 0; octave < 5; octave++, size /= 2) sum += size * Noise(x * (1 << octave), octave * 3.7, seed);
        return sum;
    }

    /// <summary>Smooth noise from 0 to 1.</summary>
    private static double Noise(double x, double y, int seed)
    {
        var (i, j) = ((int)Math.Floor(x), (int)Math.Floor(y));
        static double ease(double t) => t * t * (3 - (2 * t));
        var (s, t) = (ease(x - i), ease(y - j));
        var top = Hash(i, j, seed) + ((Hash(i + 1, j, seed) - Hash(i, j, seed)) * s);
        var foot = Hash(i, j + 1, seed) + ((Hash(i + 1, j + 1, seed) - Hash(i, j + 1, seed)) * s);
        return top + ((foot - top) * t);
    }

    private static double Hash(int x, int y, int seed)
    {
        unchecked
        {
            var h = ((uint)x * 374761393) + ((uint)y * 668265263) + ((uint)seed * 2246822519);
            h = (h ^ (h >> 13)) * 1274126177;
            return (h ^ (h >> 16)) / (double)uint.MaxValue;
        }
    }
}
