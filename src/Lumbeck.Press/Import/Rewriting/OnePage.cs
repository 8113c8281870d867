using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>A file of one page and nothing else, to be read again here.</summary>
internal static class OnePage
{
    /// <summary>Writes the page and ends the file.</summary>
    /// <param name="pdf">The file, with all that the page names in it.</param>
    /// <param name="entries">The page's own, but for its kind and its parent (ISO 32000-1, 7.7.3.3).</param>
    public static void Finish(PdfWriter pdf, PdfDict entries)
    {
        var tree = pdf.Reserve();
        var kid = pdf.Object(new PdfDict { ["Type"] = "Page", ["Parent"] = tree }.With(entries));
        pdf.Object(tree, PressObjects.Tree([kid]));
        pdf.Finish(pdf.Object(new PdfDict { ["Type"] = "Catalog", ["Pages"] = tree }), pdf.Object(new PdfDict()));
    }
}
