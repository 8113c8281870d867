namespace Lumbeck.Core.Type.Letters;

/// <summary>
/// The order in which a language lists words, as an index has it: by the letters of its alphabet, space before letters;
/// marks that make no letter of their own, and capitals, count only where words are otherwise the same (UTS #10, of
/// which this is what the languages here need; a system's own tables are not asked).
/// </summary>
/// <param name="language">The language's code, such as “sv”; of one without an order of its own plain letters hold.</param>
public sealed class AlphabeticalOrder(string language) : IComparer<string>
{
    /// <summary>Letters that follow others, in their order: “z:åäö” has å, ä and ö after z. Two letters may be one.</summary>
    private static readonly Dictionary<string, string[]> Alphabets = new()
    {
        ["sv"] = ["z:å ä ö"], ["fi"] = ["z:å ä ö"], ["da"] = ["z:æ ø å"], ["nb"] = ["z:æ ø å"], ["nn"] = ["z:æ ø å"],
        ["is"] = ["a:á", "d:ð", "e:é", "i:í", "o:ó", "u:ú", "y:ý", "z:þ æ ö"], ["es"] = ["n:ñ"], ["gl"] = ["n:ñ"],
        ["cs"] = ["c:č", "h:ch", "r:ř", "s:š", "z:ž"], ["sk"] = ["a:ä", "c:č", "h:ch", "o:ô", "s:š", "z:ž"],
        ["pl"] = ["a:ą", "c:ć", "e:ę", "l:ł", "n:ń", "o:ó", "s:ś", "z:ź ż"],
        ["hu"] = ["c:cs", "d:dz dzs", "g:gy", "l:ly", "n:ny", "o:ö", "s:sz", "t:ty", "u:ü", "z:zs"],
        ["tr"] = ["c:ç", "g:ğ", "h:ı", "o:ö", "s:ş", "u:ü"], ["ro"] = ["a:ă â", "i:î", "s:ș", "t:ț"],
        ["hr"] = ["c:č ć", "d:dž đ", "l:lj", "n:nj", "s:š", "z:ž"], ["sl"] = ["c:č ć", "d:đ", "s:š", "z:ž"],
        ["lt"] = ["c:č", "i:y", "s:š", "z:ž"], ["lv"] = ["c:č", "g:ģ", "k:ķ", "l:ļ", "n:ņ", "s:š", "z:ž"],
        ["et"] = ["s:š z ž", "w:õ ä ö ü"], ["uk"] = ["г:ґ", "е:є", "и:і ї"],
        ["cy"] = ["c:ch", "d:dd", "f:ff", "g:ng", "l:ll", "p:ph", "r:rh", "t:th"],
    };

    /// <summary>Letters with marks under the letter they are, and those that are two.</summary>
    private static readonly Dictionary<char, string> Plain = new[]
    {
        "a:àáâãäåāăąǎạảấầẩẫậắằẳẵặ", "c:çćčĉċ", "d:ďđð", "e:èéêëēĕėęěẹẻẽếềểễệ", "g:ğģĝġ", "h:ĥħ", "i:ìíîïĩīĭįıỉị", "j:ĵ", "k:ķ",
        "l:ĺļľŀł", "n:ñńņňŉ", "o:òóôõöøōŏőơọỏốồổỗộớờởỡợ", "r:ŕŗř", "s:śŝşšș", "t:ţťŧț", "u:ùúûüũūŭůűųưụủứừửữự", "w:ŵẁẃẅ", "y:ýÿŷỳỵỷỹ",
        "z:źżž", "ae:æ", "oe:œ", "ss:ß", "th:þ", "α:ά", "ε:έ", "η:ή", "ι:ίϊΐ", "ο:ό", "υ:ύϋΰ", "ω:ώ", "σ:ς", "е:ё",
    }.SelectMany(p => p[(p.IndexOf(':') + 1)..].Select(c => (Letter: c, As: p[..p.IndexOf(':')])))
        .ToDictionary(p => p.Letter, p => p.As);

    /// <summary>By the letters as they are written: the one each follows, and how far after it.</summary>
    private readonly (string Letters, char After, int Place)[] _own = [.. Alphabets.GetValueOrDefault(language, [])
        .SelectMany(a => a[2..].Split(' ').Select((letters, n) => (letters, a[0], n + 1)))
        .OrderByDescending(a => a.letters.Length)];

    public int Compare(string? x, string? y)
    {
        var (a, b) = (Key(x ?? ""), Key(y ?? ""));
        for (var n = 0; n < Math.Min(a.Count, b.Count); n++)
            if (a[n].CompareTo(b[n]) is not 0 and var order) return order;
        return a.Count != b.Count ? a.Count.CompareTo(b.Count)
            : string.Compare(x, y, StringComparison.OrdinalIgnoreCase) is not 0 and var marks ? marks
            : -string.CompareOrdinal(x, y);
    }

    private List<(char Letter, int Place)> Key(string words)
    {
        var said = words.ToLowerInvariant();
        var key = new List<(char, int)>(said.Length);
        for (var at = 0; at < said.Length;)
        {
            if (Array.Find(_own, o => said.AsSpan(at).StartsWith(o.Letters, StringComparison.Ordinal)) is { Letters: { } letters } own)
            {
                key.Add((own.After, own.Place));
                at += letters.Length;
                continue;
            }
            var c = said[at++];
            if (char.IsWhiteSpace(c) || c == '-') key.Add((' ', 0));
            else if (char.IsLetterOrDigit(c)) foreach (var plain in Plain.GetValueOrDefault(c, c.ToString())) key.Add((plain, 0));
        }
        return key;
    }
}
