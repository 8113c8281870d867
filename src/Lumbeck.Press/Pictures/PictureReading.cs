using NetVips;

namespace Lumbeck.Press.Pictures;

/// <summary>
/// Takes in picture files: JPEG, PNG, WebP and TIFF in RGB, gray or CMYK. What a file is, its first bytes say, and only
/// that one decoder is
/// tried; its size is looked at before a pixel is, and all of it is decoded once, so that what is taken in can be
/// printed.
/// </summary>
public static class PictureReading
{
    /// <summary>Largest file, in bytes.</summary>
    public const long MostBytes = 200_000_000;
    /// <summary>
    /// Longest side and most pixels; a file that must be decoded whole at once (progressive, interlaced) may have a
    /// third of them.
    /// </summary>
    public const int MostSide = 30_000, MostPixels = 120_000_000;

    /// <summary>Most bytes of pixels that are held at once.</summary>
    private const int MostWhole = 120_000_000;

    /// <summary>Most bytes of words and notes in a PNG, which its reader unpacks one by one.</summary>
    private const long MostNotes = 2_000_000;

    // Nothing is asked for twice in a row here: what a past picture was decoded to is not kept.
    static PictureReading() => Cache.Max = 0;

    /// <summary>Reads a file on the disk.</summary>
    /// <param name="path">The file.</param>
    /// <param name="name">What it is called in sentences.</param>
    /// <param name="hash">Its SHA-256, under which it is kept.</param>
    /// <exception cref="Refusal">It is no picture of these kinds, too large, or damaged.</exception>
    public static Picture Of(string path, string name, string hash)
    {
        if (new FileInfo(path).Length > MostBytes)
            throw No($"{name} is over {MostBytes / 1_000_000} MB: save it smaller");
        try
        {
            using var image = Open(path, name);
            var (wide, high) = (image.Width, image.Height);
            if (wide > MostSide || high > MostSide)
                throw No($"{name} is {wide} × {high} pixels: a side may have up to {MostSide}");
            // Every JPEG says whether it comes in several scans, be it that it does not.
            var whole = image.Contains("interlaced")
                || (image.Contains("jpeg-multiscan") && Convert.ToInt32(image.Get("jpeg-multiscan"),
                    CultureInfo.InvariantCulture) != 0);
            // What comes in passes is held whole, in all of its bytes.
            var most = whole ? MostWhole / PixelBytes(image) : MostPixels;
            if ((long)wide * high > most)
                throw No($"{name} is {wide} × {high} pixels, {(long)wide * high / 1_000_000} million: up to " +
                    $"{most / 1_000_000} million can be taken " +
                    $"in{(whole ? " of a progressive or interlaced file; save it as a plain one" : "")}");
            if (image.Interpretation is not (Enums.Interpretation.Srgb or Enums.Interpretation.Rgb or Enums.Interpretation.Rgb16
                or Enums.Interpretation.Bw or Enums.Interpretation.Grey16 or Enums.Interpretation.Cmyk)
                || image.Bands is < 1 or > 5)
                throw No($"{name} is in a colour space that isn’t taken in: save it in RGB, gray or CMYK");
            // Every pixel is decoded, so that a file that breaks off halfway is found now and not at the press.
            _ = image.Avg();
            var turned = Turn(image) >= 5;
            var space = image.Interpretation switch
            {
                Enums.Interpretation.Cmyk => PictureSpace.Cmyk,
                Enums.Interpretation.Bw or Enums.Interpretation.Grey16 => PictureSpace.Gray,
                _ => PictureSpace.Rgb,
            };
            // A profile that is none is let go of: it says nothing of what the numbers mean.
            var carries = image.Contains("icc-profile-data")
                ? Colour.IccProfile.Read((byte[])image.Get("icc-profile-data"))
                : null;
            return new(hash, name, turned ? high : wide, turned ? wide : high, !image.HasAlpha())
            {
                Space = space,
                Profile = space == PictureSpace.Cmyk && carries is { Space: "CMYK" } ? carries.Description : "",
                PerInch = Says(image),
            };
        }
        catch (VipsException) { throw No($"{name} is damaged or breaks off: save it anew"); }
    }

    private static int PixelBytes(Image image) =>
        image.Bands * (image.Format is Enums.BandFormat.Ushort or Enums.BandFormat.Short ? 2
            : image.Format is Enums.BandFormat.Uchar ? 1 : 4);

    /// <summary>How many bytes a PNG has beside its pixels and its profile (PNG, third edition, 11.3).</summary>
    private static long Notes(string path)
    {
        using var f = File.OpenRead(path);
        f.Position = 8;
        var head = new byte[8];
        long notes = 0;
        while (f.ReadAtLeast(head, 8, throwOnEndOfStream: false) == 8)
        {
            long length = System.Buffers.Binary.BinaryPrimitives.ReadUInt32BigEndian(head);
            // A small letter first: a chunk that pixels don't need.
            if ((head[4] & 0x20) != 0 && !head.AsSpan(4).SequenceEqual("iCCP"u8)) notes += length;
            f.Position = Math.Min(f.Length, f.Position + length + 4);
        }
        return notes;
    }

    /// <summary>The resolution that the file says; libvips has a pixel a millimetre where it says none.</summary>
    private static decimal? Says(Image image) =>
        image.Xres is > 1.2 and < 300 && Math.Abs(image.Xres - image.Yres) < 0.01
            ? Math.Round((decimal)(image.Xres * 25.4), 1)
            : null;

    /// <summary>
    /// A file by the one decoder its first bytes ask for; pixels come in order, so that no more than a strip of them is
    /// held.
    /// </summary>
    /// <param name="path">The file.</param>
    /// <param name="name">What it is called in sentences.</param>
    /// <param name="wide">Pixels across that are wanted: a JPEG is decoded at the nearest of its own smaller sizes that
    /// has half as many again; 0 for all.</param>
    /// <exception cref="Refusal">It is none of the kinds.</exception>
    public static Image Open(string path, string name, int wide = 0)
    {
        var head = new byte[12];
        using (var f = File.OpenRead(path)) f.ReadAtLeast(head, head.Length, throwOnEndOfStream: false);
        return head switch
        {
            [0xFF, 0xD8, 0xFF, ..] => Jpeg(path, wide),
            [0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A, ..] when Notes(path) is > MostNotes and var notes =>
                throw No($"{name} carries {notes / 1_000_000} MB of words beside its pixels: save it without them"),
            [0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A, ..] => Image.Pngload(path, failOn: Enums.FailOn.Truncated,
                access: Enums.Access.Sequential),
            [0x52, 0x49, 0x46, 0x46, _, _, _, _, 0x57, 0x45, 0x42, 0x50] => Image.Webpload(path,
                failOn: Enums.FailOn.Truncated, access: Enums.Access.Sequential),
            [0x49, 0x49, 0x2A, 0x00, ..] or [0x4D, 0x4D, 0x00, 0x2A, ..] => Image.Tiffload(path,
                failOn: Enums.FailOn.Truncated, access: Enums.Access.Sequential),
            _ => throw No($"{name} is no picture that can be taken in: JPEG, PNG, WebP, TIFF and SVG can"),
        };
    }

    private static Image Jpeg(string path, int wide)
    {
        var whole = Image.Jpegload(path, failOn: Enums.FailOn.Truncated, access: Enums.Access.Sequential);
        if (wide <= 0) return whole;
        // A turned picture's width is its height here.
        var across = Turn(whole) >= 5 ? whole.Height : whole.Width;
        var shrink = (across / (wide * 1.5)) switch { >= 8 => 8, >= 4 => 4, >= 2 => 2, _ => 1 };
        if (shrink == 1) return whole;
        using (whole)
            return Image.Jpegload(path, shrink: shrink, failOn: Enums.FailOn.Truncated,
                access: Enums.Access.Sequential);
    }

    /// <summary>How it is to be turned and mirrored before it is upright, as EXIF counts: 1 where it is.</summary>
    internal static int Turn(Image image) => image.Contains("orientation")
        ? Convert.ToInt32(image.Get("orientation"), CultureInfo.InvariantCulture)
        : 1;

    private static Refusal No(string why) => new("picture", why);
}
