namespace Lumbeck.Core.Document;

/// <summary>What somebody said of a book.</summary>
/// <param name="Words">Without quotation marks.</param>
/// <param name="Source">Who, or where; may be empty.</param>
public sealed record ReviewQuote(string Words, string Source)
{
    /// <summary>Most of a book, most letters of what is said and of its source.</summary>
    public const int Most = 10, MostWords = 600, MostSource = 160;

    /// <summary>As a cover prints it: in quotation marks, its source on a line of its own.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string Printed => Source.Length > 0 ? $"“{Words}”\n{Source}" : $"“{Words}”";

    /// <summary>A line for each: “What a book. — The Quayside Review”.</summary>
    public static string Show(IEnumerable<ReviewQuote> all) =>
        string.Join('\n', all.Select(q => q.Source.Length > 0 ? $"{q.Words} — {q.Source}" : q.Words));

    /// <summary>Reads what <see cref="Show"/> writes; the source stands after the last dash.</summary>
    public static bool TryParse(string text, out ImmutableList<ReviewQuote> all, out string why)
    {
        all = [];
        why = "";
        foreach (var line in Plain.Text(text).Split('\n').Select(l => l.Trim()).Where(l => l.Length > 0))
        {
            var dash = Math.Max(line.LastIndexOf(" — ", StringComparison.Ordinal),
                line.LastIndexOf(" – ", StringComparison.Ordinal));
            var words = (dash < 0 ? line : line[..dash]).Trim().Trim('“', '”', '"', '„', '«', '»').Trim();
            var source = dash < 0 ? "" : line[(dash + 3)..].Trim();
            if (words.Length is 0 or > MostWords || source.Length > MostSource)
            {
                why = words.Length == 0 ? $"`{LengthText.Clip(line)}` says nothing before its dash"
                    : $"a review quote of {words.Length} letters from a source of {source.Length} is too long: up to " +
                        $"{MostWords} " +
                        $"and {MostSource}";
                return false;
            }
            all = all.Add(new(words, source));
        }
        if (all.Count <= Most) return true;
        why = $"{all.Count} review quotes are more than a cover has room for: up to {Most}";
        return false;
    }
}
