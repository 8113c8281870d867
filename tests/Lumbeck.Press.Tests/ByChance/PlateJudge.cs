using NetVips;

namespace Lumbeck.Press.Tests.ByChance;

/// <summary>A plate of a page: a byte a pixel, 255 for all of its ink.</summary>
public sealed record Plate(int Wide, int High, byte[] Ink);

/// <summary>
/// Where two plates differ most, in places of three by three pixels and more that lie away from edges.
/// </summary>
/// <param name="Plate">Which plate.</param>
/// <param name="Plain">The largest difference where there is plain ink, of 255.</param>
/// <param name="Pictured">The same where there are pictures.</param>
/// <param name="At">Where the larger lies against what is allowed, in pixels, and what the two have there.</param>
public sealed record Apart(string Plate, int Plain, int Pictured, string At);

/// <summary>Plates as Ghostscript lays them down, beside those of the plate painter.</summary>
public static class PlateJudge
{
    public const int PerInch = 150;

    /// <summary>
    /// Most that may differ where there is plain ink, and in pictures (each file packs those anew, as JPEG).
    /// </summary>
    public const int PlainMost = 3, PicturedMost = 12;

    /// <summary>Every plate of every page of a file, by name.</summary>
    public static IReadOnlyList<Dictionary<string, Plate>> Ghostscript(string file, int pages)
    {
        using var folder = new Folder();
        Tool.Run("gs", "-q", "-dNOPAUSE", "-dBATCH", "-dSAFER", "-sDEVICE=tiffsep", "-sCompression=none", $"-r{PerInch}",
            $"-sOutputFile={folder["p%d.tif"]}", file);
        return
        [
            .. Enumerable.Range(1, pages)
                .Select(page => Directory.GetFiles(folder.Path, $"p{page}(*).tif").ToDictionary(
                f => Path.GetFileName(f).Split('(', ')')[1],
                f =>
                {
                    using var image = Image.NewFromFile(f);
                    return new Plate(image.Width, image.High(),
                        [.. image.WriteToMemory<byte>().Select(v => (byte)(255 - v))]);
                })),
        ];
    }

    private static int High(this Image image) => image.Height;

    /// <summary>The four process plates of every page as MuPDF lays them, in as many pixels.</summary>
    public static IReadOnlyList<Dictionary<string, Plate>> MuPdf(string file, int pages)
    {
        using var folder = new Folder();
        Tool.Run("mutool", "draw", "-q", "-N", "-c", "cmyk", "-F", "pam", "-r", $"{PerInch}", "-o", folder["p%d.pam"], file);
        return [.. Enumerable.Range(1, pages).Select(page => Pam(File.ReadAllBytes(folder[$"p{page}.pam"])))];
    }

    /// <summary>A picture of four bands: a head of lines, then samples.</summary>
    private static Dictionary<string, Plate> Pam(byte[] file)
    {
        var end = file.AsSpan().IndexOf("ENDHDR\n"u8) + 7;
        var head = System.Text.Encoding.ASCII.GetString(file, 0, end).Split('\n');
        int of(string key) => int.Parse(head.Single(l => l.StartsWith(key, StringComparison.Ordinal))[(key.Length + 1)..],
            CultureInfo.InvariantCulture);
        of("DEPTH").ShouldBe(4);
        var (wide, high) = (of("WIDTH"), of("HEIGHT"));
        string[] names = ["Cyan", "Magenta", "Yellow", "Black"];
        return names.Index().ToDictionary(n => n.Item, n => new Plate(wide, high,
            [.. Enumerable.Range(0, wide * high).Select(p => file[end + (4 * p) + n.Index])]));
    }

    /// <summary>The same from the plate painter, in so many pixels.</summary>
    public static Dictionary<string, Plate> Painted(Plates.PlatePainter painter, Scene scene, int wide, int high)
    {
        // A page of so many points is so many pixels to Ghostscript, counted from its foot.
        var k = 72.0 / PerInch;
        var plates = painter.Paint(scene, new(0, scene.Height - (high * k), wide * k, scene.Height), PerInch);
        string[] names = ["Cyan", "Magenta", "Yellow", "Black"];
        var all = names.Select((name, i) =>
            (name,
                new Plate(plates.Wide, plates.High,
                    [.. Enumerable.Range(0, plates.Wide * plates.High).Select(p => plates.Inks[(p * 4) + i])])))
            .ToDictionary(p => p.name, p => p.Item2);
        foreach (var (name, tints) in plates.Finishes) all[name] = new(plates.Wide, plates.High, tints);
        return all;
    }

    /// <summary>Where pictures lie on a sheet.</summary>
    public static bool[] Pictured(Scene scene, int wide, int high) =>
        Where(scene, wide, high, p => p.Marks.Any(m => m is PictureMark or TilesMark or GrownMark), p => p.Reach);

    /// <summary>Where letters lie whose strokes are thinner than a pixel: all of them is edge.</summary>
    public static bool[] Fine(Scene scene, int wide, int high) =>
        Where(scene, wide, high, p => p.Marks.OfType<GlyphMark>().Any(g => g.Size < FineMost),
            p => p.Inked.IsEmpty ? p.Reach : p.Inked);

    /// <summary>Letters under so many points are fine.</summary>
    private const double FineMost = 5;

    private static bool[] Where(Scene scene, int wide, int high, Func<DrawnItem, bool> which, Func<DrawnItem,
        Bounds> at)
    {
        var there = new bool[wide * high];
        var k = PerInch / 72.0;
        foreach (var b in scene.Items.Where(which).Select(at))
            for (var y = Math.Max(0, (int)(b.Top * k) - 1); y < Math.Min(high, (int)(b.Bottom * k) + 2); y++)
                for (var x = Math.Max(0, (int)(b.Left * k) - 1); x < Math.Min(wide, (int)(b.Right * k) + 2); x++)
                    there[(y * wide) + x] = true;
        return there;
    }

    /// <summary>Compares plates that share a size.</summary>
    public static IEnumerable<Apart> Compare(Dictionary<string, Plate> file, Dictionary<string, Plate> painted,
        bool[] pictured, bool[] fine)
    {
        var (wide, high) = (painted["Cyan"].Wide, painted["Cyan"].High);
        // An edge on any plate is an edge on all: where letters lie, the plates under them have one too.
        var edges = (bool[])fine.Clone();
        foreach (var plate in painted.Values.Concat(file.Values)) Edges(plate, edges);
        foreach (var name in painted.Keys.Union(file.Keys))
        {
            var a = painted.GetValueOrDefault(name)?.Ink ?? new byte[wide * high];
            var b = file.GetValueOrDefault(name)?.Ink ?? new byte[wide * high];
            int plain = 0, pics = 0, worst = -1;
            var far = Far(a, b, wide, high);
            for (var y = 1; y < high - 1; y++)
                for (var x = 1; x < wide - 1; x++)
                {
                    // The least difference of a place of three by three: all of it is so far apart.
                    var (least, edge, inPicture) = (255, false, false);
                    for (var dy = -1; dy <= 1 && least > PlainMost - 3; dy++)
                        for (var dx = -1; dx <= 1; dx++)
                        {
                            var p = ((y + dy) * wide) + x + dx;
                            least = Math.Min(least, far[p]);
                            edge |= edges[p];
                            inPicture |= pictured[p];
                        }
                    if (edge || least == 0) continue;
                    var was = Math.Max(plain - PlainMost, pics - PicturedMost);
                    if (inPicture) pics = Math.Max(pics, least);
                    else plain = Math.Max(plain, least);
                    if (Math.Max(plain - PlainMost, pics - PicturedMost) > was || worst < 0) worst = (y * wide) + x;
                }
            yield return new(name, plain, pics,
                worst < 0
                    ? ""
                    : $"{worst % wide},{worst / wide}: painted {Inks(painted, worst)}, in the file {Inks(file, worst)}");
        }
    }

    /// <summary>
    /// How far each pixel of one plate is from all that the other has there and beside it: a page may lie a part of a
    /// pixel aside.
    /// </summary>
    private static byte[] Far(byte[] a, byte[] b, int wide, int high)
    {
        var far = new byte[a.Length];
        for (var y = 0; y < high; y++)
            for (var x = 0; x < wide; x++)
            {
                var p = (y * wide) + x;
                if (a[p] == b[p]) continue;
                var (low, top) = (255, 0);
                for (var v = Math.Max(0, y - 1); v <= Math.Min(high - 1, y + 1); v++)
                    for (var u = Math.Max(0, x - 1); u <= Math.Min(wide - 1, x + 1); u++)
                        (low, top) = (Math.Min(low, b[(v * wide) + u]), Math.Max(top, b[(v * wide) + u]));
                far[p] = (byte)Math.Max(0, Math.Max(low - a[p], a[p] - top));
            }
        return far;
    }

    private static string Inks(Dictionary<string, Plate> plates, int at) =>
        string.Join(' ',
            plates.OrderBy(p => Array.IndexOf(["Cyan", "Magenta", "Yellow", "Black"], p.Key) is >= 0 and var i ? i : 9)
                .Select(p => $"{p.Key[..1]}{p.Value.Ink[at] / 2.55:0}"));

    /// <summary>Marks a pixel and those about it where a plate changes by more than smooth runs do.</summary>
    private static void Edges(Plate plate, bool[] edges)
    {
        var (w, h, ink) = (plate.Wide, plate.High, plate.Ink);
        const int Step = 14;
        for (var y = 0; y < h; y++)
            for (var x = 0; x < w; x++)
            {
                var p = (y * w) + x;
                var differs = (x + 1 < w && Math.Abs(ink[p] - ink[p + 1]) > Step)
                    || (y + 1 < h && Math.Abs(ink[p] - ink[p + w]) > Step);
                if (!differs) continue;
                for (var dy = -1; dy <= 2; dy++)
                    for (var dx = -1; dx <= 2; dx++)
                        if (x + dx >= 0 && x + dx < w && y + dy >= 0 && y + dy < h)
                            edges[((y + dy) * w) + x + dx] = true;
            }
    }
}
