using Lumbeck.Running;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Exceptions;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Press.Import.Parsing;

/// <summary>
/// A PDF made elsewhere, its objects looked up so that a loop of references comes to an end. Its structure is read by a
/// library; what pages say is read here.
/// </summary>
internal sealed class SourceFile : IDisposable
{
    /// <summary>Most pages, and most bytes.</summary>
    public const int MostPages = 2000;
    public const long MostBytes = 1_000_000_000;

    /// <summary>
    /// The library keeps all that it has read. Once that is so many bytes the file is opened anew, so that one of
    /// hundreds of pictures is never held whole.
    /// </summary>
    private const long MostHeld = 40_000_000;

    private readonly Func<PdfDocument> _open;
    private PdfDocument _document;
    private long _held;

    private SourceFile(Func<PdfDocument> open, StreamDecoder unpacking)
    {
        (_open, _document, Decoder) = (open, open(), unpacking);
        Pages = Walk();
    }

    public StreamDecoder Decoder { get; }

    /// <summary>Its pages in order, each with what it inherits.</summary>
    public IReadOnlyList<DictionaryToken> Pages { get; }

    /// <param name="path">The file.</param>
    /// <param name="cancel">Ends the work.</param>
    /// <param name="password">What opens it, where it is closed.</param>
    /// <exception cref="Refusal">It is no PDF, is closed by a password, or can't be read.</exception>
    public static SourceFile Open(string path, CancellationToken cancel, string password = "")
    {
        var bytes = new FileInfo(path).Length;
        if (bytes > MostBytes)
            throw new Refusal("file", $"{bytes / 1_000_000} MB are more than is taken: up to {MostBytes / 1_000_000} MB");
        using (var head = File.OpenRead(path))
        {
            Span<byte> first = stackalloc byte[1024];
            var read = head.ReadAtLeast(first, first.Length, throwOnEndOfStream: false);
            if (first[..read].IndexOf("%PDF-"u8) < 0) throw new Refusal("file", "this is no PDF: export it as one");
            if (!BoundedStream.EndsAsPdf(head))
                throw new Refusal("file",
                    "this file was cut off, and its end is missing: export it again, or send it again");
        }
        try
        {
            return new(() =>
            {
                var bounded = new BoundedStream(File.OpenRead(path), BoundedStream.Opening, cancel);
                var document = PdfDocument.Open(bounded, new ParsingOptions
                {
                    UseLenientParsing = true,
                    SkipMissingFonts = true,
                    MaxStackDepth = 100,
                    Password = password,
                });
                bounded.Allow(TimeSpan.MaxValue);
                return document;
            }, new(cancel));
        }
        catch (PdfDocumentEncryptedException)
        {
            throw new Refusal("password", password.Length > 0 ? "this password does not open the file"
                : "this file is closed by a password: give it, or save the file without one");
        }
        catch (Exception e) when (e is not (OutOfMemoryException or Refusal or OperationCanceledException))
        {
            throw new Refusal("file", "this file is damaged and can’t be read: export it again");
        }
    }

    public bool IsEncrypted => _document.IsEncrypted;

    public DictionaryToken Catalog => _document.Structure.Catalog.CatalogDictionary;

    /// <summary>The printing condition that its inks were made for (14.11.5); null where it says none.</summary>
    public string? Condition => Get(Intent, "OutputConditionIdentifier") switch
    {
        StringToken t => t.Data,
        HexToken h => h.Data,
        _ => null,
    };

    /// <summary>The profile of that condition, of four inks; null where it carries none that can be read.</summary>
    public byte[]? ConditionProfile
    {
        get
        {
            if (Get(Intent, "DestOutputProfile") is not StreamToken s) return null;
            var profile = Decode(s);
            return profile.Length > 128 && profile.AsSpan(16, 4).SequenceEqual("CMYK"u8) && profile.AsSpan(36, 4)
                .SequenceEqual("acsp"u8)
                ? profile : null;
        }
    }

    private DictionaryToken? Intent => Items(Get(Catalog, "OutputIntents")) is [DictionaryToken intent,
        ..] ? intent : null;

    public IToken? Resolve(IToken? token)
    {
        for (var n = 0; token is IndirectReferenceToken r && n < 20; n++)
        {
            try
            {
                token = _document.Structure.GetObject(r.Data)?.Data;
                if (token is StreamToken { Data.Length: > 100_000 } large) Hold(large.Data.Length);
            }
            catch (Exception e) when (e is not (OutOfMemoryException or OperationCanceledException)) { return null; }
        }
        return token is NullToken or IndirectReferenceToken ? null : token;
    }

    private void Hold(long bytes)
    {
        if ((_held += bytes) < MostHeld) return;
        _document.Dispose();
        (_document, _held) = (_open(), 0);
        // Large arrays are let go of late where memory seems plenty; others on this machine want it, too.
        GC.Collect(GC.MaxGeneration, GCCollectionMode.Forced, blocking: true);
    }

    public IToken? Get(DictionaryToken? of, string key, string? brief = null) =>
        of is null ? null
        : of.TryGet(NameToken.Create(key), out var token) ? Resolve(token)
        : brief is not null && of.TryGet(NameToken.Create(brief), out token) ? Resolve(token) : null;

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

    public string? Name(DictionaryToken? of, string key, string? brief = null) => (Get(of, key,
        brief) as NameToken)?.Data;

    public double? Number(DictionaryToken? of, string key, string? brief = null) =>
        (Get(of, key, brief) as NumericToken)?.Double;

    public double[]? Numbers(DictionaryToken? of, string key, string? brief = null) => Numbers(Get(of, key, brief));

    public double[]? Numbers(IToken? token) => Resolve(token) is ArrayToken a
        ? [.. a.Data.Select(Resolve).OfType<NumericToken>().Select(n => n.Double)] : null;

    public IReadOnlyList<IToken?> Items(IToken? token) => Resolve(token) is ArrayToken a ? [.. a.Data.Select(Resolve)] : [];

    public byte[] Decode(StreamToken stream) => Decoder.All(this, stream);

    /// <summary>
    /// The page numbers at the left and right of a page that holds two: words of figures alone, nearest to its head or
    /// foot.
    /// </summary>
    /// <param name="n">From 0.</param>
    public (int? Left, int? Right) Folios(int n)
    {
        try
        {
            var page = _document.GetPage(n + 1);
            List<(int Number, double X, double Far)> all = [.. page.GetWords()
                .Where(w => w.Text.Length is > 0 and < 5 && w.Text.All(char.IsAsciiDigit))
                .Select(w => (int.Parse(w.Text, CultureInfo.InvariantCulture),
                    (w.BoundingBox.Left + w.BoundingBox.Right) / 2,
                    Math.Min(w.BoundingBox.Bottom, page.Height - w.BoundingBox.Top)))
                .Where(w => w.Item3 < page.Height * 0.15).OrderBy(w => w.Item3)];
            int? at(bool left) => all.Where(w => w.X < page.Width / 2 == left).Select(w => (int?)w.Number).FirstOrDefault();
            return (at(true), at(false));
        }
        catch (Exception e) when (e is not (OutOfMemoryException or OperationCanceledException)) { return (null,
            null); }
    }

    /// <summary>The first words that are set in a face, with the page of each; none where they can't be read.</summary>
    /// <param name="face">Its name, without what marks a part of it.</param>
    /// <param name="most">How many.</param>
    public IReadOnlyList<(string Word, int Page)> WordsIn(string face, int most)
    {
        List<(string, int)> found = [];
        for (var n = 0; n < Math.Min(Pages.Count, MostLooked) && found.Count < most; n++)
        {
            try
            {
                found.AddRange(_document.GetPage(n + 1).GetWords()
                    .Where(w => w.FontName is { } name && (name == face || name.EndsWith("+" + face,
                        StringComparison.Ordinal)))
                    .Select(w => (w.Text, n + 1)).Take(most - found.Count));
            }
            catch (Exception e) when (e is not (OutOfMemoryException or OperationCanceledException)) { /* another page may do */ }
        }
        return found;
    }

    /// <summary>So many pages are looked through for words of a face.</summary>
    private const int MostLooked = 30;

    private List<DictionaryToken> Walk()
    {
        var (pages, seen) = (new List<DictionaryToken>(), new HashSet<IndirectReference>());
        string[] inherited = ["Resources", "MediaBox", "CropBox", "Rotate"];
        var open = new Stack<(IToken? Token, Dictionary<string, IToken> From)>([(Raw(Catalog, "Pages"), [])]);
        while (open.Count > 0)
        {
            Decoder.Cancel.ThrowIfCancellationRequested();
            var (token, from) = open.Pop();
            if (token is IndirectReferenceToken r && !seen.Add(r.Data)) continue;
            if (Resolve(token) is not DictionaryToken node) continue;
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
