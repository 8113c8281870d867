using System.Text.RegularExpressions;
using System.Xml.Linq;

namespace Lumbeck.Press.Drawn;

/// <summary>
/// Figures, lengths, placings and viewports as SVG writes them (SVG 2, 7 and 8; CSS Values 4; CSS Transforms 1).
/// </summary>
internal static partial class SvgUnits
{
    // A figure may follow another without a gap where its sign or its point begins it: 10.5.5 is 10.5 and 0.5.
    [GeneratedRegex(@"[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?", RegexOptions.CultureInvariant)]
    private static partial Regex Figure();

    [GeneratedRegex(@"^(?<figure>[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?)(?<unit>[a-zA-Z%]*)$",
        RegexOptions.CultureInvariant)]
    private static partial Regex Measure();

    [GeneratedRegex(@"(?<name>[a-zA-Z]+)\s*\((?<figures>[^()]*)\)[\s,]*", RegexOptions.CultureInvariant)]
    private static partial Regex Function();

    /// <summary>Words parted by white space, and by commas where those part them too.</summary>
    public static string[] Words(string? text, bool commas = false) =>
        (text ?? "")
            .Split(commas ? [' ', '\t', '\n', '\r', ','] : [' ', '\t', '\n', '\r'],
                StringSplitOptions.RemoveEmptyEntries);

    public static Refusal NoNumber(string text) => SvgReading.No($"`{LengthText.Clip(text)}` is no number");

    /// <exception cref="Refusal">It is none, or out of all range.</exception>
    public static double Number(string text) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var n) && double.IsFinite(n)
            && Math.Abs(n) < 1e7
            ? n
            : throw NoNumber(text);

    /// <summary>A row of figures, with or without commas.</summary>
    public static double[] Numbers(string text)
    {
        if (Figure().Replace(text, "").Any(c => !(char.IsWhiteSpace(c) || c == ','))) throw NoNumber(text);
        return [.. Figure().Matches(text).Select(m => Number(m.Value))];
    }

    /// <summary>
    /// A length in the drawing's own unit, which is a ninety-sixth of an inch; a share of <paramref name="of"/> with %.
    /// </summary>
    public static double Length(string? text, double otherwise, double of)
    {
        if (string.IsNullOrWhiteSpace(text) || text.Trim() == "auto") return otherwise;
        if (Measure().Match(text.Trim()) is not { Success: true } m) throw NoNumber(text);
        return Number(m.Groups["figure"].Value) * m.Groups["unit"].Value.ToLowerInvariant() switch
        {
            "" or "px" => 1,
            "pt" => 4 / 3.0,
            "pc" => 16,
            "mm" => 96 / 25.4,
            "cm" => 96 / 2.54,
            "q" => 96 / 101.6,
            "in" => 96,
            "%" => of / 100,
            _ => throw SvgReading.No($"`{LengthText.Clip(text)}` is in a unit that is not read: take px, mm or pt"),
        };
    }

    /// <summary>A share such as an opacity: 0.5 or 50%.</summary>
    public static double Share(string? text, double otherwise) => Math.Clamp(Length(text, otherwise, 1), 0, 1);

    private static double Degrees(string text)
    {
        var t = text.Trim();
        foreach (var (unit, factor) in ((string, double)[])[("deg", 1), ("grad", 0.9), ("rad", 180 / Math.PI),
            ("turn", 360)])
            if (t.EndsWith(unit, StringComparison.OrdinalIgnoreCase)) return Number(t[..^unit.Length].Trim()) * factor;
        return Number(t);
    }

    /// <summary>A list of placings, the last one first to take effect; figures bare or with units.</summary>
    public static Affine Placing(string? text)
    {
        var all = Affine.Identity;
        if (string.IsNullOrWhiteSpace(text) || text.Trim() == "none") return all;
        if (text.Length > 2000) throw SvgReading.No("a placing of it is over 2000 letters long");
        if (Function().Replace(text, "").Trim().Length > 0)
            throw SvgReading.No($"the placing `{LengthText.Clip(text)}` can’t be read");
        foreach (Match m in Function().Matches(text)) all = One(m).Then(all);
        return all;
    }

    private static Affine One(Match m)
    {
        // Figures with units are parted by commas or gaps; bare ones may touch each other.
        var figures = m.Groups["figures"].Value;
        string[] words = figures.Any(c => char.IsLetter(c) && c is not ('e' or 'E'))
            ? Words(figures, commas: true)
            : [.. Numbers(figures).Select(n => n.ToString("R", CultureInfo.InvariantCulture))];
        double far(int i) => Length(words[i], 0, 0);
        double turned(int i) => Degrees(words[i]) * Math.PI / 180;
        return (m.Groups["name"].Value, words.Length) switch
        {
            ("matrix", 6) => new(Number(words[0]), Number(words[1]), Number(words[2]), Number(words[3]), far(4),
                far(5)),
            ("translate", 1) or ("translateX", 1) => Affine.Move(far(0), 0),
            ("translateY", 1) => Affine.Move(0, far(0)),
            ("translate", 2) => Affine.Move(far(0), far(1)),
            ("scale", 1) => new(Number(words[0]), 0, 0, Number(words[0]), 0, 0),
            ("scale", 2) => new(Number(words[0]), 0, 0, Number(words[1]), 0, 0),
            ("scaleX", 1) => new(Number(words[0]), 0, 0, 1, 0, 0),
            ("scaleY", 1) => new(1, 0, 0, Number(words[0]), 0, 0),
            ("rotate", 1) => Affine.Rotate(Degrees(words[0])),
            ("rotate", 3) => Affine.Move(-far(1), -far(2)).Then(Affine.Rotate(Degrees(words[0])))
                .Then(Affine.Move(far(1), far(2))),
            ("skewX", 1) => new(1, 0, Math.Tan(turned(0)), 1, 0, 0),
            ("skewY", 1) => new(1, Math.Tan(turned(0)), 0, 1, 0, 0),
            _ => throw SvgReading.No($"the placing `{LengthText.Clip(m.Value)}` can’t be read"),
        };
    }

    /// <summary>What an element's <c>viewBox</c> shows; null where it has none.</summary>
    public static Bounds? ViewBox(XElement e)
    {
        if ((string?)e.Attribute("viewBox") is not { Length: > 0 } text) return null;
        if (Numbers(text) is not [var x, var y, var w, var h]) throw SvgReading.No("its viewBox has not four figures");
        return w <= 0 || h <= 0
            ? throw SvgReading.No("its viewBox shows nothing: its sides are to be over 0")
            : new(x, y, x + w, y + h);
    }

    /// <summary>How a viewBox lies in a viewport of this width and height (SVG 2, 8.2 and 8.6).</summary>
    public static Affine Fitted(Bounds box, double w, double h, string? aspect)
    {
        var (kx, ky) = (w / (box.Right - box.Left), h / (box.Bottom - box.Top));
        var words = (aspect ?? "xMidYMid meet").Split(' ', StringSplitOptions.RemoveEmptyEntries);
        if (words is ["defer", .. var rest]) words = rest;
        var align = words is [var first, ..] ? first : "xMidYMid";
        if (align == "none") return new(kx, 0, 0, ky, -box.Left * kx, -box.Top * ky);
        var k = words is [_, "slice"] ? Math.Max(kx, ky) : Math.Min(kx, ky);
        double share(string way) =>
            align.Contains(way + "Min", StringComparison.Ordinal)
                ? 0
                : align.Contains(way + "Max", StringComparison.Ordinal)
                ? 1
                : 0.5;
        var (left, top) = ((w - (k * (box.Right - box.Left))) * share("x"),
            (h - (k * (box.Bottom - box.Top))) * share("Y"));
        return new(k, 0, 0, k, left - (box.Left * k), top - (box.Top * k));
    }
}
