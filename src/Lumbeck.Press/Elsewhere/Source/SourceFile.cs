using UglyToad.PdfPig;
using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Exceptions;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Press.Elsewhere.Source;

/// <summary>
/// A PDF made elsewhere, its objects looked up so that a loop of references comes to an end. Its structure is read by a
/// library; what pages say is read here.
/// </summary>
internal sealed class SourceFile : IDisposable
{
    /// <summary>Most pages, and most bytes.</summary>
    public const int MostPages = 2000;
    public const long MostBytes = 1_000_000_000;

    private readonly PdfDocument _document;

    private SourceFile(PdfDocument document, Unpacking unpacking)
    {
        (_document, Unpacking) = (document, unpacking);
        Pages = Walk();
    }

    public Unpacking Unpacking { get; }

    /// <summary>Its pages in order, each with what it inherits.</summary>
    public IReadOnlyList<DictionaryToken> Pages { get; }

    /// <exception cref="Refusal">It is no PDF, is closed by a password, or can't be read.</exception>
    public static SourceFile Open(string path, CancellationToken cancel)
    {
        var bytes = new FileInfo(path).Length;
        if (bytes > MostBytes)
            throw new Refusal("file", $"{bytes / 1_000_000} MB are more than is taken: up to {MostBytes / 1_000_000} MB");
        using (var head = File.OpenRead(path))
        {
            Span<byte> first = stackalloc byte[1024];
            var read = head.ReadAtLeast(first, first.Length, throwOnEndOfStream: false);
            if (first[..read].IndexOf("%PDF-"u8) < 0) throw new Refusal("file", "this is no PDF: export it as one");
        }
        try
        {
            var document = PdfDocument.Open(File.OpenRead(path),
                new ParsingOptions { UseLenientParsing = true, SkipMissingFonts = true, MaxStackDepth = 100 });
            return new(document, new(cancel));
        }
        catch (PdfDocumentEncryptedException)
        {
            throw new Refusal("file", "this file is closed by a password: save it without one");
        }
        catch (Exception e) when (e is not (OutOfMemoryException or Refusal or OperationCanceledException))
        {
            throw new Refusal("file", "this file is damaged and can’t be read: export it again");
        }
    }

    public bool IsEncrypted => _document.IsEncrypted;

    public DictionaryToken Catalog => _document.Structure.Catalog.CatalogDictionary;

    public IToken? Solid(IToken? token)
    {
        for (var n = 0; token is IndirectReferenceToken r && n < 20; n++)
        {
            try { token = _document.Structure.GetObject(r.Data)?.Data; }
            catch (Exception e) when (e is not (OutOfMemoryException or OperationCanceledException)) { return null; }
        }
        return token is NullToken or IndirectReferenceToken ? null : token;
    }

    public IToken? Get(DictionaryToken? of, string key, string? brief = null) =>
        of is null ? null
        : of.TryGet(NameToken.Create(key), out var token) ? Solid(token)
        : brief is not null && of.TryGet(NameToken.Create(brief), out token) ? Solid(token) : null;

    /// <summary>An entry as it is written, a reference or what it is.</summary>
    public static IToken? Raw(DictionaryToken? of, string key) =>
        of is not null && of.TryGet(NameToken.Create(key), out var token) ? token : null;

    public DictionaryToken? Dictionary(DictionaryToken? of, string key) => Dictionary(Get(of, key));

    public static DictionaryToken? Dictionary(IToken? token) => token switch
    {
        DictionaryToken own => own,
        StreamToken s => s.StreamDictionary,
        _ => null,
    };

    public string? Name(DictionaryToken? of, string key, string? brief = null) => (Get(of, key, brief) as NameToken)?.Data;

    public double? Number(DictionaryToken? of, string key, string? brief = null) =>
        (Get(of, key, brief) as NumericToken)?.Double;

    public double[]? Numbers(DictionaryToken? of, string key, string? brief = null) => Numbers(Get(of, key, brief));

    public double[]? Numbers(IToken? token) => Solid(token) is ArrayToken a
        ? [.. a.Data.Select(Solid).OfType<NumericToken>().Select(n => n.Double)] : null;

    public IReadOnlyList<IToken?> Items(IToken? token) => Solid(token) is ArrayToken a ? [.. a.Data.Select(Solid)] : [];

    public byte[] Unpacked(StreamToken stream) => Unpacking.All(this, stream);

    private List<DictionaryToken> Walk()
    {
        var (pages, seen) = (new List<DictionaryToken>(), new HashSet<IndirectReference>());
        string[] inherited = ["Resources", "MediaBox", "CropBox", "Rotate"];
        var open = new Stack<(IToken? Token, Dictionary<string, IToken> From)>([(Raw(Catalog, "Pages"), [])]);
        while (open.Count > 0)
        {
            Unpacking.Cancel.ThrowIfCancellationRequested();
            var (token, from) = open.Pop();
            if (token is IndirectReferenceToken r && !seen.Add(r.Data)) continue;
            if (Solid(token) is not DictionaryToken node) continue;
            var own = new Dictionary<string, IToken>(from);
            foreach (var key in inherited) if (Raw(node, key) is { } told) own[key] = told;
            if (Get(node, "Kids") is ArrayToken kids)
            {
                for (var n = kids.Data.Count - 1; n >= 0; n--) open.Push((kids.Data[n], own));
                continue;
            }
            var page = node;
            foreach (var (key, told) in own) page = page.With(NameToken.Create(key), told);
            pages.Add(page);
            if (pages.Count > MostPages)
                throw new Refusal("file", $"it has more than {MostPages} pages, which is the most that is taken");
        }
        return pages.Count > 0 ? pages : throw new Refusal("file", "this file has no pages");
    }

    public void Dispose() => _document.Dispose();
}
