namespace Lumbeck.Core.Drawing.Views;

/// <summary>What of a sheet is left bare, on exact rectangles: proved, not looked for.</summary>
public static class Coverage
{
    /// <summary>
    /// The parts of a window that nothing covers. A painted ground covers everything; of items only upright, square,
    /// whole-strength rectangles and pictures count,
    /// so that what is called covered is.
    /// </summary>
    public static IReadOnlyList<Box> Bare(Take take, Sheet sheet, Box window)
    {
        if (take.Ground.Paint is not null and not FinishPaint) return [];
        List<Box> bare = [window.Intersect(sheet.Whole)];
        foreach (var item in take.Items)
            if (item is { Hidden: false, Opacity: 100, Blend: Blend.Normal } && item.Turned % 90 == 0
                && Placement.Of(item, sheet) is { } at)
            {
                if (IsSolid(item)) bare = [.. bare.SelectMany(b => b.Without(at.OnSheet(item)))];
                if (Grown(item, at, sheet) is { } to) bare = [.. bare.SelectMany(b => b.Without(to))];
            }
        return bare;
    }

    /// <summary>What a grown picture covers that nothing shows through.</summary>
    private static Box? Grown(Item item, Placement at, Sheet sheet) =>
        item is PictureItem { Growth: { } growth, Picture.Opaque: true } p
            && Growing.Of(p, at, sheet, 300) is { How: var how }
            && Math.Max(Math.Max(how.Left, how.Right), Math.Max(how.Top, how.Bottom)) < Growing.Most
            ? Growing.TargetBox(growth.To, at.Panel, sheet)
            : null;

    /// <summary>Whether an item lets nothing through within its frame.</summary>
    public static bool IsSolid(Item item) => item is RectItem { Fill.Hides: true, Corner.Units: 0 }
        or PictureItem { Fill.Hides: true, Corner.Units: 0, Shape: Outlined.Rectangle }
        || (item is PictureItem p && PicturePlacing.Covers(p));
}
