namespace Lumbeck.Core.Trade.Barcodes;

/// <summary>
/// EAN-13 (ISO/IEC 15420): 95 modules of 0.33 mm at 100 %, with 11 quiet modules left and 7 right,
/// bars 22.85 mm high and guards 1.65 mm longer (docs/press-files.md, Barcodes).
/// </summary>
public static class Ean13
{
    public const int Modules = 95, QuietLeft = 11, QuietRight = 7, QuietUpc = 9;
    public static readonly Length Module = Length.FromMillimetres(0.33m);
    public static readonly Length BarHeight = Length.FromMillimetres(22.85m);
    public static readonly Length GuardBeyond = Length.FromMillimetres(1.65m);
    /// <summary>Symbol with quiet zones and digits at 100 %: 37.29 × 25.93 mm.</summary>
    public static readonly Size Symbol = Size.FromMillimetres(37.29m, 25.93m);

    private static readonly string[] Left = ["0001101", "0011001", "0010011", "0111101", "0100011", "0110001",
        "0101111", "0111011", "0110111", "0001011"];
    // Which of the six left digits are drawn in the even set, by the first digit.
    private static readonly string[] Parity = ["LLLLLL", "LLGLGG", "LLGGLG", "LLGGGL", "LGLLGG", "LGGLLG", "LGGGLL",
        "LGLGLG", "LGLGGL", "LGGLGL"];

    /// <summary>The check digit of the first twelve digits.</summary>
    public static char CheckDigit(string digits)
    {
        var sum = 0;
        for (var i = 0; i < 12; i++) sum += (digits[i] - '0') * (i % 2 == 0 ? 1 : 3);
        return (char)('0' + ((10 - (sum % 10)) % 10));
    }

    /// <summary>The 95 modules, dark as 1. Draws the thirteen digits as given, whatever the last.</summary>
    public static string Pattern(string digits)
    {
        var parity = Parity[digits[0] - '0'];
        var s = new System.Text.StringBuilder(Modules).Append("101");
        for (var i = 0; i < 6; i++)
        {
            s.Append(parity[i] == 'L' ? Odd(digits[i + 1]) : Even(digits[i + 1]));
        }
        s.Append("01010");
        for (var i = 7; i < 13; i++) s.Append(Invert(Left[digits[i] - '0']));
        return s.Append("101").ToString();
    }

    /// <summary>The bars of a pattern as (first module, modules wide).</summary>
    public static IEnumerable<(int Start, int Width)> Bars(string pattern)
    {
        for (var i = 0; i < pattern.Length; i++)
        {
            if (pattern[i] == '0') continue;
            var start = i;
            while (i + 1 < pattern.Length && pattern[i + 1] == '1') i++;
            yield return (start, i - start + 1);
        }
    }

    /// <summary>
    /// Whether the bar that begins at a module is a guard, which is longer; a UPC-A draws its first and last digit so
    /// too.
    /// </summary>
    public static bool IsGuard(int start, bool upc) =>
        start < (upc ? 10 : 3) || start >= (upc ? 85 : 92) || start is >= 45 and < 50;

    /// <summary>Sets of a digit's seven modules.</summary>
    internal static string Odd(char digit) => Left[digit - '0'];
    internal static string Even(char digit) => new([.. Invert(Left[digit - '0']).Reverse()]);

    private static string Invert(string s) => string.Concat(s.Select(c => c == '0' ? '1' : '0'));
}
