using System.Collections.Immutable;
using System.Diagnostics;
using System.Globalization;
using Lumbeck.Desk;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Bench;

/// <summary>
/// Pages that are made here: a change on an inside of 400, from the asking to both pages drawn, beside leafing; and a
/// ruled book of 300 as a file, beside writing as many bytes.
/// </summary>
internal static class PagesBench
{
    public static async Task Run(string folder)
    {
        var data = Path.Combine(folder, "pages");
        var desk = new Desk.AppServices(data, TimeProvider.System, DemoBench.Load);
        desk.Bench.Begin("Long", Job([.. ReadyInsides.Of("recipe book", 2027).Select(r =>
            r.Id == "recipes" ? r with { Count = 150 } : r),
            .. DesignShelf.All.Where(d => d.Group is "lines" or "grids")
                .Select(d => new PageRun { Id = d.Word, Designs = [d.First], Count = 7 })]), "bench", "long");
        desk.Bench.Begin("Ruled", Job([new PageRun { Id = "ruled", Designs = [DesignShelf.Of("ruled")], Count = 300 }]),
            "bench", "ruled");
        Press(desk, folder);
        PlannerBench.Run(folder);
        var (server, client) = await Benches.Start(data);
        using var s = server;
        using var c = client;
        try
        {
            var hand = await Hand.At(client, "long", "Inside");
            foreach (var drawn in (bool[])[false, true])
            {
                var times = new double[120];
                for (var n = -20; n < times.Length; n++)
                {
                    var from = Stopwatch.GetTimestamp();
                    await hand.Pitch();
                    if (drawn)
                        foreach (var page in (int[])[10, 11])
                            await client.GetStringAsync($"/jobs/long/page.svg?n={page}&r=0");
                    if (n >= 0) times[n] = Stopwatch.GetElapsedTime(from).TotalMicroseconds;
                }
                Benches.Report(drawn ? "  the same, both pages drawn" : "inside of 400 pages: a pitch changed", times,
                    new Aim(100, "ms"));
            }
            Benches.Time("  peer: leafing to another opening", 120, 1,
                () => client.GetStringAsync("/jobs/long/opening?page=200").GetAwaiter().GetResult().Length);
        }
        finally
        {
            server.Kill();
            await server.WaitForExitAsync();
        }
    }

    private static Job Job(ImmutableList<PageRun> runs)
    {
        var began = Starters.Job(HouseFile.Shipped["plover"], "Pages");
        return new BeginInside(runs, "runs")
            .Apply(began with { Ticket = began.Ticket with { Trim = Size.FromMillimetres(148, 210) } });
    }

    private static void Press(Desk.AppServices desk, string folder)
    {
        var on = desk.Jobs.Job("ruled");
        var file = Path.Combine(folder, "ruled.pdf");
        Benches.Time("300 ruled pages, PDF/X-1a", 20, 1, () =>
        {
            using var f = File.Create(file);
            desk.Pressing.WritePress(on, new(PressKind.X1a) { Inside = true }, f);
            return f.Length;
        }, new Aim(1000, "ms"));
        var bytes = File.ReadAllBytes(file);
        Benches.Time(string.Create(CultureInfo.InvariantCulture,
            $"  peer: writing its {bytes.Length / 1000} kB"), 20, 1,
            () => { File.WriteAllBytes(file, bytes); return 0; });
    }
}
