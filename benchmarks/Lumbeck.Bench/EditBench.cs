using System.Diagnostics;
using System.Globalization;

namespace Lumbeck.Bench;

/// <summary>An edit's way on covers of many items, and of many people at once.</summary>
internal static class EditBench
{
    public static async Task Run(string folder)
    {
        var data = Path.Combine(folder, "edits");
        var desk = new Desk.AppServices(data, TimeProvider.System, DemoBench.Load);
        var first = desk.Jobs.Job("tidewatcher").Job;
        foreach (var n in (int[])[60, 500])
            desk.Bench.Begin($"Items {n}", With(first, n), "bench", $"items-{n}");
        desk.Bench.Begin("Papers 500", Papered(With(first, 499)), "bench", "papers-500");
        for (var n = 0; n < 30; n++) desk.Bench.Begin($"Own {n}", first, "bench", $"own-{n}");
        for (var n = 0; n < 960; n++) desk.Bench.Begin($"Of a thousand {n}", first, "bench", $"many-{n}");
        var (server, client) = await Benches.Start(data);
        using var s = server;
        using var c = client;
        try
        {
            await One(client, "tidewatcher", "an edit on the demo", 15);
            await One(client, "items-60", "an edit on 60 items", 25);
            Benches.Time("  peer: asking for news when there is none", 300, 1,
                () => client.GetAsync("/jobs/items-60/news?seen=999999999&place=Wrap").GetAwaiter().GetResult().StatusCode);
            await One(client, "items-500", "an edit on 500 items", 40);
            await One(client, "papers-500", "the same over two dense papers");
            await One(client, "papers-500", "  another seed of one of them", null, hand => hand.Reseed(), 30);
            // Paced as people are: so many a second each, whether the last was answered or not.
            var alone = await Together(client, 1, 5, 12);
            Benches.Report("one session, 5 edits a second", alone);
            var ten = await Together(client, 10, 5, 12);
            Benches.Report("ten sessions, 5 edits a second each", ten);
            Console.WriteLine($"{"  95th of ten beside 95th of one",-46} " +
                $"{(At95(ten) / At95(alone)).ToString("0.00", CultureInfo.InvariantCulture) + " ×",12}" +
                new Aim(1.5, "×").Says(At95(ten) / At95(alone)));
            var thirty = await Together(client, 30, 1, 12);
            Benches.Report("thirty people, an edit a second each", thirty, null, new Aim(150, "ms", "95th"));
            await Lists(client);
            var most = PictureBench.Memory(server);
            Console.WriteLine($"{"the server's most memory for all that",-46} {$"{most} MB",12}{new Aim(500, "MB").Says(most)}");
        }
        finally
        {
            server.Kill();
            await server.WaitForExitAsync();
        }
    }

    /// <summary>
    /// The bench, the drawer and the houses with a thousand jobs; once asked for, since each begins with nothing kept.
    /// </summary>
    private static async Task Lists(HttpClient client)
    {
        var from = Stopwatch.GetTimestamp();
        await client.GetStringAsync("/");
        Console.WriteLine($"{"the bench of 1,000 jobs for the first time",-46} " +
            $"{Stopwatch.GetElapsedTime(from).TotalMilliseconds.ToString("0", CultureInfo.InvariantCulture) + " ms",12}");
        foreach (var (name, path) in ((string, string)[])[("the bench of 1,000 jobs",
            "/"), ("the drawer beside 1,000 jobs",
            "/drawer"),
            ("houses beside 1,000 jobs", "/houses")])
            Benches.Time(name, 100, 1, () => client.GetStringAsync(path).GetAwaiter().GetResult().Length,
                new Aim(50, "ms"));
    }

    private static double At95(double[] times) => times.Order().ElementAt((int)(times.Length * 0.95));

    /// <summary>A cover with so many items, small stars over its back.</summary>
    private static Job With(Job job, int items)
    {
        for (var n = job.Take.Items.Count; n < items; n++)
            job = new AddItem(new PolygonItem
            {
                Id = $"tile-{n}",
                Hold = new(Part.Back, HoldBox.Face, Anchor.TopLeft, Length.FromMillimetres(6 + (n % 24 * 5)),
                    Length.FromMillimetres(8 + (n / 24 * 5))),
                Width = new(Length.FromMillimetres(4)),
                Height = new(Length.FromMillimetres(4)),
                Corners = 5 + (n % 4),
                Waist = 50,
                Fill = new InkPaint(Ink.White),
            }).Apply(job);
        return job;
    }

    /// <summary>The densest paper on the ground, and another over the whole sheet.</summary>
    private static Job Papered(Job job)
    {
        var dense = PatternShelf.Kinds.Where(k => k is Guilloche or Scales)
            .Select(k => k.In(job.Swatches) with { Scale = Pattern.ScaleLeast }).ToList();
        return new AddItem(new RectItem
        {
            Id = "second-paper",
            Hold = new(Part.Sheet, HoldBox.Edge, Anchor.TopLeft, default, default),
            Width = Span.Full,
            Height = Span.Full,
            Fill = new Fill(null, dense[1]),
        }, 0).Apply(new LayPattern(dense[0]).Apply(job));
    }

    private static async Task One(HttpClient client, string slug, string name, double? aim = null,
        Func<Hand, Task<double>>? edit = null, int many = 300)
    {
        edit ??= h => h.Nudge();
        var hand = await Hand.At(client, slug);
        for (var n = 0; n < many / 10; n++) await edit(hand);
        var times = new double[many];
        for (var n = 0; n < times.Length; n++) times[n] = await edit(hand);
        Benches.Report(name, times, aim is { } most ? new Aim(most, "ms") : null);
    }

    private static async Task<double[]> Together(HttpClient client, int people, int aSecond, int seconds)
    {
        var hands = new List<Hand>();
        for (var n = 0; n < people; n++) hands.Add(await Hand.At(client, $"own-{n}"));
        foreach (var hand in hands) await hand.Nudge();
        var from = Stopwatch.GetTimestamp();
        var all = await Task.WhenAll(hands.Select((hand, n) => Task.Run(async () =>
        {
            var times = new List<double>();
            for (var k = 0; k < aSecond * seconds; k++)
            {
                // Nobody begins in step with the others.
                var due = TimeSpan.FromSeconds(((double)n / people / aSecond) + ((double)k / aSecond));
                var wait = due - Stopwatch.GetElapsedTime(from);
                if (wait > TimeSpan.Zero) await Task.Delay(wait);
                times.Add(await hand.Nudge());
            }
            return times;
        })));
        return [.. all.SelectMany(t => t)];
    }
}
