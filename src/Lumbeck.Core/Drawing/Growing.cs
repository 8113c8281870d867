namespace Lumbeck.Core.Drawing;

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
        return Bounds.Of(box);
    }
}
