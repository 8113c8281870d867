using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Opening;

// What content names: forms, patterns, shadings, faces and images.
internal sealed partial class ContentInterpreter
{
    private void Draw(StreamToken? x, DictionaryToken? resources, GraphicsState state, int depth)
    {
        if (x is null) return;
        var d = x.StreamDictionary;
        if (d.ContainsKey(NameToken.Create("OC"))) use.Layers = true;
        switch (pdf.Name(d, "Subtype"))
        {
            case "Image": Image(x, d, resources, state); break;
            case "PS": use.PostScript = true; break;
            case "Form":
                if (pdf.Name(d, "Subtype2") == "PS") use.PostScript = true;
                Group(d, "form");
                var at = pdf.Numbers(d, "Matrix") is [var a, var b, var c, var e, var f, var g]
                    ? TransformationMatrix.FromValues(a, b, c, e, f, g).Multiply(state.Ctm)
                    : state.Ctm;
                Walk(pdf.Decode(x), pdf.Dictionary(d, "Resources") ?? resources, state with { Ctm = at }, depth + 1);
                break;
        }
    }

    /// <summary>A transparency group lets nothing through by itself, but PDF/X-1a knows none (ISO 15930-4).</summary>
    private void Group(DictionaryToken d, string what)
    {
        if (pdf.Name(pdf.Dictionary(d, "Group"), "S") == "Transparency")
            use.Transparent.Add($"transparency group of a {what}");
    }

    private void Pattern(IToken token, DictionaryToken? resources, GraphicsState state, int depth)
    {
        if (token is StreamToken tiles)
        {
            if (_seen.Add($"{tiles.GetHashCode()}/{depth}"))
                Walk(pdf.Decode(tiles), pdf.Dictionary(tiles.StreamDictionary, "Resources") ?? resources, state,
                    depth + 1);
        }
        else if (token is DictionaryToken d)
        {
            if (pdf.Dictionary(d, "ExtGState") is { } gs) Extended(gs, state);
            Shading(pdf.Get(d, "Shading"), resources);
        }
    }

    private void Shading(IToken? token, DictionaryToken? resources)
    {
        use.Shades = true;
        var d = token switch { DictionaryToken own => own, StreamToken s => s.StreamDictionary, _ => null };
        if (d is not null)
            use.Spaces.Add(pdf.Get(d, "ColorSpace") is NameToken { Data: var name } ? _spaces.Of(name, resources).Space
                : _spaces.Of(pdf.Get(d, "ColorSpace")).Space);
    }

    private void Face(DictionaryToken font, GraphicsState state, int depth)
    {
        var name = pdf.Name(font, "BaseFont") ?? $"Type 3 {use.Faces.Count}";
        if (!use.Faces.TryAdd(name, font)) return;
        if (pdf.Name(font, "Subtype") != "Type3" || pdf.Dictionary(font, "CharProcs") is not { } procs) return;
        foreach (var glyph in procs.Data.Values.Take(500).Select(pdf.Resolve).OfType<StreamToken>())
            Walk(pdf.Decode(glyph), pdf.Dictionary(font, "Resources"), state, depth + 1);
    }

    private void Inline(InlineImage image, DictionaryToken? resources, GraphicsState state)
    {
        object? get(string a, string b) => image.Entries.GetValueOrDefault(a) ?? image.Entries.GetValueOrDefault(b);
        var mask = get("IM", "ImageMask") is true;
        var space = get("CS", "ColorSpace") switch
        {
            PdfName own => _spaces.Of(ColorSpaces.Full(own.Value), resources).Space,
            List<object?> many when many is [PdfName { Value: "I" or "Indexed" }, PdfName under,
                ..] => ColorSpaces.Full(under.Value),
            _ => "DeviceGray",
        };
        var (w, h) = (get("W", "Width") is double dw ? (int)dw : 1, get("H", "Height") is double dh ? (int)dh : 1);
        Place(w, h, mask ? state.Fill : space, get("BPC", "BitsPerComponent") is double bits ? (int)bits : 8, [], mask,
            null, null, state);
    }

    private void Image(StreamToken stream, DictionaryToken d, DictionaryToken? resources, GraphicsState state)
    {
        var mask = pdf.Get(d, "ImageMask") is BooleanToken { Data: true };
        use.Paints = true;
        var space = mask
            ? state.Fill
            : pdf.Get(d, "ColorSpace") is NameToken { Data: var name }
            ? _spaces.Of(name, resources).Space
            : pdf.Get(d, "ColorSpace") is { } own
            ? _spaces.Of(own).Space
            : "DeviceRGB";
        var soft = pdf.Get(d, "SMask") is StreamToken || pdf.Number(d, "SMaskInData") is > 0;
        if (soft) use.Transparent.Add("soft mask of a picture");
        foreach (var alternate in pdf.Items(pdf.Get(d, "Alternates")).OfType<DictionaryToken>().Take(4))
            if (pdf.Get(alternate, "DefaultForPrinting") is BooleanToken { Data: true })
                use.States.Add("alternate picture for printing");
        if (pdf.Get(d, "OPI") is not null) use.States.Add("OPI");
        Place((int)(pdf.Number(d, "Width", "W") ?? 1), (int)(pdf.Number(d, "Height", "H") ?? 1), space,
            mask ? 1 : (int)(pdf.Number(d, "BitsPerComponent", "BPC") ?? 8), pdf.Filters(d), mask, stream, d, state);
    }

    private void Place(int wide, int high, string space, int bits, IReadOnlyList<string> filters, bool mask,
        StreamToken? stream, DictionaryToken? d, GraphicsState state)
    {
        var m = state.Ctm;
        var (across, down) = (Math.Sqrt((m.A * m.A) + (m.B * m.B)), Math.Sqrt((m.C * m.C) + (m.D * m.D)));
        var perInch = Math.Min(across > 0 ? wide / across * 72 : 1e9, down > 0 ? high / down * 72 : 1e9);
        List<(char, double, double)> corners = [('m', 0, 0), ('l', 1, 0), ('l', 1, 1), ('l', 0, 1)];
        var box = Box(corners, state)!.Value;
        if (Outside(box, state)) use.PaintsOutside = true;
        use.Spaces.Add(space);
        if (use.Images.Count < 5000)
            use.Images.Add(new(wide, high, perInch, space, bits, filters, mask, stream, d, box));
    }
}
