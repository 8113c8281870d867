using Class = Lumbeck.Core.Type.Letters.BidiClass;

namespace Lumbeck.Core.Type.Letters;

/// <summary>
/// The bidirectional algorithm (UAX #9, revision 46): how deeply each character is embedded; odd levels run from right
/// to left.
/// </summary>
public static partial class BidiAlgorithm
{
    private const int Deepest = 125;

    /// <summary>Levels of a paragraph's code points, with its trailing spaces at its own level (L1).</summary>
    /// <param name="points">One paragraph.</param>
    /// <param name="base">0 or 1 for a direction that is given; null to find it (P2, P3).</param>
    /// <param name="otherwise">The level of a paragraph without a strong letter.</param>
    public static (byte[] Levels, byte Base) Resolve(ReadOnlySpan<int> points, byte? @base = null, byte otherwise = 0)
    {
        var n = points.Length;
        var own = new BidiClass[n];
        for (var i = 0; i < n; i++) own[i] = CharacterProperties.Of(points[i]).BidiClass;
        var pairs = Isolates(own);
        var level = @base ?? First(own, pairs, 0, n) ?? otherwise;
        var levels = new byte[n];
        // A text of plain letters from left to right needs none of it.
        if (level == 0 && !Array.Exists(own,
            b => b is not (Class.L or Class.EN or Class.ES or Class.ET or Class.CS or Class.NSM or Class.S or Class.WS
                or Class.ON or Class.B)))
            return (levels, 0);
        var types = (BidiClass[])own.Clone();
        Explicit(types, levels, own, pairs, level);
        var embedded = (byte[])levels.Clone();
        foreach (var run in Sequences(own, embedded, pairs))
            Resolve(points, types, own, embedded, levels, run, pairs, level);
        // What the explicit rules took out (X9) stands with what is before it.
        for (var i = 0; i < n; i++) if (Removed(own[i])) levels[i] = i == 0 ? level : levels[i - 1];
        Trail(own, levels, level);
        return (levels, level);
    }

    private static bool Removed(BidiClass b) => b is Class.BN or Class.LRE or Class.LRO or Class.RLE or Class.RLO or Class.PDF;
    private static bool Opens(BidiClass b) => b is Class.LRI or Class.RLI or Class.FSI;
    private static bool Neutral(BidiClass b) =>
        b is Class.B or Class.S or Class.WS or Class.ON or Class.LRI or Class.RLI or Class.FSI or Class.PDI;
    private static BidiClass Strong(int level) => (level & 1) == 0 ? Class.L : Class.R;

    /// <summary>
    /// For each isolate's opening where it closes, and the other way round; −1 where it doesn't (BD9).
    /// </summary>
    private static int[] Isolates(BidiClass[] own)
    {
        var pairs = new int[own.Length];
        var open = new Stack<int>();
        for (var i = 0; i < own.Length; i++)
        {
            pairs[i] = -1;
            if (Opens(own[i])) open.Push(i);
            else if (own[i] == Class.PDI && open.TryPop(out var at)) (pairs[i], pairs[at]) = (at, i);
        }
        return pairs;
    }

    private static byte? First(BidiClass[] own, int[] pairs, int from, int to)
    {
        for (var i = from; i < to; i++)
        {
            if (own[i] == Class.L) return 0;
            if (own[i] is Class.R or Class.AL) return 1;
            if (!Opens(own[i])) continue;
            if (pairs[i] < 0) return null;
            i = pairs[i];
        }
        return null;
    }

    /// <summary>X1 to X8: embeddings, overrides and isolates.</summary>
    private static void Explicit(BidiClass[] types, byte[] levels, BidiClass[] own, int[] pairs, byte level)
    {
        var stack = new Stack<(byte Level, BidiClass? Override, bool Isolate)>();
        stack.Push((level, null, false));
        var (overIsolates, overEmbeddings, isolates) = (0, 0, 0);
        for (var i = 0; i < own.Length; i++)
        {
            var (now, forced, _) = stack.Peek();
            switch (own[i])
            {
                case Class.LRE or Class.LRO or Class.RLE or Class.RLO:
                    levels[i] = now;
                    var deeper = own[i] is Class.RLE or Class.RLO ? (now + 1) | 1 : (now + 2) & ~1;
                    if (deeper <= Deepest && overIsolates == 0 && overEmbeddings == 0)
                        stack.Push(((byte)deeper, own[i] switch { Class.LRO => Class.L, Class.RLO => Class.R,
                            _ => null },
                            false));
                    else if (overIsolates == 0) overEmbeddings++;
                    break;
                case Class.LRI or Class.RLI or Class.FSI:
                    levels[i] = now;
                    if (forced is { } f) types[i] = f;
                    var right = own[i] == Class.RLI
                        || (own[i] == Class.FSI && First(own, pairs, i + 1, pairs[i] < 0 ? own.Length : pairs[i]) == 1);
                    var inner = right ? (now + 1) | 1 : (now + 2) & ~1;
                    if (inner <= Deepest && overIsolates == 0 && overEmbeddings == 0)
                    {
                        isolates++;
                        stack.Push(((byte)inner, null, true));
                    }
                    else overIsolates++;
                    break;
                case Class.PDI:
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
                case Class.PDF:
                    levels[i] = now;
                    if (overIsolates > 0) break;
                    if (overEmbeddings > 0) overEmbeddings--;
                    else if (!stack.Peek().Isolate && stack.Count > 1) stack.Pop();
                    break;
                case Class.B:
                    levels[i] = level;
                    break;
                default:
                    levels[i] = now;
                    if (forced is { } g && own[i] != Class.BN) types[i] = g;
                    break;
            }
        }
    }

    /// <summary>X10, BD13: runs of one level, joined over the isolates between them.</summary>
    private static List<List<int>> Sequences(BidiClass[] own, byte[] levels, int[] pairs)
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
            if (own[run[0]] == Class.PDI && pairs[run[0]] >= 0) continue;
            var all = new List<int>(run);
            while (Opens(own[all[^1]]) && pairs[all[^1]] is >= 0 and var close) all.AddRange(runs[runOf[close]]);
            joined.Add(all);
        }
        return joined;
    }

    private static void Resolve(ReadOnlySpan<int> points, BidiClass[] types, BidiClass[] own, byte[] embedded,
        byte[] levels,
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
                ? types[i] switch { Class.R => (byte)1, Class.AN or Class.EN => (byte)2, _ => (byte)0 }
                : types[i] is Class.L or Class.EN or Class.AN
                ? (byte)1
                : (byte)0;
    }

    /// <summary>W1 to W7.</summary>
    private static void Weak(BidiClass[] types, BidiClass[] own, List<int> run, BidiClass before)
    {
        var (last, strong) = (before, before);
        for (var k = 0; k < run.Count; k++)
        {
            var i = run[k];
            if (types[i] == Class.NSM)
                types[i] = k > 0 && (Opens(own[run[k - 1]]) || own[run[k - 1]] == Class.PDI) ? Class.ON : last;
            last = types[i];
            if (types[i] is Class.R or Class.L or Class.AL) strong = types[i];
            else if (types[i] == Class.EN && strong == Class.AL) types[i] = Class.AN;
        }
        foreach (var i in run) if (types[i] == Class.AL) types[i] = Class.R;
        for (var k = 1; k + 1 < run.Count; k++)
        {
            var (a, b, c) = (types[run[k - 1]], types[run[k]], types[run[k + 1]]);
            if (b == Class.ES && a == Class.EN && c == Class.EN) types[run[k]] = Class.EN;
            else if (b == Class.CS && a == c && (a is Class.EN or Class.AN)) types[run[k]] = a;
        }
        for (var k = 0; k < run.Count; k++)
        {
            if (types[run[k]] != Class.ET) continue;
            var to = k;
            while (to < run.Count && types[run[to]] == Class.ET) to++;
            var beside = (k > 0 && types[run[k - 1]] == Class.EN) || (to < run.Count && types[run[to]] == Class.EN);
            for (; k < to; k++) types[run[k]] = beside ? Class.EN : Class.ON;
            k--;
        }
        strong = before;
        foreach (var i in run)
        {
            if (types[i] is Class.ES or Class.ET or Class.CS) types[i] = Class.ON;
            if (types[i] is Class.R or Class.L) strong = types[i];
            else if (types[i] == Class.EN && strong == Class.L) types[i] = Class.L;
        }
    }

    /// <summary>N1, N2.</summary>
    private static void Neutrals(BidiClass[] types, List<int> run, BidiClass before, BidiClass after, BidiClass mine)
    {
        static BidiClass side(BidiClass b) => b == Class.L ? Class.L : Class.R;
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
    private static void Trail(BidiClass[] own, byte[] levels, byte level)
    {
        var trailing = true;
        for (var i = own.Length - 1; i >= 0; i--)
        {
            if (own[i] is Class.S or Class.B) trailing = true;
            else if (!(own[i] is Class.WS or Class.PDI || Opens(own[i]) || Removed(own[i]))) trailing = false;
            if (trailing) levels[i] = level;
        }
    }
}
