using Lumbeck.Press.Import.Parsing;
using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Press.Import.Resources;

/// <summary>A file's layers, and which of them are not printed (ISO 32000-1, 8.11).</summary>
internal sealed class OptionalContent(SourceFile file)
{
    private readonly HashSet<IndirectReference> _off = Off(file);

    /// <summary>Whether a layer, or one of several by its rule, is not printed (8.11).</summary>
    public bool IsHidden(IToken? layer)
    {
        if (layer is IndirectReferenceToken r && _off.Contains(r.Data)) return true;
        if (SourceFile.Dictionary(file.Resolve(layer)) is not { } d || file.Name(d, "Type") != "OCMD") return false;
        List<bool> hidden = SourceFile.Raw(d, "OCGs") switch
        {
            IndirectReferenceToken one when file.Resolve(one) is not ArrayToken => [_off.Contains(one.Data)],
            var many => [.. (file.Resolve(many) is ArrayToken a ? a.Data : []).OfType<IndirectReferenceToken>()
                .Select(g => _off.Contains(g.Data))],
        };
        return hidden.Count > 0 && file.Name(d, "P") switch
        {
            "AllOn" => hidden.Any(h => h),
            "AnyOff" => hidden.All(h => !h),
            "AllOff" => hidden.Any(h => !h),
            _ => hidden.All(h => h),
        };
    }

    private static HashSet<IndirectReference> Off(SourceFile file)
    {
        var hidden = new HashSet<IndirectReference>();
        if (file.Dictionary(file.Catalog, "OCProperties") is not { } layers) return hidden;
        var usual = file.Dictionary(layers, "D");
        IEnumerable<IndirectReferenceToken> listed(DictionaryToken? d, string key) =>
            file.Get(d, key) is ArrayToken a ? a.Data.OfType<IndirectReferenceToken>() : [];
        if (file.Name(usual, "BaseState") == "OFF") hidden.UnionWith(listed(layers, "OCGs").Select(r => r.Data));
        hidden.ExceptWith(listed(usual, "ON").Select(r => r.Data));
        hidden.UnionWith(listed(usual, "OFF").Select(r => r.Data));
        foreach (var layer in listed(layers, "OCGs"))
            if (file.Name(file.Dictionary(file.Dictionary(SourceFile.Dictionary(file.Resolve(layer)), "Usage"),
                "Print"),
                "PrintState") is { } state)
                if (state == "OFF") hidden.Add(layer.Data);
                else hidden.Remove(layer.Data);
        return hidden;
    }
}
