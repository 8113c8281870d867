using Lumbeck.Intake.Opening;
using System.Text;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Judging;

/// <summary>What kind of file it is, and what that kind owes: version, printing condition, trapping.</summary>
internal static class FileChecks
{
    public static void Look(Pdf pdf, Expected expected, Findings found)
    {
        var house = expected.House;
        var info = pdf.Resolve(pdf.Document.Structure.Trailer?.Info) as DictionaryToken;
        var claimed = pdf.Text(info, "GTS_PDFXVersion") ?? "";
        var xmp = Xmp(pdf);
        if (Between(xmp, "GTS_PDFXVersion") is { } said && claimed.Length == 0) claimed = said;
        found.Kind = claimed.StartsWith("PDF/X-", StringComparison.Ordinal) ? claimed : "PDF";
        var kind = found.IsX1a ? PressKind.X1a : found.IsX4 ? PressKind.X4 : PressKind.Pdf;
        // A house that takes any PDF takes a stricter one.
        if (!house.Kinds.Contains(kind) && !house.Kinds.Contains(PressKind.Pdf))
            found.Stop("standard", found.Kind, string.Join(" or ", house.Kinds.Select(k => k.Title)),
                $"{house.Name} takes no {found.Kind}.");

        var version = pdf.Document.Version;
        if (found.IsX1a && version > 1.41)
            found.Stop("version", $"PDF {version:0.0}", "PDF 1.4", "PDF/X-1a:2003 is PDF 1.4.");
        if (found.IsX1a
            && pdf.Document.Structure.CrossReferenceTable.Parts.Any(p =>
                p.Type.ToString().Contains("Stream", StringComparison.OrdinalIgnoreCase)))
            found.Stop("version", "a cross-reference stream", "a table",
                "PDF/X-1a:2003 knows no cross-reference streams.");
        if (found.IsX4 && version > 1.61) found.Stop("version", $"PDF {version:0.0}", "PDF 1.6", "PDF/X-4 is PDF 1.6.");

        Intent(pdf, house, found);
        if (kind != PressKind.Pdf && pdf.Text(info, "Trapped") is not ("True" or "False")
            && Between(xmp, "Trapped") is not ("True" or "False"))
            found.Stop("standard", "Trapped unknown", "True or False", "A PDF/X file says whether it is trapped.");
        if (found.IsX4 && xmp.Length == 0) found.Stop("standard", "no XMP", "XMP", "PDF/X-4 says what it is in XMP.");
        if (found.IsX1a && pdf.Text(info, "Title") is null or "" && found.IsX1a)
            found.Stop("standard", "no title", "a title", "PDF/X-1a has a title.");
    }

    private static void Intent(Pdf pdf, House house, Findings found)
    {
        var intents = pdf.Items(pdf.Get(pdf.Catalog, "OutputIntents")).OfType<DictionaryToken>().ToList();
        var intent = intents.FirstOrDefault(i => pdf.Name(i, "S") == "GTS_PDFX")
            ?? (found.Kind == "PDF" ? intents.FirstOrDefault() : null);
        if (intent is null)
        {
            if (found.Kind != "PDF")
                found.Stop("intent", "no output intent", house.OutputCondition,
                    "A PDF/X file names the printing condition that its colours are for.");
            return;
        }
        var condition = pdf.Text(intent, "OutputConditionIdentifier") ?? pdf.Text(intent, "OutputCondition") ?? "";
        if (!condition.Contains(house.OutputCondition, StringComparison.OrdinalIgnoreCase))
            found.Stop("intent", condition.Length == 0 ? "no condition" : condition, house.OutputCondition,
                "The file’s colours are for another printing condition than the printer’s.");
        var profile = pdf.Get(intent, "DestOutputProfile") as StreamToken;
        if (found.IsX4 && profile is null)
            found.Stop("intent", "no profile", "embedded", "PDF/X-4 carries the profile of its printing condition.");
        if (profile is null) return;
        // The colour space stands in an ICC profile's header, bytes 16 to 19 (ISO 15076-1, 7.2).
        var header = pdf.Decode(profile).Span;
        var space = header.Length >= 40 ? Encoding.ASCII.GetString(header.Slice(16, 4)) : "";
        if (header.Length < 128 || Encoding.ASCII.GetString(header.Slice(36, 4)) != "acsp")
            found.Stop("intent", "a broken profile", "an ICC profile",
                "The profile of the printing condition can’t be read.");
        else if (space != "CMYK" && house.Colour == ColourWanted.Cmyk)
            found.Stop("intent", $"a profile for {space.Trim()}", "CMYK", "The printer prints in four inks.");
    }

    private static string Xmp(Pdf pdf) =>
        pdf.Get(pdf.Catalog, "Metadata") is StreamToken s ? Encoding.UTF8.GetString(pdf.Decode(s).Span) : "";

    private static string? Between(string xmp, string key)
    {
        var at = xmp.IndexOf(key, StringComparison.Ordinal);
        if (at < 0) return null;
        at += key.Length;
        if (at >= xmp.Length) return null;
        var (open, close) = xmp[at] == '>'
            ? (at + 1, '<')
            : xmp.AsSpan(at).StartsWith("=\"")
            ? (at + 2, '"')
            : (-1, ' ');
        if (open < 0) return null;
        var end = xmp.IndexOf(close, open);
        return end < 0 ? null : xmp[open..end].Trim();
    }
}
