namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Rows of words with the page that they are found on, as contents and an index have them.</summary>
internal static class Listed
{
    /// <summary>Rows that fit.</summary>
    public static Fitted Fit(Surface page, Length pitch) => Fitted.Of(page.Safe.Height, pitch, "row");

    /// <summary>The entries of this page of the list.</summary>
    public static IEnumerable<PageEntry> Here(ImmutableArray<PageEntry> all, int rows, PageFacts at) =>
        all.Skip((at.Time - 1) * rows).Take(rows);

    /// <summary>
    /// Words, dots up to the folio, and the folio; rows that nothing is known of are rules to write on.
    /// </summary>
    public static IEnumerable<Drawn> Draw(Surface page, Length pitch, Length weight, ImmutableArray<PageEntry> entries,
        PageFacts at, bool ruled, int words)
    {
        var (fit, safe, high) = (Fit(page, pitch), page.Safe, pitch.Points);
        var size = Math.Min(11, 0.55 * high);
        var room = 3.2 * size;
        var here = Here(entries, fit.Count, at).ToList();
        var top = (safe.Bottom - (fit.Count * pitch)).Points;
        var (start, end) = at.Mirrored ? (Align.Right, Align.Left) : (Align.Left, Align.Right);
        for (var n = 0; n < here.Count; n++)
        {
            var (y, foot) = (top + (n * high), top + ((n + 1) * high) - (0.26 * high));
            var (left, right) = (safe.X.Points, safe.Right.Points);
            var (wordsBox, folioBox) = at.Mirrored
                ? (new Bounds(left + room, y, right, foot), new Bounds(left, y, left + room, foot))
                : (new Bounds(left, y, right - room, foot), new Bounds(right - room, y, right, foot));
            yield return new Written(here[n].Words, wordsBox, size, words) { Align = start, Stand = Stand.Foot };
            yield return new Written(here[n].Folio, folioBox, size, words) { Align = end, Stand = Stand.Foot };
        }
        if (here.Count > 0)
            yield return PageLines.Again(PageLines.Level(0, 0, safe.Width.Points), weight, 0,
                Enumerable.Range(0, here.Count).Select(n => (safe.X.Points, top + ((n + 1) * high))));
        if (!ruled || here.Count >= fit.Count) yield break;
        // The folio's column is set off where both are written by hand.
        yield return PageLines.Again(PageLines.Level(0, 0, safe.Width.Points), weight, 0,
            Enumerable.Range(here.Count, fit.Count - here.Count).Select(n => (safe.X.Points, top + ((n + 1) * high))));
        var across = at.Mirrored ? safe.X.Points + room : safe.Right.Points - room;
        yield return new Line(PageLines.Upright(across, top + (here.Count * high), (fit.Count - here.Count) * high),
            weight.Points);
    }
}
