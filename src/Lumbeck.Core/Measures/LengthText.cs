using System.Globalization;
using System.Text.RegularExpressions;

namespace Lumbeck.Core.Measures;

/// <summary>Lengths and sizes as people type and read them (docs/geometry.md, Quantities).</summary>
public static partial class LengthText
{
    private const string Vulgar = "¼½¾⅛⅜⅝⅞⅓⅔";
    private static readonly decimal[] VulgarValues = [0.25m, 0.5m, 0.75m, 0.125m, 0.375m, 0.625m, 0.875m, 1m / 3,
        2m / 3];

    [GeneratedRegex(
        """^(?<sign>[-−])?\s*(?:(?<whole>\d+)[\s-]+(?<top>\d+)\s*/\s*(?<bottom>\d+)|""" +
        """(?<top>\d+)\s*/\s*(?<bottom>\d+)|(?<whole>\d*)\s*(?<vulgar>[¼½¾⅛⅜⅝⅞⅓⅔])|""" +
        """(?<number>\d+(?:[.,]\d*)?|[.,]\d+))\s*""" +
        """(?<unit>in(?:ch(?:es)?)?\.?|["”″]|''|mm|cm|pt|points?|µm|μm|um|mils?)?$""",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex Shape();

    [GeneratedRegex(@"\s*(?:[x×✕*]|\bby\b)\s*", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex Times();

    /// <summary>
    /// Reads one length; a bare number takes <paramref name="bare"/>. Limited to ±1,000 m: points or pixels taken for
    /// inches are still read, so that they can be explained.
    /// </summary>
    public static bool TryParse(string text, Unit bare, out Length length, out string why)
    {
        if (!TryRead(text, out var number, out var unit))
        {
            length = default;
            why = $"`{Clip(text)}` is no length: try `{Example(bare)}`";
            return false;
        }
        return Make(text, number, unit ?? (bare == Unit.Inch ? "in" : "mm"), out length, out why);
    }

    /// <summary>Reads a width by a height; a unit on one side serves both.</summary>
    public static bool TryParseSize(string text, Unit bare, out Size size, out string why)
    {
        if (NamedSizes.Find(text) is { } named) { (size, why) = (named, ""); return true; }
        size = default;
        var example = bare == Unit.Inch ? "6 x 9 in" : "148 × 210 mm";
        var parts = Times().Split(text.Trim());
        if (parts.Length != 2)
        {
            why = $"`{Clip(text)}` is no size: try `{example}`";
            return false;
        }
        if (parts[0].Length == 0 || parts[1].Length == 0)
        {
            why = $"`{Clip(text)}` needs a {(parts[0].Length == 0 ? "width" : "height")}: try `{example}`";
            return false;
        }
        if (!TryRead(parts[0], out var w, out var wu) || !TryRead(parts[1], out var h, out var hu))
        {
            why = $"`{Clip(text)}` is no size: try `{example}`";
            return false;
        }
        var own = bare == Unit.Inch ? "in" : "mm";
        if (!Make(parts[0], w, wu ?? hu ?? own, out var width, out why)
            || !Make(parts[1], h, hu ?? wu ?? own, out var height, out why))
            return false;
        size = new(width, height);
        return true;
    }

    /// <summary>
    /// The unit that a typed size or length says; null where it says none, or one that jobs are not set out in.
    /// </summary>
    public static Unit? UnitIn(string text) =>
        Times().Split(text.Trim()).Select(p => TryRead(p, out _, out var unit) ? unit : null)
            .FirstOrDefault(u => u is not null) switch
        {
            "mm" or "cm" => Unit.Millimetre,
            "in" => Unit.Inch,
            _ => null,
        };

    /// <summary>
    /// Half of the last typed digit of each side of a size that <see cref="TryParseSize"/> reads; 0 for fractions.
    /// </summary>
    public static Size Slack(string text, Unit bare)
    {
        var parts = Times().Split(text.Trim());
        if (parts.Length != 2 || !TryRead(parts[0], out _, out var wu) || !TryRead(parts[1], out _, out var hu))
            return default;
        var own = bare == Unit.Inch ? "in" : "mm";
        return new(Half(parts[0], wu ?? hu ?? own), Half(parts[1], hu ?? wu ?? own));
    }

    private static Length Half(string text, string unit)
    {
        if (Shape().Match(text.Trim()) is not { Success: true } m || !m.Groups["number"].Success) return default;
        var typed = m.Groups["number"].Value;
        var point = typed.IndexOfAny(['.', ',']);
        var digits = point < 0 ? 0 : typed.Length - point - 1;
        var half = 0.5m;
        for (var i = 0; i < digits; i++) half /= 10;
        return Length.FromUnits((long)(half * PerUnit(unit)));
    }

    /// <summary>In the job's unit to 0.01 mm or 0.001 in, with the unit.</summary>
    public static string Show(this Length length, Unit unit) => $"{length.Figure(unit)} {Name(unit)}";

    /// <summary>In the job's unit to 0.01 mm or 0.001 in, the figure alone.</summary>
    public static string Figure(this Length length, Unit unit) => unit == Unit.Inch
        ? Round(length.Inches, 3).ToString("0.###", CultureInfo.InvariantCulture)
        : Round(length.Millimetres, 2).ToString("0.##", CultureInfo.InvariantCulture);

    /// <summary>A leaf's or block's thickness to 0.0001 mm, always in millimetres, as papers are sold.</summary>
    public static string Show(this Caliper caliper) =>
        $"{Round(caliper.Millimetres, 4).ToString("0.####", CultureInfo.InvariantCulture)} mm";

    /// <summary>As a term of a sum, to 0.001 mm or 0.001 in: terms as shown add up to the total as shown.</summary>
    public static string Term(this Length length, Unit unit) =>
        unit == Unit.Inch
            ? length.Show(unit)
            : $"{Round(length.Millimetres, 3).ToString("0.###", CultureInfo.InvariantCulture)} mm";

    /// <summary>As many digits as it takes to read back the very same length, with the unit.</summary>
    public static string Exact(this Length length, Unit unit)
    {
        var value = unit == Unit.Inch ? length.Inches : length.Millimetres;
        return $"{Round(value, 10).ToString("0.##########", CultureInfo.InvariantCulture)} {Name(unit)}";
    }

    public static string Show(this Size size, Unit unit) =>
        $"{size.Width.Figure(unit)} × {size.Height.Figure(unit)} {Name(unit)}";

    /// <summary>Points to 0.01, with the unit.</summary>
    public static string ShowPoints(this Length length) =>
        $"{Math.Round(length.Points, 2).ToString("0.##", CultureInfo.InvariantCulture)} pt";

    public static string Name(Unit unit) => unit == Unit.Inch ? "in" : "mm";

    /// <summary>A typed number with a decimal point or comma, or null.</summary>
    public static decimal? Number(string text) =>
        decimal.TryParse(text.Trim().Replace(',', '.').Replace('−', '-'),
            NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var n)
            ? n
            : null;

    /// <summary>What was typed, short enough to name in a sentence.</summary>
    public static string Clip(string text) => text.Length <= 40 ? text.Trim() : text[..39].Trim() + "…";

    private static decimal Round(decimal value, int places) => Math.Round(value, places, MidpointRounding.AwayFromZero);

    private static string Example(Unit bare) => bare == Unit.Inch ? "5.25 in" : "133.35 mm";

    private static bool TryRead(string text, out decimal number, out string? unit)
    {
        number = 0;
        unit = null;
        if (text.Length > 40) return false;
        var m = Shape().Match(text.Trim());
        if (!m.Success) return false;
        if (m.Groups["number"].Success)
        {
            if (Number(m.Groups["number"].Value) is not { } typed || typed > 1_000_000) return false;
            number = typed;
        }
        else
        {
            if (m.Groups["whole"].Length > 0
                && !decimal.TryParse(m.Groups["whole"].Value, NumberStyles.None, CultureInfo.InvariantCulture,
                    out number))
                return false;
            if (m.Groups["vulgar"].Success)
                number += VulgarValues[Vulgar.IndexOf(m.Groups["vulgar"].Value[0], StringComparison.Ordinal)];
            else
            {
                if (!decimal.TryParse(m.Groups["top"].Value, NumberStyles.None, CultureInfo.InvariantCulture,
                    out var top)
                    || !decimal.TryParse(m.Groups["bottom"].Value, NumberStyles.None, CultureInfo.InvariantCulture,
                        out var bottom)
                        || bottom == 0) return false;
                number += top / bottom;
            }
        }
        if (number > 1_000_000) return false;
        if (m.Groups["sign"].Success) number = -number;
        unit = m.Groups["unit"].Success ? m.Groups["unit"].Value : null;
        return true;
    }

    private static bool Make(string text, decimal number, string unit, out Length length, out string why)
    {
        var units = number * PerUnit(unit);
        if (Math.Abs(units) > 39_400m * Length.PerInch)
        {
            length = default;
            why = $"`{Clip(text)}` is longer than 1,000 m: type the unit with the number";
            return false;
        }
        length = Length.FromUnits((long)Math.Round(units, MidpointRounding.AwayFromZero));
        why = "";
        return true;
    }

    private static decimal PerUnit(string unit)
    {
        bool Is(params ReadOnlySpan<string> names)
        {
            foreach (var name in names) if (unit.Equals(name, StringComparison.OrdinalIgnoreCase)) return true;
            return false;
        }
        if (Is("mm")) return Length.PerMillimetre;
        if (Is("cm")) return 10 * Length.PerMillimetre;
        if (Is("pt", "point", "points")) return Length.PerPoint;
        if (Is("µm", "μm", "um")) return Length.PerMillimetre / 1000m;
        return Is("mil", "mils") ? Length.PerInch / 1000m : Length.PerInch;
    }
}
