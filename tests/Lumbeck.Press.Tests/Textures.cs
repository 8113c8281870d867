using NetVips;

namespace Lumbeck.Press.Tests;

/// <summary>Six kinds of picture that grounds are made of, computed: the same every time.</summary>
public static class Textures
{
    public static IReadOnlyList<string> Kinds { get; } = ["grass", "sky", "paper", "foliage", "water", "wood"];

    /// <summary>A picture of a kind as a JPEG.</summary>
    public static byte[] Jpeg(string kind, int wide, int high)
    {
        using var image = Of(kind, wide, high);
        return image.JpegsaveBuffer(q: 93, subsampleMode: Enums.ForeignSubsample.Off);
    }

    public static Image Of(string kind, int wide, int high)
    {
        var pixels = new byte[wide * high * 3];
        if (kind is "grass" or "foliage") Strokes(kind, pixels, wide, high);
        else
            Parallel.For(0, high, y =>
            {
                for (var x = 0; x < wide; x++)
                {
                    var c = At(kind, x, y, high);
                    for (var i = 0; i < 3; i++) pixels[(((y * wide) + x) * 3) + i] = (byte)Math.Clamp(c[i], 0, 255);
                }
            });
        using var image = Image.NewFromMemory(pixels, wide, high, 3, Enums.BandFormat.Uchar);
        return image.Copy(interpretation: Enums.Interpretation.Srgb);
    }

    private static double[] At(string kind, int x, int y, int high)
    {
        var grain = Hash(x, y, 1) - 0.5;
        switch (kind)
        {
            case "sky":
                var cloud = Math.Clamp((Fractal(x / 260.0, y / 140.0, 3) - 0.48) * 3, 0, 1);
                return Mix(Mix([86, 132, 186], [190, 210, 226], (double)y / high, 0), [240, 240, 238], cloud * 0.8,
                    grain * 3);
            case "paper":
                var fibre = Fractal(x / 90.0, y / 14.0, 5) + (0.6 * Fractal(x / 6.0, y / 6.0, 6));
                return Mix([222, 208, 180], [244, 234, 212], Math.Clamp(fibre - 0.3, 0, 1), grain * 8);
            case "water":
                var swell = Math.Sin((y / 9.0) + (6 * Fractal(x / 120.0, y / 60.0, 7))) * 0.5;
                return Mix([24, 66, 84], [120, 168, 176],
                    Math.Clamp(0.4 + swell + ((Fractal(x / 22.0, y / 8.0, 8) - 0.5) * 1.4), 0, 1), grain * 5);
            default:
                var ring = Math.Sin((x / 13.0) + (9 * Fractal(x / 160.0, y / 900.0, 9)));
                return Mix([112, 70, 38], [188, 136, 86],
                    Math.Clamp(0.5 + (0.4 * ring) + ((Fractal(x / 3.0, y / 70.0, 10) - 0.5) * 0.9), 0, 1), grain * 6);
        }
    }

    /// <summary>Blades or leaves, one over the other.</summary>
    private static void Strokes(string kind, byte[] pixels, int wide, int high)
    {
        var grass = kind == "grass";
        for (var i = 0; i < wide * high; i++)
            (pixels[i * 3], pixels[(i * 3) + 1], pixels[(i * 3) + 2]) = grass
                ? ((byte)30, (byte)44, (byte)14)
                : ((byte)16, (byte)30, (byte)18);
        var count = wide * high / (grass ? 26 : 40);
        for (var n = 0; n < count; n++)
        {
            var (x, y) = ((Hash(n, 1, 21) * (wide + 80)) - 40, (Hash(n, 2, 21) * (high + 80)) - 40);
            var (light, lean) = ((0.3 * Fractal(x / 150, y / 150, 24)) + (0.7 * Hash(n, 3, 21)),
                grass ? (Hash(n, 4, 21) - 0.5) * 1.1 : Hash(n, 4, 21) * 6.28);
            double[] tone = grass
                ? Mix([44, 66, 18], [150, 176, 72], light, 0)
                : Mix([20, 52, 24], [120, 158, 70], light, 0);
            var (length, thick) = grass ? (14 + (18 * Hash(n, 5, 21)), 1.0) : (5 + (5 * Hash(n, 5, 21)), 3.4);
            for (var t = 0.0; t <= 1; t += 0.5 / length)
            {
                var (px, py) = grass
                    ? (x + (lean * length * t * t), y - (length * t))
                    : (x + (Math.Cos(lean) * length * (t - 0.5)), y + (Math.Sin(lean) * length * (t - 0.5)));
                var half = thick * (grass ? 1 - (0.7 * t) : Math.Sin(Math.PI * t));
                for (var dy = (int)Math.Floor(py - half); dy <= py + half; dy++)
                    for (var dx = (int)Math.Floor(px - half); dx <= px + half; dx++)
                        if (dx >= 0 && dy >= 0 && dx < wide && dy < high
                            && ((dx - px) * (dx - px)) + ((dy - py) * (dy - py)) <= (half * half) + 0.4)
                            for (var i = 0; i < 3; i++)
                                pixels[(((dy * wide) + dx) * 3) + i] = (byte)Math.Clamp(tone[i] * (0.75 + (0.35 * t)),
                                    0, 255);
            }
        }
    }

    private static double[] Mix(double[] a, double[] b, double share, double more) =>
        [a[0] + ((b[0] - a[0]) * share) + more, a[1] + ((b[1] - a[1]) * share) + more,
            a[2] + ((b[2] - a[2]) * share) + more];

    private static double Fractal(double x, double y, int seed)
    {
        var (sum, size) = (0.0, 0.5);
        for (var octave = 0; octave < 4; octave++, size /= 2)
            sum += size * Noise(x * (1 << octave), y * (1 << octave), seed + octave);
        return sum / 0.9375;
    }

    private static double Noise(double x, double y, int seed)
    {
        var (i, j) = ((int)Math.Floor(x), (int)Math.Floor(y));
        static double ease(double t) => t * t * (3 - (2 * t));
        var (s, t) = (ease(x - i), ease(y - j));
        double mix(double a, double b, double share) => a + ((b - a) * share);
        return mix(mix(Hash(i, j, seed), Hash(i + 1, j, seed), s),
            mix(Hash(i, j + 1, seed), Hash(i + 1, j + 1, seed), s), t);
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
