namespace Lumbeck.Core.Drawing;

/// <summary>Where a picture lies within its frame.</summary>
public static class PicturePlacing
{
    /// <summary>
    /// From the picture's unit square (its upper left corner at 0, 0) to the frame's points; null where there is no
    /// picture.
    /// </summary>
    /// <param name="item">The frame.</param>
    /// <param name="w">Its width in points.</param>
    /// <param name="h">Its height in points.</param>
    public static Affine? Of(PictureItem item, double w, double h)
    {
        if (item.Picture is not { } p || w <= 0 || h <= 0) return null;
        if (item.Tiling is { } tiling) return Tile(tiling, p);
        var (sx, sy) = (w / p.Wide, h / p.High);
        var scale = (item.Fit == Fit.Cover ? Math.Max(sx, sy) : Math.Min(sx, sy)) * (double)item.Zoom / 100;
        var (pw, ph) = (p.Wide * scale, p.High * scale);
        // Pushed right, its left part comes into the frame where it is larger, and its right edge to the frame's where
        // it is smaller.
        var x = ((w - pw) / 2) + ((double)item.PanX / 100 * Math.Abs(pw - w) / 2);
        var y = ((h - ph) / 2) + ((double)item.PanY / 100 * Math.Abs(ph - h) / 2);
        var flip = new Affine(item.Flip.HasFlag(Flip.Across) ? -1 : 1, 0, 0, item.Flip.HasFlag(Flip.Down) ? -1 : 1,
            item.Flip.HasFlag(Flip.Across) ? 1 : 0, item.Flip.HasFlag(Flip.Down) ? 1 : 0);
        return flip.Then(new(pw, 0, 0, ph, x, y));
    }

    /// <summary>One tile of a pattern, the one that begins at the frame's corner or is pushed from it.</summary>
    private static Affine Tile(Tiling tiling, Picture p)
    {
        var wide = tiling.Wide.Points;
        var high = wide * p.High / p.Wide;
        return new(wide, 0, 0, high, (double)tiling.OffsetX / 100 * wide, (double)tiling.OffsetY / 100 * high);
    }

    /// <summary>
    /// Pixels an inch of the picture as placed; null where there is none, or where it is drawn and sharp at any size.
    /// </summary>
    public static double? Resolution(PictureItem item, Surface sheet) => item.Picture is { IsDrawing: true } ? null :
        Placement.Of(item, sheet) is { } at && Of(item, at.Box.Width.Points, at.Box.Height.Points) is { } place
            ? item.Picture!.Wide / (Math.Abs(place.A) / 72)
            : null;

    /// <summary>
    /// The largest frame of this one's proportions in which the picture has so many pixels an inch, as it is fitted
    /// now.
    /// </summary>
    public static Size? SharpUpTo(PictureItem item, Surface sheet, int perInch) =>
        Placement.Of(item, sheet) is { } at && Resolution(item, sheet) is { } now
            ? new(Length.FromDrawing(at.Box.Width.Points * now / perInch),
                Length.FromDrawing(at.Box.Height.Points * now / perInch))
            : null;

    /// <summary>Whether a picture covers all of its square frame, so that nothing shows through.</summary>
    public static bool Covers(PictureItem item) =>
        item is { Picture.Opaque: true, Shape: Outlined.Rectangle, Corner.Units: 0 }
            && (item.Tiling is not null || item is { Fit: Fit.Cover, Zoom: >= 100 });
}
