using Lumbeck.Press.Import.Resources;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Pdf;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>What one stretch of content names, as it is written.</summary>
internal sealed class ResourceDictionary
{
    private readonly SortedDictionary<string, SortedDictionary<string, string>> _kinds = new(StringComparer.Ordinal);

    private readonly Dictionary<(string, int), string> _names = [];

    /// <summary>
    /// The name that an object has here: by when it was first named, so that it is the same in every file.
    /// </summary>
    public string Add(string kind, int number) => _names.TryGetValue((kind, number), out var known) ? known
        : _names[(kind, number)] = Add(kind, string.Create(CultureInfo.InvariantCulture,
            $"{kind[0]}{_kinds.GetValueOrDefault(kind)?.Count + 1 ?? 1}"), $"{number} 0 R");

    private string Add(string kind, string name, string value)
    {
        if (!_kinds.TryGetValue(kind, out var all)) _kinds[kind] = all = new(StringComparer.Ordinal);
        all[name] = value;
        return name;
    }

    /// <summary>All of it as a dictionary.</summary>
    public override string ToString() => "<< " + string.Concat(_kinds.Select(k =>
        $"/{k.Key} << {string.Concat(k.Value.Select(v => $"/{v.Key} {v.Value} "))}>> ")) + ">>";

    public string Shading(ImportResources has, IToken? token, DictionaryToken? spaces) =>
        Add("Shading", has.Once(token, "shading", () => has.Shadings.Write(token, spaces)));

    public string Face(ImportResources has, IToken? token, int depth) => Add("Font", has.Face(token, depth));

    public string PatternInInks(ImportResources has) =>
        Add("ColorSpace", "InInks", has.Light
            || has.Inks.BlackAlone ? "[/Pattern /DeviceGray]" : "[/Pattern /DeviceCMYK]");

    public string Spot(ImportResources has, SeparationOrDeviceN spot) => Add("ColorSpace", has.Spot(spot));

    public string Over(ImportResources has, bool line, bool fill) => Add("ExtGState", has.Over(line, fill));

    public string Mixed(ImportResources has, bool multiplied) => Add("ExtGState", has.Mixed(multiplied));

    public string Pattern(ImportResources has, IToken? token, DictionaryToken? spaces, DictionaryToken? resources,
        int depth) =>
        Add("Pattern", has.Once(token, "pattern", () => has.Pattern(token, spaces, resources, depth)));

    public string Graphics(ImportResources has, IToken? token, DictionaryToken d, DictionaryToken? resources,
        int depth) =>
        Add("ExtGState", has.Once(token, "graphics", () => has.Graphics(d, resources, depth)));

    /// <summary>A picture or a form; null for what is not printed.</summary>
    public string? Object(ImportResources has, IToken? token, StreamToken stream, DictionaryToken? spaces,
        DictionaryToken? resources, int depth) => has.File.Name(stream.StreamDictionary, "Subtype") switch
        {
            "Image" => Add("XObject", has.Once(token, "picture", () => has.Picture(stream, spaces))),
            "Form" => Add("XObject", has.Once(token, "form", () => has.Form(stream, resources, false, depth))),
            _ => null,
        };
}
