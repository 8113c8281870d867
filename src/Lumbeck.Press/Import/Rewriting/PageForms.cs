using System.Text;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Import.Resources;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Pictures;
using Lumbeck.Running;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>
/// Pictures that are finished pages: where the drawer has the press-ready page that a picture shows, its marks are
/// pressed in place of the picture's pixels, so that paths stay sharp and words stay words.
/// </summary>
/// <param name="pdf">What is written.</param>
/// <param name="house">Whose inks the page must be in.</param>
/// <param name="kind">Whether it keeps what lets through.</param>
/// <param name="shelf">Faces.</param>
/// <param name="files">Where pages are.</param>
internal sealed class PageForms(PdfWriter pdf, House house, PressKind kind, FaceShelf shelf, IPictureFiles files)
{
    /// <summary>
    /// The form of a picture's page, in the unit square that pictures lie in (ISO 32000-1, 8.10), and whether something
    /// on it lets through what lies under it; null where the picture has none, or none for this house and kind.
    /// </summary>
    public (int Form, bool Lets)? Of(Picture picture)
    {
        if (files.PageOf(picture.Hash) is not { } path) return null;
        try { return LargeStackThread.Run(() => Form(path)); }
        // What can't be read is still there as pixels.
        catch (Exception e) when (e is not (OperationCanceledException or OutOfMemoryException)) { return null; }
    }

    private (int, bool)? Form(string path)
    {
        using var file = SourceFile.Open(path, default);
        var page = file.Pages[0];
        var lets = file.Dictionary(page, "Group") is not null;
        if ((lets && !kind.KeepsTransparency) || file.Condition != house.OutputCondition
            || file.Numbers(page, "MediaBox") is not [var left, var below, var right, var top] || right <= left
                || top <= below)
            return null;
        var aside = Aside.Folder();
        try
        {
            var condition = PrintingCondition.Of(house);
            var has = new ImportResources(file, pdf, new(condition, new BlackAlone(new PressColour(condition)), false),
                aside.FullName, new(house, [.. house.FinishingInks]), new FontSubstitution(shelf));
            var used = new ResourceDictionary();
            var marks = WholePage.Marks(has, page, used);
            if (has.Report.Transparent && !lets) return null;
            // It begins as a page does, not as what was drawn before it, with paper under it.
            var begins = $"/{used.Add("ExtGState", pdf.Object("<< /Type /ExtGState /OP false /op false /OPM 0 >>"))} " +
                $"gs 0 g 0 G 1 w 0 J " +
                $"0 j 10 M [] 0 d 0 Tc 0 Tw 100 Tz 0 TL 0 Tr 0 Ts\nq 0 0 0 0 k " +
                    $"{PdfSyntax.Figures(left, below, right - left, top - below)} re f Q\n";
            return (pdf.Stream($"/Type /XObject /Subtype /Form /BBox [{PdfSyntax.Figures(left, below, right, top)}] /Matrix " +
                $"[{Fine(1 / (right - left))} 0 0 {Fine(1 / (top - below))} {Fine(-left / (right - left))} " +
                    $"{Fine(-below / (top - below))}] " +
                $"/Resources {used}", s =>
                {
                    s.Write(Encoding.ASCII.GetBytes(begins));
                    s.Write(marks);
                }), lets);
        }
        finally { aside.Delete(recursive: true); }
    }

    private static string Fine(double figure) => figure.ToString("0.############", CultureInfo.InvariantCulture);
}
