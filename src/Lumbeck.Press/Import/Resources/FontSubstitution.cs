using Lumbeck.Press.Faces;
using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Pdf;
using UglyToad.PdfPig.Fonts.Standard14Fonts;

namespace Lumbeck.Press.Import.Resources;

/// <summary>
/// Faces that a file names and has not: one of the same name from the shelf, else one of its kind, with the widths that
/// the file's lines were set in.
/// </summary>
internal sealed class FontSubstitution(FaceShelf shelf)
{
    private readonly Dictionary<FaceId, PdfRef> _programmes = [];

    /// <summary>Writes a face in another's place; returns its object.</summary>
    /// <exception cref="PdfReadException">Its letters have no place here, as those of a face of signs.</exception>
    public PdfRef Write(PdfFile file, PdfWriter pdf, ObjectCopier copier, PdfDict face, PdfDict? about,
        ImportCounts report)
    {
        var name = file.Name(face, "BaseFont") ?? "a face";
        var bare = name.Length > 7 && name[6] == '+' ? name[7..] : name;
        var flags = (int)(file.Number(about, "Flags") ?? 32);
        if (file.Name(face, "Subtype") is "Type0" || bare is "Symbol" or "ZapfDingbats" || (flags & 4) != 0
            && file.Get(face, "Encoding") is null && about is not null)
            throw new PdfReadException($"the face {LengthText.Clip(bare)} is not in the file, and nothing here stands " +
                $"for its letters");
        var stands = Of(bare, flags);
        report.StoodIn[bare] = shelf.NameOf(stands);
        if (!_programmes.TryGetValue(stands, out var programme))
        {
            var bytes = shelf.FileOf(stands);
            programme = _programmes[stands] = pdf.Stream(new() { ["Length1"] = bytes.Length }, bytes);
        }
        var m = ((IType)shelf).Metrics(stands);
        double k(double units) => Math.Round(units * 1000 / m.UnitsPerEm);
        var descriptor = pdf.Object(new PdfDict
        {
            ["Type"] = "FontDescriptor",
            ["FontName"] = bare,
            ["Flags"] = 32,
            ["FontBBox"] = PdfArray.Of(-300, -300, 1300, 1100),
            ["ItalicAngle"] = stands.Italic ? -12 : 0,
            ["Ascent"] = k(m.Ascent),
            ["Descent"] = k(m.Descent),
            ["CapHeight"] = k(m.CapHeight),
            ["StemV"] = 80,
            ["FontFile2"] = programme,
        });
        var (first, widths) = file.Numbers(face, "Widths") is { Length: > 0 } told
            ? ((int)(file.Number(face, "FirstChar") ?? 0), told)
            : (0, Usual(bare, stands));
        PdfObject encoding = file.Get(face, "Encoding") switch
        {
            PdfName { Value: "WinAnsiEncoding" or "MacRomanEncoding" } own => own,
            PdfDict own => new PdfDict
            {
                ["Type"] = "Encoding",
                ["BaseEncoding"] = file.Name(own, "BaseEncoding") is "MacRomanEncoding" and var mac ? mac : "WinAnsiEncoding",
                ["Differences"] = file.Get(own, "Differences") is { } others ? copier.Copy(others) : null,
            },
            _ => "WinAnsiEncoding",
        };
        var letters = file.Get(face, "ToUnicode") is PdfStream ? copier.Copy(face["ToUnicode"]) : null;
        return pdf.Object(new PdfDict
        {
            ["Type"] = "Font",
            ["Subtype"] = "TrueType",
            ["BaseFont"] = bare,
            ["FirstChar"] = first,
            ["LastChar"] = first + widths.Length - 1,
            ["Widths"] = PdfArray.Of(widths),
            ["Encoding"] = encoding,
            ["FontDescriptor"] = descriptor,
            ["ToUnicode"] = letters,
        });
    }

    private FaceId Of(string name, int flags)
    {
        var plain = string.Concat(name.Where(char.IsAsciiLetterOrDigit));
        bool has(params ReadOnlySpan<string> any)
        {
            foreach (var word in any) if (plain.Contains(word, StringComparison.OrdinalIgnoreCase)) return true;
            return false;
        }
        var (bold, italic) = (has("bold", "black", "heavy") || (flags & 0x40000) != 0, has("italic", "oblique")
            || (flags & 0x40) != 0);
        string[] families = [.. shelf.Faces.Select(f => f.Family).Distinct().Where(f =>
            plain.StartsWith(f.Replace("-", "", StringComparison.Ordinal), StringComparison.OrdinalIgnoreCase))];
        var family = families.Length > 0 ? families[0]
            : has("courier", "mono", "consol", "typewriter") || (flags & 1) != 0 ? "b612-mono"
            : has("helvet", "arial", "sans", "verdana", "calibri", "tahoma") || ((flags & 2) == 0
                && !has("times", "serif", "roman", "georgia", "garamond")) ? "work-sans"
            : "source-serif-4";
        return shelf.Faces.Where(f => f.Family == family)
            .MinBy(f => (f.Italic == italic ? 0 : 1000) + Math.Abs(f.Weight - (bold ? 700 : 400)))!;
    }

    /// <summary>
    /// Of the fourteen that every reader has, the widths that they have there; else the stand-in's own.
    /// </summary>
    private double[] Usual(string name, FaceId stands)
    {
        try
        {
            if (Standard14.GetAdobeFontMetrics(name) is { } known)
            {
                var by = known.CharacterMetrics.Values.ToDictionary(c => c.Name, c => c.Width.X);
                var names = UglyToad.PdfPig.Fonts.Encodings.WinAnsiEncoding.Instance.CodeToNameMap;
                return [.. Enumerable.Range(0, 256).Select(c => names.TryGetValue(c, out var n) && by.TryGetValue(n,
                    out var w) ? w : 0)];
            }
        }
        catch (ArgumentException) { }
        var units = shelf.Metrics(stands).UnitsPerEm;
        return [.. Enumerable.Range(0, 256).Select(c => c < 32 ? 0 : shelf.Shape(stands, WinAnsi(c), 0, 1,
            new(false, "Latn", "en", ""))
            .Glyphs.Sum(g => g.Advance) * 1000.0 / units)];
    }

    private static string WinAnsi(int code) =>
        System.Text.CodePagesEncodingProvider.Instance.GetEncoding(1252)!.GetString([(byte)code]);
}
