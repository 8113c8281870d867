using System.Diagnostics;
using Lumbeck.Press.Elsewhere.Source;
using NetVips;

namespace Lumbeck.Press.Elsewhere;

/// <summary>
/// A page that can't be carried over as marks, as pixels: drawn by poppler's <c>pdftoppm</c> where it is installed, what
/// has no hue kept on the black plate.
/// </summary>
internal static class PageRaster
{
    public const int PerInch = 400;

    private static readonly Lazy<string?> Program = new(() =>
        (Environment.GetEnvironmentVariable("PATH") ?? "").Split(':').Append("/usr/bin")
            .Select(p => Path.Combine(p, "pdftoppm")).FirstOrDefault(File.Exists));

    /// <summary>Seconds of work; memory in kilobytes.</summary>
    private const int Work = 30, MostKilobytes = 1_500_000;

    public static bool IsHere => Program.Value is not null;

    /// <summary>A page, upright, in a house's inks or in gray.</summary>
    /// <param name="path">The file.</param>
    /// <param name="page">From 1.</param>
    /// <param name="inks">The house's.</param>
    /// <param name="aside">A folder for what is kept meanwhile.</param>
    /// <param name="cancel">Whoever asked has gone.</param>
    /// <exception cref="Refusal">It can't be drawn here.</exception>
    public static Image Of(string path, int page, PressInks inks, string aside, CancellationToken cancel)
    {
        using var seen = Drawn(path, page, PerInch, inks: false, cancel, aside);
        if (inks.BlackAlone) return inks.Black.Of(seen).CopyMemory();
        using var rgb = seen.Copy(interpretation: Enums.Interpretation.Srgb);
        using var press = inks.Transform(rgb, Colour.Profiles.PathOf("sRGB"));
        using var black = inks.Black.Of(rgb);
        using var key = 255 - black;
        using var none = key * 0;
        using var alone = none.Bandjoin(none, none, key).Cast(Enums.BandFormat.Uchar);
        using var r = rgb.ExtractBand(0);
        using var g = rgb.ExtractBand(1);
        using var b = rgb.ExtractBand(2);
        using var plain = (r.Equal(g)) & (g.Equal(b));
        return plain.Ifthenelse(alone, press).Copy(interpretation: Enums.Interpretation.Cmyk).CopyMemory();
    }

    /// <summary>A page as it is drawn, upright, in red, green and blue or in its inks.</summary>
    /// <exception cref="Refusal">It can't be drawn here.</exception>
    public static Image Drawn(string path, int page, double perInch, bool inks, CancellationToken cancel, string? within = null)
    {
        if (Program.Value is not { } program) throw No(page);
        var aside = within ?? Directory.CreateTempSubdirectory("lumbeck-look-").FullName;
        try
        {
            var number = page.ToString(CultureInfo.InvariantCulture);
            var stem = Path.Combine(aside, $"page-{number}");
            var info = new ProcessStartInfo("/bin/sh") { RedirectStandardError = true, WorkingDirectory = aside };
            foreach (var word in (string[])["-c", $"ulimit -v {MostKilobytes} -t {Work}; exec \"$@\"", "sh", program,
                "-r", perInch.ToString("0.###", CultureInfo.InvariantCulture), "-cropbox", .. inks
                    ? (string[])["-tiff", "-overprint"] : ["-png"],
                "-singlefile", "-f", number, "-l", number, Path.GetFullPath(path), stem])
                info.ArgumentList.Add(word);
            using var run = Process.Start(info) ?? throw No(page);
            using var stop = cancel.Register(() => { try { run.Kill(); } catch (InvalidOperationException) { /* it has ended */ } });
            run.StandardError.ReadToEnd();
            run.WaitForExit();
            cancel.ThrowIfCancellationRequested();
            var file = stem + (inks ? ".tif" : ".png");
            if (run.ExitCode != 0 || !File.Exists(file)) throw No(page);
            using var image = Image.NewFromFile(file);
            return image.CopyMemory();
        }
        finally { if (within is null) Directory.Delete(aside, recursive: true); }
    }

    private static Refusal No(int page) => new("page", $"page {page} can’t be carried over, and nothing here can draw it as pixels");
}
