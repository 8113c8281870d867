namespace Lumbeck.Core.Colour;

/// <summary>
/// A colour as people see it (CIE 1976 L*a*b*, D50): lightness from 0 to 100, green to red, blue to yellow.
/// </summary>
public readonly record struct Lab(double L, double A, double B)
{
    public double Chroma => Math.Sqrt((A * A) + (B * B));

    /// <summary>Hue in degrees from 0 up to 360.</summary>
    public double Hue => ((Math.Atan2(B, A) * 180 / Math.PI) + 360) % 360;

    /// <summary>The same lightness and strength at another hue, in degrees.</summary>
    public Lab Turned(double degrees)
    {
        var (sin, cos) = Math.SinCos((Hue + degrees) * Math.PI / 180);
        return new(L, Chroma * cos, Chroma * sin);
    }

    /// <summary>
    /// How unlike two colours look: CIEDE2000 (CIE 142-2001), with all weights 1. About 1 is the least that is seen,
    /// side by side.
    /// </summary>
    public double DeltaE(Lab other)
    {
        const double twentyFive7 = 6103515625;
        static double seventh(double c) => Math.Pow(c, 7);
        static double rad(double degrees) => degrees * Math.PI / 180;
        var mean = (Chroma + other.Chroma) / 2;
        var g = 0.5 * (1 - Math.Sqrt(seventh(mean) / (seventh(mean) + twentyFive7)));
        var (a1, a2) = ((1 + g) * A, (1 + g) * other.A);
        var (c1, c2) = (Math.Sqrt((a1 * a1) + (B * B)), Math.Sqrt((a2 * a2) + (other.B * other.B)));
        static double hue(double b, double a) =>
            a == 0 && b == 0 ? 0 : ((Math.Atan2(b, a) * 180 / Math.PI) + 360) % 360;
        var (h1, h2) = (hue(B, a1), hue(other.B, a2));

        var (dl, dc) = (other.L - L, c2 - c1);
        var gray = c1 * c2 == 0;
        var turn = gray ? 0 : h2 - h1;
        if (turn > 180) turn -= 360;
        if (turn < -180) turn += 360;
        var dh = 2 * Math.Sqrt(c1 * c2) * Math.Sin(rad(turn) / 2);

        var (ml, mc) = ((L + other.L) / 2, (c1 + c2) / 2);
        var mh = gray
            ? h1 + h2
            : Math.Abs(h1 - h2) <= 180
            ? (h1 + h2) / 2
            : h1 + h2 < 360
            ? (h1 + h2 + 360) / 2
            : (h1 + h2 - 360) / 2;
        var t = 1 - (0.17 * Math.Cos(rad(mh - 30))) + (0.24 * Math.Cos(rad(2 * mh)))
            + (0.32 * Math.Cos(rad((3 * mh) + 6))) - (0.20 * Math.Cos(rad((4 * mh) - 63)));
        var sl = 1 + (0.015 * (ml - 50) * (ml - 50) / Math.Sqrt(20 + ((ml - 50) * (ml - 50))));
        var (sc, sh) = (1 + (0.045 * mc), 1 + (0.015 * mc * t));
        var rt = -Math.Sin(rad(60 * Math.Exp(-(((mh - 275) / 25) * ((mh - 275) / 25))))) * 2
            * Math.Sqrt(seventh(mc) / (seventh(mc) + twentyFive7));
        return Math.Sqrt((dl / sl * (dl / sl)) + (dc / sc * (dc / sc)) + (dh / sh * (dh / sh)) + (rt * (dc / sc) * (dh / sh)));
    }
}

/// <summary>What goes with a colour: others at fixed turns of hue, as painters' wheels have them.</summary>
public static class Harmony
{
    public static IReadOnlyList<(string Name, double[] Turns)> All { get; } =
        [("opposite", [180]), ("neighbours", [-30, 30]), ("three", [120, 240]), ("beside the opposite", [150, 210])];
}
