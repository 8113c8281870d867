using System.Text;

namespace Lumbeck.Core.Type.Letters;

/// <summary>
/// Quotes, apostrophes, dashes and dots as a typesetter sets what is typed on a plain keyboard, by language.
/// </summary>
public static class SmartPunctuation
{
    /// <summary>Opening and closing quotes, then those within quotes.</summary>
    public static (string Open, string Close, string InnerOpen,
        string InnerClose) Quotes(string language) => language[..Math.Min(2, language.Length)] switch
        {
            "de" or "cs" or "sk" or "is" or "et" or "lt" => ("„", "“", "‚", "‘"),
            "pl" or "hu" or "ro" or "hr" => ("„", "”", "‚", "’"),
            "fr" => ("«\u202F", "\u202F»", "‹\u202F", "\u202F›"),
            "es" or "it" or "pt" or "el" or "ru" or "uk" or "lv" or "tr" => ("«", "»", "“", "”"),
            "nb" or "da" => ("«", "»", "‘", "’"),
            "sv" or "fi" => ("”", "”", "’", "’"),
            "ja" or "zh" => ("「", "」", "『", "』"),
            "ar" or "fa" or "ur" => ("«", "»", "‹", "›"),
            _ => ("“", "”", "‘", "’"),
        };

    /// <summary>
    /// What a text becomes whose characters from <paramref name="from"/> to <paramref name="to"/> were just typed; all
    /// others stay as they are.
    /// </summary>
    public static string Proper(string text, int from, int to, string language)
    {
        if (text.AsSpan(from, to - from).IndexOfAny("\"'-.") < 0) return text;
        var (open, close, innerOpen, innerClose) = Quotes(language);
        var s = new StringBuilder(text, 0, from, text.Length + 8);
        for (var i = from; i < to; i++)
        {
            var before = s.Length == 0 ? '\n' : s[^1];
            var after = i + 1 < text.Length ? text[i + 1] : '\n';
            var opening = char.IsWhiteSpace(before) || before is '(' or '[' or '{' or '—' or '–' or '-'
                or '“' or '‘' or '„' or '‚' or '«' or '‹' or '「' or '『' or '\u202F' or '\u200B';
            switch (text[i])
            {
                case '"':
                    s.Append(opening ? open : close);
                    break;
                // ’90s; and within a word or after one it is an apostrophe wherever quotes look otherwise.
                case '\'':
                    s.Append(opening ? char.IsAsciiDigit(after) ? "’" : innerOpen : char.IsLetterOrDigit(before)
                        && (char.IsLetter(after) || Inner(s, innerOpen, innerClose) <= 0) ? "’" : innerClose);
                    break;
                case '-' when before == '-':
                    s[^1] = '–';
                    break;
                case '-' when before == '–':
                    s[^1] = '—';
                    break;
                case '.' when before == '.' && s.Length >= 2 && s[^2] == '.':
                    s.Length -= 2;
                    s.Append('…');
                    break;
                default:
                    s.Append(text[i]);
                    break;
            }
        }
        return s.Append(text, to, text.Length - to).ToString();
    }

    /// <summary>
    /// How many inner quotes are open, as far as that can be told where the closing one is also the apostrophe.
    /// </summary>
    private static int Inner(StringBuilder s, string open, string close)
    {
        var n = 0;
        for (var i = 0; i < s.Length; i++)
        {
            if (s[i] == '\n') n = 0;
            else if (s[i] == open.Trim()[0]) n++;
            else if (s[i] == close.Trim()[0] && open != close && n > 0
                && !(i + 1 < s.Length && char.IsLetter(s[i + 1])))
                n--;
        }
        return n;
    }
}
