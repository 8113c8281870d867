using UglyToad.PdfPig;
using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Opening;

/// <summary>A PDF's objects, looked up so that a loop of references comes to an end.</summary>
internal sealed class Pdf(PdfDocument document, BoundedFilters filters)
{
    public PdfDocument Document => document;

    public DictionaryToken Catalog => document.Structure.Catalog.CatalogDictionary;

    public IToken? Get(DictionaryToken? d, params ReadOnlySpan<string> keys)
    {
        foreach (var key in keys) if (d is not null && d.TryGet(NameToken.Create(key), out var t)) return Resolve(t);
        return null;
    }

    public DictionaryToken? Dictionary(DictionaryToken? d, params ReadOnlySpan<string> keys) => Get(d, keys) switch
    {
        DictionaryToken own => own,
        StreamToken s => s.StreamDictionary,
        _ => null,
    };

    public string? Name(DictionaryToken? d, params ReadOnlySpan<string> keys) => (Get(d, keys) as NameToken)?.Data;

    public double? Number(DictionaryToken? d, params ReadOnlySpan<string> keys) =>
        (Get(d, keys) as NumericToken)?.Double;

    public string? Text(DictionaryToken? d, params ReadOnlySpan<string> keys) => Get(d, keys) switch
    {
        StringToken s => s.Data,
        HexToken h => h.Data,
        NameToken n => n.Data,
        _ => null,
    };

    public double[]? Numbers(DictionaryToken? d, params ReadOnlySpan<string> keys) =>
        Get(d, keys) is ArrayToken a ? [.. a.Data.Select(Resolve).OfType<NumericToken>().Select(n => n.Double)] : null;

    public IEnumerable<IToken> Items(IToken? array) =>
        Resolve(array) is ArrayToken a ? a.Data.Select(Resolve).OfType<IToken>() : [];

    public IToken? Resolve(IToken? token)
    {
        for (var i = 0; token is IndirectReferenceToken r && i < 20; i++)
        {
            try { token = PdfObjects.Solid(document, r); }
            catch (Exception e) when (e is not (BoundsExceededException or TimeoutException or OutOfMemoryException))
            {
                return null;
            }
        }
        return token is NullToken ? null : token;
    }

    public ReadOnlyMemory<byte> Decode(StreamToken stream) => UglyToad.PdfPig.PdfExtensions.Decode(stream, filters);

    /// <summary>The names of a stream's filters.</summary>
    public IReadOnlyList<string> Filters(DictionaryToken d) => Get(d, "Filter", "F") switch
    {
        NameToken n => [n.Data],
        ArrayToken a => [.. a.Data.Select(Resolve).OfType<NameToken>().Select(n => n.Data)],
        _ => [],
    };

    /// <summary>Every object of the file that can be reached from its root, each once, up to a number.</summary>
    public IEnumerable<IToken> Reachable(int most)
    {
        var seen = new HashSet<IndirectReference>();
        var open = new Stack<(IToken Token, int Depth)>([(Catalog, 0)]);
        if (document.Structure.Trailer?.Info is { } info) open.Push((info, 0));
        while (open.Count > 0 && most-- > 0)
        {
            var (token, depth) = open.Pop();
            if (token is IndirectReferenceToken r)
            {
                if (!seen.Add(r.Data) || Resolve(token) is not { } solid) continue;
                token = solid;
                depth = 0;
            }
            yield return token;
            if (depth > 60) continue;
            foreach (var inner in token switch
            {
                DictionaryToken d => d.Data.Values,
                StreamToken s => s.StreamDictionary.Data.Values,
                ArrayToken a => a.Data,
                _ => (IEnumerable<IToken>)[]
            })
                if (inner is IndirectReferenceToken or DictionaryToken or ArrayToken or StreamToken)
                    open.Push((inner, depth + 1));
        }
    }
}

/// <summary>
/// Objects of a PDF by reference and by key, for whoever reads a file that is known to be sound or lets a damaged one
/// be told by its exception.
/// </summary>
internal static class PdfObjects
{
    public static IToken? Get(PdfDocument pdf, DictionaryToken d, string key) =>
        d.TryGet(NameToken.Create(key), out var t) ? Solid(pdf, t) : null;

    public static IToken? Solid(PdfDocument pdf, IToken? t) =>
        t is IndirectReferenceToken r ? pdf.Structure.GetObject(r.Data).Data : t;
}
