using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Drawing;

/// <summary>What of a sheet is left bare, on exact rectangles: proved, not looked for.</summary>
public static class Coverage
{
    /// <summary>
    /// The parts of a window that nothing covers. A painted ground covers everything; of items only upright, square, whole-strength rectangles count,
    /// so that what is called covered is.
    /// </summary>
    public static IReadOnlyList<Box> Bare(Take take, Sheet sheet, Box window)
    {
        if (take.Ground.Paint is not null) return [];
        List<Box> bare = [window.Intersect(sheet.Whole)];
        foreach (var item in take.Items)
            if (item is RectItem { Hidden: false, Fill: not null, Corner.Units: 0, Opacity: 100, Blend: Blend.Normal } rect && rect.Turned % 90 == 0 && Placement.Of(rect, sheet) is { } at)
                bare = [.. bare.SelectMany(b => b.Without(at.OnSheet(rect)))];
        return bare;
    }
}
