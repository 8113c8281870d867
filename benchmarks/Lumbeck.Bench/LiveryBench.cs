using System.Diagnostics;
using System.Globalization;

namespace Lumbeck.Bench;

/// <summary>Liveries tried on the demo novel's sheet, from a browser's request to its answer.</summary>
internal static class LiveryBench
{
    public static async Task Run(string folder)
    {
        var (server, client) = await Benches.Start(Path.Combine(folder, "liveries"));
        using var s = server;
        using var c = client;
        try
        {
            var ids = LiveryShelf.All.Select(l => l.Id).ToList();
            async Task<int> tried(string livery, int seed, int wide) => (await client.GetByteArrayAsync(
                string.Create(CultureInfo.InvariantCulture, $"/jobs/tidewatcher/worn.jpg?livery={livery}&seed={seed}&wide={wide}")))
                .Length;
            // As the page asks for them: four at a time, each seed anew so that none is known.
            List<double> all = [];
            for (var round = 1; round <= 6; round++)
            {
                var began = Stopwatch.GetTimestamp();
                await Parallel.ForEachAsync(ids, new ParallelOptions { MaxDegreeOfParallelism = 4 },
                    async (id, _) => await tried(id, 1000 + round, 180));
                // The first round shapes type and compiles.
                if (round > 1) all.Add(Stopwatch.GetElapsedTime(began).TotalMicroseconds);
            }
            Benches.Report($"{ids.Count} liveries, all small", [.. all], new Aim(1500, "ms"));
            List<double> each = [];
            foreach (var id in ids)
                for (var seed = 1; seed <= 5; seed++)
                {
                    var began = Stopwatch.GetTimestamp();
                    await tried(id, seed, 700);
                    if (seed > 1) each.Add(Stopwatch.GetElapsedTime(began).TotalMicroseconds);
                }
            Benches.Report("a livery tried on the sheet, 700 pixels", [.. each], new Aim(120, "ms"));
            List<double> peer = [];
            for (var n = 0; n < 20; n++)
            {
                var began = Stopwatch.GetTimestamp();
                await client.GetByteArrayAsync(string.Create(CultureInfo.InvariantCulture, $"/jobs/tidewatcher/wrap.jpg?wide={700 + n}"));
                peer.Add(Stopwatch.GetElapsedTime(began).TotalMicroseconds);
            }
            Benches.Report("  peer: the sheet as it lies there", [.. peer]);
        }
        finally { server.Kill(); }
    }
}
