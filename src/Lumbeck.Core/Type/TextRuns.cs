namespace Lumbeck.Core.Type;

/// <summary>A run of letters set otherwise than its text, from one place in its words to before another.</summary>
public sealed record TextRun(int From, int To, RunStyle Style);

/// <summary>Runs of one text: in order, none over another, none empty.</summary>
public static class TextRuns
{
    public const int Most = 500;

    /// <summary>The runs with a change laid over a part of the words.</summary>
    public static ImmutableList<TextRun> Lay(ImmutableList<TextRun> runs, int from, int to, RunStyle change,
        TextStyle text)
    {
        var cuts = new SortedSet<int>(runs.SelectMany(r => (int[])[r.From, r.To])) { from, to };
        var edges = cuts.ToList();
        var laid = ImmutableList.CreateBuilder<TextRun>();
        for (var i = 0; i + 1 < edges.Count; i++)
        {
            var (a, b) = (edges[i], edges[i + 1]);
            var own = runs.FirstOrDefault(r => r.From <= a && b <= r.To)?.Style ?? RunStyle.None;
            if (a >= from && b <= to) own = own.With(change).Beside(text);
            if (own == RunStyle.None) continue;
            if (laid.Count > 0 && laid[^1].To == a && laid[^1].Style == own) laid[^1] = laid[^1] with { To = b };
            else laid.Add(new(a, b, own));
        }
        return laid.ToImmutable();
    }

    /// <summary>
    /// The runs after some letters were replaced by others, which are set as the first that they replace, or else as
    /// the letter before them.
    /// </summary>
    public static ImmutableList<TextRun> Moved(ImmutableList<TextRun> runs, int at, int removed, int inserted)
    {
        int moved(int place, bool end) =>
            place < at ? place
            : place >= at + removed && (removed > 0 || place > at) ? place + inserted - removed
            : place > at ? at + inserted
            : removed == 0 && (end || at > 0) ? at + inserted : at;
        return runs.IsEmpty
            ? runs
            : [.. runs.Select(r => r with { From = moved(r.From, false), To = moved(r.To, true) })
                .Where(r => r.To > r.From)];
    }

    /// <summary>What a letter's style is.</summary>
    public static TextStyle At(TextStyle text, ImmutableList<TextRun> runs, int at) =>
        runs.FirstOrDefault(r => r.From <= at && at < r.To) is { } run ? text.With(run.Style) : text;
}
