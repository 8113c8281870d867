using System.Diagnostics;
using System.Globalization;
using System.Text;

namespace Lumbeck.Intake.Opening;

/// <summary>Pixels of a page, as another program draws it: brightness, row by row, 255 for white.</summary>
internal sealed record Drawn(byte[] Pixels, int Wide, int High)
{
    public int At(int x, int y) => Pixels[(Math.Clamp(y, 0, High - 1) * Wide) + Math.Clamp(x, 0, Wide - 1)];
}

/// <summary>Pixels of a page in its four inks, 255 for all of one.</summary>
internal sealed record DrawnInks(byte[] Inks, int Wide, int High)
{
    /// <summary>All four together.</summary>
    public int At(int x, int y) => Inks.AsSpan(((y * Wide) + x) * 4, 4) is var i ? i[0] + i[1] + i[2] + i[3] : 0;
}

/// <summary>Draws pages with poppler's <c>pdftoppm</c> where it is installed, with a bound on memory and on time: the file may be anybody's.</summary>
internal static class PageDrawing
{
    private static readonly Lazy<string?> Program = new(() => (Environment.GetEnvironmentVariable("PATH") ?? "").Split(':').Append("/usr/bin").Select(p => Path.Combine(p, "pdftoppm")).FirstOrDefault(File.Exists));
    /// <summary>Seconds of work, and how long they are waited for on a machine that has other work.</summary>
    private const int Work = 6;
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(60);
    private const int MostKilobytes = 900_000;

    public static bool IsHere => Program.Value is not null;

    /// <summary>A part of a page in pixels from its upper left corner; null where it could not be drawn.</summary>
    public static Drawn? Of(string path, int page, double perInch, (int X, int Y, int Wide, int High)? part = null)
    {
        List<string> words = ["-r", perInch.ToString("0.###", CultureInfo.InvariantCulture), "-gray", "-f", Figure(page), "-l", Figure(page)];
        if (part is { } p) words.AddRange(["-x", Figure(Math.Max(0, p.X)), "-y", Figure(Math.Max(0, p.Y)), "-W", Figure(p.Wide), "-H", Figure(p.High)]);
        return Run(path, words) is { } pgm ? Read(pgm) : null;
    }

    /// <summary>A page in its four inks, overprints and all; null where it could not be drawn.</summary>
    public static DrawnInks? Inks(string path, int page, double perInch)
    {
        // In inks it writes files only, beside which nothing else is.
        var folder = Directory.CreateTempSubdirectory("lumbeck-inks-");
        try
        {
            var stem = Path.Combine(folder.FullName, "page");
            if (Run(path, ["-r", perInch.ToString("0.###", CultureInfo.InvariantCulture), "-tiff", "-overprint", "-singlefile", "-f", Figure(page), "-l", Figure(page)], stem) is null) return null;
            using var image = NetVips.Image.NewFromFile(stem + ".tif");
            return image.Bands == 4 ? new(image.WriteToMemory<byte>(), image.Width, image.Height) : null;
        }
        catch (NetVips.VipsException) { return null; }
        finally { folder.Delete(recursive: true); }
    }

    private static byte[]? Run(string path, IEnumerable<string> words, string? to = null)
    {
        var start = new ProcessStartInfo("/bin/sh") { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (var word in (string[])["-c", $"ulimit -v {MostKilobytes}; ulimit -t {Work}; exec \"$@\"", "sh", Program.Value!, .. words, path, .. to is null ? [] : (string[])[to]]) start.ArgumentList.Add(word);
        try
        {
            using var run = Process.Start(start)!;
            using var ended = new Timer(_ => { try { run.Kill(true); } catch (InvalidOperationException) { /* it has ended by itself */ } }, null, Patience, Timeout.InfiniteTimeSpan);
            run.ErrorDataReceived += (_, _) => { };
            run.BeginErrorReadLine();
            using var pixels = new MemoryStream();
            run.StandardOutput.BaseStream.CopyTo(pixels);
            run.WaitForExit();
            return run.ExitCode == 0 ? pixels.ToArray() : null;
        }
        catch (Exception e) when (e is System.ComponentModel.Win32Exception or IOException) { return null; }
    }

    /// <summary>A PGM: a header of four words, then a byte a pixel.</summary>
    private static Drawn? Read(byte[] pgm)
    {
        var (words, at) = (new List<string>(), 0);
        while (words.Count < 4 && at < pgm.Length)
        {
            while (at < pgm.Length && pgm[at] <= 32) at++;
            var from = at;
            while (at < pgm.Length && pgm[at] > 32) at++;
            words.Add(Encoding.ASCII.GetString(pgm, from, at - from));
        }
        at++;
        return words is ["P5", var ws, var hs, "255"] && int.TryParse(ws, out var w) && int.TryParse(hs, out var h) && w > 0 && h > 0 && pgm.Length >= at + (w * h) ? new(pgm[at..], w, h) : null;
    }

    private static string Figure(int n) => n.ToString(CultureInfo.InvariantCulture);
}
