namespace Lumbeck.Core.Type.Letters;

/// <summary>A character's class in the bidirectional algorithm (UAX #9, table 4).</summary>
public enum BidiClass
    : byte
{ L, R, AL, EN, ES, ET, AN, CS, NSM, BN, B, S, WS, ON, LRE, LRO, RLE, RLO, PDF, LRI, RLI, FSI, PDI }

/// <summary>A character's class in line breaking (UAX #14, table 1), as its rule LB1 resolves it.</summary>
public enum LineBreakClass
    : byte
{
    AL, BA, BB, B2, BK, CB, CL, CM, CP, CR, EB, EM, EX, GL, H2, H3, HL, HY, ID, IN, IS, JL, JT, JV, LF, NL, NS,
    NU, OP, PO, PR, QU, RI, SP, SY, WJ, ZW, ZWJ
}

/// <summary>What of a character matters when it is set.</summary>
/// <param name="BidiClass">Its direction.</param>
/// <param name="LineBreakClass">How lines break at it.</param>
/// <param name="Wide">A bracket as wide as an ideograph (UAX #14, LB30).</param>
/// <param name="Pictograph">An unassigned pictograph (LB30b).</param>
/// <param name="Script">Its script's four letters (ISO 15924).</param>
/// <param name="Upright">Whether it stands upright in vertical text (UAX #50).</param>
public sealed record CharacterProperties(BidiClass BidiClass, LineBreakClass LineBreakClass, bool Wide,
    bool Pictograph, string Script, bool Upright)
{
    private static readonly (int[] Starts, CharacterProperties[] Letters) Table = Load();
    private static readonly CharacterProperties[] Latin = [.. Enumerable.Range(0, 0x250).Select(Search)];

    /// <summary>By code point; a lone surrogate counts as U+FFFD does.</summary>
    public static CharacterProperties Of(int codePoint) =>
        (uint)codePoint < 0x250 ? Latin[codePoint] : Search(codePoint is >= 0xD800 and <= 0xDFFF ? 0xFFFD : codePoint);

    /// <summary>Closing brackets by opening ones (UAX #9, BD14 to BD16).</summary>
    public static IReadOnlyDictionary<int, int> Brackets { get; } = Lines("brackets").Select(l => l.Split(' '))
        .ToDictionary(p => Hex(p[0]), p => Hex(p[1]));

    /// <summary>
    /// A text's code points, each with where it begins; surrogates without a partner stand for themselves.
    /// </summary>
    public static (int[] CodePoints, int[] At) Points(string text)
    {
        var points = new int[text.Length];
        var at = new int[text.Length];
        var n = 0;
        for (var i = 0; i < text.Length; n++)
        {
            at[n] = i;
            points[n] = char.IsHighSurrogate(text[i]) && i + 1 < text.Length && char.IsLowSurrogate(text[i + 1])
                ? char.ConvertToUtf32(text[i], text[++i])
                : text[i];
            i++;
        }
        return (points[..n], at[..n]);
    }

    private static CharacterProperties Search(int codePoint)
    {
        var i = Array.BinarySearch(Table.Starts, codePoint);
        return Table.Letters[i >= 0 ? i : ~i - 1];
    }

    private static (int[], CharacterProperties[]) Load()
    {
        var starts = new List<int>();
        var letters = new List<CharacterProperties>();
        var same = new Dictionary<string, CharacterProperties>(StringComparer.Ordinal);
        foreach (var line in Lines("unicode"))
        {
            var space = line.IndexOf(' ', StringComparison.Ordinal);
            var rest = line[(space + 1)..];
            if (!same.TryGetValue(rest, out var letter))
            {
                var p = rest.Split(' ');
                same[rest] = letter = new(Enum.Parse<BidiClass>(p[0]), Enum.Parse<LineBreakClass>(p[1].TrimEnd('w',
                    'x')),
                    p[1].EndsWith('w'), p[1].EndsWith('x'), p[2], p[3] is "U" or "Tu");
            }
            starts.Add(Hex(line[..space]));
            letters.Add(letter);
        }
        return ([.. starts], [.. letters]);
    }

    internal static IEnumerable<string> Lines(string name)
    {
        using var reader = new StreamReader(typeof(CharacterProperties).Assembly.GetManifestResourceStream("letters/" + name)
            ?? throw new InvalidOperationException($"The table {name} is missing."));
        while (reader.ReadLine() is { } line) if (line.Length > 0 && line[0] != '#') yield return line;
    }

    private static int Hex(string s) => int.Parse(s, NumberStyles.HexNumber, CultureInfo.InvariantCulture);
}
