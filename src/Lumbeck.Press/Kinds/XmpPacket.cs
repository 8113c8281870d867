using System.Security.Cryptography;
using System.Text;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Kinds;

/// <summary>What a file says of itself as XMP (ISO 16684-1).</summary>
internal static class XmpPacket
{
    private const string Spaces =
        "xmlns:dc=\"http://purl.org/dc/elements/1.1/\" " +
        "xmlns:xmp=\"http://ns.adobe.com/xap/1.0/\" " +
        "xmlns:xmpMM=\"http://ns.adobe.com/xap/1.0/mm/\" " +
        "xmlns:pdf=\"http://ns.adobe.com/pdf/1.3/\" " +
        "xmlns:pdfxid=\"http://www.npes.org/pdfx/ns/id/\"";

    /// <summary>XMP in step with the Info dictionary (ISO 15930-7, 6.4 and 6.17).</summary>
    public static string Of(DocumentInfo note, PressKind kind)
    {
        static string E(string s) => System.Security.SecurityElement.Escape(s);
        var at = note.At.UtcDateTime.ToString("yyyy-MM-ddTHH:mm:ssZ", CultureInfo.InvariantCulture);
        var standard = kind.Naming == Naming.Xmp
            ? $"<pdfxid:GTS_PDFXVersion>{kind.Title}</pdfxid:GTS_PDFXVersion>"
            : $"<pdf:PDFVersion>{kind.Version}</pdf:PDFVersion>";
        return $"""
            <?xpacket begin="{'\uFEFF'}" id="W5M0MpCehiHzreSzNTczkc9d"?>
            <x:xmpmeta xmlns:x="adobe:ns:meta/">
             <rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
              <rdf:Description rdf:about="" {Spaces}>
               {standard}
               <xmpMM:DocumentID>uuid:{Uuid(note.JobId)}</xmpMM:DocumentID>
               <xmpMM:InstanceID>uuid:{Uuid(note.JobId + "/" + note.Revision.ToString(CultureInfo.InvariantCulture))}</xmpMM:InstanceID>
               <xmpMM:VersionID>{note.Revision.ToString(CultureInfo.InvariantCulture)}</xmpMM:VersionID>
               <xmpMM:RenditionClass>default</xmpMM:RenditionClass>
               <xmp:CreateDate>{at}</xmp:CreateDate>
               <xmp:ModifyDate>{at}</xmp:ModifyDate>
               <xmp:MetadataDate>{at}</xmp:MetadataDate>
               <xmp:CreatorTool>{PressFile.Maker}</xmp:CreatorTool>
               <pdf:Producer>{PressFile.Maker}</pdf:Producer>
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
