namespace Lumbeck.Core.Trade.Insides;

/// <summary>
/// One side of a sheet of a stapled booklet: the pages that lie left and right of its fold, 0 where none does.
/// </summary>
public readonly record struct SheetSide(int Left, int Right);

/// <summary>One sheet of a stapled booklet, the outermost first; its back is turned over the short edge.</summary>
/// <param name="Number">From 0.</param>
/// <param name="Front">The side that lies outside.</param>
/// <param name="Back">The side that lies inside.</param>
/// <param name="Creep">How far its pages are drawn toward the fold.</param>
public sealed record BookletSheet(int Number, SheetSide Front, SheetSide Back, Length Creep);

/// <summary>Pages laid out on sheets that are folded once and stapled (docs/inside.md, Booklet).</summary>
public static class Imposition
{
    /// <param name="pages">Raised to a multiple of four.</param>
    /// <param name="reading">Which way the book reads.</param>
    /// <param name="leaf">How thick a leaf is.</param>
    /// <param name="balanced">Whether the outer sheets are pushed out by half of it, instead of all drawn in.</param>
    /// <param name="creeps">Whether there is creep at all.</param>
    public static ImmutableArray<BookletSheet> Of(int pages, Reading reading, Length leaf, bool balanced = false,
        bool creeps = true)
    {
        var all = PageCount.Raise(Math.Max(1, pages), 4);
        var sheets = all / 4;
        SheetSide side(int first, int second) =>
            reading == Reading.LeftToRight ? new(first, second) : new(second, first);
        return [.. Enumerable.Range(0, sheets).Select(k => new BookletSheet(k, side(all - (2 * k), (2 * k) + 1),
            side((2 * k) + 2, all - (2 * k) - 1), !creeps ? Length.Zero
            : balanced ? (k - ((sheets - 1) / 2m)) * leaf : k * leaf))];
    }

    /// <summary>The sheet that a page lies on, from 0 for the outermost.</summary>
    public static int SheetOf(int page, int pages)
    {
        var all = PageCount.Raise(pages, 4);
        return (Math.Min(page, all + 1 - page) - 1) / 2;
    }
}
