using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>All that one page prints, rewritten in a house's inks.</summary>
internal static class WholePage
{
    /// <summary>Its content in inks, with the notes on it.</summary>
    /// <param name="has">What the file has.</param>
    /// <param name="page">The page.</param>
    /// <param name="used">Is told what is written of it.</param>
    /// <param name="alone">Draws by itself what can't be read; null where all of the page is given up then.</param>
    /// <exception cref="PdfReadException">Something on it can’t be read.</exception>
    public static ReadOnlyMemory<byte> Marks(ImportResources has, PdfDict page, ResourceDictionary used,
        DrawnAlone? alone = null)
    {
        var said = Content(has, page);
        var made = new ContentRewriter(has, said, has.File.Dict(page, "Resources"), used, false, 0,
            alone).Rewritten();
        var notes = Notes(has, page, used);
        return notes.IsEmpty ? made : (byte[])[.. "q\n"u8, .. made.Span, .. "Q\n"u8, .. notes.Written.Span];
    }

    /// <summary>What a page says, unpacked.</summary>
    public static byte[] Content(ImportResources has, PdfDict page)
    {
        using var content = new MemoryStream();
        foreach (var part in has.File.Get(page, "Contents") switch
        {
            PdfStream one => [one],
            PdfArray all => all.Items.Select(has.File.Resolve).OfType<PdfStream>(),
            _ => Enumerable.Empty<PdfStream>(),
        })
        {
            content.Write(has.File.Decode(part));
            content.WriteByte((byte)'\n');
        }
        return content.ToArray();
    }

    /// <summary>Notes and fields that are printed, as they look; then they are gone (12.5.5).</summary>
    private static ContentWriter Notes(ImportResources has, PdfDict page, ResourceDictionary used)
    {
        var s = new ContentWriter();
        foreach (var token in has.File.Items(has.File.Get(page, "Annots")))
        {
            if (token is not PdfDict note || ((int)(has.File.Number(note, "F") ?? 0) & 0b100) == 0
                || ((int)(has.File.Number(note, "F") ?? 0) & 0b10) != 0 || has.File.Name(note,
                    "Subtype") is "Popup" or "Link"
                || has.IsHidden(note["OC"]) || has.File.Numbers(note, "Rect") is not { Length: 4 } r)
                continue;
            var look = has.File.Dict(note, "AP")?["N"];
            if (has.File.Resolve(look) is PdfDict states) look = states[has.File.Name(note, "AS") ?? ""];
            if (has.File.Resolve(look) is not PdfStream form || has.File.Numbers(form.Dict,
                "BBox") is not { Length: 4 } b) continue;
            var m = has.File.Numbers(form.Dict, "Matrix") is [var a1, var b1, var c1, var d1, var e1,
                var f1]
                ? new Affine(a1, b1, c1, d1, e1, f1) : Affine.Identity;
            var box = m.Of(new Bounds(Math.Min(b[0], b[2]), Math.Min(b[1], b[3]), Math.Max(b[0], b[2]), Math.Max(b[1],
                b[3])));
            var (w, h) = (box.Right - box.Left, box.Bottom - box.Top);
            if (w <= 0 || h <= 0) continue;
            var (sx, sy) = (Math.Abs(r[2] - r[0]) / w, Math.Abs(r[3] - r[1]) / h);
            var name = used.Object(has, look, form, null, null, 0);
            if (name is null) continue;
            s.Save().Concat(new(sx, 0, 0, sy, Math.Min(r[0], r[2]) - (box.Left * sx), Math.Min(r[1], r[3]) - (box.Top * sy)))
                .XObject(name).Restore().Break();
        }
        return s;
    }
}
