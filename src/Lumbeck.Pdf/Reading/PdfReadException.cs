namespace Lumbeck.Pdf.Reading;

/// <summary>Something of a PDF that can't be read, told in words for whoever brought it.</summary>
/// <param name="sentence">What it is, and the way out.</param>
public class PdfReadException(string sentence) : Exception(sentence);

/// <summary>A PDF that is closed by a password, or by another than was given.</summary>
public sealed class PdfPasswordException(string sentence) : PdfReadException(sentence);
