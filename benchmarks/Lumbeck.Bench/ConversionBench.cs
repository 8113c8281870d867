using System.Diagnostics;
using System.Globalization;
using Lumbeck.Desk;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Growing;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Pictures;
using NetVips;

namespace Lumbeck.Bench;

/// <summary>
/// Photographs of 24 megapixels to previews, to the press and beyond their edges, each as a whole process beside
/// another program's.
/// </summary>
internal static class ConversionBench
{
    private static readonly PrintingCondition Coated = new("coated-fogra39-300");

    public static void Run(string folder)
    {
        var files = Enumerable.Range(1, 3).Select(n => Photograph(folder, n)).ToList();
        var (rgb, cmyk) = (Profiles.PathOf("sRGB"), Profiles.PathOf(Coated.Profile));
        using (var wrap = Image.Thumbnail(files[0], 3474, height: 2475, crop: Enums.Interesting.Centre))
            wrap.Jpegsave(Path.Combine(folder, "wrap.jpg"), q: 92);
        Pair("24 MP JPEG to a preview", Own("preview", folder, files[0]), "vips thumbnail", "vips",
            ["thumbnail", files[0], Path.Combine(folder, "thumb.webp"), "1600"], new Aim(1.5, "×", "time"));
        Pair("three of them to the press at 300 ppi", Own("press", folder, [.. files]), "vips icc_transform, each",
            "bash",
            ["-c",
                string.Join(" && ",
                    files.Select(f => $"vips icc_transform {f} {folder}/out.v {cmyk} --input-profile {rgb} --intent " +
                        $"relative --black-point-compensation"))],
            new Aim(0.7, "×", "processor"));
        Pair("20 mm grown round a 300 ppi wrap", Own("grow", folder, files[0]), "its preview", "dotnet",
            [typeof(ConversionBench).Assembly.Location, "do", "grow-preview", folder, files[0]], own: new Aim(10, "s"),
            peers: new Aim(1, "s"));
    }

    internal static string Photograph(string folder, int seed)
    {
        var file = Path.Combine(folder, $"photograph-{seed}.jpg");
        using var x = Image.Xyz(6000, 4000);
        using var wave = ((x[0] / (90 + seed))
            .Math(Enums.OperationMath.Sin) * 60) + ((x[1] / 70).Math(Enums.OperationMath.Cos) * 60) + 128;
        using var noise = Image.Gaussnoise(6000, 4000, sigma: 9, mean: 0, seed: seed);
        using var one = wave + noise;
        using var image = one.Bandjoin(one * 0.8, one * 0.6).Cast(Enums.BandFormat.Uchar)
            .Copy(interpretation: Enums.Interpretation.Srgb);
        image.Jpegsave(file, q: 90);
        return file;
    }

    internal static string[] Own(string what, string folder, params string[] files) =>
        [typeof(ConversionBench).Assembly.Location, "do", what, folder, .. files];

    /// <summary>What a process of its own does, so that its processor time and memory are its own.</summary>
    public static void Do(string what, string folder, string[] files)
    {
        switch (what)
        {
            case "preview":
                PictureReading.Of(files[0], "photograph", "");
                File.WriteAllBytes(Path.Combine(folder, "preview.webp"),
                    PictureMaking.ForScreen(files[0], 1600, Coated));
                break;
            case "press":
                // As wide as the demo novel's whole sheet at 300 pixels an inch.
                foreach (var file in files) PictureMaking.ForPress(file, 3474, Coated).Save(Stream.Null);
                break;
            case "grow" or "grow-preview":
                var (w, h) = (20 / 25.4 * 300 / 3474, 20 / 25.4 * 300 / 2475);
                Grower.Make(Path.Combine(folder, "wrap.jpg"),
                    new(new('a', 64), GrowWay.Synthesis, 1, Flip.None, 0, 0, 1, 1, w, h, w, h), 3474 + 472,
                    what == "grow-preview", Path.Combine(folder, what + ".jpg"));
                break;
            case "planner" or "ruled" or "sudokus" or "solved":
                PlannerBench.Do(what, folder);
                break;
            case "mend-text" or "mend-cover" or "mend-large":
                MendBench.Do(what, folder, files[0]);
                break;
            case "flat" or "kept":
                FlatBench.Do(what, folder, files[0]);
                break;
            default:
                PressBench.Do(what, folder);
                break;
        }
        var most = long.Parse(File.ReadLines("/proc/self/status").First(l =>
            l.StartsWith("VmHWM", StringComparison.Ordinal)).Split(' ', StringSplitOptions.RemoveEmptyEntries)[1],
            CultureInfo.InvariantCulture) / 1000;
        Console.WriteLine($"most {most} MB");
    }

    /// <summary>A process of ours and its peer's, each the middle of three runs.</summary>
    /// <param name="name">What is timed.</param>
    /// <param name="ownArguments">What our process is begun with.</param>
    /// <param name="peer">What the peer is.</param>
    /// <param name="program">Its program.</param>
    /// <param name="arguments">What that is begun with.</param>
    /// <param name="share">What our share of the peer's is to stay under.</param>
    /// <param name="own">What our own time is to stay under.</param>
    /// <param name="peers">What the peer's time is to stay under, where that is ours too.</param>
    /// <param name="memory">What our memory is to stay under.</param>
    /// <param name="runs">How often each is run.</param>
    /// <param name="with">The program that ours is begun with.</param>
    internal static void Pair(
        string name, string[] ownArguments, string peer, string program, string[] arguments,
        Aim? share = null, Aim? own = null, Aim? peers = null, Aim? memory = null, int runs = 3,
        string with = "dotnet")
    {
        var ours = Timed(with, ownArguments, runs);
        var most = ours.Says.Split(' ') is ["most", var mb, "MB"] ? double.Parse(mb, CultureInfo.InvariantCulture) : 0;
        var says = most > 0 ? ", " + ours.Says : "";
        Console.WriteLine($"{name,-46} {$"{ours.Wall:0.00} s",12}   processor {ours.Cpu:0.00} " +
            $"s{says}{own?.Says(ours.Wall)}{memory?.Says(most)}");
        try
        {
            var theirs = Timed(program, arguments, runs);
            var (wall, cpu) = (ours.Wall / theirs.Wall, ours.Cpu / theirs.Cpu);
            var judged = share?.Says(share.Value.Of == "time" ? wall : cpu) + peers?.Says(theirs.Wall);
            Console.WriteLine($"{"  peer: " + peer,-46} {$"{theirs.Wall:0.00} s",12}   processor {theirs.Cpu:0.00} " +
                $"s; ours {wall:0.00} × its time, {cpu:0.00} × its processor{judged}");
        }
        catch (InvalidOperationException e) { Console.WriteLine($"  peer: {peer} is not here ({e.Message})"); }
    }

    /// <summary>
    /// A whole process: the middle of its runs by the wall, with its own processor time as the shell reckons it.
    /// </summary>
    private static (double Wall, double Cpu, string Says) Timed(string program, string[] arguments, int times)
    {
        var runs = new List<(double Wall, double Cpu, string Says)>();
        for (var i = 0; i < times; i++)
        {
            var start = new ProcessStartInfo("bash") { RedirectStandardOutput = true, RedirectStandardError = true };
            foreach (var a in (string[])["-c", "TIMEFORMAT='%R %U %S'; time \"$@\"", "bash", program, .. arguments])
                start.ArgumentList.Add(a);
            using var process = Process.Start(start)!;
            var error = process.StandardError.ReadToEndAsync();
            var says = process.StandardOutput.ReadToEnd().Trim();
            process.WaitForExit();
            if (process.ExitCode != 0) throw new InvalidOperationException(error.Result.Trim().Split('\n')[0]);
            var figures = error.Result.Trim().Split('\n')[^1].Split(' ')
                .Select(f => double.Parse(f, CultureInfo.InvariantCulture)).ToArray();
            runs.Add((figures[0], figures[1] + figures[2], says));
        }
        return runs.OrderBy(r => r.Wall).ElementAt(times / 2);
    }
}
