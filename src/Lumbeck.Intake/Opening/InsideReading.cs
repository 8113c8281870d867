using System.Collections.Immutable;
using Lumbeck.Running;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Exceptions;
using UglyToad.PdfPig.Tokens;
using static Lumbeck.Intake.Opening.PdfObjects;
using PageSize = Lumbeck.Core.Trade.Insides.PageSize;

namespace Lumbeck.Intake.Opening;

/// <summary>
/// Reads from an inside PDF what a ticket needs: the page tree with its boxes, and whether the last page is blank.
/// No other page's content is opened, so that a file of hundreds of megabytes takes no more room than a small one.
/// </summary>
public static class InsideReading
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(10);
    private const int MostPages = 20_000;
    /// <summary>
    /// A page whose content is longer than this, packed, is not blank; nor is one that unpacks to more than the second.
    /// </summary>
    private const int BlankBytes = 20_000, BlankUnpacked = 2_000_000;
    /// <summary>
    /// What cross-reference and object streams may unpack to together: a book of hundreds of pages has a few megabytes
    /// of them.
    /// </summary>
    private const long MostUnpacked = 60_000_000;

    /// <param name="file">Read from its start; must be seekable.</param>
    /// <param name="name">What the file is called, for sentences.</param>
    /// <param name="most">How long reading may take; ten seconds where null. A sound file of 500 MB takes a fraction of
    /// one.</param>
    /// <param name="cancel">Whoever asked has gone.</param>
    /// <exception cref="Refusal">It is empty, encrypted, damaged or no PDF; the sentence says which.</exception>
    public static InsideFile Of(Stream file, string name, TimeSpan? most = null, CancellationToken cancel = default)
    {
        if (file.Length == 0) throw No($"{name} is empty: export it again");
        if (!StartsAsPdf(file)) throw No($"{name} is no PDF: drop the inside as your layout program exports it");
        if (!BoundedStream.EndsAsPdf(file)) throw No($"{name} was cut off, and its end is missing: export it again");
        try
        {
            var (patience, own) = (most ?? Patience, new ThreadCpuTime());
            void goOn()
            {
                cancel.ThrowIfCancellationRequested();
                if (own.Spent > patience) throw new TimeoutException();
            }
            var filters = new BoundedFilters(MostUnpacked, cancel);
            var bounded = new BoundedStream(file, patience < BoundedStream.Opening ? patience : BoundedStream.Opening,
                cancel);
            using var pdf = PdfDocument.Open(bounded,
                new ParsingOptions { FilterProvider = filters, SkipMissingFonts = true, MaxStackDepth = 100 });
            bounded.Allow(patience);
            if (pdf.IsEncrypted)
                throw No($"{name} is encrypted: export it without a password, since printers refuse such files too");
            var pages = Pages(pdf, goOn).Take(MostPages + 1).ToList();
            if (pages.Count == 0) throw No($"{name} has no pages: export it again");
            if (pages.Count > MostPages)
                throw No($"{name} has over {MostPages} pages: a book has up to {PageCount.Most}");
            var sized = pages.Select((p, i) => (Number: i + 1, Page: Measure(pdf, p, name, i + 1))).ToList();
            var trims = sized.Count(s => s.Page.Trimmed) > sized.Count / 2;
            goOn();
            return new(name, pages.Count, Sizes(sized.Select(s => (s.Number, trims ? s.Page.Trim : s.Page.Media))),
                trims, IsBlank(pdf, filters, pages[^1], goOn));
        }
        catch (PdfDocumentEncryptedException)
        {
            throw No($"{name} is encrypted: export it without a password, since printers refuse such files too");
        }
        catch (BoundsExceededException) { throw No($"{name} unpacks to more than any inside does: export it again"); }
        catch (Exception e) when (e is not (OutOfMemoryException or Refusal or IOException or OperationCanceledException))
        {
            throw No(
            $"{name} is damaged and can’t be read: open it, and export it again");
        }
    }

    private static Refusal No(string why) => new("ticket/inside", why);

    /// <summary>The header may stand anywhere in the first kilobyte (ISO 32000-1, annex H).</summary>
    private static bool StartsAsPdf(Stream file)
    {
        Span<byte> head = stackalloc byte[1024];
        file.Position = 0;
        var read = file.ReadAtLeast(head, head.Length, throwOnEndOfStream: false);
        file.Position = 0;
        return head[..read].IndexOf("%PDF-"u8) >= 0;
    }

    /// <summary>A node of the page tree and what it hangs on, from which it inherits.</summary>
    private sealed record Node(DictionaryToken Data, Node? Parent);

    /// <summary>
    /// The leaves of the page tree, in order (ISO 32000-1, 7.7.3). No node is opened twice, so that a tree that loops
    /// comes to an end.
    /// </summary>
    private static IEnumerable<Node> Pages(PdfDocument pdf, Action goOn)
    {
        if (Get(pdf, pdf.Structure.Catalog.CatalogDictionary, "Pages") is not DictionaryToken root) yield break;
        var open = new Stack<(IToken Token, Node? Parent)>([(root, null)]);
        var seen = new HashSet<IndirectReference>();
        while (open.Count > 0)
        {
            goOn();
            var (token, parent) = open.Pop();
            if (token is IndirectReferenceToken r && !seen.Add(r.Data)) continue;
            if (Solid(pdf, token) is not DictionaryToken data) continue;
            var node = new Node(data, parent);
            if (Get(pdf, data, "Kids") is not ArrayToken kids) { yield return node; continue; }
            for (var i = kids.Data.Count - 1; i >= 0; i--) open.Push((kids.Data[i], node));
        }
    }

    private static (Size Media, Size Trim, bool Trimmed) Measure(PdfDocument pdf, Node page, string name, int number)
    {
        if ((Box(pdf, page, "CropBox") ?? Box(pdf, page, "MediaBox")) is not { } media || media.Width.Units <= 0
            || media.Height.Units <= 0)
            throw No($"page {number} of {name} has no size: export it again");
        var unit = Entry(pdf, page, "UserUnit") is NumericToken { Double: > 0 and < 1000 } u ? (decimal)u.Double : 1;
        var turned = Entry(pdf, page, "Rotate") is NumericToken r && Math.Abs(r.Int % 180) == 90;
        Size seen(Size s) => turned ? new(unit * s.Height, unit * s.Width) : new(unit * s.Width, unit * s.Height);
        var trim = page.Data.ContainsKey(NameToken.Create("TrimBox")) ? Box(pdf, page, "TrimBox") : null;
        return trim is { Width.Units: > 0, Height.Units: > 0 } t
            ? (seen(media), seen(t), true)
            : (seen(media), seen(media), false);
    }

    /// <summary>Sizes as near as 0.2 mm are one; the commonest first, then as they come.</summary>
    private static ImmutableArray<PageSize> Sizes(IEnumerable<(int Number, Size Size)> pages)
    {
        var groups = new List<PageSize>();
        foreach (var (number, size) in pages)
        {
            var at = groups.FindIndex(g => InsideFile.Same(g.Size, size));
            if (at < 0) groups.Add(new(size, 1, number));
            else groups[at] = groups[at] with { Pages = groups[at].Pages + 1 };
        }
        return [.. groups.OrderByDescending(g => g.Pages).ThenBy(g => g.First)];
    }

    /// <summary>
    /// Whether nothing is painted on a page; its content is read only if it is short, and no form in it is opened.
    /// </summary>
    private static bool IsBlank(PdfDocument pdf, BoundedFilters filters, Node page, Action goOn)
    {
        var streams = Entry(pdf, page, "Contents") switch
        {
            null => [],
            ArrayToken a => a.Data.Select(t => Solid(pdf, t)).OfType<StreamToken>().ToList(),
            StreamToken s => [s],
            _ => new List<StreamToken>(),
        };
        if (streams.Sum(s => (long)s.Data.Length) > BlankBytes) return false;
        // Whatever paints: paths filled or stroked, words, pictures, shadings (ISO 32000-1, annex A).
        string[] paints = ["f", "F", "f*", "B", "B*", "b", "b*", "S", "s", "sh", "Do", "BI", "EI", "Tj", "TJ", "'",
            "\""];
        filters.Narrow(BlankUnpacked);
        try
        {
            // Streams of one page are one content, parted anywhere between tokens (7.8.2).
            var content = streams.SelectMany(s =>
                (IEnumerable<byte>)[.. UglyToad.PdfPig.PdfExtensions.Decode(s, filters).Span, (byte)'\n'])
                .ToArray();
            foreach (var (op, _) in new ContentTokenizer(content).All())
            {
                goOn();
                if (paints.Contains(op)) return false;
            }
            return true;
        }
        catch (BoundsExceededException) { return false; }
    }

    private static Size? Box(PdfDocument pdf, Node page, string key) =>
        Entry(pdf, page, key) is ArrayToken a
            && a.Data.Select(t => Solid(pdf, t)).OfType<NumericToken>().Select(n => n.Double)
                .ToArray() is { Length: 4 } c
            && c.All(x => Math.Abs(x) < 1e6)
            ? new(Length.FromDrawing(Math.Abs(c[2] - c[0])), Length.FromDrawing(Math.Abs(c[3] - c[1])))
            : null;

    /// <summary>An entry of a page, or inherited from what it hangs on.</summary>
    private static IToken? Entry(PdfDocument pdf, Node? node, string key)
    {
        for (var depth = 0; node is not null && depth < 100; node = node.Parent, depth++)
            if (node.Data.TryGet(NameToken.Create(key), out var t)) return Solid(pdf, t);
        return null;
    }
}
