using System.Text;

namespace Lumbeck.Press.Pdf;

/// <summary>Figures, strings and dates as PDF writes them (ISO 32000-1, 7.3 and 7.9).</summary>
internal static class PdfSyntax
{
    /// <summary>A figure to four places, never with an exponent.</summary>
    public static string Figure(double value)
    {
        var r = Math.Round(value, 4);
        return r == 0 ? "0" : r.ToString("0.####", CultureInfo.InvariantCulture);
    }

    /// <summary>Figures with a space between.</summary>
    public static string Figures(params ReadOnlySpan<double> all)
    {
        var s = new StringBuilder();
        foreach (var one in all) s.Append(s.Length > 0 ? " " : "").Append(Figure(one));
        return s.ToString();
    }

    /// <summary>A placing's six figures; shares to eight places, for a small unit may be carried far.</summary>
    public static string Matrix(Affine m)
    {
        string share(double v) =>
            Math.Round(v, 8) is var r && r == 0 ? "0" : r.ToString("0.########", CultureInfo.InvariantCulture);
        return $"{share(m.A)} {share(m.B)} {share(m.C)} {share(m.D)} {Figure(m.E)} {Figure(m.F)}";
    }

    /// <summary>A text string: Latin letters as they are, anything else in UTF-16 with its mark (7.9.2.2).</summary>
    public static string String(string text)
    {
        if (text.All(c => c is >= ' ' and < '\u007f'))
            return "(" + text.Replace("\\", "\\\\", StringComparison.Ordinal)
                .Replace("(", "\\(", StringComparison.Ordinal).Replace(")", "\\)", StringComparison.Ordinal) + ")";
        return $"<FEFF{Utf16(text)}>";
    }

    /// <summary>A name without its slash: what is no plain letter or figure by its number (7.3.5).</summary>
    public static string Name(string name) =>
        string.Concat(Encoding.UTF8.GetBytes(name)
            .Select(b => b < 128 && char.IsAsciiLetterOrDigit((char)b) ? ((char)b).ToString() : $"#{b:X2}"));

    public static string Utf16(string text) => Convert.ToHexString(Encoding.BigEndianUnicode.GetBytes(text));

    public static string Date(DateTimeOffset at) =>
        "(D:" + at.UtcDateTime.ToString("yyyyMMddHHmmss", CultureInfo.InvariantCulture) + "Z)";

    /// <summary>A box's four corners, measured from the page's lower left.</summary>
    public static string Rectangle(Box box, Length pageHeight) =>
        $"[{Figure(box.X.Points)} {Figure((pageHeight - box.Bottom).Points)} {Figure(box.Right.Points)} " +
            $"{Figure((pageHeight - box.Y).Points)}]";

    /// <summary>Shares of the four inks, exactly as given: hundredths of a percent have four places.</summary>
    public static string Inks(Ink i) =>
        $"{Figure(i.C / 10_000.0)} {Figure(i.M / 10_000.0)} {Figure(i.Y / 10_000.0)} {Figure(i.K / 10_000.0)}";
}
