using System.Xml.Linq;

namespace Lumbeck.Press.Drawn;

/// <summary>
/// How an element is drawn once attributes, style sheets, its own style and what it inherits are taken together (SVG 2,
/// 6.2 and 6.4).
/// </summary>
internal sealed class SvgLook
{
    private readonly Dictionary<string, string> _inherited;
    private readonly Dictionary<string, string> _own;

    private SvgLook(Dictionary<string, string> inherited, Dictionary<string, string> own) =>
        (_inherited, _own) = (inherited, own);

    /// <summary>As every drawing begins.</summary>
    public static SvgLook Initial => new(Inherited, []);

    /// <summary>What a property says; for those that are not inherited an empty word where nobody says it.</summary>
    public string this[string name] => _own.GetValueOrDefault(name) ?? _inherited.GetValueOrDefault(name, "");

    public string? Said(string name) => _own.GetValueOrDefault(name);

    /// <summary>An element's look within its parent's.</summary>
    /// <exception cref="Refusal">It says what is not read; that is named.</exception>
    public SvgLook Of(XElement e, SvgSheet sheet)
    {
        var own = new Dictionary<string, string>();
        void say(string name, string value)
        {
            value = value.Trim();
            if (value.Length == 0) return;
            if (name == "marker")
            {
                foreach (var place in (string[])["marker-start", "marker-mid", "marker-end"]) say(place, value);
                return;
            }
            if (!IsRead(name, value))
                throw SvgReading.No($"`{LengthText.Clip(name)}: {LengthText.Clip(value)}` is not read: turn it to " +
                    $"plain shapes, or save it as a PNG");
            own[name] = value switch
            {
                "inherit" => Inherited.ContainsKey(name) ? _inherited[name] : this[name],
                "initial" => Inherited.GetValueOrDefault(name, ""),
                "unset" or "revert" => Inherited.ContainsKey(name) ? _inherited[name] : "",
                _ => value,
            };
        }
        foreach (var a in e.Attributes())
            if (a.Name.NamespaceName == "" && IsPresented(a.Name.LocalName)) say(a.Name.LocalName, a.Value);
        var rules = sheet.Of(e).ToList();
        var inline = SvgSheet.Inline((string?)e.Attribute("style"));
        // Sheets before the element's own style, and what is important after what is not.
        foreach (var important in (bool[])[false, true])
            foreach (var d in rules.Concat(inline).Where(d => d.Important == important)) say(d.Name, d.Value);
        SvgFonts.Settle(own, _inherited);
        var inherited = _inherited;
        foreach (var (name, value) in own)
            if (Inherited.ContainsKey(name) && inherited[name] != value)
            {
                if (ReferenceEquals(inherited, _inherited)) inherited = new(_inherited);
                inherited[name] = value;
            }
        return new(inherited, own);
    }

    /// <summary>An element's look where it stands in the file, with all that it inherits there.</summary>
    public static SvgLook Standing(XElement e, SvgSheet sheet) =>
        e.AncestorsAndSelf().Reverse().Aggregate(Initial, (look, one) => look.Of(one, sheet));

    /// <summary>What an element takes from its parent, and what it is where nobody says it.</summary>
    private static readonly Dictionary<string, string> Inherited = new()
    {
        ["fill"] = "black",
        ["stroke"] = "none",
        ["stroke-width"] = "1",
        ["stroke-linecap"] = "butt",
        ["stroke-linejoin"] = "miter",
        ["stroke-miterlimit"] = "4",
        ["stroke-dasharray"] = "none",
        ["stroke-dashoffset"] = "0",
        ["fill-rule"] = "nonzero",
        ["clip-rule"] = "nonzero",
        ["fill-opacity"] = "1",
        ["stroke-opacity"] = "1",
        ["color"] = "black",
        ["visibility"] = "visible",
        ["paint-order"] = "normal",
        ["marker-start"] = "none",
        ["marker-mid"] = "none",
        ["marker-end"] = "none",
        ["font-family"] = "serif",
        ["font-size"] = "16",
        ["font-weight"] = "400",
        ["font-style"] = "normal",
        ["font-variant"] = "normal",
        ["font-feature-settings"] = "normal",
        ["font-variation-settings"] = "normal",
        ["text-anchor"] = "start",
        ["text-transform"] = "none",
        ["letter-spacing"] = "normal",
        ["word-spacing"] = "normal",
        ["white-space"] = "normal",
        ["writing-mode"] = "horizontal-tb",
        ["direction"] = "ltr",
        ["dominant-baseline"] = "auto",
    };

    private static readonly HashSet<string> Own =
    [
        "opacity", "display", "clip-path", "transform", "stop-color", "stop-opacity", "overflow",
        "x", "y", "width", "height", "rx", "ry", "cx", "cy", "r", "font", "text-decoration", "baseline-shift",
    ];

    /// <summary>What has no say in how shapes are drawn here.</summary>
    private static readonly HashSet<string> Idle =
    [
        "cursor", "pointer-events", "unicode-bidi", "kerning", "line-height", "inline-size",
        "alignment-baseline", "glyph-orientation-horizontal",
            "glyph-orientation-vertical",
        "shape-rendering", "image-rendering", "color-rendering", "color-interpolation-filters", "color-profile",
            "enable-background", "isolation", "user-select", "will-change",
        "flood-color", "flood-opacity", "lighting-color", "solid-color", "solid-opacity", "shape-inside",
            "shape-subtract", "shape-padding", "shape-margin", "max-width", "max-height", "margin", "padding",
    ];

    private static bool IsPresented(string name) =>
        name is "filter" or "mask" or "mix-blend-mode" or "vector-effect" or "transform-origin" or "color-interpolation" or "marker"
        || Inherited.ContainsKey(name) || Own.Contains(name);

    private static bool IsRead(string name, string value) =>
        Inherited.ContainsKey(name) || Own.Contains(name) || Idle.Contains(name) || name[0] == '-'
        || name.StartsWith("font", StringComparison.Ordinal) || name.StartsWith("text-", StringComparison.Ordinal)
        || value is "none" or "auto" or "normal" or "initial" or "unset" or "inherit"
        || (name is "color-interpolation" && value is "sRGB")
            || (name is "transform-origin" && value is "0 0" or "0px 0px" or "0" or "left top")
        || (name is "background" or "background-color" && value is "transparent");
}
