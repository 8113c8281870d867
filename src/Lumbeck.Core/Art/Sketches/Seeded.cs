namespace Lumbeck.Core.Art.Sketches;

/// <summary>
/// Chance that is the same for ever: a number for each place of a lattice, from integers alone. And the sums of turning
/// that a drawing needs, from + − × ÷ and √, so that every machine draws the same.
/// </summary>
internal static class Seeded
{
    /// <summary>A number from 0 to just under 1 for a place, a seed and what it is for.</summary>
    public static double At(int x, int y, int seed, int what = 0) => Hash(x, y, seed, what) / 4294967296.0;

    /// <summary>A whole number from 0 to just under so many.</summary>
    public static int Of(int many, int x, int y, int seed, int what = 0) => (int)(At(x, y, seed, what) * many);

    public static uint Hash(int x, int y, int seed, int what = 0)
    {
        unchecked
        {
            var h = ((uint)x * 0x9E3779B1u) ^ ((uint)y * 0x85EBCA77u) ^ ((uint)seed * 0xC2B2AE3Du) ^ ((uint)what * 0x27D4EB2Fu);
            h ^= h >> 15; h *= 0x2C1B3C6Du; h ^= h >> 12; h *= 0x297A2D39u; h ^= h >> 15;
            h *= 0x2C1B3C6Du; h ^= h >> 13;
            return h;
        }
    }

    /// <summary>Smooth noise along a line, from −1 to 1, with a bend at each whole number.</summary>
    public static double Along(double t, int seed, int what = 0)
    {
        var n = (int)Math.Floor(t);
        var f = t - n;
        var ease = f * f * (3 - (2 * f));
        var (a, b) = (At(n, 0, seed, what), At(n + 1, 0, seed, what));
        return (2 * (a + (ease * (b - a)))) - 1;
    }

    /// <summary>Smooth noise over the plane, from −1 to 1.</summary>
    public static double Over(double x, double y, int seed, int what = 0)
    {
        var (i, j) = ((int)Math.Floor(x), (int)Math.Floor(y));
        var (fx, fy) = (x - i, y - j);
        var (u, v) = (fx * fx * (3 - (2 * fx)), fy * fy * (3 - (2 * fy)));
        var upper = At(i, j, seed, what) + (u * (At(i + 1, j, seed, what) - At(i, j, seed, what)));
        var lower = At(i, j + 1, seed, what) + (u * (At(i + 1, j + 1, seed, what) - At(i, j + 1, seed, what)));
        return (2 * (upper + (v * (lower - upper)))) - 1;
    }

    /// <summary>The sine of a part of a whole turn: 0.25 gives 1.</summary>
    public static double Sine(double turns)
    {
        var t = turns - Math.Floor(turns);
        var sign = 1.0;
        if (t >= 0.5) { t -= 0.5; sign = -1; }
        if (t > 0.25) t = 0.5 - t;
        // Taylor's series as far as the tenth digit; t is a quarter turn at most.
        var x = t * 6.283185307179586;
        var x2 = x * x;
        return sign * x * (1 - (x2 / 6 * (1 - (x2 / 20 * (1 - (x2 / 42 * (1 - (x2 / 72 * (1 - (x2 / 110 * (1 - (x2 / 156))))))))))));
    }

    public static double Cosine(double turns) => Sine(turns + 0.25);

    /// <summary>A hundredth of a millimetre: no coordinate is told finer.</summary>
    public static double Round(double mm) => Math.Round(mm, 2);

    /// <summary>A point so far from another, in a direction told in turns.</summary>
    public static (double X, double Y) From(double x, double y, double far, double turns) =>
        (Round(x + (far * Cosine(turns))), Round(y + (far * Sine(turns))));

    /// <summary>The whole numbers of the lattice whose cells may reach into a window.</summary>
    /// <param name="window">In millimetres.</param>
    /// <param name="wide">Of a cell.</param>
    /// <param name="high">Of a cell.</param>
    /// <param name="beyond">Cells more on each side, for what reaches out of its own.</param>
    public static IEnumerable<(int X, int Y)> Cells(Bounds window, double wide, double high, int beyond = 1)
    {
        for (var y = (int)Math.Floor(window.Top / high) - beyond; y <= (int)Math.Floor(window.Bottom / high) + beyond;
            y++)
            for (var x = (int)Math.Floor(window.Left / wide) - beyond;
                x <= (int)Math.Floor(window.Right / wide) + beyond; x++)
                yield return (x, y);
    }

    /// <summary>
    /// The multiples of a step from just before one place to just after another: where a line is sampled, so that a
    /// wider window samples it at the same places.
    /// </summary>
    public static double[] Steps(double from, double to, double step)
    {
        var first = (int)Math.Floor(from / step) - 1;
        return [.. Enumerable.Range(first, (int)Math.Ceiling(to / step) + 2 - first).Select(n => n * step)];
    }

    /// <summary>A placing at a point, turned.</summary>
    public static Affine Place(double x, double y, double turns = 0)
    {
        var (s, c) = (Sine(turns), Cosine(turns));
        return new(c, s, -s, c, Round(x), Round(y));
    }
}
