using System.Xml;
using System.Xml.Linq;

namespace Lumbeck.Press.Drawn;

/// <summary>
/// An SVG file's elements, read within bounds: what is too large, too deep or reaches outside the file is refused
/// before anything is made of it.
/// </summary>
internal sealed class SvgDocument
{
    /// <summary>Most bytes, elements, attributes of one element, and levels.</summary>
    public const int MostBytes = 8_000_000, MostElements = 60_000, MostAttributes = 200, Deepest = 60;

    private readonly Dictionary<string, XElement> _named = [];

    private SvgDocument(XElement root) => Root = root;

    public XElement Root { get; }

    /// <summary>All style sheets within, one after the other.</summary>
    public string Css { get; private set; } = "";

    /// <summary>The element of a name such as <c>#leaf</c>; null where there is none.</summary>
    public XElement? Named(string? reference) => reference is ['#', .. var id] ? _named.GetValueOrDefault(id) : null;

    /// <summary>The element that one refers to.</summary>
    public XElement? Referred(XElement e) => Named(Reference(e));

    public static string? Reference(XElement e) =>
        e.Attributes().FirstOrDefault(a => a.Name.LocalName == "href")?.Value.Trim();

    /// <summary>Whether an element is of SVG itself; others are notes of the program that drew it.</summary>
    public static bool IsSvg(XElement e) => e.Name.NamespaceName is "" or "http://www.w3.org/2000/svg";

    /// <exception cref="Refusal">It is none that is read; why is said.</exception>
    public static SvgDocument Load(byte[] file, string name, CancellationToken cancel)
    {
        if (file.Length > MostBytes) throw SvgReading.No($"{name} is over {MostBytes / 1_000_000} MB of drawing: " +
            $"simplify it, or save it as a PNG");
        XElement root;
        try
        {
            Measure(file, cancel);
            using var reader = XmlReader.Create(new MemoryStream(file), Settings());
            root = XElement.Load(reader);
        }
        catch (XmlException) { throw SvgReading.No($"{name} is no sound SVG: save it anew"); }
        if (root.Name.LocalName != "svg")
            throw SvgReading.No($"{name} is no picture that can be taken in: JPEG, PNG, WebP, TIFF and SVG can");
        var document = new SvgDocument(root);
        document.Look();
        return document;
    }

    private static XmlReaderSettings Settings() =>
        new()
        {
            DtdProcessing = DtdProcessing.Ignore,
            XmlResolver = null,
            MaxCharactersInDocument = MostBytes,
            IgnoreComments = true,
            IgnoreProcessingInstructions = true
        };

    /// <summary>Goes through the file once without keeping any of it.</summary>
    private static void Measure(byte[] file, CancellationToken cancel)
    {
        using var reader = XmlReader.Create(new MemoryStream(file), Settings());
        var elements = 0;
        while (reader.Read())
        {
            if (reader.NodeType != XmlNodeType.Element) continue;
            if ((++elements & 1023) == 0) cancel.ThrowIfCancellationRequested();
            if (elements > MostElements) throw SvgReading.No($"it has more than {MostElements} parts: simplify it");
            if (reader.Depth > Deepest)
                throw SvgReading.No($"its parts lie more than {Deepest} deep in each other: ungroup some");
            if (reader.AttributeCount > MostAttributes)
                throw SvgReading.No($"a part of it has {reader.AttributeCount} attributes: up to {MostAttributes}");
        }
    }

    /// <summary>Notes names and style sheets, and refuses what is no part of a drawing for print.</summary>
    private void Look()
    {
        var css = new System.Text.StringBuilder();
        foreach (var e in Root.DescendantsAndSelf())
        {
            if (e.Attributes()
                .Any(a =>
                    a.Name.NamespaceName == ""
                        && a.Name.LocalName.StartsWith("on", StringComparison.OrdinalIgnoreCase)))
                throw SvgReading.No("it holds a script, which no drawing for print needs");
            if (!IsSvg(e))
            {
                if (e.Name.LocalName is "script" or "iframe" or "object")
                    throw SvgReading.No("it holds a script, which no drawing for print needs");
                continue;
            }
            var kind = e.Name.LocalName;
            if (kind is "script" or "foreignObject" or "iframe" or "object")
                throw SvgReading.No("it holds a script, which no drawing for print needs");
            // Whether it is seen, and can be set, is known where it is drawn.
            if (SvgTexts.Kinds.Contains(kind)) continue;
            if (!Read.Contains(kind)) throw SvgReading.No($"it holds a `{LengthText.Clip(kind)}`, which is not read: " +
                $"save it as a PNG instead");
            if (e.Attributes()
                .FirstOrDefault(a =>
                    a.Name.LocalName is "href" or "src" && !a.Value.TrimStart().StartsWith('#')) is { } outside)
                throw SvgReading.No($"it reaches outside its own file, for `{LengthText.Clip(outside.Value)}`");
            if (kind == "style" && Applies((string?)e.Attribute("type"), (string?)e.Attribute("media")))
                css.Append(e.Value).Append('\n');
            if ((string?)e.Attribute("id") is { Length: > 0 } id) _named.TryAdd(id, e);
        }
        Css = css.ToString();
    }

    /// <summary>The refusal of text that can't be set as it looks, by its group and its first words.</summary>
    /// <param name="text">The element.</param>
    /// <param name="how">What of it is not read, such as “along a path”.</param>
    public static Refusal HasText(XElement text, string how)
    {
        var group = text.Ancestors().Where(a => a.Name.LocalName == "g")
            .Select(a => a.Attributes().FirstOrDefault(n => n.Name.LocalName == "label")?.Value ?? (string?)a.Attribute("id"))
            .FirstOrDefault(n => n is { Length: > 0 });
        var where = group is null ? "it holds text" : $"its group “{LengthText.Clip(group)}” holds text";
        return SvgReading.No($"{where} {how}, “{LengthText.Clip(Plain.Line(text.Value))}”: turn that to paths first, " +
            $"or hide {(group is null ? "it" : "the group")} to leave it out");
    }

    private static bool Applies(string? type, string? media) =>
        type is null or "" or "text/css" && SvgSheet.Applies(media ?? "");

    /// <summary>What is read of SVG 2; all else is refused by its name.</summary>
    private static readonly HashSet<string> Read =
    [
        "svg", "g", "a", "defs", "symbol", "use", "switch", "style", "title", "desc", "metadata",
        "path", "rect", "circle", "ellipse", "line", "polyline", "polygon", "linearGradient", "radialGradient", "stop",
            "clipPath", "marker", "view",
    ];
}
