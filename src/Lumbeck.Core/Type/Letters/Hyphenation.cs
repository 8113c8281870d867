namespace Lumbeck.Core.Type.Letters;

/// <summary>
/// Where words may be hyphenated, by patterns that say where not to, too (Liang, Word Hy-phen-a-tion by Com-put-er,
/// 1983).
/// </summary>
public sealed class Hyphenation
{
    private const int Shortest = 6;

    /// <summary>The languages whose patterns ship (Data/README.md), by their first subtags.</summary>
    public static readonly ImmutableArray<string> Languages =
    [
        "cy", "da", "de", "el", "en", "es", "et", "fi", "fr", "hr", "hu", "is", "it", "lt", "nb", "nl", "pl", "pt", "ru",
        "sv", "tr", "uk",
    ];

    private const string InBritain = "en-gb", InAmerica = "en-us";

    /// <summary>The patterns of each language, read when the first word of it is set.</summary>
    private static readonly Dictionary<string, Lazy<Hyphenation>> Shipped = Languages.Remove("en")
        .Concat([InBritain, InAmerica])
        .ToDictionary(l => l, l => new Lazy<Hyphenation>(() => new(l[..2], CharacterProperties.Lines("hyphen-" + l))));

    private readonly Dictionary<string, byte[]> _patterns = new(StringComparer.Ordinal);
    private readonly Dictionary<string, int[]> _exceptions = new(StringComparer.Ordinal);
    private readonly int _longest;
    private readonly int _before = 2, _after = 3;
    private readonly string _language;

    /// <summary>The patterns of a language; null where none ship.</summary>
    /// <param name="language">A BCP 47 code; plain <c>en</c> is hyphenated as in Britain, <c>en-us</c> as in
    /// America.</param>
    public static Hyphenation? Of(string language)
    {
        var first = language.Split('-')[0].ToLowerInvariant() switch { "no" or "nn" => "nb", var own => own };
        if (!Languages.Contains(first)) return null;
        return Shipped[first != "en" ? first
            : language.Equals(InAmerica, StringComparison.OrdinalIgnoreCase) ? InAmerica : InBritain].Value;
    }

    private Hyphenation(string language, IEnumerable<string> lines)
    {
        _language = language;
        foreach (var line in lines)
        {
            if (line == "NEXTLEVEL") break;
            if (line.StartsWith("LEFTHYPHENMIN ", StringComparison.Ordinal)) _before = line[^1] - '0';
            if (line.StartsWith("RIGHTHYPHENMIN ", StringComparison.Ordinal)) _after = line[^1] - '0';
            if (char.IsAsciiLetterUpper(line[0])) continue;
            if (line[0] == '=')
            {
                var parts = line[1..].Split('-');
                _exceptions[string.Concat(parts)] =
                    [.. Enumerable.Range(1, parts.Length - 1).Select(n => parts.Take(n).Sum(p => p.Length))];
                continue;
            }
            var letters = string.Concat(line.Where(c => !char.IsAsciiDigit(c)));
            var weights = new byte[letters.Length + 1];
            var at = 0;
            foreach (var c in line) if (char.IsAsciiDigit(c)) weights[at] = (byte)(c - '0'); else at++;
            _patterns[letters] = weights;
            _longest = Math.Max(_longest, letters.Length);
        }
    }

    /// <summary>How many letters may stand before a hyphen, in a word of letters alone.</summary>
    public IReadOnlyList<int> In(string word)
    {
        if (word.Length is < Shortest or > 60) return [];
        var lower = CaseMapping.Lower(word, _language).Replace('’', '\'');
        // Where small letters are more or fewer, places in them are not places in the word.
        if (lower.Length != word.Length) lower = word.ToLowerInvariant();
        if (_exceptions.TryGetValue(lower, out var known)) return known;
        var dotted = $".{lower}.";
        var weights = new byte[dotted.Length + 1];
        var lookup = _patterns.GetAlternateLookup<ReadOnlySpan<char>>();
        for (var from = 0; from < dotted.Length; from++)
            for (var length = 1; length <= Math.Min(_longest, dotted.Length - from); length++)
                if (lookup.TryGetValue(dotted.AsSpan(from, length), out var pattern))
                    for (var k = 0; k < pattern.Length; k++)
                        weights[from + k] = Math.Max(weights[from + k], pattern[k]);
        return [.. Enumerable.Range(_before, Math.Max(0, word.Length - _before - _after + 1))
            .Where(i => weights[i + 1] % 2 == 1)];
    }
}
