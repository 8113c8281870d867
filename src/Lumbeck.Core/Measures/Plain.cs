namespace Lumbeck.Core.Measures;

/// <summary>Words as they can be set: characters that control machines are no letters.</summary>
public static class Plain
{
    /// <summary>
    /// One line, as facts have it. What turns the reading direction by force or within hidden marks (UAX #9, 2) is no
    /// letter of a title either: it would be read back in another order.
    /// </summary>
    public static string Line(string text) =>
        string.Concat(text.Where(c => !Turns(c)).Select(c => char.IsControl(c) ? ' ' : c)).Trim();

    /// <summary>The same over several paragraphs, parted by line feeds.</summary>
    public static string Text(string text) =>
        string.Concat(text.ReplaceLineEndings("\n").Where(c => c is not (LeftByForce or RightByForce))
            .Select(c => c != '\n' && char.IsControl(c) ? ' ' : c));

    /// <summary>
    /// Letters and digits alone, in small letters: the same words however they are broken, spaced, quoted or set.
    /// </summary>
    public static string Bare(string text) => string.Concat(text.Where(char.IsLetterOrDigit)).ToLowerInvariant();

    /// <summary>A name as a word for an address: small letters and digits, the rest hyphens.</summary>
    /// <param name="name">The name.</param>
    /// <param name="most">Most letters of it.</param>
    /// <param name="otherwise">What it is called where no letter of the name is left.</param>
    public static string Word(string name, int most, string otherwise)
    {
        var word = string.Join('-', string.Concat(name.ToLowerInvariant()
            .Select(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) ? c : '-'))
            .Split('-', StringSplitOptions.RemoveEmptyEntries));
        return word.Length == 0 ? otherwise : word[..Math.Min(most, word.Length)].Trim('-');
    }

    private const char LeftByForce = '\u202D', RightByForce = '\u202E';

    /// <summary>Embeddings, overrides and isolates, with what ends them.</summary>
    private static bool Turns(char c) => c is (>= '\u202A' and <= '\u202E') or (>= '\u2066' and <= '\u2069');
}
