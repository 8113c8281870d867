using System.Diagnostics;
using System.Globalization;
using System.Text;
using Lumbeck.Core.Measures;
using ZXing;
using ZXing.Common;

namespace Lumbeck.Intake.Judging;

/// <summary>The barcode, read from pixels of the finished page as another program draws it.</summary>
internal static class BarcodeCheck
{
    private const int PerInch = 300;
    private static readonly Lazy<string?> Drawer = new(() => (Environment.GetEnvironmentVariable("PATH") ?? "").Split(':').Append("/usr/bin").Select(p => Path.Combine(p, "pdftoppm")).FirstOrDefault(File.Exists));

    public static void Look(string path, int page, PageShape shape, ExpectedSheet sheet, Expected expected, Findings found)
    {
        if (sheet.Barcode is not { } room || expected.Number is not { Length: > 0 } number) return;
        if (Drawer.Value is null) { found.NotExamined("barcode: no program to draw pages is here"); return; }
        var read = Read(path, page, shape, room);
        if (read is null) { found.NotExamined("barcode: the page could not be drawn"); return; }
        if (read.Count == 0) found.Stop("barcode", "nothing read", number, "A reader held over the printed sheet reads no barcode.");
        else if (!read.Any(r => Same(r, number))) found.Stop("barcode", read[0], number, "The barcode on the page is another book’s.");
    }

    private static bool Same(string read, string number) => read == number || read == number[..Math.Min(13, number.Length)] || (number.StartsWith('0') && read == number[1..Math.Min(13, number.Length)]);

    private static List<string>? Read(string path, int page, PageShape shape, Box room)
    {
        var (left, _, _, top) = shape.Bleed ?? shape.Media;
        double px(double points) => points * PerInch / 72;
        var margin = Length.FromMillimetres(2).Points;
        var x = (int)px(left - shape.Media.L + room.X.Points - margin);
        var y = (int)px(shape.Media.T - top + room.Y.Points - margin);
        var (w, h) = ((int)px(room.Width.Points + (2 * margin)), (int)px(room.Height.Points + (2 * margin)));
        string[] words = ["-r", PerInch.ToString(CultureInfo.InvariantCulture), "-gray", "-f", Figure(page), "-l", Figure(page), "-x", Figure(Math.Max(0, x)), "-y", Figure(Math.Max(0, y)), "-W", Figure(w), "-H", Figure(h), path];
        // A foreign file is drawn with a bound on memory and on time.
        var start = new ProcessStartInfo("/bin/sh") { RedirectStandardOutput = true, RedirectStandardError = true };
        start.ArgumentList.Add("-c");
        start.ArgumentList.Add("ulimit -v 900000; exec \"$@\"");
        start.ArgumentList.Add("sh");
        start.ArgumentList.Add(Drawer.Value!);
        foreach (var word in words) start.ArgumentList.Add(word);
        try
        {
            using var run = Process.Start(start)!;
            using var ended = new Timer(_ => { try { run.Kill(true); } catch (InvalidOperationException) { } }, null, TimeSpan.FromSeconds(6), Timeout.InfiniteTimeSpan);
            run.ErrorDataReceived += (_, _) => { };
            run.BeginErrorReadLine();
            var pixels = new MemoryStream();
            run.StandardOutput.BaseStream.CopyTo(pixels);
            run.WaitForExit();
            return run.ExitCode == 0 ? Decode(pixels.ToArray()) : null;
        }
        catch (Exception e) when (e is System.ComponentModel.Win32Exception or IOException) { return null; }
    }

    /// <summary>A PGM's pixels: a header of words, then a byte a pixel.</summary>
    private static List<string>? Decode(byte[] pgm)
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
        if (words is not ["P5", var ws, var hs, "255"] || !int.TryParse(ws, out var w) || !int.TryParse(hs, out var h) || pgm.Length < at + (w * h) || w < 20 || h < 20) return null;
        var light = new PlanarYUVLuminanceSource(pgm[at..], w, h, 0, 0, w, h, false);
        foreach (var source in (LuminanceSource[])[light, light.rotateCounterClockwise()])
        {
            var reader = new MultiFormatReader { Hints = new Dictionary<DecodeHintType, object> { [DecodeHintType.POSSIBLE_FORMATS] = (BarcodeFormat[])[BarcodeFormat.EAN_13, BarcodeFormat.UPC_A, BarcodeFormat.QR_CODE], [DecodeHintType.TRY_HARDER] = true } };
            if ((reader.decodeWithState(new BinaryBitmap(new HybridBinarizer(source))) ?? reader.decodeWithState(new BinaryBitmap(new GlobalHistogramBinarizer(source)))) is { } found) return [found.Text];
        }
        return [];
    }

    private static string Figure(int n) => n.ToString(CultureInfo.InvariantCulture);
}
