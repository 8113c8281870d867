using Lumbeck.Pdf.Colours;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>What one stretch of content names, as it is written (ISO 32000-2, 7.8.3).</summary>
internal sealed class ResourceDictionary
{
    private readonly SortedDictionary<string, SortedDictionary<string, PdfObject>> _kinds = new(StringComparer.Ordinal);

    private readonly Dictionary<(string, PdfRef), string> _names = [];

    /// <summary>
    /// The name that an object has here: by when it was first named, so that it is the same in every file.
    /// </summary>
    public string Add(string kind, PdfRef what) => _names.TryGetValue((kind, what), out var known) ? known
        : _names[(kind, what)] = Add(kind, string.Create(CultureInfo.InvariantCulture,
            $"{kind[0]}{_kinds.GetValueOrDefault(kind)?.Count + 1 ?? 1}"), what);

    private string Add(string kind, string name, PdfObject value)
    {
        if (!_kinds.TryGetValue(kind, out var all)) _kinds[kind] = all = new(StringComparer.Ordinal);
        all[name] = value;
        return name;
    }

    /// <summary>All of it as a dictionary.</summary>
    public PdfDict Dict()
    {
        var d = new PdfDict();
        foreach (var (kind, all) in _kinds) d.Set(kind, new PdfDict(all));
        return d;
    }

    public string Shading(ImportResources has, PdfObject? shading, PdfDict? spaces) =>
        Add("Shading", has.Once(shading, "shading", () => has.Shadings.Write(shading, spaces)));

    public string Face(ImportResources has, PdfObject? face, int depth) => Add("Font", has.Face(face, depth));

    public string PatternInInks(ImportResources has) => Add("ColorSpace", "InInks",
        PdfArray.Of("Pattern", has.Light || has.Inks.BlackAlone ? "DeviceGray" : "DeviceCMYK"));

    public string Spot(ImportResources has, SeparationOrDeviceN spot) => Add("ColorSpace", has.Spot(spot));

    public string Over(ImportResources has, bool line, bool fill) => Add("ExtGState", has.Over(line, fill));

    public string Mixed(ImportResources has, bool multiplied) => Add("ExtGState", has.Mixed(multiplied));

    public string Pattern(ImportResources has, PdfObject? pattern, PdfDict? spaces, PdfDict? resources, int depth) =>
        Add("Pattern", has.Once(pattern, "pattern", () => has.Pattern(pattern, spaces, resources, depth)));

    public string Graphics(ImportResources has, PdfObject? named, PdfDict d, PdfDict? resources, int depth) =>
        Add("ExtGState", has.Once(named, "graphics", () => has.Graphics(d, resources, depth)));

    /// <summary>A picture or a form; null for what is not printed.</summary>
    public string? Object(ImportResources has, PdfObject? named, PdfStream stream, PdfDict? spaces, PdfDict? resources,
        int depth) => has.File.Name(stream.Dict, "Subtype") switch
        {
            "Image" => Add("XObject", has.Once(named, "picture", () => has.Picture(stream, spaces))),
            "Form" => Add("XObject", has.Once(named, "form", () => has.Form(stream, resources, false, depth))),
            _ => null,
        };
}
