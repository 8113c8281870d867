using System.Diagnostics;
using System.Globalization;
using System.Text;
using Lumbeck.Press.Import;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Kinds;

namespace Lumbeck.Bench;

/// <summary>
/// Files from other programs made press-ready, each in a process of its own, beside Ghostscript's conversion of the
/// same: an inside of 300 pages of words printed by a browser, a cover with 24 megapixels, and an inside of 700 MB, whose
/// memory alone is asked about.
/// </summary>
internal static class MendBench
{
    public static void Run(string folder)
    {
        var (text, cover, large) = (Path.Combine(folder, "text.pdf"), Path.Combine(folder, "cover.pdf"),
            Path.Combine(folder, "large.pdf"));
        if (!Text(folder, text)) { Console.WriteLine("mend: no browser here to print with"); return; }
        Cover(cover);
        Large(large);
        foreach (var (name, what, file, most) in new[] { ("300 pages of words mended", "mend-text", text, 6.0),
            ("a cover of 24 megapixels mended", "mend-cover", cover, 3.0),
            ("an inside of 700 MB mended", "mend-large", large, 60) })
            ConversionBench.Pair(name, ConversionBench.Own(what, folder, file), "Ghostscript's conversion", "gs",
                ["-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=pdfwrite", "-sColorConversionStrategy=CMYK",
                    $"-sOutputFile={Path.Combine(folder, what + "-peer.pdf")}", file],
                share: new(what == "mend-text" ? 0.5 : 1, "×", "time"), own: new(most, "s"), memory: new(400, "MB", "memory"),
                // The peer takes two minutes for the large one.
                runs: what == "mend-large" ? 1 : 3);
    }

    /// <summary>An inside of sixty pages, each a picture of its own of 4 megapixels that is packed not at all.</summary>
    private static void Large(string to)
    {
        const int pages = 60, side = 2000;
        using var file = File.Create(to);
        var at = new List<long>();
        void put(string text) => file.Write(Encoding.Latin1.GetBytes(text));
        void open(string body)
        {
            at.Add(file.Position);
            put($"{at.Count} 0 obj\n{body}");
        }
        put("%PDF-1.5\n");
        open("<< /Type /Catalog /Pages 2 0 R >>\nendobj\n");
        var kids = string.Join(' ', Enumerable.Range(0, pages).Select(n => $"{5 + (3 * n)} 0 R"));
        open($"<< /Type /Pages /Count {pages} /Kids [{kids}] >>\nendobj\n");
        const string place = "q 340.157 0 0 538.583 0 0 cm /X Do Q";
        var row = new byte[side * 3];
        for (var n = 0; n < pages; n++)
        {
            open($"<< /Type /XObject /Subtype /Image /Width {side} /Height {side} /ColorSpace /DeviceRGB " +
                $"/BitsPerComponent 8 " +
                $"/Length {side * side * 3} >>\nstream\n");
            for (var y = 0; y < side; y++)
            {
                for (var x = 0; x < row.Length; x++) row[x] = (byte)((x * (n + 3)) ^ (y * 7));
                file.Write(row);
            }
            put("\nendstream\nendobj\n");
            open($"<< /Length {place.Length} >>\nstream\n{place}\nendstream\nendobj\n");
            open($"<< /Type /Page /Parent 2 0 R /MediaBox [0 0 340.157 538.583] /Resources << /XObject << /X " +
                $"{3 + (3 * n)} 0 R >> >> " +
                $"/Contents {4 + (3 * n)} 0 R >>\nendobj\n");
        }
        var xref = file.Position;
        put($"xref\n0 {at.Count + 1}\n0000000000 65535 f \n{string.Concat(at.Select(p => $"{p:0000000000} 00000 n \n"))}");
        put($"trailer\n<< /Size {at.Count + 1} /Root 1 0 R >>\nstartxref\n{xref}\n%%EOF\n");
    }

    public static void Do(string what, string folder, string file)
    {
        var inside = what != "mend-cover";
        var house = inside ? HouseFile.Shipped["tern"].ForPages() : HouseFile.Shipped["tern"];
        var size = inside ? Size.FromMillimetres(120, 190) : Size.FromMillimetres(300, 220);
        using var s = File.Create(Path.Combine(folder, what + ".pdf"));
        Mending.Mend(file, s, new(house, size, new(default, default, size.Width, size.Height)) { Inside = inside },
            new FaceShelf(),
            new("Bench", "", "", DateTimeOffset.UnixEpoch, "bench", 1));
    }

    private static bool Text(string folder, string to)
    {
        var page = Path.Combine(folder, "text.html");
        var words = "the sea house winter of letters river salt between lamp orchard under glass".Split(' ');
        var s = new StringBuilder("<style>@page{size:120mm 190mm;margin:18mm}body{font:10pt " +
            "serif;color:#111}h2{color:#a33;break-before:page}</style>");
        for (var n = 0; n < 300; n++)
        {
            s.Append(CultureInfo.InvariantCulture, $"<h2>{n + 1}</h2><p>");
            for (var k = 0; k < 190; k++) s.Append(words[((n * 7) + (k * k)) % words.Length]).Append(' ');
        }
        File.WriteAllText(page, s.ToString());
        if (!File.Exists("/usr/bin/chromium")) return false;
        var start = new ProcessStartInfo("/usr/bin/chromium") { RedirectStandardError = true, RedirectStandardOutput = true };
        foreach (var word in (string[])["--headless=new", "--no-sandbox", "--disable-gpu", "--no-pdf-header-footer",
            $"--user-data-dir={Path.Combine(folder, "profile")}", $"--print-to-pdf={to}", new Uri(page).AbsoluteUri])
            start.ArgumentList.Add(word);
        using var run = Process.Start(start)!;
        run.StandardError.ReadToEnd();
        run.WaitForExit();
        return File.Exists(to);
    }

    /// <summary>A page of one picture of 6000 by 4000 pixels of red, green and blue, as a camera's JPEG.</summary>
    private static void Cover(string to)
    {
        using var noise = NetVips.Image.Gaussnoise(1500, 1000, sigma: 40, mean: 128).Resize(4)
            .Cast(NetVips.Enums.BandFormat.Uchar);
        using var ramp = NetVips.Image.Xyz(6000, 4000);
        using var light = (ramp[0] * (255.0 / 6000)).Cast(NetVips.Enums.BandFormat.Uchar);
        using var picture = noise.Bandjoin(light, 255 - noise).Copy(interpretation: NetVips.Enums.Interpretation.Srgb);
        var jpeg = picture.JpegsaveBuffer(q: 92);
        var (file, at) = (new MemoryStream(), new List<long>());
        void put(string text) => file.Write(Encoding.Latin1.GetBytes(text));
        put("%PDF-1.5\n");
        const string place = "q 850.39 0 0 623.62 0 0 cm /X Do Q";
        foreach (var (n, body) in new[] { "<< /Type /Catalog /Pages 2 0 R >>", "<< /Type /Pages /Count 1 /Kids [3 0 R] >>",
            "<< /Type /Page /Parent 2 0 R /MediaBox [0 0 850.39 623.62] /Resources << /XObject << /X 5 0 R >> >> " +
                "/Contents 4 0 R >>",
            $"<< /Length {place.Length} >>\nstream\n{place}\nendstream", "" }.Index())
        {
            at.Add(file.Position);
            put($"{n + 1} 0 obj\n{body}");
            if (n == 4)
            {
                put("<< /Type /XObject /Subtype /Image /Width 6000 /Height 4000 /ColorSpace /DeviceRGB /BitsPerComponent 8 " +
                    $"/Filter /DCTDecode /Length {jpeg.Length} >>\nstream\n");
                file.Write(jpeg);
                put("\nendstream");
            }
            put("\nendobj\n");
        }
        var xref = file.Position;
        put($"xref\n0 6\n0000000000 65535 f \n{string.Concat(at.Select(p => $"{p:0000000000} 00000 n \n"))}");
        put($"trailer\n<< /Size 6 /Root 1 0 R >>\nstartxref\n{xref}\n%%EOF\n");
        File.WriteAllBytes(to, file.ToArray());
    }
}
