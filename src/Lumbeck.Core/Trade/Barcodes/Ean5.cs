namespace Lumbeck.Core.Trade.Barcodes;

/// <summary>
/// The five-digit add-on beside an EAN-13 (ISO/IEC 15420, annex): 47 modules after a gap of 7 to 12, 5 quiet at its
/// right. On books it tells the price
/// (docs/press-files.md, Barcodes).
/// </summary>
public static class Ean5
{
    public const int Modules = 47, Gap = 9, QuietRight = 5;

    // Which digits are drawn in the even set, by the sum that checks them.
    private static readonly string[] Parity = ["GGLLL", "GLGLL", "GLLGL", "GLLLG", "LGGLL", "LLGGL", "LLLGG", "LGLGL",
        "LGLLG", "LLGLG"];

    /// <summary>The first digit by currency; the other four are the price in hundredths, up to 99.99.</summary>
    public static IReadOnlyList<(string Currency, char Prefix)> Currencies { get; } = [("GBP", '0'), ("AUD", '3'),
        ("NZD", '4'), ("USD", '5'), ("CAD", '6')];

    /// <summary>
    /// The digits that tell a price; null for a currency that has no prefix, and for one too high for four digits.
    /// </summary>
    public static string? Of(Price price) =>
        Currencies.FirstOrDefault(c => c.Currency == price.Currency).Prefix is var prefix and not '\0'
            && price.Amount < 100
            ? prefix + ((int)(price.Amount * 100)).ToString("0000", CultureInfo.InvariantCulture)
            : null;

    /// <summary>The 47 modules of five digits, dark as 1.</summary>
    public static string Pattern(string digits)
    {
        var check = 0;
        for (var i = 0; i < 5; i++) check += (digits[i] - '0') * (i % 2 == 0 ? 3 : 9);
        var parity = Parity[check % 10];
        return "1011" + string.Join("01", digits.Select((d, i) => parity[i] == 'L' ? Ean13.Odd(d) : Ean13.Even(d)));
    }
}
