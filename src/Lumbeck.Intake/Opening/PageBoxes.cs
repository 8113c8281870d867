using UglyToad.PdfPig;
using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Opening;

/// <summary>
/// A page's boxes as written, in points, with what they inherit (ISO 32000-1, 7.7.3.4); left, bottom, right, top.
/// </summary>
internal sealed record PageBoxes((double L, double B, double R, double T) Media,
    (double L, double B, double R, double T)? Bleed, (double L, double B, double R, double T)? Trim,
    (double L, double B, double R, double T)? Art, double Unit, int Turned)
{
    public static PageBoxes? Of(Pdf pdf, DictionaryToken page)
    {
        (double, double, double, double)? box(IToken? token) => pdf.Items(token).OfType<NumericToken>()
            .Select(n => n.Double).ToArray() is [var a, var b, var c, var d]
            && Math.Abs(c - a) is > 0.01 and < 20_000 && Math.Abs(d - b) is > 0.01 and < 20_000
            ? (Math.Min(a, c), Math.Min(b, d), Math.Max(a, c), Math.Max(b, d)) : null;
        if (box(pdf.Inherited(page, "MediaBox")) is not { } media) return null;
        return new(media, box(pdf.Get(page, "BleedBox")), box(pdf.Get(page, "TrimBox")), box(pdf.Get(page, "ArtBox")),
            pdf.Number(page, "UserUnit") ?? 1, pdf.Inherited(page, "Rotate") is NumericToken r ? r.Int : 0);
    }
}

internal static class PageTree
{
    /// <summary>A page's own dictionary. The tree is walked once for each page; none of its nodes twice.</summary>
    public static DictionaryToken GetPageDictionary(this PdfDocument document, int number, Pdf pdf)
    {
        var open = new Stack<IToken?>([pdf.Catalog.TryGet(NameToken.Create("Pages"), out var root) ? root : null]);
        var seen = new HashSet<IndirectReference>();
        while (open.Count > 0)
        {
            var token = open.Pop();
            if (token is IndirectReferenceToken r && !seen.Add(r.Data)) continue;
            if (pdf.Resolve(token) is not DictionaryToken node) continue;
            if (pdf.Get(node, "Kids") is not ArrayToken kids) { if (--number == 0) return node; continue; }
            for (var i = kids.Data.Count - 1; i >= 0; i--) open.Push(kids.Data[i]);
        }
        return document.GetPage(number).Dictionary;
    }

    /// <summary>An entry of a page, or what it inherits from the nodes it hangs on.</summary>
    public static IToken? Inherited(this Pdf pdf, DictionaryToken page, string key)
    {
        for (var (node, depth) = (page, 0); node is not null && depth < 60; node = pdf.Dictionary(node, "Parent"),
            depth++)
            if (pdf.Get(node, key) is { } own) return own;
        return null;
    }
}
