using Lumbeck.Press.Import.Resources;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Pdf.Reading;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Pdf;
using NetVips;

namespace Lumbeck.Press.Import.Rewriting;

/// <summary>
/// What of a page can't be read as marks, drawn by itself: the page with nothing else on it goes to another reader, and
/// comes back as pixels that are seen only where it painted. All else on the page stays as it is.
/// </summary>
/// <param name="file">The file.</param>
/// <param name="number">The page, from 1.</param>
/// <param name="pdf">What is written.</param>
/// <param name="inks">The house's.</param>
/// <param name="letsThrough">Whether the file may hold a soft mask; else its edge is hard.</param>
/// <param name="aside">A folder for what is kept meanwhile.</param>
internal sealed class DrawnAlone(PdfFile file, int number, PdfWriter pdf, PressInks inks, bool letsThrough,
    string aside)
{
    private const int Most = 24;

    private readonly List<(PdfRef Object, HashSet<int> Words, string Why)> _runs = [];
    private int _last = -2;

    /// <summary>From the unit square to the page's own space.</summary>
    public PdfMatrix Placed => new Affine(_came.Size.Wide, 0, 0, _came.Size.High, 0, 0).Then(_came.Own).AsMatrix();

    private readonly ImportedPage _came = ImportedPage.Of(file, file.Pages[number - 1], number);

    /// <summary>A setting that draws it as it is: what was set for it is in its pixels.</summary>
    public PdfRef Plainly => _plainly ??= pdf.Object(new PdfDict
    {
        ["Type"] = "ExtGState",
        ["OP"] = false,
        ["op"] = false,
        ["ca"] = letsThrough ? 1 : null,
        ["CA"] = letsThrough ? 1 : null,
        ["BM"] = letsThrough ? "Normal" : null,
        ["SMask"] = letsThrough ? "None" : null,
    });

    private PdfRef? _plainly;

    /// <summary>Whether anything is drawn so.</summary>
    public bool Any => _runs.Count > 0;

    /// <summary>Notes what can't be read; returns the picture of it, or null where it is in the last one.</summary>
    /// <param name="word">Which operator of the page's content paints it, from 0.</param>
    /// <param name="why">Why it can't be read.</param>
    /// <exception cref="Refusal">There is too much of it.</exception>
    public PdfRef? Add(int word, string why)
    {
        // What follows at once is one picture.
        var together = _runs.Count > 0 && _runs[^1].Why == why && word - _last < 12;
        _last = word;
        if (together) { _runs[^1].Words.Add(word); return null; }
        if (_runs.Count == Most) throw new PdfReadException(why);
        _runs.Add((pdf.Reserve(), [word], why));
        return _runs[^1].Object;
    }

    /// <summary>Draws all of it, and tells of each with its place.</summary>
    /// <exception cref="Refusal">Nothing here can draw it.</exception>
    public void Write(PdfDict page, byte[] content, Func<(string Why, Bounds At), string> said,
        List<string> told,
        CancellationToken cancel)
    {
        foreach (var (picture, words, why) in _runs)
        {
            var path = Path.Combine(aside, $"alone-{number}-{picture.Number}.pdf");
            using (var output = File.Create(path)) Only(output, page, content, words);
            using var drawn = PageRasterizer.Alone(path, number, cancel);
            File.Delete(path);
            using var alpha = drawn.ExtractBand(3);
            var box = alpha.FindTrim(threshold: 1, background: [0]);
            if (box is not [int left, int top, int wide, int high] || wide == 0 || high == 0)
            {
                pdf.Stream(picture, PressObjects.Form(PdfArray.Of(0, 0, 1, 1), new PdfDict()), _ => { });
                continue;
            }
            using var part = drawn.ExtractArea(left, top, wide, high);
            Write(picture, part, new(left / (double)drawn.Width, top / (double)drawn.Height, wide / (double)drawn.Width,
                high / (double)drawn.Height));
            told.Add(said((why, new(left * 72.0 / PageRasterizer.PerInch, top * 72.0 / PageRasterizer.PerInch,
                (left + wide) * 72.0 / PageRasterizer.PerInch, (top + high) * 72.0 / PageRasterizer.PerInch))));
        }
    }

    /// <summary>Nothing of it is wanted: all of the page is drawn.</summary>
    public void GiveUp()
    {
        foreach (var (picture, _, _) in _runs) pdf.Object(picture, PdfNull.Value);
    }

    /// <summary>A form of the page's unit square with the picture on its part of it.</summary>
    private void Write(PdfRef form, Image part, (double X, double Y, double Wide, double High) at)
    {
        using var rgb = part.ExtractBand(0, n: 3).Copy(interpretation: Enums.Interpretation.Srgb);
        using var press = PageRasterizer.InInks(rgb, inks);
        using var alpha = part.ExtractBand(3);
        PdfDict head(PdfObject? space, int bits) =>
            PressObjects.Image(part.Width, part.Height, bits).Set("ColorSpace", space);
        var mask = letsThrough ? pdf.Stream(head("DeviceGray", 8), alpha.WriteToMemory<byte>())
            : pdf.Stream(head(null, 1).Set("ImageMask", true), Hard(alpha));
        var image = pdf.Stream(head(press.Bands == 1 ? "DeviceGray" : "DeviceCMYK", 8)
            .Set(letsThrough ? "SMask" : "Mask", mask), press.WriteToMemory<byte>());
        var content = new ContentWriter().Save().Concat(new(at.Wide, 0, 0, at.High, at.X, 1 - at.Y - at.High), places: 10)
            .XObject("I").Restore().Break();
        pdf.Stream(form, PressObjects.Form(PdfArray.Of(0, 0, 1, 1), PressObjects.Resource("XObject", "I", image)),
            s => s.Write(content.Written.Span));
    }

    /// <summary>A stencil whose ones hide, a bit a pixel (8.9.6.2).</summary>
    private static byte[] Hard(Image alpha)
    {
        var (all, row) = (alpha.WriteToMemory<byte>(), (alpha.Width + 7) / 8);
        var bits = new byte[row * alpha.Height];
        for (var y = 0; y < alpha.Height; y++)
            for (var x = 0; x < alpha.Width; x++)
                if (all[(y * alpha.Width) + x] < 128) bits[(y * row) + (x >> 3)] |= (byte)(0x80 >> (x & 7));
        return bits;
    }

    /// <summary>The page with nothing painted on it but some of its words.</summary>
    private void Only(Stream output, PdfDict page, byte[] content, HashSet<int> words)
    {
        using var alone = new PdfWriter(output, "1.7");
        var copier = new ObjectCopier(file, alone);
        var left = new ContentFilter(words).Written(content, file);
        var stream = alone.Stream(new(), left);
        OnePage.Finish(alone, new PdfDict { ["Contents"] = stream }.With(copier.Dict(page, 0, "Parent", "Contents",
            "Annots", "Type", "StructParents", "B", "AA", "Metadata", "Thumb", "PieceInfo")));
    }
}
