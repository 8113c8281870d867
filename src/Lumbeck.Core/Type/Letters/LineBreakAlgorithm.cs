using Class = Lumbeck.Core.Type.Letters.LineBreakClass;

namespace Lumbeck.Core.Type.Letters;

/// <summary>
/// Where a line may break (UAX #14, revision 50, with numbers kept whole as its section 8.2, example 7, has it).
/// </summary>
public static class LineBreakAlgorithm
{
    public enum At : byte { None, May, Must }

    /// <summary>For each code point whether a line may break before it; the first never.</summary>
    public static At[] Of(ReadOnlySpan<int> points)
    {
        var n = points.Length;
        var answer = new At[n];
        if (n == 0) return answer;
        // LB9, LB10: a mark goes with its base; one without a base counts as a letter.
        var units = new List<(int At, CharacterProperties Letter, LineBreakClass As)>(n);
        var unitOf = new int[n];
        for (var i = 0; i < n; i++)
        {
            var letter = CharacterProperties.Of(points[i]);
            var mark = letter.LineBreakClass is Class.CM or Class.ZWJ;
            if (!mark || i == 0 || units[^1].As is Class.BK or Class.CR or Class.LF or Class.NL or Class.SP or Class.ZW)
                units.Add((i, letter, mark ? Class.AL : letter.LineBreakClass));
            unitOf[i] = units.Count - 1;
        }
        var flags = 0;
        for (var u = 1; u < units.Count; u++)
        {
            // LB30a: flags come in pairs.
            flags = units[u - 1].As == Class.RI ? flags + 1 : 0;
            var joined = CharacterProperties.Of(points[units[u].At - 1]).LineBreakClass == Class.ZWJ;
            answer[units[u].At] = Before(units, u, joined, flags);
        }
        return answer;
    }

    private static At Before(List<(int At, CharacterProperties Letter, LineBreakClass As)> units, int u, bool joined,
        int flags)
    {
        var (a, b) = (units[u - 1].As, units[u].As);
        if ((a is Class.BK or Class.NL or Class.LF) || (a == Class.CR && b != Class.LF))
            return At.Must;                       // LB4, LB5
        if (a == Class.CR || b is Class.BK or Class.CR or Class.LF or Class.NL or Class.SP or Class.ZW)
            return At.None;         // LB5 to LB7
        // What stands before any spaces.
        var s = u - 1;
        while (s >= 0 && units[s].As == Class.SP) s--;
        var before = s < 0 ? Class.SP : units[s].As;
        if (before == Class.ZW)
            return At.May;                                                                                   // LB8
        if (joined) return At.None;                                                                                              // LB8a
        if (a == Class.WJ || b == Class.WJ || a == Class.GL)
            return At.None;                                                     // LB11, LB12
        if (b == Class.GL && a is not (Class.SP or Class.BA or Class.HY))
            return At.None;                                        // LB12a
        if (b is Class.CL or Class.CP or Class.EX or Class.IS or Class.SY)
            return At.None;                                       // LB13
        if (before == Class.OP || (before == Class.QU && b == Class.OP)
            || ((before is Class.CL or Class.CP) && b == Class.NS) || (before == Class.B2 && b == Class.B2))
            return At.None; // LB14 to LB17
        if (a == Class.SP) return At.May;                                                                                        // LB18
        if (a == Class.QU || b == Class.QU)
            return At.None;                                                                      // LB19
        if (a == Class.CB || b == Class.CB)
            return At.May;                                                                       // LB20
        if (b is Class.BA or Class.HY or Class.NS || a == Class.BB)
            return At.None;                                              // LB21
        if (u >= 2 && units[u - 2].As == Class.HL && (a is Class.HY or Class.BA)) return At.None; // LB21a
        if (a == Class.SY && b == Class.HL)
            return At.None;                                                                      // LB21b
        if (b == Class.IN) return At.None;                                                                                       // LB22
        bool letter(LineBreakClass x) => x is Class.AL or Class.HL;
        bool ideograph(LineBreakClass x) => x is Class.ID or Class.EB or Class.EM;
        if ((letter(a) && b == Class.NU) || (a == Class.NU && letter(b)))
            return At.None;                                        // LB23
        if ((a == Class.PR && ideograph(b)) || (ideograph(a) && b == Class.PO))
            return At.None;                                  // LB23a
        if (((a is Class.PR or Class.PO) && letter(b)) || (letter(a) && (b is Class.PR or Class.PO)))
            return At.None;   // LB24
        if (Number(units, u))
            return At.None;                                                                                    // LB25
        if ((a == Class.JL && (b is Class.JL or Class.JV or Class.H2 or Class.H3))
            || ((a is Class.JV or Class.H2) && (b is Class.JV or Class.JT))
            || ((a is Class.JT or Class.H3) && b == Class.JT))
            return At.None; // LB26
        bool hangul(LineBreakClass x) => x is Class.JL or Class.JV or Class.JT or Class.H2 or Class.H3;
        if ((hangul(a) && b == Class.PO) || (a == Class.PR && hangul(b)))
            return At.None;                                        // LB27
        if (letter(b) && (letter(a) || a == Class.IS))
            return At.None;                                                           // LB28, LB29
        if ((letter(a) || a == Class.NU) && b == Class.OP && !units[u].Letter.Wide)
            return At.None;                              // LB30
        if (a == Class.CP && !units[u - 1].Letter.Wide && (letter(b) || b == Class.NU)) return At.None;
        if (a == Class.RI && b == Class.RI && flags % 2 == 1)
            return At.None;                                                    // LB30a
        if (b == Class.EM && (a == Class.EB || units[u - 1].Letter.Pictograph))
            return At.None;                                  // LB30b
        return At.May;                                                                                                           // LB31
    }

    /// <summary>LB25: (PR | PO)? (OP | HY)? NU (NU | SY | IS)* (CL | CP)? (PR | PO)? is one.</summary>
    private static bool Number(List<(int At, CharacterProperties Letter, LineBreakClass As)> units, int u)
    {
        var (a, b) = (units[u - 1].As, units[u].As);
        if ((a is Class.PR or Class.PO) && (b is Class.OP or Class.HY))
            return u + 1 < units.Count && units[u + 1].As == Class.NU;
        if ((a is Class.PR or Class.PO or Class.OP or Class.HY) && b == Class.NU) return true;
        if (b is not (Class.NU or Class.PO or Class.PR)) return false;
        var i = u - 1;
        if ((b is Class.PO or Class.PR) && (units[i].As is Class.CL or Class.CP)) i--;
        while (i >= 0 && (units[i].As is Class.SY or Class.IS)) i--;
        return i >= 0 && units[i].As == Class.NU;
    }
}
