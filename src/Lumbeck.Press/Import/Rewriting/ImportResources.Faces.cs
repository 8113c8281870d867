using System.Text;
using Lumbeck.Press.Import.Resources;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Pdf;
using UglyToad.PdfPig.Core;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Press.Import.Rewriting;

// Faces, whole or with another in their place.
internal sealed partial class ImportResources
{
    /// <summary>A face with its programme; one that has none has a stand-in.</summary>
    public int Face(IToken? token, int depth) => Once(token, "face", () =>
    {
        if (SourceFile.Dictionary(File.Resolve(token)) is not { } d) throw new Refusal("file",
            "it names a face that it has not");
        if (File.Name(d, "Subtype") == "Type3") return Drawn(d, depth);
        var bearer = File.Name(d, "Subtype") == "Type0" ? File.Items(File.Get(d, "DescendantFonts")) is [var own, ..]
            ? SourceFile.Dictionary(own) : null : d;
        var about = File.Dictionary(bearer, "FontDescriptor");
        if (((string[])["FontFile", "FontFile2", "FontFile3"]).Any(k => File.Get(about, k) is StreamToken))
            return _pdf.Object(_copier.Entries(d));
        return _standIns.Write(File, _pdf, _copier, d, about, Report);
    });

    /// <summary>A face whose letters are content.</summary>
    private int Drawn(DictionaryToken d, int depth)
    {
        if (depth > Deepest) throw new Refusal("file", "its parts lie deeper within each other than is read");
        var (used, letters) = (new ResourceDictionary(), new StringBuilder());
        foreach (var (name, letter) in File.Dictionary(d, "CharProcs")?.Data ?? new Dictionary<string, IToken>())
        {
            if (File.Resolve(letter) is not StreamToken stream) continue;
            var content = File.Decode(stream);
            // One that says d1 first is painted in the colour of the words.
            var plain = content.AsSpan(0, Math.Min(200, content.Length)).IndexOf("d1"u8) >= 0;
            var made = new ContentRewriter(this, content, File.Dictionary(d, "Resources"), used, plain,
                depth + 1).Rewritten();
            letters.Append($"/{PdfSyntax.Name(name)} {_pdf.Stream("", s => s.Write(made))} 0 R ");
        }
        var entries = _copier.Entries(d, 0, "CharProcs", "Resources");
        return _pdf.Object($"{entries[..^2]}/CharProcs << {letters}>> /Resources {used} >>");
    }
}
