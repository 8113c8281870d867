using System.Diagnostics;
using System.Globalization;
using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Tests.ByChance;
using NetVips;

namespace Lumbeck.Bench;

/// <summary>
/// PDF/X-1a, whose transparency is flattened: of two hundred covers by chance, of any size and house, and of the demo's
/// heaviest; and how long the command line takes to begin.
/// </summary>
internal static class FlatBench
{
    private const int Covers = 200;

    public static void Run(string folder)
    {
        Begins();
        var desk = With(folder);
        var jobs = new RandomJobs(Pictures(desk));
        var times = new List<(double Milliseconds, int Seed)>();
        for (var seed = 1; seed <= Covers; seed++)
        {
            var slug = Begun(desk, jobs, seed);
            times.Add((Pressed(desk, slug), seed));
        }
        Benches.Report($"PDF/X-1a of {Covers} covers by chance", [.. times.Select(t => t.Milliseconds * 1000)]);
        var worst = times.Max();
        ConversionBench.Pair($"  the worst, seed {worst.Seed}, by itself",
            ConversionBench.Own("flat", folder, $"by-chance-{worst.Seed}"), "the same as PDF/X-4", "dotnet",
            ConversionBench.Own("kept", folder, $"by-chance-{worst.Seed}"), own: new Aim(6, "s"),
            memory: new Aim(400, "MB", "memory"));
        ConversionBench.Pair("PDF/X-1a of Bridges of the Orrin Valley", ConversionBench.Own("flat", folder, "orrin"),
            "the same as PDF/X-4", "dotnet", ConversionBench.Own("kept", folder, "orrin"), own: new Aim(3, "s"),
            memory: new Aim(400, "MB", "memory"));
    }

    /// <summary>What a process of its own does.</summary>
    public static void Do(string kind, string folder, string slug)
    {
        var desk = new Desk.AppServices(Path.Combine(folder, "flat"), TimeProvider.System, DemoBench.Load);
        Pressed(desk, slug, kind == "flat" ? PressKind.X1a : PressKind.X4);
    }

    private static Desk.AppServices With(string folder) =>
        new(Path.Combine(folder, "flat"), TimeProvider.System, DemoBench.Load);

    private static string Begun(Desk.AppServices desk, RandomJobs jobs, int seed)
    {
        var job = jobs.Any(seed);
        var kinds = job.Ticket.House.Kinds.Contains(PressKind.X1a) ? job.Ticket.House.Kinds : [PressKind.X1a, PressKind.X4];
        job = job with { Ticket = job.Ticket with { House = job.Ticket.House with { Kinds = kinds } } };
        desk.Bench.Begin($"By chance {seed}", job, "bench", $"by-chance-{seed}");
        return $"by-chance-{seed}";
    }

    private static double Pressed(Desk.AppServices desk, string slug, PressKind? kind = null)
    {
        var on = desk.Jobs.Job(slug);
        var from = Stopwatch.GetTimestamp();
        desk.Pressing.WritePress(on, new(kind ?? PressKind.X1a), Stream.Null);
        return Stopwatch.GetElapsedTime(from).TotalMilliseconds;
    }

    /// <summary>One picture in RGB, one in gray, one that shows through: smooth, as a photograph’s sky is.</summary>
    private static IReadOnlyList<Picture> Pictures(Desk.AppServices desk)
    {
        using var seen = Image.Xyz(900, 600);
        using var wave = ((seen[0] / 90).Math(Enums.OperationMath.Sin) * 60) + ((seen[1] / 70).Math(Enums.OperationMath.Cos)
            * 60) + 128;
        using var gray = wave.Cast(Enums.BandFormat.Uchar).Copy(interpretation: Enums.Interpretation.Bw);
        using var rgb = wave.Bandjoin(wave * 0.8, wave * 0.6).Cast(Enums.BandFormat.Uchar)
            .Copy(interpretation: Enums.Interpretation.Srgb);
        using var through = rgb.Bandjoin(gray).Copy(interpretation: Enums.Interpretation.Srgb);
        Picture taken(byte[] file, string name)
        {
            using var s = new MemoryStream(file);
            return desk.Drawer.Pictures.TakeIn(s, name, default).GetAwaiter().GetResult();
        }
        return [taken(rgb.JpegsaveBuffer(q: 92), "rgb.jpg"), taken(gray.PngsaveBuffer(), "gray.png"),
            taken(through.PngsaveBuffer(), "through.png")];
    }

    private static void Begins()
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "Lumbeck.slnx"))) root = root.Parent!;
        var own = Path.Combine(root.FullName, "lumbeck");
        var empty = Path.Combine(root.FullName, "benchmarks", "Lumbeck.Empty", "bin", "Release", "net10.0", "Lumbeck.Empty.dll");
        ConversionBench.Pair("./lumbeck --help", [own, "--help"], "a program that does nothing", "dotnet", [empty],
            new Aim(2, "×", "time"), runs: 15, with: "bash");
    }
}
