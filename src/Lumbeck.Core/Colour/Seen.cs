namespace Lumbeck.Core.Colour;

/// <summary>
/// How an ink looks, nearly: each ink takes its own share of light, whatever the paper and the profile. For choices
/// that
/// need no profile; what is judged on plates goes through one.
/// </summary>
public static class Seen
{
    /// <summary>Linear light in red, green and blue, from 0 to 1.</summary>
    private static (double R, double G, double B) Light(Ink ink)
    {
        static double left(int share, double takes) => 1 - (share / 10_000.0 * takes);
        var k = left(ink.K, 0.97);
        // What each full ink lets through, about as coated paper shows it.
        return (left(ink.C, 0.98) * left(ink.M, 0.28) * left(ink.Y, 0.02) * k,
            left(ink.C, 0.68) * left(ink.M, 0.97) * left(ink.Y, 0.12) * k,
            left(ink.C, 0.42) * left(ink.M, 0.75) * left(ink.Y, 0.97) * k);
    }

    /// <summary>Relative luminance (WCAG 2.2), from 0 to 1.</summary>
    public static double Luminance(Ink ink)
    {
        var (r, g, b) = Light(ink);
        return (0.2126 * r) + (0.7152 * g) + (0.0722 * b);
    }

    /// <summary>Contrast of two inks (WCAG 2.2), from 1 to 21.</summary>
    public static double Contrast(Ink a, Ink b)
    {
        var (x, y) = (Luminance(a), Luminance(b));
        return (Math.Max(x, y) + 0.05) / (Math.Min(x, y) + 0.05);
    }

    /// <summary>As CIE L*a*b*, D50.</summary>
    public static Lab Lab(Ink ink)
    {
        var (r, g, b) = Light(ink);
        static double root(double t) => t > 216.0 / 24389 ? Math.Cbrt(t) : ((24389.0 / 27 * t) + 16) / 116;
        var x = root(((0.4361 * r) + (0.3851 * g) + (0.1431 * b)) / 0.9642);
        var y = root((0.2225 * r) + (0.7169 * g) + (0.0606 * b));
        var z = root(((0.0139 * r) + (0.0971 * g) + (0.7142 * b)) / 0.8251);
        return new((116 * y) - 16, 500 * (x - y), 200 * (y - z));
    }
}
