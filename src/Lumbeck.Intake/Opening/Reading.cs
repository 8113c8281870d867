using System.Globalization;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Content;
using UglyToad.PdfPig.Tokens;
using static Lumbeck.Intake.Opening.PdfObjects;

namespace Lumbeck.Intake.Opening;

/// <summary>
/// One page as found: its boxes from the page's own entries, null where it has none; its words run by run, in the order
/// they are painted.
/// </summary>
public sealed record PageReading(Box Media, Box? Bleed, Box? Trim, IReadOnlyList<FaceReading> Faces, string Words);

/// <summary>A face as found, without its subset tag.</summary>
public sealed record FaceReading(string Name, bool Embedded, bool Subset);

/// <summary>
/// What a finished PDF holds, read by other code than wrote it. Boxes are measured from the page's upper left corner.
/// </summary>
public sealed record Reading(string Version, string? Standard, string? Condition, bool ProfileEmbedded,
    IReadOnlyList<PageReading> Pages)
{
    /// <exception cref="Refusal">The file can't be read as a PDF.</exception>
    public static Reading Of(Stream file)
    {
        try
        {
            using var pdf = PdfDocument.Open(file);
            var catalog = pdf.Structure.Catalog.CatalogDictionary;
            var intent = First(pdf, catalog, "OutputIntents");
            var xmp = pdf.TryGetXmpMetadata(out var m) ? System.Text.Encoding.UTF8.GetString(m!.GetXmlBytes()) : "";
            return new(
                pdf.Version.ToString("0.0", CultureInfo.InvariantCulture),
                Between(xmp, "<pdfxid:GTS_PDFXVersion>", "</")
                    ?? (Solid(pdf, pdf.Structure.Trailer?.Info) is DictionaryToken info
                        && Get(pdf, info, "GTS_PDFXVersion") is StringToken said ? said.Data : null),
                intent is not null && Get(pdf, intent, "OutputConditionIdentifier") is StringToken id ? id.Data : null,
                intent is not null && intent.ContainsKey(NameToken.Create("DestOutputProfile")),
                [.. pdf.GetPages().Select(p => Page(pdf, p))]);
        }
        catch (Exception e) when (e is not (OutOfMemoryException or Refusal))
        {
            throw new Refusal("file", $"this can’t be read as a PDF: {e.Message}");
        }
    }

    private static PageReading Page(PdfDocument pdf, Page page)
    {
        var d = page.Dictionary;
        var media = Corners(pdf, d, "MediaBox") ?? [0, 0, page.Width, page.Height];
        Box Placed(double[] c) =>
            Box.FromEdges(Length.FromDrawing(c[0] - media[0]), Length.FromDrawing(media[3] - c[3]),
                Length.FromDrawing(c[2] - media[0]), Length.FromDrawing(media[3] - c[1]));
        return new(
            Placed(media),
            Corners(pdf, d, "BleedBox") is { } b ? Placed(b) : null,
            Corners(pdf, d, "TrimBox") is { } t ? Placed(t) : null,
            Faces(pdf, d),
            string.Join(' ',
                page.Letters.GroupBy(l => l.TextSequence).Select(run => string.Concat(run.Select(l => l.Value)).Trim())
                    .Where(run => run.Length > 0)));
    }

    private static FaceReading[] Faces(PdfDocument pdf, DictionaryToken page)
    {
        if (Get(pdf, page, "Resources") is not DictionaryToken resources
            || Get(pdf, resources, "Font") is not DictionaryToken fonts)
            return [];
        return [.. fonts.Data.Keys.Select(k => Get(pdf, fonts, k) as DictionaryToken).OfType<DictionaryToken>()
            .Select(f => Face(pdf, f)).DistinctBy(f => f.Name).OrderBy(f => f.Name, StringComparer.Ordinal)];
    }

    private static FaceReading Face(PdfDocument pdf, DictionaryToken font)
    {
        var name = (Get(pdf, font, "BaseFont") as NameToken)?.Data ?? "?";
        var described = First(pdf, font, "DescendantFonts") ?? font;
        var embedded = Get(pdf, described, "FontDescriptor") is DictionaryToken d
            && new[] { "FontFile", "FontFile2", "FontFile3" }.Any(k => d.ContainsKey(NameToken.Create(k)));
        var subset = name.Length > 7 && name[6] == '+' && name[..6].All(char.IsAsciiLetterUpper);
        return new(subset ? name[7..] : name, embedded, subset);
    }

    private static double[]? Corners(PdfDocument pdf, DictionaryToken d, string key) =>
        Get(pdf, d, key) is ArrayToken a
            && a.Data.OfType<NumericToken>().Select(n => n.Double).ToArray() is { Length: 4 } c
            ? c
            : null;

    private static DictionaryToken? First(PdfDocument pdf, DictionaryToken d, string key) =>
        Get(pdf, d, key) is ArrayToken { Data.Count: > 0 } a ? Solid(pdf, a.Data[0]) as DictionaryToken : null;

    private static string? Between(string text, string from, string to)
    {
        var a = text.IndexOf(from, StringComparison.Ordinal);
        if (a < 0) return null;
        a += from.Length;
        var b = text.IndexOf(to, a, StringComparison.Ordinal);
        return b < 0 ? null : text[a..b];
    }
}
