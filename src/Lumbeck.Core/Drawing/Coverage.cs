using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Drawing;

/// <summary>What of a sheet is left bare, on exact rectangles: proved, not looked for.</summary>
public static class Coverage
{
    /// <summary>
    /// The parts of a window that nothing covers. A painted ground covers everything; of items only upright, square, whole-strength rectangles and pictures count,
    /// so that what is called covered is.
    /// </summary>
    public static IReadOnlyList<Box> Bare(Take take, Sheet sheet, Box window)
    {
        if (take.Ground.Paint is not null) return [];
        List<Box> bare = [window.Intersect(sheet.Whole)];
        foreach (var item in take.Items)
            if (item is { Hidden: false, Opacity: 100, Blend: Blend.Normal } && Solid(item) && item.Turned % 90 == 0 && Placement.Of(item, sheet) is { } at)
                bare = [.. bare.SelectMany(b => b.Without(at.OnSheet(item)))];
        return bare;
    }

    private static bool Solid(Item item) => item is RectItem { Fill: not null, Corner.Units: 0 } or PictureItem { Fill: not null, Corner.Units: 0 } || (item is PictureItem p && PicturePlacing.Covers(p));
}
