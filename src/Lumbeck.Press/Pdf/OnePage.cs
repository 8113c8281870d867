namespace Lumbeck.Press.Pdf;

/// <summary>A file of one page and nothing else, to be read again here.</summary>
internal static class OnePage
{
    /// <summary>Writes the page and ends the file.</summary>
    /// <param name="pdf">The file, with all that the page names in it.</param>
    /// <param name="entries">The page's own, but for its kind and its parent (ISO 32000-1, 7.7.3.3).</param>
    public static void Finish(PdfWriter pdf, string entries)
    {
        var tree = pdf.Reserve();
        var kid = pdf.Object($"<< /Type /Page /Parent {tree} 0 R {entries} >>");
        pdf.Object(tree, $"<< /Type /Pages /Count 1 /Kids [{kid} 0 R] >>");
        pdf.Finish(pdf.Object($"<< /Type /Catalog /Pages {tree} 0 R >>"), pdf.Object("<< >>"));
    }
}
