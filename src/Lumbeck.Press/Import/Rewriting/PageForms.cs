using Lumbeck.Pdf.Content;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Import.Resources;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Faces;
using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;
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
    public (PdfRef Form, bool Lets)? Of(Picture picture)
    {
        if (files.PageOf(picture.Hash) is not { } path) return null;
        try { return LargeStackThread.Run(() => Form(path)); }
        // What can't be read is still there as pixels.
        catch (Exception e) when (e is not (OperationCanceledException or OutOfMemoryException)) { return null; }
    }

    private (PdfRef, bool)? Form(string path)
    {
        using var file = PdfFile.Open(path, default);
        var page = file.Pages[0];
        var lets = file.Dict(page, "Group") is not null;
        if ((lets && !kind.KeepsTransparency) || file.Condition != house.OutputCondition
            || file.Numbers(page, "MediaBox") is not [var left, var below, var right, var top] || right <= left
                || top <= below)
            return null;
        var aside = Aside.Folder();
        try
        {
            var condition = PrintingCondition.Of(house);
            var has = new ImportResources(file, pdf, new(condition, new BlackAlone(new PressColour(condition)), false)
                { Aside = aside.FullName }, new(house, [.. house.FinishingInks]), new FontSubstitution(shelf));
            var used = new ResourceDictionary();
            var marks = WholePage.Marks(has, page, used);
            if (has.Report.Transparent && !lets) return null;
            // It begins as a page does, not as what was drawn before it, with paper under it.
            var state = pdf.Object(new PdfDict { ["Type"] = "ExtGState", ["OP"] = false, ["op"] = false, ["OPM"] = 0 });
            var (wide, high) = (right - left, top - below);
            var begins = new ContentWriter().State(used.Add("ExtGState", state)).Op(Operator.FillGray, 0)
                .Op(Operator.StrokeGray, 0).Op(Operator.LineWidth, 1).Op(Operator.LineCap, 0).Op(Operator.LineJoin, 0)
                .Op(Operator.MiterLimit, 10).Dash([]).Op(Operator.CharacterSpacing, 0).Op(Operator.WordSpacing, 0)
                .Op(Operator.HorizontalScaling, 100).Op(Operator.Leading, 0).Op(Operator.RenderingMode, 0)
                .Op(Operator.Rise, 0).Break().Save().Op(Operator.FillCmyk, 0, 0, 0, 0).Rectangle(left, below, wide, high)
                .Fill().Restore().Break();
            return (pdf.Stream(pdf.Reserve(), PressObjects.Form(PdfArray.Of(left, below, right, top), used.Dict())
                .Set("Matrix", new PdfMatrix(1 / wide, 0, 0, 1 / high, -left / wide, -below / high).ToArray(12)), s =>
                {
                    s.Write(begins.Written.Span);
                    s.Write(marks.Span);
                }), lets);
        }
        finally { aside.Delete(recursive: true); }
    }
}
