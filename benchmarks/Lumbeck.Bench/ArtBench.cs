using System.Diagnostics;
using System.Globalization;
using Lumbeck.Desk;
using Lumbeck.Desk.Jobs;
using Lumbeck.Desk.Making;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Bench;

/// <summary>
/// Papers and vistas over the demo novel's wrap: how long the drawing takes and how many points it has, as it is first laid
/// and as small as it goes; and what the densest makes of a press file.
/// </summary>
internal static class ArtBench
{
    public static void Run(string folder)
    {
        var desk = new Desk.AppServices(Path.Combine(folder, "art"), TimeProvider.System, DemoBench.Load);
        var on = desk.Jobs.Job("tidewatcher");
        var sheet = on.Composed.Sheets[0].Sheet;
        var (wide, high) = ((double)sheet.Size.Width.Millimetres, (double)sheet.Size.Height.Millimetres);
        var window = new Bounds(0, 0, wide, high);
        (string Word, int Points) densest = ("", 0);
        foreach (var (word, first) in PatternShelf.All)
        {
            var (usual, points) = Timed(() => first.Over(window));
            var (dense, many) = Timed(() => (first with { Scale = Pattern.ScaleLeast }).Over(window));
            Told(word, usual, points, new(30, "ms"));
            Told("  at its densest", dense, many, new(120, "ms"));
            if (many > densest.Points) densest = (word, many);
        }
        var stage = new Stage(window, window with { Left = wide / 2 }, window with { Right = wide / 2 });
        foreach (var (word, first) in VistaShelf.All)
        {
            var (usual, points) = Timed(() => first.Draw(stage).Select(d => d.Drawn));
            Told(word, usual, points, new(30, "ms"));
            var (dense, many) = Timed(() => (first with { Density = 200 }).Draw(stage).Select(d => d.Drawn));
            Told("  at its densest", dense, many, new(120, "ms"));
        }
        var paper = PatternShelf.All.First(p => p.Word == densest.Word).First with { Scale = Pattern.ScaleLeast };
        // Its jacket holds a large picture: what the paper adds is what is meant.
        var file = Path.Combine(folder, "densest.pdf");
        desk.Jobs.Apply("calder", new("art-bench-1", "bench", _ => new LayPattern(null)));
        var without = Pressed(desk, file).Bytes;
        desk.Jobs.Apply("calder", new("art-bench-2", "bench", _ => new LayPattern(paper)));
        var (milliseconds, bytes) = Pressed(desk, file);
        var kilobytes = (bytes - without) / 1000.0;
        Console.WriteLine($"{$"a jacket under {densest.Word}, PDF/X-4",-46} " +
            $"{milliseconds.ToString("0", CultureInfo.InvariantCulture),9} ms   the paper's share " +
            $"{kilobytes.ToString("0", CultureInfo.InvariantCulture)} kB{new Aim(1500, "kB").Says(kilobytes)}");
        var from = Stopwatch.GetTimestamp();
        using (var p = Process.Start(new ProcessStartInfo("pdftoppm", ["-r", "100", "-f", "1", "-l", "1", file, file])
        { RedirectStandardError = true })!) p.WaitForExit();
        var drawn = Stopwatch.GetElapsedTime(from);
        Console.WriteLine($"{"  peer: poppler draws it at 100 an inch",-46} " +
            $"{drawn.TotalMilliseconds.ToString("0", CultureInfo.InvariantCulture),9} ms" +
            new Aim(3, "s").Says(drawn.TotalSeconds));
    }

    private static (double Milliseconds, long Bytes) Pressed(Desk.AppServices desk, string file)
    {
        var from = Stopwatch.GetTimestamp();
        using (var s = File.Create(file)) desk.Pressing.WritePress(desk.Jobs.Job("calder"), new(PressKind.X4), s);
        return (Stopwatch.GetElapsedTime(from).TotalMilliseconds, new FileInfo(file).Length);
    }

    private static void Told(string word, double ms, int points, Aim aim) =>
        Console.WriteLine($"{word,-46} {ms.ToString("0.0", CultureInfo.InvariantCulture),9} ms   {points,7} points{aim.Says(ms)}");

    /// <summary>The middle of nine drawings after two, and the points of one.</summary>
    private static (double Milliseconds, int Points) Timed(Func<IEnumerable<Drawn>> draw)
    {
        var points = draw().Sum(Points);
        _ = draw().ToList();
        var times = Enumerable.Range(0, 9).Select(_ =>
        {
            var from = Stopwatch.GetTimestamp();
            var drawn = draw().ToList();
            return drawn.Count == 0 ? 0 : Stopwatch.GetElapsedTime(from).TotalMilliseconds;
        }).Order().ToList();
        return (times[4], points);
    }

    private static int Points(Drawn drawn) => drawn switch
    {
        Area a => a.Shape.Points.Length / 2,
        Core.Art.Sketches.Line l => l.Shape.Points.Length / 2,
        Graded g => g.Shape.Points.Length / 2,
        // What repeats is stored once.
        Repeated r => r.Symbol.Sum(Points) + r.Places.Length,
        _ => 0,
    };
}
