using Lumbeck.Running;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Exceptions;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Pdf.Reading;

/// <summary>
/// A PDF made elsewhere, its objects looked up so that a loop of references comes to an end. Its structure is read by a
/// library; what pages say is read here.
/// </summary>
public sealed class PdfFile : IDisposable
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

    private PdfFile(Func<PdfDocument> open, StreamDecoder unpacking)
    {
        (_open, _document, Decoder) = (open, open(), unpacking);
        Pages = Walk();
    }

    public StreamDecoder Decoder { get; }

    /// <summary>Its pages in order, each with what it inherits.</summary>
    public IReadOnlyList<PdfDict> Pages { get; }

    /// <param name="path">The file.</param>
    /// <param name="cancel">Ends the work.</param>
    /// <param name="password">What opens it, where it is closed.</param>
    /// <exception cref="PdfReadException">It is no PDF, is closed by a password, or can't be read.</exception>
    public static PdfFile Open(string path, CancellationToken cancel, string password = "")
    {
        var bytes = new FileInfo(path).Length;
        if (bytes > MostBytes)
            throw new PdfReadException($"{bytes / 1_000_000} MB are more than is taken: up to {MostBytes / 1_000_000} MB");
        using (var head = File.OpenRead(path))
        {
            Span<byte> first = stackalloc byte[1024];
            var read = head.ReadAtLeast(first, first.Length, throwOnEndOfStream: false);
            if (first[..read].IndexOf("%PDF-"u8) < 0) throw new PdfReadException("this is no PDF: export it as one");
            if (!BoundedStream.EndsAsPdf(head))
                throw new PdfReadException(
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
            throw new PdfPasswordException(password.Length > 0 ? "this password does not open the file"
                : "this file is closed by a password: give it, or save the file without one");
        }
        catch (Exception e) when (e is not (OutOfMemoryException or PdfReadException or OperationCanceledException))
        {
            throw new PdfReadException("this file is damaged and can’t be read: export it again");
        }
    }

    public bool IsEncrypted => _document.IsEncrypted;

    public PdfDict Catalog => _catalog ??= PdfPigObjects.Dict(_document.Structure.Catalog.CatalogDictionary);

    private PdfDict? _catalog;

    /// <summary>The printing condition that its inks were made for (14.11.5); null where it says none.</summary>
    public string? Condition => Get(Intent, "OutputConditionIdentifier") is PdfString said
        ? said.AsText() : null;

    /// <summary>The profile of that condition, of four inks; null where it carries none that can be read.</summary>
    public byte[]? ConditionProfile
    {
        get
        {
            if (Get(Intent, "DestOutputProfile") is not PdfStream s) return null;
            var profile = Decode(s);
            return profile.Length > 128 && profile.AsSpan(16, 4).SequenceEqual("CMYK"u8) && profile.AsSpan(36, 4)
                .SequenceEqual("acsp"u8)
                ? profile : null;
        }
    }

    private PdfDict? Intent => Items(Get(Catalog, "OutputIntents")) is [PdfDict intent,
        ..] ? intent : null;

    /// <summary>What a reference leads to; nothing where it leads nowhere.</summary>
    public PdfObject? Resolve(PdfObject? o)
    {
        for (var n = 0; o is PdfRef r && n < 20; n++)
        {
            if (_solid.TryGetValue(r, out var known)) { o = known; continue; }
            try
            {
                o = PdfPigObjects.Of(_document.Structure.GetObject(PdfPigObjects.Reference(r))?.Data);
                if (o is PdfStream { Data.Length: > 100_000 } large) Hold(large.Data.Length);
                else if (o is not PdfStream) _solid[r] = o;
            }
            catch (Exception e) when (e is not (OutOfMemoryException or OperationCanceledException)) { return null; }
        }
        return o is PdfNull or PdfRef ? null : o;
    }

    // Streams are the library's to hold, and let go with it.
    private readonly Dictionary<PdfRef, PdfObject> _solid = [];

    private void Hold(long bytes)
    {
        if ((_held += bytes) < MostHeld) return;
        _document.Dispose();
        (_document, _held) = (_open(), 0);
        _solid.Clear();
        // Large arrays are let go of late where memory seems plenty; others on this machine want it, too.
        GC.Collect(GC.MaxGeneration, GCCollectionMode.Forced, blocking: true);
    }

    /// <summary>An entry, resolved; nothing where there is none.</summary>
    /// <param name="of">The dictionary.</param>
    /// <param name="key">Its key.</param>
    /// <param name="brief">Another, short one, as inline images have them.</param>
    public PdfObject? Get(PdfDict? of, string key, string? brief = null) =>
        of?[key] is { } own ? Resolve(own) : brief is not null ? Resolve(of?[brief]) : null;

    public PdfDict? Dict(PdfDict? of, string key) => Dict(Get(of, key));

    /// <summary>A dictionary, or a stream's.</summary>
    public static PdfDict? Dict(PdfObject? o) => o switch
    {
        PdfDict own => own,
        PdfStream s => s.Dict,
        _ => null,
    };

    public string? Name(PdfDict? of, string key, string? brief = null) => (Get(of, key, brief) as PdfName)?.Value;

    public double? Number(PdfDict? of, string key, string? brief = null) => (Get(of, key, brief) as PdfNumber)?.Value;

    public double[]? Numbers(PdfDict? of, string key, string? brief = null) => Numbers(Get(of, key, brief));

    public double[]? Numbers(PdfObject? o) => Resolve(o) is PdfArray a
        ? [.. a.Items.Select(Resolve).OfType<PdfNumber>().Select(n => n.Value)] : null;

    public IReadOnlyList<PdfObject?> Items(PdfObject? o) => Resolve(o) is PdfArray a ? [.. a.Items.Select(Resolve)] : [];

    public byte[] Decode(PdfStream stream) => Decoder.All(this, stream);

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

    private List<PdfDict> Walk()
    {
        var (pages, seen) = (new List<PdfDict>(), new HashSet<PdfRef>());
        string[] inherited = ["Resources", "MediaBox", "CropBox", "Rotate"];
        var open = new Stack<(PdfObject? Token, Dictionary<string, PdfObject> From)>([(Catalog["Pages"], [])]);
        while (open.Count > 0)
        {
            Decoder.Cancel.ThrowIfCancellationRequested();
            var (token, from) = open.Pop();
            if (token is PdfRef r && !seen.Add(r)) continue;
            if (Resolve(token) is not PdfDict node) continue;
            var own = new Dictionary<string, PdfObject>(from);
            foreach (var key in inherited) if (node[key] is { } told) own[key] = told;
            if (Get(node, "Kids") is PdfArray kids)
            {
                for (var n = kids.Items.Count - 1; n >= 0; n--) open.Push((kids.Items[n], own));
                continue;
            }
            pages.Add(node.With(own));
            if (pages.Count > MostPages)
                throw new PdfReadException($"it has more than {MostPages} pages, which is the most that is taken");
        }
        return pages.Count > 0 ? pages : throw new PdfReadException("this file has no pages");
    }

    public void Dispose() => _document.Dispose();
}
