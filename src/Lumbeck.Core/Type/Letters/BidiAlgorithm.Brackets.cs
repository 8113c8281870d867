using Class = Lumbeck.Core.Type.Letters.BidiClass;

namespace Lumbeck.Core.Type.Letters;

// Paired brackets (N0).
public static partial class BidiAlgorithm
{
    /// <summary>N0: a pair of brackets goes with what it holds, or with what is before it.</summary>
    private static void Bracketed(ReadOnlySpan<int> points, BidiClass[] types, BidiClass[] own, List<int> run,
        BidiClass before,
        BidiClass mine)
    {
        static int same(int c) => c switch { 0x2329 => 0x3008, 0x232A => 0x3009, _ => c };
        static BidiClass strong(BidiClass b) => b switch
        {
            Class.L => Class.L,
            Class.R or Class.EN or Class.AN => Class.R,
            _ => Class.ON,
        };
        var found = new List<(int Open, int Close)>();
        var open = new List<(int Closing, int At)>();
        for (var k = 0; k < run.Count; k++)
        {
            var i = run[k];
            if (types[i] != Class.ON) continue;
            if (CharacterProperties.Brackets.TryGetValue(points[i], out var closing))
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
            BidiClass? so = null;
            for (var k = from + 1; k < to && so is null; k++)
            {
                var s = strong(types[run[k]]);
                if (s == mine) so = mine;
                else if (s != Class.ON) other = true;
            }
            if (so is null && other)
            {
                var context = before;
                for (var k = from - 1; k >= 0; k--)
                    if (strong(types[run[k]]) is not Class.ON and var s) { context = s; break; }
                so = context != mine ? context : mine;
            }
            if (so is not { } set) continue;
            foreach (var end in (ReadOnlySpan<int>)[from, to])
            {
                types[run[end]] = set;
                for (var k = end + 1; k < run.Count && own[run[k]] == Class.NSM; k++) types[run[k]] = set;
            }
        }
    }
}
