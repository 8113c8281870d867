namespace Lumbeck.Core.Drawing;

/// <summary>What lies under a drawn item, where that is one plain ink.</summary>
public static class Occlusion
{
    /// <summary>Whether a drawn item may reach into a window.</summary>
    public static bool Touches(DrawnItem drawn, Bounds window)
    {
        if (drawn.IsEmpty) return false;
        var b = drawn.Reach;
        return b.Left < window.Right && b.Right > window.Left && b.Top < window.Bottom && b.Bottom > window.Top;
    }

    /// <summary>
    /// Whether a drawn item hides all that lies under it in a window: an upright rectangle of one ink, or a picture
    /// that nothing shows through.
    /// </summary>
    public static bool Hides(DrawnItem drawn, Bounds window)
    {
        if (drawn.IsEmpty || drawn.Mixes || drawn.Place.B * drawn.Place.A != 0) return false;
        bool whole(Outline shape) =>
            IsRectangle(shape) && drawn.Place.Of(shape.Bounds) is var box && box.Left <= window.Left
                && box.Top <= window.Top && box.Right >= window.Right && box.Bottom >= window.Bottom;
        return drawn.Marks.Any(m => m is FillMark { Overprint: false, Finish: null } f && whole(f.Shape)
            || m is PictureMark { Picture.Opaque: true } p && p.Place.B * p.Place.A == 0 && whole(p.Clip)
                && p.Place.Of(new(0, 0, 1, 1)) is var all && all.Left <= p.Clip.Bounds.Left + 0.01
                && all.Top <= p.Clip.Bounds.Top + 0.01 && all.Right >= p.Clip.Bounds.Right - 0.01
                && all.Bottom >= p.Clip.Bounds.Bottom - 0.01);
    }

    /// <summary>
    /// Whether a shape is an upright rectangle: four corners, each at one of its box's. A rhomb has four as well.
    /// </summary>
    private static bool IsRectangle(Outline shape)
    {
        if (!shape.Strokes.SequenceEqual([PathVerb.Move, PathVerb.Line, PathVerb.Line, PathVerb.Line, PathVerb.Close]))
            return false;
        var (b, p) = (shape.Bounds, shape.Points);
        bool corner(int i) =>
            (p[2 * i] == b.Left || p[2 * i] == b.Right) && (p[(2 * i) + 1] == b.Top || p[(2 * i) + 1] == b.Bottom);
        // From each corner to the next either side changes alone.
        bool side(int i, int j) => (p[2 * i] == p[2 * j]) != (p[(2 * i) + 1] == p[(2 * j) + 1]);
        return corner(0) && corner(1) && corner(2) && corner(3) && side(0, 1) && side(1, 2) && side(2, 3) && side(3, 0);
    }

    /// <summary>The one ink that lies under all that a drawn item covers; null where more than one may.</summary>
    public static Ink? Plain(Scene scene, int at)
    {
        var window = scene.Items[at].Reach;
        for (var i = at - 1; i >= 0; i--)
        {
            var p = scene.Items[i];
            if (!Touches(p, window)) continue;
            // Only an upright rectangle of one ink that holds all of it is known to be plain.
            if (p.Mixes || p.Marks is not [FillMark { Overprint: false, Finish: null, Shape: var shape } fill]
                || p.Place.B * p.Place.A != 0)
                return null;
            var box = p.Place.Of(shape.Bounds);
            return IsRectangle(shape) && box.Left <= window.Left && box.Top <= window.Top && box.Right >= window.Right
                && box.Bottom >= window.Bottom
                ? fill.Ink
                : null;
        }
        return Ink.White;
    }

    /// <summary>
    /// An overprinting ink over another: that one's share where it has none of its own (ISO 32000-1, 8.6.7, overprint
    /// mode 1).
    /// </summary>
    public static Ink Both(Ink ink, Ink under)
    {
        static int share(int own, int below) => own > 0 ? own : below;
        return new(share(ink.C, under.C), share(ink.M, under.M), share(ink.Y, under.Y), share(ink.K, under.K));
    }

    /// <summary>
    /// A drawn item as it shows over a plain ink: what overprints has that ink's share where it has none of its own
    /// (ISO 32000-1, 8.6.7, with overprint mode 1).
    /// </summary>
    public static DrawnItem Over(DrawnItem drawn, Ink under)
    {
        return drawn with
        {
            Marks = [.. drawn.Marks.Select(m => m is IPlainInk { Overprints: true, Plain: { } ink } plain
                ? plain.With(Both(ink, under), overprint: true) : m)],
        };
    }
}
