namespace Lumbeck.Core.Drawing;

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

/// <summary>How far a picture stops short of where the cover is cut or turned in, and what makes up for it.</summary>
public static class Growing
{
    /// <summary>The largest share of what shows that a side can grow by.</summary>
    public const double Most = 20;

    /// <summary>Most pixels of one, so that making it stays within memory.</summary>
    private const double MostPixels = 14_000_000;

    /// <summary>
    /// The mark that lies under a grown picture; null where nothing is to grow, or it can't: in a frame that is no
    /// upright rectangle, as a pattern, or as a drawing.
    /// </summary>
    /// <param name="item">The picture in its frame.</param>
    /// <param name="at">Where that lies.</param>
    /// <param name="sheet">On which sheet.</param>
    /// <param name="mostPerInch">The house's highest useful resolution: it grows as fine as the picture is as placed,
    /// and no finer than this.</param>
    public static GrownMark? Of(PictureItem item, Placement at, Surface sheet, int mostPerInch)
    {
        if (item is not { Growth: { } growth, Picture: { IsDrawing: false, Opaque: true } picture } || !Can(item))
            return null;
        var (w, h) = (at.Box.Width.Points, at.Box.Height.Points);
        if (PicturePlacing.Of(item with { Flip = Flip.None }, w, h) is not { } place) return null;
        // What shows of the picture within its frame, in the item's points.
        var (l, t, r, b) = (Math.Max(0, place.E), Math.Max(0, place.F), Math.Min(w, place.E + place.A),
            Math.Min(h, place.F + place.D));
        if (r - l < 1 || b - t < 1) return null;
        var to = at.ToSheet.Inverse().Of(Target(growth.To, at, sheet));
        double side(double far, double across) => Math.Clamp(Math.Round(Math.Max(0, far) / across, 6), 0, Most);
        var (left, top, right, bottom) = (side(l - to.Left, r - l), side(t - to.Top, b - t), side(to.Right - r, r - l),
            side(to.Bottom - b, b - t));
        if (left + top + right + bottom < 1e-4) return null;
        var how = new Grown(picture.Hash, growth.Way, growth.Seed, item.Flip, Math.Round((l - place.E) / place.A, 6),
            Math.Round((t - place.F) / place.D, 6), Math.Round((r - l) / place.A, 6), Math.Round((b - t) / place.D, 6),
            left, top, right, bottom);
        var (x, y) = (l - (left * (r - l)), t - (top * (b - t)));
        var (wide, high) = ((1 + left + right) * (r - l), (1 + top + bottom) * (b - t));
        var pixels = Math.Max(16, Math.Min(how.W * picture.Wide * (1 + left + right), wide / 72 * mostPerInch));
        pixels *= Math.Min(1, Math.Sqrt(MostPixels / (pixels * pixels * high / wide)));
        return new(picture, how, new(wide, 0, 0, high, x, y), (int)Math.Ceiling(pixels)) { Convert = item.Convert };
    }

    /// <summary>Whether this frame can grow: it stands square, and its picture is fitted once.</summary>
    public static bool Can(PictureItem item) =>
        item is { Shape: Outlined.Rectangle, Corner.Units: 0, Tiling: null } && item.Turned % 90 == 0;

    /// <summary>The box it grows to, on the sheet.</summary>
    public static Box TargetBox(GrowTo to, Panel panel, Surface sheet) => to == GrowTo.Sheet ? sheet.Whole : panel.Edge;

    private static Bounds Target(GrowTo to, Placement at, Surface sheet)
    {
        var box = TargetBox(to, at.Panel, sheet);
        return new(box.X.Points, box.Y.Points, box.Right.Points, box.Bottom.Points);
    }
}
