using System.Security.Cryptography;
using System.Text;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Faces;

namespace Lumbeck.Press.Pdf;

/// <summary>
/// One face of a file: gathers the glyphs in use, then writes them as a subset under their own ids
/// (Type 0 over CIDFontType2 or 0 with identity mapping; ISO 32000-1, 9.7) with a ToUnicode map.
/// </summary>
internal sealed class EmbeddedFont(OpenFace face, string name, PdfRef reference)
{
    private readonly SortedDictionary<ushort, string> _letters = [];

    /// <summary>The name under which page content selects it, such as <c>F1</c>.</summary>
    public string Name { get; } = name;
    public PdfRef Reference { get; } = reference;
    public int UnitsPerEm => face.Metrics.UnitsPerEm;
    public int Advance(ushort glyph) => face.Advance(glyph);

    public void Use(PlacedGlyph glyph)
    {
        if (!_letters.TryGetValue(glyph.Id, out var known) || known.Length == 0) _letters[glyph.Id] = glyph.Letters;
    }

    /// <summary>Whether the ToUnicode map alone gives this glyph's letters back.</summary>
    public bool Tells(PlacedGlyph glyph) => _letters[glyph.Id] == glyph.Letters;

    public void Write(PdfWriter pdf)
    {
        // A face whose licence asks for it leaves whole, without a subset's tag.
        var whole = face.Facts.WholeOnly;
        var program = HarfBuzzDraw.Program(face.Face.Handle, whole ? null : _letters.Keys, face.Cff);
        var tagged = whole ? face.PostScriptName : $"{Tag()}+{face.PostScriptName}";
        var scale = 1000.0 / UnitsPerEm;
        // Outlines of cubic curves leave as a bare CFF table, whose glyphs are chosen by their number too (9.9, table
        // 126).
        var file = pdf.Stream(face.Cff ? new PdfDict { ["Subtype"] = "CIDFontType0C" }
            : new PdfDict { ["Length1"] = program.Length }, program);
        var m = face.Metrics;
        double scaled(double units) => Math.Round(units * scale);
        var descriptor = pdf.Object(new PdfDict
        {
            ["Type"] = "FontDescriptor",
            ["FontName"] = tagged,
            // Symbolic: glyphs are chosen by id, not through a standard encoding (9.8.2). Italic is bit 7.
            ["Flags"] = 4 | (face.Id.Italic ? 64 : 0),
            ["FontBBox"] = PdfArray.From(face.Box.Select(v => (PdfObject)scaled(v))),
            ["ItalicAngle"] = new PdfNumber(face.ItalicAngle, 8),
            ["Ascent"] = scaled(m.Ascent),
            ["Descent"] = -scaled(m.Descent),
            ["CapHeight"] = scaled(m.CapHeight),
            ["StemV"] = face.Id.Weight / 5,
            [face.Cff ? "FontFile3" : "FontFile2"] = file,
        });
        var descendant = pdf.Object(new PdfDict
        {
            ["Type"] = "Font",
            ["Subtype"] = face.Cff ? "CIDFontType0" : "CIDFontType2",
            ["BaseFont"] = tagged,
            ["CIDSystemInfo"] = new PdfDict
            {
                ["Registry"] = PdfString.Text("Adobe"),
                ["Ordering"] = PdfString.Text("Identity"),
                ["Supplement"] = 0,
            },
            ["FontDescriptor"] = descriptor,
            ["DW"] = 1000,
            ["W"] = PdfArray.From(_letters.Keys.SelectMany(g =>
                (PdfObject[])[g, PdfArray.Of(face.Advance(g) * scale)])),
            ["CIDToGIDMap"] = face.Cff ? null : "Identity",
        });
        var unicode = pdf.Stream(new(), Encoding.ASCII.GetBytes(ToUnicode()));
        pdf.Object(Reference, new PdfDict
        {
            ["Type"] = "Font",
            ["Subtype"] = "Type0",
            ["BaseFont"] = tagged,
            ["Encoding"] = "Identity-H",
            ["DescendantFonts"] = PdfArray.Of(descendant),
            ["ToUnicode"] = unicode,
        });
    }

    /// <summary>Six capitals that name this very subset (9.6.4).</summary>
    private string Tag()
    {
        var digest = SHA256.HashData(System.Runtime.InteropServices.MemoryMarshal.AsBytes(_letters.Keys.ToArray()
            .AsSpan()));
        var h = System.Buffers.Binary.BinaryPrimitives.ReadUInt64BigEndian(digest);
        var tag = new char[6];
        for (var i = 0; i < 6; i++, h /= 26) tag[i] = (char)('A' + (h % 26));
        return new(tag);
    }

    private string ToUnicode()
    {
        var s = new StringBuilder("/CIDInit /ProcSet findresource begin\n12 dict begin\nbegincmap\n/CIDSystemInfo << " +
            "/Registry (Adobe) /Ordering (UCS) /Supplement 0 >> def\n/CMapName /Adobe-Identity-UCS def\n/CMapType 2 " +
            "def\n1 begincodespacerange\n<0000> <FFFF>\nendcodespacerange\n");
        foreach (var hundred in _letters.Where(l => l.Value.Length > 0).Chunk(100))
        {
            s.Append(CultureInfo.InvariantCulture, $"{hundred.Length} beginbfchar\n");
            foreach (var (glyph, letters) in hundred)
            {
                var utf16 = Convert.ToHexString(Encoding.BigEndianUnicode.GetBytes(letters));
                s.Append(CultureInfo.InvariantCulture, $"<{glyph:X4}> <{utf16}>\n");
            }
            s.Append("endbfchar\n");
        }
        return s.Append("endcmap\nCMapName currentdict /CMap defineresource pop\nend\nend\n").ToString();
    }
}
