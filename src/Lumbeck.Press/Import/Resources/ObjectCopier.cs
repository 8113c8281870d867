using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Import.Resources;

/// <summary>Objects carried over as they are, each once, with all that they name.</summary>
internal sealed class ObjectCopier(PdfFile file, PdfWriter pdf)
{
    private const int Deepest = 400;
    private readonly Dictionary<PdfRef, PdfRef> _copied = [];

    /// <summary>An object as it is written; what it refers to is written beside it.</summary>
    public PdfObject Copy(PdfObject? o, int depth = 0) => depth > Deepest ? PdfNull.Value : o switch
    {
        PdfRef r => Reference(r, depth),
        PdfStream s => Stream(pdf.Reserve(), s, depth),
        PdfDict d => Dict(d, depth),
        PdfArray a => PdfArray.From(a.Items.Select(item => Copy(item, depth + 1))),
        null => PdfNull.Value,
        _ => o,
    };

    /// <summary>A dictionary without some of its entries.</summary>
    public PdfDict Dict(PdfDict d, int depth = 0, params ReadOnlySpan<string> but)
    {
        var copy = new PdfDict();
        foreach (var (key, value) in d) if (!but.Contains(key)) copy.Set(key, Copy(value, depth + 1));
        return copy;
    }

    private PdfRef Reference(PdfRef r, int depth)
    {
        if (_copied.TryGetValue(r, out var known)) return known;
        file.Decoder.Cancel.ThrowIfCancellationRequested();
        var at = _copied[r] = pdf.Reserve();
        return file.Resolve(r) is PdfStream s ? Stream(at, s, depth) : pdf.Object(at, Copy(file.Resolve(r), depth + 1));
    }

    private PdfRef Stream(PdfRef at, PdfStream s, int depth) =>
        pdf.Stream(at, Dict(s.Dict, depth, "Length"), o => o.Write(s.Data.Span), compress: false);

    /// <summary>A stream with its bytes as they are, and other entries than it came with.</summary>
    public PdfRef Packed(PdfStream s, PdfDict entries)
    {
        var filter = file.Resolve(s.Dict["Filter"] ?? s.Dict["F"]);
        var how = file.Resolve(s.Dict["DecodeParms"] ?? s.Dict["DP"]);
        return pdf.Stream(pdf.Reserve(), new PdfDict(entries).Set("Filter", filter is null ? null : Copy(filter))
            .Set("DecodeParms", how is null ? null : Copy(how)), o => o.Write(s.Data.Span), compress: false);
    }
}
