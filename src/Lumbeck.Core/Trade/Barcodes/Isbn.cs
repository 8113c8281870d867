using System.Text.Json;

namespace Lumbeck.Core.Trade.Barcodes;

/// <summary>An ISBN-13 whose check digit is right (ISO 2108). Hyphenated by the agency's ranges.</summary>
public readonly record struct Isbn
{
    private Isbn(string digits) => Digits = digits;

    /// <summary>All thirteen digits without hyphens, the check digit last (ISO 2108).</summary>
    public string Digits { get; }

    /// <summary>
    /// Reads an ISBN-13, or an ISBN-10 which becomes its 978 number; hyphens and spaces are passed over.
    /// </summary>
    /// <param name="why">Why not, with what would do.</param>
    public static bool TryParse(string text, out Isbn isbn, out string why)
    {
        isbn = default;
        why = "";
        var raw = text.Trim();
        if (raw.StartsWith("ISBN", StringComparison.OrdinalIgnoreCase)) raw = raw[4..].TrimStart(':', ' ', '-');
        var digits = string.Concat(raw.Where(c => c is not ('-' or ' ' or '\u2010' or '\u2011' or '\u2013')));
        if (digits.Length == 10 && digits[..9].All(char.IsAsciiDigit)
            && (char.IsAsciiDigit(digits[9]) || digits[9] is 'X' or 'x'))
        {
            if (CheckTen(digits) != char.ToUpperInvariant(digits[9]))
            {
                why = $"the last digit of {digits} should be {CheckTen(digits)}: compare the number with your agency's";
                return false;
            }
            digits = "978" + digits[..9];
            digits += Ean13.CheckDigit(digits);
        }
        if (digits.Length != 13 || !digits.All(char.IsAsciiDigit))
        {
            why = $"`{LengthText.Clip(text)}` is no ISBN: it has 13 digits, such as 978-0-00-000000-2";
            return false;
        }
        if (!digits.StartsWith("978", StringComparison.Ordinal) && !digits.StartsWith("979", StringComparison.Ordinal))
        {
            why = $"{digits} begins with {digits[..3]}: an ISBN begins with 978 or 979";
            return false;
        }
        if (Ean13.CheckDigit(digits) != digits[12])
        {
            why =
                $"the last digit of {digits} should be {Ean13.CheckDigit(digits)}: compare the number with your agency's";
            return false;
        }
        isbn = new(digits);
        return true;
    }

    /// <summary>“978-0-00-000000-2”; group and registrant by the ranges, whole where a number lies in none.</summary>
    public override string ToString() => Hyphenate(Digits);

    /// <summary>Any thirteen digits, hyphenated by the ranges.</summary>
    public static string Hyphenate(string d)
    {
        if (d is not { Length: 13 }) return d ?? "";
        foreach (var (prefix, ranges) in Groups.Value)
        {
            var (agency, group) = (prefix[..3], prefix[4..]);
            if (!d.StartsWith(agency, StringComparison.Ordinal)
                || string.CompareOrdinal(d, 3, group, 0, group.Length) != 0)
                continue;
            var rest = d[(3 + group.Length)..12];
            foreach (var (low, high) in ranges)
                if (low.Length < rest.Length && string.CompareOrdinal(rest[..low.Length], low) >= 0
                    && string.CompareOrdinal(rest[..low.Length], high) <= 0)
                    return $"{agency}-{group}-{rest[..low.Length]}-{rest[low.Length..]}-{d[12]}";
        }
        return d;
    }

    private static char CheckTen(string d)
    {
        var sum = 0;
        for (var i = 0; i < 9; i++) sum += (10 - i) * (d[i] - '0');
        var check = (11 - (sum % 11)) % 11;
        return check == 10 ? 'X' : (char)('0' + check);
    }

    // Registration groups with their registrants' ranges (ISO 2108): no group's figures begin another's, so that the order
    // in which they are asked decides nothing.
    private static readonly Lazy<List<(string Prefix, List<(string Low, string High)> Ranges)>> Groups = new(() =>
    {
        using var stream = typeof(Isbn).Assembly.GetManifestResourceStream("isbn/isbn-ranges")!;
        using var doc = JsonDocument.Parse(stream);
        return ReadGroups(doc.RootElement).ToList();
    });
    private static IEnumerable<(string, List<(string, string)>)> ReadGroups(JsonElement root)
    {
        foreach (var group in root.EnumerateObject())
            yield return (group.Name,
                [.. group.Value.GetProperty("ranges").EnumerateArray()
                    .Select(r => (r[0].GetString()!, r[1].GetString()!))]);
    }
}
