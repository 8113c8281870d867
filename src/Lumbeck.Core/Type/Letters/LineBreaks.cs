namespace Lumbeck.Core.Type.Letters;

/// <summary>
/// Where a line may break (UAX #14, revision 50, with numbers kept whole as its section 8.2, example 7, has it).
/// </summary>
public static class LineBreaks
{
    public enum At : byte { None, May, Must }

    /// <summary>For each code point whether a line may break before it; the first never.</summary>
    public static At[] Of(ReadOnlySpan<int> points)
    {
        var n = points.Length;
        var answer = new At[n];
        if (n == 0) return answer;
        // LB9, LB10: a mark goes with its base; one without a base counts as a letter.
        var units = new List<(int At, Letter Letter, LineBreakClass As)>(n);
        var unitOf = new int[n];
        for (var i = 0; i < n; i++)
        {
            var letter = Letter.Of(points[i]);
            var mark = letter.Break is LineBreakClass.CM or LineBreakClass.ZWJ;
            if (!mark || i == 0 || units[^1].As is LineBreakClass.BK or LineBreakClass.CR or LineBreakClass.LF or LineBreakClass.NL or LineBreakClass.SP or LineBreakClass.ZW)
                units.Add((i, letter, mark ? LineBreakClass.AL : letter.Break));
            unitOf[i] = units.Count - 1;
        }
        var flags = 0;
        for (var u = 1; u < units.Count; u++)
        {
            // LB30a: flags come in pairs.
            flags = units[u - 1].As == LineBreakClass.RI ? flags + 1 : 0;
            var joined = Letter.Of(points[units[u].At - 1]).Break == LineBreakClass.ZWJ;
            answer[units[u].At] = Before(units, u, joined, flags);
        }
        return answer;
    }

    private static At Before(List<(int At, Letter Letter, LineBreakClass As)> units, int u, bool joined, int flags)
    {
        var (a, b) = (units[u - 1].As, units[u].As);
        if ((a is LineBreakClass.BK or LineBreakClass.NL or LineBreakClass.LF) || (a == LineBreakClass.CR && b != LineBreakClass.LF))
            return At.Must;                       // LB4, LB5
        if (a == LineBreakClass.CR || b is LineBreakClass.BK or LineBreakClass.CR or LineBreakClass.LF or LineBreakClass.NL or LineBreakClass.SP or LineBreakClass.ZW)
            return At.None;         // LB5 to LB7
        // What stands before any spaces.
        var s = u - 1;
        while (s >= 0 && units[s].As == LineBreakClass.SP) s--;
        var before = s < 0 ? LineBreakClass.SP : units[s].As;
        if (before == LineBreakClass.ZW)
            return At.May;                                                                                   // LB8
        if (joined) return At.None;                                                                                              // LB8a
        if (a == LineBreakClass.WJ || b == LineBreakClass.WJ || a == LineBreakClass.GL)
            return At.None;                                                     // LB11, LB12
        if (b == LineBreakClass.GL && a is not (LineBreakClass.SP or LineBreakClass.BA or LineBreakClass.HY))
            return At.None;                                        // LB12a
        if (b is LineBreakClass.CL or LineBreakClass.CP or LineBreakClass.EX or LineBreakClass.IS or LineBreakClass.SY)
            return At.None;                                       // LB13
        if (before == LineBreakClass.OP || (before == LineBreakClass.QU && b == LineBreakClass.OP)
            || ((before is LineBreakClass.CL or LineBreakClass.CP) && b == LineBreakClass.NS) || (before == LineBreakClass.B2 && b == LineBreakClass.B2))
            return At.None; // LB14 to LB17
        if (a == LineBreakClass.SP) return At.May;                                                                                        // LB18
        if (a == LineBreakClass.QU || b == LineBreakClass.QU)
            return At.None;                                                                      // LB19
        if (a == LineBreakClass.CB || b == LineBreakClass.CB)
            return At.May;                                                                       // LB20
        if (b is LineBreakClass.BA or LineBreakClass.HY or LineBreakClass.NS || a == LineBreakClass.BB)
            return At.None;                                              // LB21
        if (u >= 2 && units[u - 2].As == LineBreakClass.HL && (a is LineBreakClass.HY or LineBreakClass.BA)) return At.None; // LB21a
        if (a == LineBreakClass.SY && b == LineBreakClass.HL)
            return At.None;                                                                      // LB21b
        if (b == LineBreakClass.IN) return At.None;                                                                                       // LB22
        bool letter(LineBreakClass x) => x is LineBreakClass.AL or LineBreakClass.HL;
        bool ideograph(LineBreakClass x) => x is LineBreakClass.ID or LineBreakClass.EB or LineBreakClass.EM;
        if ((letter(a) && b == LineBreakClass.NU) || (a == LineBreakClass.NU && letter(b)))
            return At.None;                                        // LB23
        if ((a == LineBreakClass.PR && ideograph(b)) || (ideograph(a) && b == LineBreakClass.PO))
            return At.None;                                  // LB23a
        if (((a is LineBreakClass.PR or LineBreakClass.PO) && letter(b)) || (letter(a) && (b is LineBreakClass.PR or LineBreakClass.PO)))
            return At.None;   // LB24
        if (Number(units, u))
            return At.None;                                                                                    // LB25
        if ((a == LineBreakClass.JL && (b is LineBreakClass.JL or LineBreakClass.JV or LineBreakClass.H2 or LineBreakClass.H3))
            || ((a is LineBreakClass.JV or LineBreakClass.H2) && (b is LineBreakClass.JV or LineBreakClass.JT))
            || ((a is LineBreakClass.JT or LineBreakClass.H3) && b == LineBreakClass.JT))
            return At.None; // LB26
        bool hangul(LineBreakClass x) => x is LineBreakClass.JL or LineBreakClass.JV or LineBreakClass.JT or LineBreakClass.H2 or LineBreakClass.H3;
        if ((hangul(a) && b == LineBreakClass.PO) || (a == LineBreakClass.PR && hangul(b)))
            return At.None;                                        // LB27
        if (letter(b) && (letter(a) || a == LineBreakClass.IS))
            return At.None;                                                           // LB28, LB29
        if ((letter(a) || a == LineBreakClass.NU) && b == LineBreakClass.OP && !units[u].Letter.Wide)
            return At.None;                              // LB30
        if (a == LineBreakClass.CP && !units[u - 1].Letter.Wide && (letter(b) || b == LineBreakClass.NU)) return At.None;
        if (a == LineBreakClass.RI && b == LineBreakClass.RI && flags % 2 == 1)
            return At.None;                                                    // LB30a
        if (b == LineBreakClass.EM && (a == LineBreakClass.EB || units[u - 1].Letter.Pictograph))
            return At.None;                                  // LB30b
        return At.May;                                                                                                           // LB31
    }

    /// <summary>LB25: (PR | PO)? (OP | HY)? NU (NU | SY | IS)* (CL | CP)? (PR | PO)? is one.</summary>
    private static bool Number(List<(int At, Letter Letter, LineBreakClass As)> units, int u)
    {
        var (a, b) = (units[u - 1].As, units[u].As);
        if ((a is LineBreakClass.PR or LineBreakClass.PO) && (b is LineBreakClass.OP or LineBreakClass.HY))
            return u + 1 < units.Count && units[u + 1].As == LineBreakClass.NU;
        if ((a is LineBreakClass.PR or LineBreakClass.PO or LineBreakClass.OP or LineBreakClass.HY) && b == LineBreakClass.NU) return true;
        if (b is not (LineBreakClass.NU or LineBreakClass.PO or LineBreakClass.PR)) return false;
        var i = u - 1;
        if ((b is LineBreakClass.PO or LineBreakClass.PR) && (units[i].As is LineBreakClass.CL or LineBreakClass.CP)) i--;
        while (i >= 0 && (units[i].As is LineBreakClass.SY or LineBreakClass.IS)) i--;
        return i >= 0 && units[i].As == LineBreakClass.NU;
    }
}
