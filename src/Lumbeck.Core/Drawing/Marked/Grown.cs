namespace Lumbeck.Core.Drawing.Marked;

/// <summary>
/// The recipe of a grown picture: which part of the picture shows, and how far it goes on beyond it on each side. The
/// same recipe gives the same pixels.
/// </summary>
/// <param name="Hash">The picture's.</param>
/// <param name="Way">How it grows.</param>
/// <param name="Seed">Of the synthesis.</param>
/// <param name="Flip">How the picture is mirrored, before anything else.</param>
/// <param name="X">The part that shows, as shares of the picture's width and height.</param>
/// <param name="Y">From its head.</param>
/// <param name="W">Its width.</param>
/// <param name="H">Its height.</param>
/// <param name="Left">How far it grows on each side, as shares of that part's own width and height.</param>
/// <param name="Top">At the head.</param>
/// <param name="Right">At the right.</param>
/// <param name="Bottom">At the foot.</param>
public sealed record Grown(string Hash, GrowWay Way, int Seed, Flip Flip, double X, double Y, double W, double H,
    double Left, double Top, double Right, double Bottom)
{
    /// <summary>The recipe in letters that an address and a file's name take; parts to a millionth.</summary>
    public string Recipe =>
        string.Create(CultureInfo.InvariantCulture,
            $"{Hash}_{(int)Way}_{Seed}_{(int)Flip}_{M(X)}_{M(Y)}_{M(W)}_{M(H)}_{M(Left)}_{M(Top)}_{M(Right)}_{M(Bottom)}");

    private static long M(double share) => (long)Math.Round(share * 1e6);

    /// <summary>Reads a recipe; null where it is none, or asks for more than a cover could.</summary>
    public static Grown? Read(string recipe)
    {
        var parts = recipe.Split('_');
        if (parts.Length != 12 || parts[0].Length != 64 || !parts[0].All(char.IsAsciiHexDigitLower)) return null;
        var n = new long[11];
        for (var i = 0; i < 11; i++)
            if (!long.TryParse(parts[i + 1], NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out n[i])
                || Math.Abs(n[i]) > int.MaxValue)
                return null;
        var s = n[3..].Select(v => v / 1e6).ToArray();
        var g = new Grown(parts[0], (GrowWay)n[0], (int)n[1], (Flip)n[2], s[0], s[1], s[2], s[3], s[4], s[5], s[6],
            s[7]);
        var sound = Enum.IsDefined(g.Way) && g.Flip is >= Flip.None and <= Flip.Both && s.All(v => v >= 0)
            && g is { W: > 0, H: > 0 } && g.X + g.W <= 1.000001 && g.Y + g.H <= 1.000001 && s[4..].All(v => v <= 20);
        return sound ? g : null;
    }
}
