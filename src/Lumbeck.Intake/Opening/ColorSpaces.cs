using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Opening;

/// <summary>
/// Colour spaces of a page's content (ISO 32000-1, 8.6): what they are called, and which plates they name.
/// </summary>
internal sealed class ColorSpaces(Pdf pdf, PageUse use)
{
    /// <summary>A colour space by name or as it is written; and whether it is the colour of all plates.</summary>
    public (string Space, bool All) Of(string? name, DictionaryToken? resources)
    {
        if (name is null) return ("DeviceGray", false);
        if (name is "DeviceGray" or "DeviceRGB" or "DeviceCMYK" or "Pattern")
            return (pdf.Get(pdf.Dictionary(resources, "ColorSpace"),
                name.Replace("Device", "Default",
                    StringComparison.Ordinal)) is { } instead && name != "Pattern" ? Of(instead).Space : name,
                false);
        return pdf.Get(pdf.Dictionary(resources, "ColorSpace"), name) is { } own ? Of(own) : ("unknown", false);
    }

    /// <summary>The same as it is written.</summary>
    public (string Space, bool All) Of(IToken? token, int depth = 0)
    {
        if (depth > 8) throw new BoundsExceededException();
        switch (pdf.Resolve(token))
        {
            case NameToken n:
                return (Full(n.Data), false);
            case ArrayToken { Data.Count: > 0 } a when pdf.Resolve(a.Data[0]) is NameToken kind:
                switch (kind.Data)
                {
                    case "Separation" or "DeviceN":
                        use.Plates.UnionWith(Named(pdf, a));
                        var alternate = Of(a.Data.ElementAtOrDefault(2), depth + 1).Space;
                        // What stands in on a screen is not printed; but a calibrated one is no part of PDF/X-1a.
                        if (alternate is not ("DeviceCMYK" or "DeviceGray")) use.Spaces.Add(alternate);
                        return (kind.Data, pdf.Resolve(a.Data.ElementAtOrDefault(1)) is NameToken { Data: "All" });
                    case "Indexed" or "I":
                        return (Of(a.Data.ElementAtOrDefault(1), depth + 1).Space, false);
                    case "Pattern":
                        return a.Data.Count > 1 ? Of(a.Data[1], depth + 1) : ("Pattern", false);
                    case "ICCBased":
                        var profile = (pdf.Resolve(a.Data.ElementAtOrDefault(1)) as StreamToken)?.StreamDictionary;
                        return ($"ICCBased{(int)(pdf.Number(profile, "N") ?? 0)}", false);
                    default: return (kind.Data, false);
                }
            default: return ("unknown", false);
        }
    }

    /// <summary>The plates that a Separation or DeviceN space names, in its order; none for other spaces.</summary>
    public static IReadOnlyList<string> Named(Pdf pdf, IToken? space) =>
        pdf.Resolve(space) is not ArrayToken { Data.Count: > 1 } a
            || pdf.Resolve(a.Data[0]) is not NameToken { Data: "Separation" or "DeviceN" } ? []
            : pdf.Resolve(a.Data[1]) switch
            {
                ArrayToken names => [.. names.Data.Select(pdf.Resolve).OfType<NameToken>().Select(n => n.Data)],
                NameToken one => [one.Data],
                _ => [],
            };

    /// <summary>The shares among a space's operands that are the four inks', by their places.</summary>
    public IReadOnlyList<int> Process(string? name, DictionaryToken? resources) => name is null ? []
        : [.. Named(pdf, pdf.Get(pdf.Dictionary(resources, "ColorSpace"), name)).Index()
            .Where(n => n.Item is "Cyan" or "Magenta" or "Yellow" or "Black").Select(n => n.Index)];

    /// <summary>Inline images may say their colour space in short (8.9.7).</summary>
    public static string Full(string name) => name switch
    {
        "G" => "DeviceGray",
        "RGB" => "DeviceRGB",
        "CMYK" => "DeviceCMYK",
        _ => name,
    };
}
