using Lumbeck.Intake.Opening;
using NetVips;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Judging;

/// <summary>Pictures: resolution, how they are packed, and how much ink they lay.</summary>
internal static class PictureChecks
{
    /// <summary>Smaller than this on paper (about 2 mm) nobody counts pixels.</summary>
    private const double Small = 6;

    public static void Look(Pdf pdf, PageUse use, House house, Findings found)
    {
        foreach (var image in use.Images)
        {
            var large = image.Box.R - image.Box.L > Small && image.Box.T - image.Box.B > Small;
            var called = $"{image.Wide} × {image.High} pixels at {image.PerInch:0} an inch";
            // Flat pixels of a few samples are drawn colour, not a photograph.
            if (large && image.Wide > 8 && image.High > 8)
            {
                var (stop, caution) = image.Bits == 1
                    ? (house.PictureStop, house.LineArt)
                    : (house.PictureStop, house.PictureCaution);
                if (image.PerInch < stop - 1)
                    found.Stop("picture.resolution", called, $"{stop} an inch", "Pixels this large show in print.");
                else if (image.PerInch < caution - 1)
                    found.Caution("picture.resolution", called, $"{caution} an inch", "Fine detail will be soft.");
            }
            if (!found.IsX1a) continue;
            if (image.Filters.Any(f => f is "JPXDecode"))
                found.Stop("picture.packing", "JPEG 2000", "ZIP or JPEG", "PDF/X-1a:2003 knows no JPEG 2000.");
            if (image.Bits == 16)
                found.Stop("picture.packing", "16 bits", "8 bits", "PDF 1.4 knows no pictures of 16 bits.");
        }
    }

    /// <summary>
    /// The most ink that any of the larger pictures lays by itself, in percent; null where one can't be opened here.
    /// </summary>
    public static double? MostInk(Pdf pdf, PageUse use)
    {
        var most = 0.0;
        foreach (var image in use.Images.Where(i => i.Bits == 8 && !i.Mask && Plates(pdf, i) >= 4)
            .OrderByDescending(i => (long)i.Wide * i.High).Take(8))
        {
            if (Ink(pdf, image) is not { } own) return null;
            most = Math.Max(most, own);
        }
        return most;
    }

    /// <summary>The plates of a picture in the four inks, or in them and others after them; 0 in any other space.</summary>
    private static int Plates(Pdf pdf, PlacedImage image) => image.Space == "DeviceCMYK" ? 4
        : image.Space == "DeviceN" && ColorSpaces.Named(pdf, pdf.Get(image.Entries, "ColorSpace")) is
            ["Cyan", "Magenta", "Yellow", "Black", ..] names ? names.Count : 0;

    /// <summary>
    /// The most ink on about a square millimetre of a picture, in percent; null where its packing can't be opened here.
    /// </summary>
    private static double? Ink(Pdf pdf, PlacedImage image)
    {
        try
        {
            var perMm = Math.Max(1, image.PerInch / 25.4);
            if (image.Stream is null) return null;
            if (image.Filters is ["DCTDecode" or "DCT"])
            {
                var shrink = perMm switch { >= 8 => 8, >= 4 => 4, >= 2 => 2, _ => 1 };
                using var jpeg = Image.JpegloadBuffer(image.Stream.Data.ToArray(), shrink: shrink);
                if (jpeg.Bands != 4) return null;
                using var cells = perMm / shrink > 1.5 ? jpeg.Shrink(perMm / shrink, perMm / shrink) : jpeg.Copy();
                return Most(cells.WriteToMemory<byte>());
            }
            if (image.Filters.All(f => f is "FlateDecode" or "Fl") && pdf.Get(image.Entries, "DecodeParms") is null
                && (long)image.Wide * image.High * Plates(pdf, image) < BoundedFilters.Most / 2)
            {
                var samples = pdf.Decode(image.Stream);
                if (samples.Length < image.Wide * image.High * Plates(pdf, image)) return null;
                using var plates = Image.NewFromMemoryCopy(samples.ToArray(), image.Wide, image.High, Plates(pdf, image),
                    Enums.BandFormat.Uchar);
                using var raw = plates.ExtractBand(0, n: 4);
                using var cells = perMm > 1.5 ? raw.Shrink(perMm, perMm) : raw.Copy();
                return Most(cells.WriteToMemory<byte>());
            }
            return null;
        }
        catch (Exception e) when (e is VipsException or InvalidOperationException or NotSupportedException)
        {
            return null;
        }
    }

    private static double Most(byte[] inks)
    {
        var most = 0;
        for (var i = 0; i + 3 < inks.Length; i += 4)
            most = Math.Max(most, inks[i] + inks[i + 1] + inks[i + 2] + inks[i + 3]);
        return most / 2.55;
    }
}
