namespace Lumbeck.Pdf.Reading;

/// <summary>A file's layers, and which of them are not printed (ISO 32000-1, 8.11).</summary>
public sealed class OptionalContent(PdfFile file)
{
    private readonly HashSet<PdfRef> _off = Off(file);

    /// <summary>Whether a layer, or one of several by its rule, is not printed (8.11).</summary>
    public bool IsHidden(PdfObject? layer)
    {
        if (layer is PdfRef r && _off.Contains(r)) return true;
        if (PdfFile.Dict(file.Resolve(layer)) is not { } d || file.Name(d, "Type") != "OCMD") return false;
        List<bool> hidden = d["OCGs"] switch
        {
            PdfRef one when file.Resolve(one) is not PdfArray => [_off.Contains(one)],
            var many => [.. (file.Resolve(many) is PdfArray a ? a.Items : []).OfType<PdfRef>()
                .Select(g => _off.Contains(g))],
        };
        return hidden.Count > 0 && file.Name(d, "P") switch
        {
            "AllOn" => hidden.Any(h => h),
            "AnyOff" => hidden.All(h => !h),
            "AllOff" => hidden.Any(h => !h),
            _ => hidden.All(h => h),
        };
    }

    private static HashSet<PdfRef> Off(PdfFile file)
    {
        var hidden = new HashSet<PdfRef>();
        if (file.Dict(file.Catalog, "OCProperties") is not { } layers) return hidden;
        var usual = file.Dict(layers, "D");
        IEnumerable<PdfRef> listed(PdfDict? d, string key) =>
            file.Get(d, key) is PdfArray a ? a.Items.OfType<PdfRef>() : [];
        if (file.Name(usual, "BaseState") == "OFF") hidden.UnionWith(listed(layers, "OCGs"));
        hidden.ExceptWith(listed(usual, "ON"));
        hidden.UnionWith(listed(usual, "OFF"));
        foreach (var layer in listed(layers, "OCGs"))
            if (file.Name(file.Dict(file.Dict(PdfFile.Dict(file.Resolve(layer)), "Usage"),
                "Print"),
                "PrintState") is { } state)
                if (state == "OFF") hidden.Add(layer);
                else hidden.Remove(layer);
        return hidden;
    }
}
