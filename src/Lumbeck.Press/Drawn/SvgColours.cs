using System.Xml.Linq;

namespace Lumbeck.Press.Drawn;

/// <summary>Colours, lengths and placings as SVG writes them.</summary>
internal static class SvgColours
{
    private static readonly Dictionary<string, string> Names = new(StringComparer.OrdinalIgnoreCase)
    {
        ["black"] = "#000000",
        ["white"] = "#ffffff",
        ["red"] = "#ff0000",
        ["green"] = "#008000",
        ["blue"] = "#0000ff",
        ["yellow"] = "#ffff00",
        ["cyan"] = "#00ffff",
        ["aqua"] = "#00ffff",
        ["magenta"] = "#ff00ff",
        ["fuchsia"] = "#ff00ff",
        ["gray"] = "#808080",
        ["grey"] = "#808080",
        ["silver"] = "#c0c0c0",
        ["maroon"] = "#800000",
        ["olive"] = "#808000",
        ["lime"] = "#00ff00",
        ["teal"] = "#008080",
        ["navy"] = "#000080",
        ["purple"] = "#800080",
        ["orange"] = "#ffa500",
        ["brown"] = "#a52a2a",
        ["gold"] = "#ffd700",
        ["tan"] = "#d2b48c",
        ["beige"] = "#f5f5dc",
        ["ivory"] = "#fffff0",
        ["khaki"] = "#f0e68c",
        ["pink"] = "#ffc0cb",
        ["crimson"] = "#dc143c",
        ["indigo"] = "#4b0082",
        ["coral"] = "#ff7f50",
        ["currentcolor"] = "#000000",
    };

    /// <exception cref="Core.Refusal">It is no colour that is read.</exception>
    public static AskedRgb Read(string text)
    {
        text = text.Trim();
        if (Names.TryGetValue(text, out var named)) text = named;
        // rgb(10%, …) and see-through notations are left to those who write them otherwise.
        var asked = text.StartsWith('#') || (text.StartsWith("rgb(", StringComparison.OrdinalIgnoreCase) && !text.Contains('%', StringComparison.Ordinal)) ? Asked.Read(text) : null;
        return asked as AskedRgb ?? throw SvgReading.No($"the colour `{Core.Measures.LengthText.Clip(text)}` can’t be read: write it as #rrggbb");
    }

    /// <summary>A length in the drawing's own unit: a bare number, or px, pt, mm, cm or in; a share of <paramref name="of"/> with %.</summary>
    public static double Length(string? text, double otherwise, double of = 0)
    {
        if (string.IsNullOrWhiteSpace(text)) return otherwise;
        text = text.Trim();
        foreach (var (unit, factor) in ((string, double)[])[("px", 1), ("pt", 4 / 3.0), ("mm", 96 / 25.4), ("cm", 96 / 2.54), ("in", 96), ("%", of / 100)])
            if (text.EndsWith(unit, StringComparison.OrdinalIgnoreCase)) return Number(text[..^unit.Length]) * factor;
        return Number(text);
    }

    public static double Number(string text) => double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var n) && double.IsFinite(n) && Math.Abs(n) < 1e7 ? n : throw SvgReading.No($"`{Core.Measures.LengthText.Clip(text)}` is no number");

    public static double[] Numbers(string text)
    {
        // A minus may follow a figure without a gap.
        var spaced = System.Text.RegularExpressions.Regex.Replace(text, "(?<=[0-9.])-", " -");
        return [.. spaced.Split([' ', ',', '\t', '\r', '\n'], StringSplitOptions.RemoveEmptyEntries).Select(Number)];
    }

    /// <summary>A list of placings, the last one first to take effect.</summary>
    public static Affine Placing(string? text)
    {
        var all = Affine.Identity;
        if (string.IsNullOrWhiteSpace(text)) return all;
        if (text.Length > 2000) throw SvgReading.No("a placing of it is over 2000 letters long");
        foreach (System.Text.RegularExpressions.Match m in System.Text.RegularExpressions.Regex.Matches(text, @"(\w+)\s*\(([^)]*)\)"))
        {
            var n = Numbers(m.Groups[2].Value);
            Affine next = (m.Groups[1].Value, n) switch
            {
                ("matrix", [var a, var b, var c, var d, var e, var f]) => new(a, b, c, d, e, f),
                ("translate", [var x]) => Affine.Move(x, 0),
                ("translate", [var x, var y]) => Affine.Move(x, y),
                ("scale", [var k]) => new(k, 0, 0, k, 0, 0),
                ("scale", [var x, var y]) => new(x, 0, 0, y, 0, 0),
                ("rotate", [var turn]) => Affine.Rotate(turn),
                ("rotate", [var turn, var x, var y]) => Affine.Move(-x, -y).Then(Affine.Rotate(turn)).Then(Affine.Move(x, y)),
                ("skewX", [var s]) => new(1, 0, Math.Tan(s * Math.PI / 180), 1, 0, 0),
                ("skewY", [var s]) => new(1, Math.Tan(s * Math.PI / 180), 0, 1, 0, 0),
                _ => throw SvgReading.No($"the placing `{Core.Measures.LengthText.Clip(m.Value)}` can’t be read"),
            };
            all = next.Then(all);
        }
        return all;
    }

    /// <summary>What an attribute, a style or a class of the style sheet says; of them the style leads.</summary>
    public static string? Says(XElement e, string name, IReadOnlyDictionary<string, string> sheet)
    {
        static string? within(string? style, string name) => style?.Split(';').Select(p => p.Split(':', 2)).Where(p => p.Length == 2 && p[0].Trim() == name).Select(p => p[1].Replace("!important", "", StringComparison.Ordinal).Trim()).LastOrDefault();
        if (within((string?)e.Attribute("style"), name) is { } own) return own;
        foreach (var c in ((string?)e.Attribute("class") ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries).Reverse())
            if (sheet.TryGetValue("." + c, out var rule) && within(rule, name) is { } said) return said;
        return (string?)e.Attribute(name);
    }
}
