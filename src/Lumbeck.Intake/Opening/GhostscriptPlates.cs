using System.Globalization;
using Lumbeck.Running;

namespace Lumbeck.Intake.Opening;

/// <summary>A page's plates, a byte a pixel, 255 for all of an ink; rows from the head.</summary>
/// <param name="Wide">Pixels across.</param>
/// <param name="High">Pixels down.</param>
/// <param name="Process">Cyan, magenta, yellow and black.</param>
/// <param name="Others">How much of any other ink lies there: the most of one.</param>
internal sealed record DrawnPlates(int Wide, int High, IReadOnlyList<byte[]> Process, byte[] Others);

/// <summary>
/// A second eye: the plates of a page as Ghostscript lays them, where it is installed. It is bounded and sees no file
/// but this one (<c>-dSAFER</c>).
/// </summary>
internal static class GhostscriptPlates
{
    private static readonly Lazy<string?> Program = new(() => ForeignProgram.Find("gs"));

    private static readonly Limits Bounded = new(Kilobytes: 1_500_000, Seconds: 6, TimeSpan.FromSeconds(30));

    /// <summary>
    /// Pixels are drawn so many times as fine and put together, so that thin strokes are gray and not thick.
    /// </summary>
    private const int Finer = 3;

    /// <summary>
    /// A shape has the pixels whose middles it covers. Ghostscript’s own way is every pixel that it touches, by which all
    /// that is drawn grows.
    /// </summary>
    private const string Fair = "{ 0 0 .setfilladjust2 } stopped { clear } if";

    /// <summary>Other inks than the four that are told apart.</summary>
    private const int MostOthers = 12;

    public static bool IsHere => Program.Value is not null;

    /// <summary>The page's plates; null where it could not be drawn.</summary>
    /// <param name="path">The file.</param>
    /// <param name="page">From 1.</param>
    /// <param name="perInch">Pixels an inch.</param>
    public static DrawnPlates? Of(string path, int page, int perInch)
    {
        if (Program.Value is not { } program) return null;
        var folder = Aside.Folder();
        try
        {
            string[] words = ["-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=tiffsep", "-sCompression=lzw",
                $"-dMaxSpots={Figure(MostOthers)}", $"-r{Figure(perInch * Finer)}", $"-dDownScaleFactor={Figure(Finer)}",
                $"-dFirstPage={Figure(page)}", $"-dLastPage={Figure(page)}",
                $"-sOutputFile={Path.Combine(folder.FullName, "page.tif")}", "-c", Fair, "-f", Path.GetFullPath(path)];
            if (!ForeignProgram.Run(program, words, Bounded, folder.FullName).IsWell) return null;
            string[] four = ["Cyan", "Magenta", "Yellow", "Black"];
            var plates = four.Select(ink => Plate(Path.Combine(folder.FullName, $"page({ink}).tif"))).ToList();
            var (wide, high) = (plates[0].Wide, plates[0].High);
            var others = new byte[wide * high];
            foreach (var file in Directory.GetFiles(folder.FullName, "page(*).tif"))
            {
                if (four.Any(ink => Path.GetFileName(file) == $"page({ink}).tif")) continue;
                var own = Plate(file).Ink;
                for (var i = 0; i < Math.Min(own.Length, others.Length); i++) others[i] = Math.Max(others[i], own[i]);
            }
            return new(wide, high, [.. plates.Select(p => p.Ink)], others);
        }
        catch (NetVips.VipsException) { return null; }
        finally { folder.Delete(recursive: true); }
    }

    private static (int Wide, int High, byte[] Ink) Plate(string file)
    {
        using var image = NetVips.Image.NewFromFile(file);
        using var ink = image.Invert();
        return (ink.Width, ink.Height, ink.WriteToMemory<byte>());
    }

    private static string Figure(int n) => n.ToString(CultureInfo.InvariantCulture);
}
