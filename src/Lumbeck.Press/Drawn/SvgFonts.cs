using System.Text.RegularExpressions;

namespace Lumbeck.Press.Drawn;

/// <summary>
/// Properties of fonts as CSS writes them (CSS Fonts 4, 2), brought to one figure or word each where they are said, so
/// that children inherit what was computed.
/// </summary>
internal static partial class SvgFonts
{
    private const double Medium = 16;

    [GeneratedRegex(@"^(?<before>(?:(?:normal|italic|oblique|bold|bolder|lighter|small-caps|[1-9]00)\s+)*)" +
        @"(?<size>[^\s/]+)(?:\s*/\s*\S+)?\s+(?<family>.+)$", RegexOptions.CultureInvariant)]
    private static partial Regex Shorthand();

    /// <summary>Takes <c>font</c> apart, and makes sizes and weights absolute.</summary>
    /// <param name="own">What an element says.</param>
    /// <param name="inherited">What it takes from its parent.</param>
    public static void Settle(Dictionary<string, string> own, Dictionary<string, string> inherited)
    {
        if (own.Remove("font", out var all) && Shorthand().Match(all) is { Success: true } m)
        {
            var words = SvgUnits.Words(m.Groups["before"].Value);
            own["font-style"] = words.FirstOrDefault(w => w is "italic" or "oblique") ?? "normal";
            own["font-variant"] = words.Contains("small-caps") ? "small-caps" : "normal";
            own["font-weight"] = words.FirstOrDefault(w => w is "bold" or "bolder" or "lighter" || char.IsDigit(w[0]))
                ?? "400";
            own["font-size"] = m.Groups["size"].Value;
            own["font-family"] = m.Groups["family"].Value;
        }
        if (own.TryGetValue("font-size", out var size))
            own["font-size"] = Size(size, SvgUnits.Number(inherited["font-size"]))
                .ToString("R", CultureInfo.InvariantCulture);
        if (own.TryGetValue("font-weight", out var weight))
            own["font-weight"] = Weight(weight, (int)SvgUnits.Number(inherited["font-weight"]))
                .ToString(CultureInfo.InvariantCulture);
    }

    private static double Size(string said, double parent) => said switch
    {
        "xx-small" => Medium * 3 / 5,
        "x-small" => Medium * 3 / 4,
        "small" => Medium * 8 / 9,
        "medium" => Medium,
        "large" => Medium * 6 / 5,
        "x-large" => Medium * 3 / 2,
        "xx-large" => Medium * 2,
        "smaller" => parent / 1.2,
        "larger" => parent * 1.2,
        _ => Along(said, parent, parent),
    };

    /// <summary>A length that may be of the size of type: <c>1.2em</c>, <c>2ex</c>.</summary>
    /// <param name="said">As it was written.</param>
    /// <param name="size">The size of type.</param>
    /// <param name="of">What percent are of.</param>
    public static double Along(string said, double size, double of)
    {
        var t = said.Trim();
        if (t.EndsWith("rem", StringComparison.Ordinal)) return Medium * SvgUnits.Number(t[..^3]);
        if (t.EndsWith("em", StringComparison.Ordinal)) return size * SvgUnits.Number(t[..^2]);
        if (t.EndsWith("ex", StringComparison.Ordinal)) return size / 2 * SvgUnits.Number(t[..^2]);
        return SvgUnits.Length(t, 0, of);
    }

    private static int Weight(string said, int parent) => said switch
    {
        "normal" => 400,
        "bold" => 700,
        "bolder" => parent < 350 ? 400 : parent < 550 ? 700 : 900,
        "lighter" => parent < 550 ? 100 : parent < 750 ? 400 : 700,
        _ => (int)Math.Clamp(SvgUnits.Number(said), 1, 1000),
    };

    /// <summary>A font-family list in its order, without quotes.</summary>
    public static IEnumerable<string> Families(string said) =>
        said.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
            .Select(f => f.Trim('"', '\'').Trim()).Where(f => f.Length > 0);
}
