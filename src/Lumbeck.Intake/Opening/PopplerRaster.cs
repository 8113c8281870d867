using System.Globalization;
using Lumbeck.Running;

namespace Lumbeck.Intake.Opening;

/// <summary>Pixels of a page in its four inks, 255 for all of one.</summary>
internal sealed record DrawnInks(byte[] Inks, int Wide, int High)
{
    /// <summary>All four together; beside the page, what lies at its edge.</summary>
    public int At(int x, int y)
    {
        var i = Inks.AsSpan(((Math.Clamp(y, 0, High - 1) * Wide) + Math.Clamp(x, 0, Wide - 1)) * 4, 4);
        return i[0] + i[1] + i[2] + i[3];
    }

    /// <summary>
    /// How bright it is in the red light of a barcode reader, pixel by pixel: cyan and black are dark there, magenta
    /// and yellow are not.
    /// </summary>
    public byte[] InRedLight()
    {
        var seen = new byte[Wide * High];
        for (var n = 0; n < seen.Length; n++)
            seen[n] = (byte)((255 - (Inks[n * 4] * 0.9)) * (255 - Inks[(n * 4) + 3]) / 255);
        return seen;
    }
}

/// <summary>How far each pixel of a page is painted, 255 for all of it.</summary>
internal sealed record DrawnCover(byte[] Cover, int Wide, int High)
{
    /// <summary>Beside the page, what lies at its edge.</summary>
    public byte At(int x, int y) => Cover[(Math.Clamp(y, 0, High - 1) * Wide) + Math.Clamp(x, 0, Wide - 1)];
}

/// <summary>
/// Draws pages with poppler's <c>pdftoppm</c> where it is installed, with a bound on memory and on time: the file may
/// be anybody's.
/// </summary>
internal static class PopplerRaster
{
    private static readonly Lazy<string?> Program = new(() => ForeignProgram.Find("pdftoppm")),
        Cairo = new(() => ForeignProgram.Find("pdftocairo"));

    private static readonly Limits Bounded = new(Kilobytes: 900_000, Seconds: 6, TimeSpan.FromSeconds(60));

    public static bool IsHere => Program.Value is not null;

    /// <summary>
    /// A page in its four inks, overprints and all, or a part of it in pixels from its upper left corner; null where it
    /// could not be drawn.
    /// </summary>
    public static DrawnInks? Inks(string path, int page, double perInch,
        (int X, int Y, int Wide, int High)? part = null)
    {
        // In inks it writes files only, beside which nothing else is.
        var folder = Aside.Folder();
        try
        {
            var stem = Path.Combine(folder.FullName, "page");
            List<string> words = ["-r", perInch.ToString("0.###", CultureInfo.InvariantCulture), "-tiff",
                "-tiffcompression", "none", "-overprint", "-singlefile", "-f", Figure(page), "-l", Figure(page)];
            if (part is { } p)
                words.AddRange(["-x", Figure(Math.Max(0, p.X)), "-y", Figure(Math.Max(0, p.Y)), "-W", Figure(p.Wide),
                    "-H", Figure(p.High)]);
            if (!ForeignProgram.Run(Program.Value!, [.. words, Path.GetFullPath(path), stem], Bounded,
                folder.FullName).IsWell) return null;
            using var image = NetVips.Image.NewFromFile(stem + ".tif");
            return image.Bands == 4 ? new(image.WriteToMemory<byte>(), image.Width, image.Height) : null;
        }
        catch (NetVips.VipsException) { return null; }
        finally { folder.Delete(recursive: true); }
    }

    /// <summary>
    /// What of a page is painted, white art too: 255 where it is, 0 where nothing was laid; null where it could not be
    /// drawn.
    /// </summary>
    public static DrawnCover? Cover(string path, int page, double perInch)
    {
        if (Cairo.Value is not { } program) return null;
        var folder = Aside.Folder();
        try
        {
            var stem = Path.Combine(folder.FullName, "page");
            // Packed as PNG, pixels of a photograph take four times as long as all else.
            string[] words = ["-r", perInch.ToString("0.###", CultureInfo.InvariantCulture), "-tiff",
                "-tiffcompression", "none", "-transp", "-singlefile", "-f", Figure(page), "-l", Figure(page),
                Path.GetFullPath(path), stem];
            if (!ForeignProgram.Run(program, words, Bounded, folder.FullName).IsWell) return null;
            using var image = NetVips.Image.NewFromFile(stem + ".tif");
            if (image.Bands != 4) return null;
            using var alpha = image.ExtractBand(3);
            return new(alpha.WriteToMemory<byte>(), image.Width, image.Height);
        }
        catch (NetVips.VipsException) { return null; }
        finally { folder.Delete(recursive: true); }
    }

    private static string Figure(int n) => n.ToString(CultureInfo.InvariantCulture);
}
