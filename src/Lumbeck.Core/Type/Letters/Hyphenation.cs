using System.Collections.Concurrent;

namespace Lumbeck.Core.Type.Letters;

/// <summary>
/// Where words may be hyphenated, by patterns that say where not to, too (Liang, Word Hy-phen-a-tion by Com-put-er,
/// 1983).
/// </summary>
public sealed class Hyphenation
{
    private const int Before = 2, After = 3, Shortest = 6;

    private static readonly ConcurrentDictionary<string, Lazy<Hyphenation>> Shelf = new(StringComparer.Ordinal);

    private readonly Dictionary<string, byte[]> _patterns = new(StringComparer.Ordinal);
    private readonly int _longest;
    private readonly ConcurrentDictionary<string, int[]> _known = new(StringComparer.Ordinal);

    /// <summary>The patterns of a language; null where none ship.</summary>
    /// <param name="language">A BCP 47 code; plain <c>en</c> is hyphenated as in Britain, <c>en-us</c> as in
    /// America.</param>
    public static Hyphenation? Of(string language) => language.StartsWith("en", StringComparison.Ordinal)
        ? Shelf.GetOrAdd(language.Equals("en-us", StringComparison.OrdinalIgnoreCase) ? "hyphen-en-us" : "hyphen-en-gb",
            name => new(() => new(CharacterProperties.Lines(name))))
            .Value
        : null;

    private Hyphenation(IEnumerable<string> lines)
    {
        foreach (var line in lines)
        {
            if (line == "NEXTLEVEL") break;
            if (char.IsAsciiLetterUpper(line[0])) continue;
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
        if (_known.Count > 20_000) _known.Clear();
        return _known.GetOrAdd(word, Find);
    }

    private int[] Find(string word)
    {
        var dotted = "." + word.ToLowerInvariant().Replace('’', '\'') + ".";
        var weights = new byte[dotted.Length + 1];
        var lookup = _patterns.GetAlternateLookup<ReadOnlySpan<char>>();
        for (var from = 0; from < dotted.Length; from++)
            for (var length = 1; length <= Math.Min(_longest, dotted.Length - from); length++)
                if (lookup.TryGetValue(dotted.AsSpan(from, length), out var pattern))
                    for (var k = 0; k < pattern.Length; k++)
                        weights[from + k] = Math.Max(weights[from + k], pattern[k]);
        return [.. Enumerable.Range(Before, Math.Max(0, word.Length - Before - After + 1))
            .Where(i => weights[i + 1] % 2 == 1)];
    }
}
