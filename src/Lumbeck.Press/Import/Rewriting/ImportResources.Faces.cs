using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Import.Rewriting;

// Faces, whole or with another in their place.
internal sealed partial class ImportResources
{
    /// <summary>A face with its programme; one that has none has a stand-in.</summary>
    public PdfRef Face(PdfObject? token, int depth) => Once(token, "face", () =>
    {
        if (PdfFile.Dict(File.Resolve(token)) is not { } d) throw new PdfReadException(
            "it names a face that it has not");
        if (File.Name(d, "Subtype") == "Type3") return Drawn(d, depth);
        var bearer = File.Name(d, "Subtype") == "Type0" ? File.Items(File.Get(d, "DescendantFonts")) is [var own, ..]
            ? PdfFile.Dict(own) : null : d;
        var about = File.Dict(bearer, "FontDescriptor");
        if (((string[])["FontFile", "FontFile2", "FontFile3"]).Any(k => File.Get(about, k) is PdfStream))
            return _pdf.Object(_copier.Dict(d));
        return _standIns.Write(File, _pdf, _copier, d, about, Report);
    });

    /// <summary>A face whose letters are content.</summary>
    private PdfRef Drawn(PdfDict d, int depth)
    {
        NotDeeper(depth);
        var (used, letters) = (new ResourceDictionary(), new PdfDict());
        foreach (var (name, letter) in File.Dict(d, "CharProcs") ?? new PdfDict())
        {
            if (File.Resolve(letter) is not PdfStream stream) continue;
            var content = File.Decode(stream);
            // One that says d1 first is painted in the colour of the words.
            var plain = content.AsSpan(0, Math.Min(200, content.Length)).IndexOf("d1"u8) >= 0;
            var made = new ContentRewriter(this, content, File.Dict(d, "Resources"), used, plain, depth + 1).Rewritten();
            letters.Set(name, _pdf.Stream(new(), made));
        }
        return _pdf.Object(_copier.Dict(d, 0, "CharProcs", "Resources").Set("CharProcs", letters)
            .Set("Resources", used.Dict()));
    }
}
