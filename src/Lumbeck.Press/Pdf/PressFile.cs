using System.Security.Cryptography;
using System.Text;
using Lumbeck.Core.Houses;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Pictures;

namespace Lumbeck.Press.Pdf;

/// <summary>What a press file says of itself. Date and id come from the job's revision, so that a file can be made again to the byte.</summary>
public sealed record PressNote(string Title, string Author, string Subject, DateTimeOffset At, string JobId, long Revision);

/// <summary>Writes press files (PRINT.md).</summary>
public static class PressFile
{
    private const string Maker = "Lumbeck";

    /// <summary>PDF/X-4 (ISO 15930-7): a page a sheet, in press colours, with the house's printing condition and its profile embedded.</summary>
    /// <param name="output">Written from front to back; not closed.</param>
    /// <param name="pages">The sheets, composed one at a time.</param>
    /// <param name="house">Whose condition and profile.</param>
    /// <param name="note">What the file says of itself.</param>
    /// <param name="shelf">Where the faces are.</param>
    /// <param name="pictures">Where pictures' files are; null where there are none.</param>
    /// <param name="before">Is told of each page and picture before it is made; may end the work by throwing.</param>
    /// <param name="outlines">Whether type leaves as shapes; it can't be read or found in the file then.</param>
    /// <exception cref="Core.Refusal">A face's licence forbids what was asked; the face is named.</exception>
    public static void WriteX4(Stream output, IEnumerable<Scene> pages, House house, PressNote note, FaceShelf shelf, IPictureFiles? pictures = null, Action? before = null, bool outlines = false)
    {
        using var pdf = new PdfWriter(output, "1.6");
        var tree = pdf.Reserve();
        var faces = new SortedDictionary<FaceId, EmbeddedFace>();
        Outline Shaped(GlyphMark g) => TextDrawing.Shape([g], shelf);
        EmbeddedFace Face(FaceId id) => faces.TryGetValue(id, out var f) ? f : faces[id] = new(shelf.Open(id), "F" + (faces.Count + 1).ToString(CultureInfo.InvariantCulture), pdf.Reserve());

        var images = new PressImages(pdf, house, pictures) { Before = before };
        var kids = new List<int>();
        foreach (var scene in pages)
        {
            before?.Invoke();
            RefuseFaces(scene, shelf);
            var has = new PageResources(pdf, scene, Face, images);
            var content = new PdfPainter(scene, has, outlines ? Shaped : null).Paint();
            var stream = pdf.Stream("", s => s.Write(Encoding.ASCII.GetBytes(content)));
            var h = scene.Sheet.Size.Height;
            var used = string.Concat(faces.Values.OrderBy(f => f.Number).Select(f => $"/{f.Name} {f.Number} 0 R "));
            // Without marks the media is the bleed (PRINT.md, Common to all).
            kids.Add(pdf.Object($"<< /Type /Page /Parent {tree} 0 R /MediaBox {PdfText.Rectangle(scene.Sheet.Whole, h)} /BleedBox {PdfText.Rectangle(scene.Sheet.Whole, h)} /TrimBox {PdfText.Rectangle(scene.Sheet.Trim, h)} {(has.Mixes ? "/Group << /S /Transparency /CS /DeviceCMYK >> " : "")}/Resources {has.Write(used)} 0 R /Contents {stream} 0 R >>"));
        }
        foreach (var face in faces.Values) face.Write(pdf);
        pdf.Object(tree, $"<< /Type /Pages /Count {kids.Count} /Kids [{string.Join(' ', kids.Select(k => $"{k} 0 R"))}] >>");

        var profile = Profiles.Bytes(house.Profile);
        var icc = pdf.Stream("/N 4", s => s.Write(profile));
        var intent = pdf.Object($"<< /Type /OutputIntent /S /GTS_PDFX /OutputConditionIdentifier {PdfText.String(house.OutputCondition)} /RegistryName (http://www.color.org) /Info {PdfText.String(house.OutputCondition)} /DestOutputProfile {icc} 0 R >>");
        var xmp = pdf.Stream("/Type /Metadata /Subtype /XML", s => s.Write(Encoding.UTF8.GetBytes(Xmp(note))), compress: false);
        var catalog = pdf.Object($"<< /Type /Catalog /Pages {tree} 0 R /Metadata {xmp} 0 R /OutputIntents [{intent} 0 R] >>");
        var info = pdf.Object($"<< /Title {PdfText.String(note.Title)} /Author {PdfText.String(note.Author)} /Subject {PdfText.String(note.Subject)} /Creator ({Maker}) /Producer ({Maker}) /CreationDate {PdfText.Date(note.At)} /ModDate {PdfText.Date(note.At)} /Trapped /False >>");
        pdf.Finish(catalog, info);
    }

    /// <summary>Refuses a sheet that is set in a face whose licence lets no file hold it, whether as type or as shapes.</summary>
    /// <exception cref="Core.Refusal">The face, by name.</exception>
    public static void RefuseFaces(Scene scene, FaceShelf shelf)
    {
        foreach (var face in scene.Pieces.SelectMany(p => p.Marks).OfType<GlyphMark>().Select(g => g.Face).Distinct())
            if (shelf.Facts(face).Embedding == Embedding.Never) throw new Core.Refusal("face", $"the licence of {shelf.NameOf(face)} lets no file hold it: set its words in another face, or bring a version with embedding rights");
    }

    /// <summary>XMP in step with the Info dictionary (ISO 15930-7, 6.4 and 6.17).</summary>
    private static string Xmp(PressNote note)
    {
        static string E(string s) => System.Security.SecurityElement.Escape(s);
        var at = note.At.UtcDateTime.ToString("yyyy-MM-ddTHH:mm:ssZ", CultureInfo.InvariantCulture);
        return $"""
            <?xpacket begin="{'\uFEFF'}" id="W5M0MpCehiHzreSzNTczkc9d"?>
            <x:xmpmeta xmlns:x="adobe:ns:meta/">
             <rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
              <rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:xmp="http://ns.adobe.com/xap/1.0/" xmlns:xmpMM="http://ns.adobe.com/xap/1.0/mm/" xmlns:pdf="http://ns.adobe.com/pdf/1.3/" xmlns:pdfxid="http://www.npes.org/pdfx/ns/id/">
               <pdfxid:GTS_PDFXVersion>PDF/X-4</pdfxid:GTS_PDFXVersion>
               <xmpMM:DocumentID>uuid:{Uuid(note.JobId)}</xmpMM:DocumentID>
               <xmpMM:InstanceID>uuid:{Uuid(note.JobId + "/" + note.Revision.ToString(CultureInfo.InvariantCulture))}</xmpMM:InstanceID>
               <xmpMM:VersionID>{note.Revision.ToString(CultureInfo.InvariantCulture)}</xmpMM:VersionID>
               <xmpMM:RenditionClass>default</xmpMM:RenditionClass>
               <xmp:CreateDate>{at}</xmp:CreateDate>
               <xmp:ModifyDate>{at}</xmp:ModifyDate>
               <xmp:MetadataDate>{at}</xmp:MetadataDate>
               <xmp:CreatorTool>{Maker}</xmp:CreatorTool>
               <pdf:Producer>{Maker}</pdf:Producer>
               <pdf:Trapped>False</pdf:Trapped>
               <dc:format>application/pdf</dc:format>
               <dc:title><rdf:Alt><rdf:li xml:lang="x-default">{E(note.Title)}</rdf:li></rdf:Alt></dc:title>
               <dc:creator><rdf:Seq><rdf:li>{E(note.Author)}</rdf:li></rdf:Seq></dc:creator>
               <dc:description><rdf:Alt><rdf:li xml:lang="x-default">{E(note.Subject)}</rdf:li></rdf:Alt></dc:description>
              </rdf:Description>
             </rdf:RDF>
            </x:xmpmeta>
            <?xpacket end="r"?>
            """;
    }

    private static Guid Uuid(string name) => new(SHA256.HashData(Encoding.UTF8.GetBytes(name)).AsSpan(0, 16));
}
