namespace Lumbeck.Core.Type;

/// <summary>A place where a line may end.</summary>
/// <param name="At">Where the next line begins.</param>
/// <param name="End">Where this one ends, without its trailing spaces.</param>
/// <param name="Hyphen">How wide the hyphen is that a line ending here shows, in points; 0 for none.</param>
/// <param name="Spaced">The letter space after its last letter, which a line does not need.</param>
/// <param name="Must">Whether a line has to end here.</param>
public readonly record struct LineEnd(int At, int End, double Hyphen, double Spaced, bool Must);

/// <summary>
/// Breaks a paragraph as a whole, so that no line is better than its neighbours can bear: the sum of every line's
/// demerits is least
/// (Knuth and Plass, Breaking Paragraphs into Lines, 1981, with one class of lines).
/// </summary>
public static class LineBreaking
{
    /// <summary>
    /// How far word spaces may shrink, and how far they stretch before a line counts as poor, as shares of their own
    /// width.
    /// </summary>
    public const double Shrink = 0.3, Stretch = 0.9;
    private const double HyphenCost = 150, InRow = 12_000, BeforeLast = 8_000, TooWide = 1e14;

    /// <summary>The ends chosen, in order; the last is always the paragraph's.</summary>
    /// <param name="ends">Where lines may end; the last is the paragraph's end.</param>
    /// <param name="upTo">The width up to each letter, in points.</param>
    /// <param name="spaces">The word spaces' width up to each letter.</param>
    /// <param name="first">The width of the first line.</param>
    /// <param name="width">That of the others.</param>
    /// <param name="justified">Whether word spaces give; else lines are as even as can be.</param>
    public static IReadOnlyList<LineEnd> Break(IReadOnlyList<LineEnd> ends, double[] upTo, double[] spaces,
        double first, double width, bool justified)
    {
        // What was chosen up to each end: the least demerits, and the end before.
        var best = new double[ends.Count + 1];
        var from = new int[ends.Count + 1];
        var floor = 0;
        for (var j = 1; j <= ends.Count; j++)
        {
            best[j] = double.PositiveInfinity;
            var end = ends[j - 1];
            for (var i = j - 1; i >= floor; i--)
            {
                var start = i == 0 ? 0 : ends[i - 1].At;
                var natural = Math.Max(0, upTo[Math.Max(end.End, start)] - upTo[start] - end.Spaced) + end.Hyphen;
                var room = i == 0 ? first : width;
                var space = Math.Max(0, spaces[Math.Max(end.End, start)] - spaces[start]);
                var tooWide = natural - (justified ? Shrink * space : 0) > room + 0.01;
                // A line of one unbreakable word stays, too wide as it is.
                if (tooWide && i < j - 1) break;
                var cost = best[i] + (tooWide ? TooWide
                    : Cost(natural, room, space, justified, end.Must || j == ends.Count));
                if (end.Hyphen > 0) cost += (HyphenCost * HyphenCost) + (i > 0 && ends[i - 1].Hyphen > 0 ? InRow : 0);
                // Half a word alone on the last line is worse than any other hyphen.
                if ((end.Must || j == ends.Count) && i > 0 && ends[i - 1].Hyphen > 0) cost += BeforeLast;
                if (cost < best[j]) (best[j], from[j]) = (cost, i);
            }
            if (end.Must) floor = j;
        }
        var chosen = new List<LineEnd>();
        for (var j = ends.Count; j > 0; j = from[j]) chosen.Add(ends[j - 1]);
        chosen.Reverse();
        return chosen;
    }

    private static double Cost(double natural, double room, double space, bool justified, bool last)
    {
        // A paragraph's last line is as long as it comes; a word alone there looks lost.
        if (last && natural <= room) return natural < 0.18 * room ? justified ? 12_000 : 500 : 0;
        // Even lines, but no more of them than there need be.
        if (!justified) return 40 + Math.Pow(100 * (room - natural) / room, 2);
        var ratio = space > 0 ? (room - natural) / space : 20;
        var badness = 100 * Math.Pow(Math.Abs(ratio) / (ratio < 0 ? Shrink : Stretch), 3);
        return Math.Pow(10 + Math.Min(badness, 1_000_000), 2);
    }
}
