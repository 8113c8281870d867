namespace Lumbeck.Core.Type.Letters;

/// <summary>
/// The bidirectional algorithm (UAX #9, revision 46): how deeply each character is embedded; odd levels run from right
/// to left.
/// </summary>
public static class Levels
{
    private const int Deepest = 125;

    /// <summary>Levels of a paragraph's code points, with its trailing spaces at its own level (L1).</summary>
    /// <param name="points">One paragraph.</param>
    /// <param name="base">0 or 1 for a direction that is given; null to find it (P2, P3).</param>
    /// <param name="otherwise">The level of a paragraph without a strong letter.</param>
    public static (byte[] Levels, byte Base) Of(ReadOnlySpan<int> points, byte? @base = null, byte otherwise = 0)
    {
        var n = points.Length;
        var own = new Bidi[n];
        for (var i = 0; i < n; i++) own[i] = Letter.Of(points[i]).Bidi;
        var pairs = Isolates(own);
        var level = @base ?? First(own, pairs, 0, n) ?? otherwise;
        var levels = new byte[n];
        // A text of plain letters from left to right needs none of it.
        if (level == 0 && !Array.Exists(own,
            b => b is not (Bidi.L or Bidi.EN or Bidi.ES or Bidi.ET or Bidi.CS or Bidi.NSM or Bidi.S or Bidi.WS or Bidi.ON or Bidi.B)))
            return (levels, 0);
        var types = (Bidi[])own.Clone();
        Explicit(types, levels, own, pairs, level);
        var embedded = (byte[])levels.Clone();
        foreach (var run in Sequences(own, embedded, pairs))
            Resolve(points, types, own, embedded, levels, run, pairs, level);
        // What the explicit rules took out (X9) stands with what is before it.
        for (var i = 0; i < n; i++) if (Removed(own[i])) levels[i] = i == 0 ? level : levels[i - 1];
        Trail(own, levels, level);
        return (levels, level);
    }

    private static bool Removed(Bidi b) => b is Bidi.BN or Bidi.LRE or Bidi.LRO or Bidi.RLE or Bidi.RLO or Bidi.PDF;
    private static bool Opens(Bidi b) => b is Bidi.LRI or Bidi.RLI or Bidi.FSI;
    private static bool Neutral(Bidi b) =>
        b is Bidi.B or Bidi.S or Bidi.WS or Bidi.ON or Bidi.LRI or Bidi.RLI or Bidi.FSI or Bidi.PDI;
    private static Bidi Strong(int level) => (level & 1) == 0 ? Bidi.L : Bidi.R;

    /// <summary>
    /// For each isolate's opening where it closes, and the other way round; −1 where it doesn't (BD9).
    /// </summary>
    private static int[] Isolates(Bidi[] own)
    {
        var pairs = new int[own.Length];
        var open = new Stack<int>();
        for (var i = 0; i < own.Length; i++)
        {
            pairs[i] = -1;
            if (Opens(own[i])) open.Push(i);
            else if (own[i] == Bidi.PDI && open.TryPop(out var at)) (pairs[i], pairs[at]) = (at, i);
        }
        return pairs;
    }

    private static byte? First(Bidi[] own, int[] pairs, int from, int to)
    {
        for (var i = from; i < to; i++)
        {
            if (own[i] == Bidi.L) return 0;
            if (own[i] is Bidi.R or Bidi.AL) return 1;
            if (!Opens(own[i])) continue;
            if (pairs[i] < 0) return null;
            i = pairs[i];
        }
        return null;
    }

    /// <summary>X1 to X8: embeddings, overrides and isolates.</summary>
    private static void Explicit(Bidi[] types, byte[] levels, Bidi[] own, int[] pairs, byte level)
    {
        var stack = new Stack<(byte Level, Bidi? Override, bool Isolate)>();
        stack.Push((level, null, false));
        var (overIsolates, overEmbeddings, isolates) = (0, 0, 0);
        for (var i = 0; i < own.Length; i++)
        {
            var (now, forced, _) = stack.Peek();
            switch (own[i])
            {
                case Bidi.LRE or Bidi.LRO or Bidi.RLE or Bidi.RLO:
                    levels[i] = now;
                    var deeper = own[i] is Bidi.RLE or Bidi.RLO ? (now + 1) | 1 : (now + 2) & ~1;
                    if (deeper <= Deepest && overIsolates == 0 && overEmbeddings == 0)
                        stack.Push(((byte)deeper, own[i] switch { Bidi.LRO => Bidi.L, Bidi.RLO => Bidi.R, _ => null },
                            false));
                    else if (overIsolates == 0) overEmbeddings++;
                    break;
                case Bidi.LRI or Bidi.RLI or Bidi.FSI:
                    levels[i] = now;
                    if (forced is { } f) types[i] = f;
                    var right = own[i] == Bidi.RLI
                        || (own[i] == Bidi.FSI && First(own, pairs, i + 1, pairs[i] < 0 ? own.Length : pairs[i]) == 1);
                    var inner = right ? (now + 1) | 1 : (now + 2) & ~1;
                    if (inner <= Deepest && overIsolates == 0 && overEmbeddings == 0)
                    {
                        isolates++;
                        stack.Push(((byte)inner, null, true));
                    }
                    else overIsolates++;
                    break;
                case Bidi.PDI:
                    if (overIsolates > 0) overIsolates--;
                    else if (isolates > 0)
                    {
                        overEmbeddings = 0;
                        while (!stack.Peek().Isolate) stack.Pop();
                        stack.Pop();
                        isolates--;
                    }
                    (levels[i], var after, _) = stack.Peek();
                    if (after is { } a) types[i] = a;
                    break;
                case Bidi.PDF:
                    levels[i] = now;
                    if (overIsolates > 0) break;
                    if (overEmbeddings > 0) overEmbeddings--;
                    else if (!stack.Peek().Isolate && stack.Count > 1) stack.Pop();
                    break;
                case Bidi.B:
                    levels[i] = level;
                    break;
                default:
                    levels[i] = now;
                    if (forced is { } g && own[i] != Bidi.BN) types[i] = g;
                    break;
            }
        }
    }

    /// <summary>X10, BD13: runs of one level, joined over the isolates between them.</summary>
    private static List<List<int>> Sequences(Bidi[] own, byte[] levels, int[] pairs)
    {
        var runs = new List<List<int>>();
        var runOf = new int[own.Length];
        var last = -1;
        for (var i = 0; i < own.Length; i++)
        {
            if (Removed(own[i])) continue;
            if (last < 0 || levels[last] != levels[i]) runs.Add([]);
            runs[^1].Add(i);
            runOf[i] = runs.Count - 1;
            last = i;
        }
        var joined = new List<List<int>>();
        foreach (var run in runs)
        {
            if (own[run[0]] == Bidi.PDI && pairs[run[0]] >= 0) continue;
            var all = new List<int>(run);
            while (Opens(own[all[^1]]) && pairs[all[^1]] is >= 0 and var close) all.AddRange(runs[runOf[close]]);
            joined.Add(all);
        }
        return joined;
    }

    private static void Resolve(ReadOnlySpan<int> points, Bidi[] types, Bidi[] own, byte[] embedded, byte[] levels,
        List<int> run, int[] pairs, byte level)
    {
        var mine = embedded[run[0]];
        byte beside(int from, int step)
        {
            for (var i = from + step; i >= 0 && i < own.Length; i += step) if (!Removed(own[i])) return embedded[i];
            return level;
        }
        var before = Strong(Math.Max(mine, beside(run[0], -1)));
        var after = Strong(Math.Max(mine, Opens(own[run[^1]]) && pairs[run[^1]] < 0 ? level : beside(run[^1], 1)));
        Weak(types, own, run, before);
        Bracketed(points, types, own, run, before, Strong(mine));
        Neutrals(types, run, before, after, Strong(mine));
        foreach (var i in run)
            levels[i] += (mine & 1) == 0
                ? types[i] switch { Bidi.R => (byte)1, Bidi.AN or Bidi.EN => (byte)2, _ => (byte)0 }
                : types[i] is Bidi.L or Bidi.EN or Bidi.AN
                ? (byte)1
                : (byte)0;
    }

    /// <summary>W1 to W7.</summary>
    private static void Weak(Bidi[] types, Bidi[] own, List<int> run, Bidi before)
    {
        var (last, strong) = (before, before);
        for (var k = 0; k < run.Count; k++)
        {
            var i = run[k];
            if (types[i] == Bidi.NSM)
                types[i] = k > 0 && (Opens(own[run[k - 1]]) || own[run[k - 1]] == Bidi.PDI) ? Bidi.ON : last;
            last = types[i];
            if (types[i] is Bidi.R or Bidi.L or Bidi.AL) strong = types[i];
            else if (types[i] == Bidi.EN && strong == Bidi.AL) types[i] = Bidi.AN;
        }
        foreach (var i in run) if (types[i] == Bidi.AL) types[i] = Bidi.R;
        for (var k = 1; k + 1 < run.Count; k++)
        {
            var (a, b, c) = (types[run[k - 1]], types[run[k]], types[run[k + 1]]);
            if (b == Bidi.ES && a == Bidi.EN && c == Bidi.EN) types[run[k]] = Bidi.EN;
            else if (b == Bidi.CS && a == c && (a is Bidi.EN or Bidi.AN)) types[run[k]] = a;
        }
        for (var k = 0; k < run.Count; k++)
        {
            if (types[run[k]] != Bidi.ET) continue;
            var to = k;
            while (to < run.Count && types[run[to]] == Bidi.ET) to++;
            var beside = (k > 0 && types[run[k - 1]] == Bidi.EN) || (to < run.Count && types[run[to]] == Bidi.EN);
            for (; k < to; k++) types[run[k]] = beside ? Bidi.EN : Bidi.ON;
            k--;
        }
        strong = before;
        foreach (var i in run)
        {
            if (types[i] is Bidi.ES or Bidi.ET or Bidi.CS) types[i] = Bidi.ON;
            if (types[i] is Bidi.R or Bidi.L) strong = types[i];
            else if (types[i] == Bidi.EN && strong == Bidi.L) types[i] = Bidi.L;
        }
    }

    /// <summary>N0: a pair of brackets goes with what it holds, or with what is before it.</summary>
    private static void Bracketed(ReadOnlySpan<int> points, Bidi[] types, Bidi[] own, List<int> run, Bidi before,
        Bidi mine)
    {
        static int same(int c) => c switch { 0x2329 => 0x3008, 0x232A => 0x3009, _ => c };
        static Bidi strong(Bidi b) => b switch
        {
            Bidi.L => Bidi.L,
            Bidi.R or Bidi.EN or Bidi.AN => Bidi.R,
            _ => Bidi.ON,
        };
        var found = new List<(int Open, int Close)>();
        var open = new List<(int Closing, int At)>();
        for (var k = 0; k < run.Count; k++)
        {
            var i = run[k];
            if (types[i] != Bidi.ON) continue;
            if (Letter.Brackets.TryGetValue(points[i], out var closing))
            {
                if (open.Count == 63) break;
                open.Add((same(closing), k));
                continue;
            }
            var mark = same(points[i]);
            var at = open.FindLastIndex(o => o.Closing == mark);
            if (at < 0) continue;
            found.Add((open[at].At, k));
            open.RemoveRange(at, open.Count - at);
        }
        found.Sort();
        foreach (var (from, to) in found)
        {
            var other = false;
            Bidi? so = null;
            for (var k = from + 1; k < to && so is null; k++)
            {
                var s = strong(types[run[k]]);
                if (s == mine) so = mine;
                else if (s != Bidi.ON) other = true;
            }
            if (so is null && other)
            {
                var context = before;
                for (var k = from - 1; k >= 0; k--)
                    if (strong(types[run[k]]) is not Bidi.ON and var s) { context = s; break; }
                so = context != mine ? context : mine;
            }
            if (so is not { } set) continue;
            foreach (var end in (ReadOnlySpan<int>)[from, to])
            {
                types[run[end]] = set;
                for (var k = end + 1; k < run.Count && own[run[k]] == Bidi.NSM; k++) types[run[k]] = set;
            }
        }
    }

    /// <summary>N1, N2.</summary>
    private static void Neutrals(Bidi[] types, List<int> run, Bidi before, Bidi after, Bidi mine)
    {
        static Bidi side(Bidi b) => b == Bidi.L ? Bidi.L : Bidi.R;
        for (var k = 0; k < run.Count; k++)
        {
            if (!Neutral(types[run[k]])) continue;
            var to = k;
            while (to < run.Count && Neutral(types[run[to]])) to++;
            var left = k == 0 ? before : side(types[run[k - 1]]);
            var right = to == run.Count ? after : side(types[run[to]]);
            for (; k < to; k++) types[run[k]] = left == right ? left : mine;
            k--;
        }
    }

    /// <summary>L1: spaces at the end, and before a tab, stand as the paragraph does.</summary>
    private static void Trail(Bidi[] own, byte[] levels, byte level)
    {
        var trailing = true;
        for (var i = own.Length - 1; i >= 0; i--)
        {
            if (own[i] is Bidi.S or Bidi.B) trailing = true;
            else if (!(own[i] is Bidi.WS or Bidi.PDI || Opens(own[i]) || Removed(own[i]))) trailing = false;
            if (trailing) levels[i] = level;
        }
    }
}
