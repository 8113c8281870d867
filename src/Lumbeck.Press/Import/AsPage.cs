using Lumbeck.Press.Colour;
using Lumbeck.Press.Drawn;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Import.Rewriting;
using Lumbeck.Press.Kinds;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Pictures;
using NetVips;
using Box = Lumbeck.Core.Measures.Box;
using Size = Lumbeck.Core.Measures.Size;

namespace Lumbeck.Press.Import;

/// <summary>
/// A picture or a drawing as a file of one page, to be mended as any other: as large as it says, else as what it has
/// the proportions of.
/// </summary>
internal static class AsPage
{
    /// <summary>The path of the page; null where the file is no picture.</summary>
    /// <param name="path">The file.</param>
    /// <param name="plan">What is wanted of it.</param>
    /// <param name="shelf">Faces; drawings have none.</param>
    /// <param name="aside">A folder for the page.</param>
    /// <exception cref="Refusal">It is damaged, or too large.</exception>
    public static string? Of(string path, MendPlan plan, FaceShelf shelf, string aside)
    {
        var head = new byte[256];
        int read;
        using (var f = File.OpenRead(path)) read = f.ReadAtLeast(head, head.Length, throwOnEndOfStream: false);
        var start = head.AsSpan(0, read);
        if (start.IndexOf("%PDF-"u8) >= 0) return null;
        var drawn = SvgReading.Looks(start);
        if (!drawn && start is not ([0xFF, 0xD8, 0xFF, ..] or [0x89, 0x50, 0x4E, 0x47, ..] or [0x52, 0x49, 0x46, 0x46,
            ..]
            or [0x49, 0x49, 0x2A, 0x00, ..] or [0x4D, 0x4D, 0x00, 0x2A, ..])) return null;
        var page = Path.Combine(aside, "page.pdf");
        using var output = File.Create(page);
        if (drawn) Drawing(path, plan, shelf, output);
        else Pixels(path, plan, output);
        return page;
    }

    private static bool Alike(double wide, double high, double w, double h) =>
        h > 0 && high > 0 && Math.Abs((wide / high / (w / h)) - 1) < 0.004;

    /// <summary>
    /// The size that a picture of such proportions is meant to have, in points; null where it is none here.
    /// </summary>
    private static (double Wide, double High)? Meant(MendPlan plan, double wide, double high)
    {
        var front = plan.Panels.FirstOrDefault(p => p.Part == Part.Front).Face;
        var b = plan.Inside ? plan.Bleed.Points : 0;
        foreach (var (w, h) in new[]
        {
            (plan.Whole.Width.Points, plan.Whole.Height.Points),
            (plan.Trim.Width.Points, plan.Trim.Height.Points),
            (plan.Trim.Width.Points + (2 * b), plan.Trim.Height.Points + (2 * b)),
            (front.Width.Points, front.Height.Points),
        })
            if (Alike(wide, high, w, h)) return (w, h);
        return null;
    }

    private static void Pixels(string path, MendPlan plan, Stream output)
    {
        var known = PictureReading.Of(path, "this picture", "");
        using var came = PictureReading.Open(path, "this picture");
        var isPlainJpeg = came.Contains("jpeg-multiscan") && known.Opaque && known.Wide == came.Width
            && came.Format == Enums.BandFormat.Uchar && came.Bands is 1 or 3;
        // What the file says of its resolution counts, but for what cameras and screens say of every picture.
        var (wide, high) = known.PerInch is { } per && per is not (72 or 96)
            ? (known.Wide * 72 / (double)per, known.High * 72 / (double)per)
            : Meant(plan, known.Wide, known.High) ?? (known.Wide * 0.24, known.High * 0.24);
        using var pdf = new PdfWriter(output, "1.7");
        var profile = came.Contains("icc-profile-data") ? (byte[])came.Get("icc-profile-data") : null;
        var n = known.Space switch { PictureSpace.Gray => 1, PictureSpace.Cmyk => 4, _ => 3 };
        PdfObject space = profile is not null && n == 3
            ? PdfArray.Of("ICCBased", pdf.Stream(new() { ["N"] = 3 }, profile))
            : n switch { 1 => "DeviceGray", 4 => "DeviceCMYK", _ => "DeviceRGB" };
        var head = PressObjects.Image(known.Wide, known.High).Set("ColorSpace", space);
        PdfRef picture;
        if (isPlainJpeg)
        {
            picture = pdf.Stream(pdf.Reserve(), head.Set("Filter", "DCTDecode"), s =>
            {
                using var f = File.OpenRead(path);
                f.CopyTo(s);
            }, compress: false);
        }
        else
        {
            using var upright = came.Autorot();
            using var eight = upright.Format == Enums.BandFormat.Uchar ? upright.Copy()
                : (upright.Format == Enums.BandFormat.Ushort ? upright / 257 : upright).Cast(Enums.BandFormat.Uchar);
            using var whole = eight.CopyMemory();
            if (whole.HasAlpha())
            {
                using var alpha = whole.ExtractBand(whole.Bands - 1);
                head.Set("SMask", pdf.Stream(PressObjects.Image(whole.Width, whole.Height).Set("ColorSpace", "DeviceGray"),
                    alpha.WriteToMemory<byte>()));
            }
            using var colours = whole.ExtractBand(0, n: n);
            picture = pdf.Stream(head, colours.WriteToMemory<byte>());
        }
        var content = pdf.Stream(new(), new ContentWriter().Save().Concat(new(wide, 0, 0, high, 0, 0), places: 4)
            .XObject("P").Restore().Written);
        OnePage.Finish(pdf, new()
        {
            ["MediaBox"] = PdfArray.Of(0, 0, wide, high),
            ["Contents"] = content,
            ["Resources"] = PressObjects.Resource("XObject", "P", picture),
        });
    }

    private static void Drawing(string path, MendPlan plan, FaceShelf shelf, Stream output)
    {
        if (new FileInfo(path).Length > SvgReading.MostBytes)
            throw new Refusal("file", $"this drawing is over {SvgReading.MostBytes / 1_000_000} MB: simplify it, or save it as a PDF");
        var colour = new PressColour(PrintingCondition.Of(plan.House));
        var black = new BlackAlone(colour);
        // What has no hue is black alone.
        Ink ink(AskedRgb c) => c.R == c.G && c.G == c.B
            ? Ink.Percent(0, 0, 0, Math.Round((decimal)black.OfLightness(PressColour.Lab(c).L), 1)) : colour.Mix(c);
        var drawing = SvgReading.Read(File.ReadAllBytes(path), "this drawing", ink, shelf);
        var (own, ownHigh) = (drawing.Points, drawing.Points * drawing.High / drawing.Wide);
        var (wide, high) = Meant(plan, own, ownHigh) ?? (own, ownHigh);
        var scale = wide / drawing.Wide;
        var size = new Size(Length.FromDrawing(wide), Length.FromDrawing(high));
        var box = new Box(default, default, size.Width, size.Height);
        var all = new Bounds(0, 0, wide, high);
        var scene = new Scene(new Surface(size, box, box, [], [], [], []),
            [new DrawnItem("drawing", Part.Sheet, new(scale, 0, 0, scale, 0, 0), drawing.Marks, all, all)]);
        PressFile.Write(output, [scene], new PressPlan(PressKind.X4) { Marks = false }, plan.House, new("", "", "",
            DateTimeOffset.UnixEpoch, "", 0), shelf);
    }
}
