using Lumbeck.Intake.Opening;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Judging;

/// <summary>
/// What no press file holds: scripts, actions, forms, attachments, films; and what PDF/X forbids besides.
/// </summary>
internal static class ForbiddenObjects
{
    private const int Most = 60_000;

    public static void Look(Pdf pdf, Findings found)
    {
        foreach (var token in pdf.Reachable(Most))
        {
            if ((token as StreamToken)?.StreamDictionary is { } s)
            {
                var filters = pdf.Filters(s);
                if (filters.Contains("LZWDecode") && found.Kind != "PDF")
                    found.Stop("packing", "LZW", "ZIP", "PDF/X knows no LZW.");
                if (filters.Contains("Crypt"))
                    found.Stop("packing", "Crypt", "none", "Parts of the file are encrypted.");
                if (found.IsX1a && pdf.Name(s, "Type") is "ObjStm" or "XRef" && found.IsX1a)
                    found.Stop("version", "object streams", "none", "PDF/X-1a:2003 knows no object streams.");
                if (s.ContainsKey(NameToken.Create("F")) && pdf.Name(s, "Subtype") == "Image")
                    found.Stop("objects", "a picture outside the file", "within it",
                        "A picture that is not in the file can’t be printed.");
            }
            if ((token as DictionaryToken ?? (token as StreamToken)?.StreamDictionary) is not { } d) continue;
            switch (pdf.Name(d, "S"))
            {
                case "JavaScript" when d.ContainsKey(NameToken.Create("JS")):
                    found.Stop("objects", "a script", "none",
                    "A press file runs no scripts."); break;
                case "Launch" or "URI" or "SubmitForm" or "ImportData" or "GoToR" or "Movie"
                    or "Sound" or "Rendition" or "ResetForm" or "Named" or "GoTo"
                    when pdf.Name(d, "Type") is null or "Action" && found.Kind != "PDF":
                    found.Stop("objects", "an action", "none", "A press file acts on nothing.");
                    break;
                case "Launch" or "SubmitForm" or "ImportData":
                    found.Stop("objects", "an action", "none",
                    "A press file acts on nothing."); break;
            }
            if (pdf.Name(d, "Type") is "EmbeddedFile" or "Filespec" or "F" && d.ContainsKey(NameToken.Create("EF")))
                found.Stop("objects", "an attachment", "none", "Files within the file are not printed.");
            if (d.ContainsKey(NameToken.Create("AA")))
                found.Stop("objects", "an action", "none", "A press file acts on nothing.");
        }
        var c = pdf.Catalog;
        if (pdf.Get(c, "OpenAction") is DictionaryToken)
            found.Stop("objects", "an action on opening", "none", "A press file acts on nothing.");
        if (pdf.Dictionary(c, "AcroForm") is { } form && pdf.Items(pdf.Get(form, "Fields")).Any())
            found.Stop("objects", "a form", "none", "Form fields are not printed as they look.");
        if (pdf.Get(pdf.Dictionary(c, "Names"), "EmbeddedFiles") is not null)
            found.Stop("objects", "an attachment", "none", "Files within the file are not printed.");
        if (found.IsX1a && pdf.Get(c, "OCProperties") is not null)
            found.Stop("layers", "optional content", "none", "PDF/X-1a has no layers.");
    }

    /// <summary>
    /// What lies on a page beside its content. Notes wholly outside the bleed print nothing there, and PDF/X allows
    /// them.
    /// </summary>
    public static void OnPage(Pdf pdf, DictionaryToken page, PageBoxes shape, PageUse use, Findings found)
    {
        var (l, b, r, t) = shape.Bleed ?? shape.Media;
        foreach (var note in pdf.Items(pdf.Get(page, "Annots")).OfType<DictionaryToken>().Take(2000))
        {
            var kind = pdf.Name(note, "Subtype") ?? "";
            if (kind is "TrapNet" or "PrinterMark" && found.Kind != "PDF") continue;
            if (kind is "Widget")
            {
                found.Stop("objects", "a form field", "none", "Form fields are not printed as they look.");
                continue;
            }
            if (pdf.Numbers(note, "Rect") is [var x1, var y1, var x2, var y2]
                && (Math.Max(x1, x2) <= l || Math.Min(x1, x2) >= r || Math.Max(y1, y2) <= b || Math.Min(y1, y2) >= t))
                continue;
            found.Stop("objects", kind.Length > 0 ? $"a note on the page ({kind})" : "a note on the page",
                "none within the bleed", "A note or link lies on the cover, and may be printed.");
        }
        foreach (var state in use.States) found.Stop("objects", state, "none", "The press sets these itself.");
        if (use.PostScript) found.Stop("objects", "PostScript", "none", "PostScript in a PDF is run by nobody.");
        if (pdf.Get(page, "PresSteps") is not null && found.IsX1a)
            found.Stop("objects", "page turns", "none", "A press file is no slide show.");
    }
}
