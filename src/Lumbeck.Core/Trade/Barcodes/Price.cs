namespace Lumbeck.Core.Trade.Barcodes;

/// <summary>What a copy costs: an amount above 0 in a currency of ISO 4217.</summary>
public sealed record Price(decimal Amount, string Currency)
{
    /// <summary>The currencies books are priced in here, with the signs people type for them.</summary>
    private static readonly (string Code, string Sign)[] Currencies =
        [("USD", "$"), ("GBP", "£"), ("EUR", "€"), ("CAD", "C$"), ("AUD", "A$"), ("NZD", "NZ$"), ("CHF", "Fr"),
            ("SEK", "kr"), ("DKK", ""), ("NOK", ""), ("PLN", "zł"), ("CZK", "Kč"), ("HUF", "Ft"), ("ILS", "₪"),
            ("JPY", "¥"), ("INR", "₹"), ("ZAR", "R"), ("BRL", "R$"), ("MXN", "")];

    public override string ToString() =>
        $"{Amount.ToString(decimal.IsInteger(Amount) ? "0" : "0.00", CultureInfo.InvariantCulture)} {Currency}";

    /// <summary>Reads `12.99 GBP`, `£12.99` or `12,99 €`.</summary>
    public static bool TryParse(string text, out Price price, out string why)
    {
        price = new(0, "");
        var t = text.Trim();
        var figures = string.Concat(t.Where(c => char.IsAsciiDigit(c) || c is '.' or ','));
        var word = string.Concat(t.Where(c => !char.IsAsciiDigit(c) && c is not ('.' or ',' or ' ')));
        var code = Currencies.FirstOrDefault(c =>
            c.Code.Equals(word, StringComparison.OrdinalIgnoreCase)
                || (c.Sign.Length > 0 && c.Sign.Equals(word, StringComparison.OrdinalIgnoreCase)))
            .Code;
        if (LengthText.Number(figures) is not { } amount) { why = $"`{LengthText.Clip(text)}` is no price: try `12.99 GBP`"; return false; }
        if (code is null)
        {
            why = word.Length == 0
                ? $"`{LengthText.Clip(text)}` needs its currency: try `{LengthText.Clip(figures)} GBP`"
                : $"`{LengthText.Clip(word)}` is no currency here: take {string.Join(", ", Currencies.Select(c => c.Code))}";
            return false;
        }
        if (amount is <= 0 or > 1_000_000 || decimal.Round(amount, 2) != amount)
        {
            why =
                $"a price of {LengthText.Clip(figures)} {code} can't be: from 0.01 to 1,000,000, with up to two places";
            return false;
        }
        price = new(amount, code);
        why = "";
        return true;
    }
}
