using System.Diagnostics;
using System.IO.Compression;
using Lumbeck.Desk;

namespace Lumbeck.Bench;

/// <summary>
/// One job after 5,000 edits: the next edit, a step back and the list of steps, and what the store weighs beside whole
/// states.
/// </summary>
internal static class HistoryBench
{
    private const int Edits = 5000, Timed = 400;

    public static void Run(string folder)
    {
        var desk = new Desk.AppServices(Path.Combine(folder, "history"), TimeProvider.System, DemoBench.Load);
        var (n, whole) = (0, 0L);
        OnBench edit()
        {
            n++;
            // A hand's pushes, sizes typed and words: every third a burst of four under one gesture.
            Edit make(Job job) => (n % 5) switch
            {
                0 => new SetWords("title", n % 2 == 0 ? "The Tidewatcher" : $"The Tidewatcher {n}"),
                1 or 2 => new MoveItem("author", Length.FromPoints(n % 2 == 0 ? 1 : -1), default),
                3 => new SetFact(TicketFact.Subtitle, $"A novel, draft {n}"),
                _ => new SetPages(300 + (2 * (n % 30))),
            };
            return desk.Jobs.Apply("tidewatcher",
                new(Guid.NewGuid().ToString(), "bench", make, null, n % 3 == 0 ? $"g{n / 12}" : null));
        }
        for (var i = 0; i < Edits - Timed; i++)
        {
            edit();
            if (i % 50 == 0) whole += 50 * Weight(desk.Jobs.Job("tidewatcher").Job);
        }
        Benches.Time("an edit, the job's 5,000th", Timed - 40, 1, edit, new Aim(25, "ms"));
        Benches.Time("a step back from there", 100, 1, () => desk.Jobs.Undo("tidewatcher", "bench"),
            new Aim(25, "ms"));
        Benches.Time("its list of steps", 60, 1, () => desk.Jobs.StepList(desk.Jobs.Job("tidewatcher")).Count,
            new Aim(100, "ms"));
        Benches.Time("  peer: an edit of a job with no steps", 200, 1, () =>
            desk.Jobs.Apply("calder",
                new(Guid.NewGuid().ToString(), "bench", _ => new SetFact(TicketFact.Subtitle, $"Draft {n++}"))));
        var size = new FileInfo(Path.Combine(folder, "history", "lumbeck.db")).Length;
        Console.WriteLine($"{"the store after 5,000 edits",-46} {$"{size / 1e6:0.0} MB",12}");
        Console.WriteLine($"{"  peer: 5,000 whole states, deflated",-46} {$"{whole / 1e6:0.0} MB",12}");
    }

    private static long Weight(Job job)
    {
        using var m = new MemoryStream();
        using (var z = new DeflateStream(m, CompressionLevel.Fastest, leaveOpen: true)) z.Write(JobJson.Write(job));
        return m.Length;
    }
}
