using System.Text;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Pdf;
using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Press.Import.Resources;

/// <summary>Objects carried over as they are, each once, with all that they name.</summary>
internal sealed class ObjectCopier(SourceFile file, PdfWriter pdf)
{
    private const int Deepest = 400;
    private readonly Dictionary<IndirectReference, int> _copied = [];

    /// <summary>A token as a PDF writes it; what it refers to is written beside it.</summary>
    public string Write(IToken? token, int depth = 0)
    {
        if (depth > Deepest) return "null";
        switch (token)
        {
            case IndirectReferenceToken r:
                return $"{Number(r, depth)} 0 R";
            case StreamToken s:
                return $"{Stream(pdf.Reserve(), s, depth)} 0 R";
            case DictionaryToken d:
                return Entries(d, depth);
            case ArrayToken a:
                return "[" + string.Join(' ', a.Data.Select(t => Write(t, depth + 1))) + "]";
            case NameToken n:
                return "/" + PdfSyntax.Name(n.Data);
            case NumericToken n:
                return n.Double == Math.Truncate(n.Double) && Math.Abs(n.Double) < 1e9
                    ? ((long)n.Double).ToString(CultureInfo.InvariantCulture)
                    : n.Double.ToString("0.########", CultureInfo.InvariantCulture);
            case StringToken t:
                return $"<{Convert.ToHexString(t.GetBytes())}>";
            case HexToken h:
                return $"<{Convert.ToHexString(h.Bytes)}>";
            case BooleanToken b:
                return b.Data ? "true" : "false";
            default:
                return "null";
        }
    }

    /// <summary>A dictionary without some of its entries.</summary>
    public string Entries(DictionaryToken d, int depth = 0, params ReadOnlySpan<string> but)
    {
        var s = new StringBuilder("<<");
        foreach (var (key, value) in d.Data)
            if (!but.Contains(key)) s.Append(" /").Append(PdfSyntax.Name(key)).Append(' ').Append(Write(value,
                depth + 1));
        return s.Append(" >>").ToString();
    }

    private int Number(IndirectReferenceToken r, int depth)
    {
        if (_copied.TryGetValue(r.Data, out var known)) return known;
        file.Decoder.Cancel.ThrowIfCancellationRequested();
        var number = _copied[r.Data] = pdf.Reserve();
        if (file.Resolve(r) is StreamToken s) return Stream(number, s, depth);
        return pdf.Object(number, Write(file.Resolve(r), depth + 1));
    }

    private int Stream(int number, StreamToken s, int depth)
    {
        var entries = Entries(s.StreamDictionary, depth, "Length")[2..^2].Trim();
        return pdf.Stream(number, entries, o => o.Write(s.Data.Span), compress: false);
    }

    /// <summary>How a stream is packed, to be written with its bytes as they are.</summary>
    public string Packing(StreamToken s)
    {
        var d = s.StreamDictionary;
        var filter = SourceFile.Raw(d, "Filter") ?? SourceFile.Raw(d, "F");
        var how = SourceFile.Raw(d, "DecodeParms") ?? SourceFile.Raw(d, "DP");
        return (filter is null ? "" : $"/Filter {Write(file.Resolve(filter))} ")
            + (how is null || file.Resolve(how) is null ? "" : $"/DecodeParms {Write(file.Resolve(how))} ");
    }
}
