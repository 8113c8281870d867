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
        var units = new List<(int At, Letter Letter, Break As)>(n);
        var unitOf = new int[n];
        for (var i = 0; i < n; i++)
        {
            var letter = Letter.Of(points[i]);
            var mark = letter.Break is Break.CM or Break.ZWJ;
            if (!mark || i == 0 || units[^1].As is Break.BK or Break.CR or Break.LF or Break.NL or Break.SP or Break.ZW)
                units.Add((i, letter, mark ? Break.AL : letter.Break));
            unitOf[i] = units.Count - 1;
        }
        var flags = 0;
        for (var u = 1; u < units.Count; u++)
        {
            // LB30a: flags come in pairs.
            flags = units[u - 1].As == Break.RI ? flags + 1 : 0;
            var joined = Letter.Of(points[units[u].At - 1]).Break == Break.ZWJ;
            answer[units[u].At] = Before(units, u, joined, flags);
        }
        return answer;
    }

    private static At Before(List<(int At, Letter Letter, Break As)> units, int u, bool joined, int flags)
    {
        var (a, b) = (units[u - 1].As, units[u].As);
        if ((a is Break.BK or Break.NL or Break.LF) || (a == Break.CR && b != Break.LF))
            return At.Must;                       // LB4, LB5
        if (a == Break.CR || b is Break.BK or Break.CR or Break.LF or Break.NL or Break.SP or Break.ZW)
            return At.None;         // LB5 to LB7
        // What stands before any spaces.
        var s = u - 1;
        while (s >= 0 && units[s].As == Break.SP) s--;
        var before = s < 0 ? Break.SP : units[s].As;
        if (before == Break.ZW)
            return At.May;                                                                                   // LB8
        if (joined) return At.None;                                                                                              // LB8a
        if (a == Break.WJ || b == Break.WJ || a == Break.GL)
            return At.None;                                                     // LB11, LB12
        if (b == Break.GL && a is not (Break.SP or Break.BA or Break.HY))
            return At.None;                                        // LB12a
        if (b is Break.CL or Break.CP or Break.EX or Break.IS or Break.SY)
            return At.None;                                       // LB13
        if (before == Break.OP || (before == Break.QU && b == Break.OP)
            || ((before is Break.CL or Break.CP) && b == Break.NS) || (before == Break.B2 && b == Break.B2))
            return At.None; // LB14 to LB17
        if (a == Break.SP) return At.May;                                                                                        // LB18
        if (a == Break.QU || b == Break.QU)
            return At.None;                                                                      // LB19
        if (a == Break.CB || b == Break.CB)
            return At.May;                                                                       // LB20
        if (b is Break.BA or Break.HY or Break.NS || a == Break.BB)
            return At.None;                                              // LB21
        if (u >= 2 && units[u - 2].As == Break.HL && (a is Break.HY or Break.BA)) return At.None; // LB21a
        if (a == Break.SY && b == Break.HL)
            return At.None;                                                                      // LB21b
        if (b == Break.IN) return At.None;                                                                                       // LB22
        bool letter(Break x) => x is Break.AL or Break.HL;
        bool ideograph(Break x) => x is Break.ID or Break.EB or Break.EM;
        if ((letter(a) && b == Break.NU) || (a == Break.NU && letter(b)))
            return At.None;                                        // LB23
        if ((a == Break.PR && ideograph(b)) || (ideograph(a) && b == Break.PO))
            return At.None;                                  // LB23a
        if (((a is Break.PR or Break.PO) && letter(b)) || (letter(a) && (b is Break.PR or Break.PO)))
            return At.None;   // LB24
        if (Number(units, u))
            return At.None;                                                                                    // LB25
        if ((a == Break.JL && (b is Break.JL or Break.JV or Break.H2 or Break.H3))
            || ((a is Break.JV or Break.H2) && (b is Break.JV or Break.JT))
            || ((a is Break.JT or Break.H3) && b == Break.JT))
            return At.None; // LB26
        bool hangul(Break x) => x is Break.JL or Break.JV or Break.JT or Break.H2 or Break.H3;
        if ((hangul(a) && b == Break.PO) || (a == Break.PR && hangul(b)))
            return At.None;                                        // LB27
        if (letter(b) && (letter(a) || a == Break.IS))
            return At.None;                                                           // LB28, LB29
        if ((letter(a) || a == Break.NU) && b == Break.OP && !units[u].Letter.Wide)
            return At.None;                              // LB30
        if (a == Break.CP && !units[u - 1].Letter.Wide && (letter(b) || b == Break.NU)) return At.None;
        if (a == Break.RI && b == Break.RI && flags % 2 == 1)
            return At.None;                                                    // LB30a
        if (b == Break.EM && (a == Break.EB || units[u - 1].Letter.Pictograph))
            return At.None;                                  // LB30b
        return At.May;                                                                                                           // LB31
    }

    /// <summary>LB25: (PR | PO)? (OP | HY)? NU (NU | SY | IS)* (CL | CP)? (PR | PO)? is one.</summary>
    private static bool Number(List<(int At, Letter Letter, Break As)> units, int u)
    {
        var (a, b) = (units[u - 1].As, units[u].As);
        if ((a is Break.PR or Break.PO) && (b is Break.OP or Break.HY))
            return u + 1 < units.Count && units[u + 1].As == Break.NU;
        if ((a is Break.PR or Break.PO or Break.OP or Break.HY) && b == Break.NU) return true;
        if (b is not (Break.NU or Break.PO or Break.PR)) return false;
        var i = u - 1;
        if ((b is Break.PO or Break.PR) && (units[i].As is Break.CL or Break.CP)) i--;
        while (i >= 0 && (units[i].As is Break.SY or Break.IS)) i--;
        return i >= 0 && units[i].As == Break.NU;
    }
}
