using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json;

namespace Lumbeck.Bench;

/// <summary>
/// An evening of work on one server, and the most memory it ever had: every livery tried on, covers in many bindings
/// pressed, insides and a planner leafed through and pressed, a picture of 100 megapixels mended, and pages asked for
/// thousands of times. What is done in processes of their own is told apart.
/// </summary>
internal static class EveningBench
{
    private static readonly string[] Slugs =
        ["tidewatcher", "orrin", "hive", "calder", "lighthouse", "monday", "crossing", "pass"];

    public static async Task Run(string folder)
    {
        var (server, client) = await Benches.Start(Path.Combine(folder, "evening"));
        using var s = server;
        using var c = client;
        client.Timeout = TimeSpan.FromMinutes(10);
        _ = Heard(server);
        try
        {
            var token = Benches.Token().Match(await client.GetStringAsync("/jobs/tidewatcher/ticket")).Groups[1].Value;
            client.DefaultRequestHeaders.Add("X-Lumbeck-Token", token);
            await Part(server, "every page of every job", () => EachPage(client, 1));
            await Part(server, "every livery on two covers", async () =>
            {
                foreach (var slug in (string[])["tidewatcher", "calder"])
                    foreach (var livery in LiveryShelf.All)
                        foreach (var (way, wide) in ((int, int)[])[(1, 180), (2, 180), (3, 180), (1, 900)])
                            await client.GetByteArrayAsync(
                                $"/jobs/{slug}/worn.jpg?livery={livery.Id}&way={way}&wide={wide}");
            });
            await Part(server, "every job pressed for its printer", async () =>
            {
                foreach (var slug in Slugs)
                {
                    var page = await client.GetStringAsync($"/jobs/{slug}/press");
                    var kind = page.Split("name=\"kind\"")[1].Split("value=\"")[1].Split('"')[0];
                    await Press(client, slug, token, [new("kind", kind)]);
                }
            });
            await Part(server, "insides leafed through and pressed", async () =>
            {
                foreach (var ready in (string[])["weekly planner", "puzzle book"])
                {
                    await Ask(client, "crossing", "Inside", new { @is = "begin-inside", name = ready });
                    for (var n = 1; n < 90; n += 2) await client.GetStringAsync($"/jobs/crossing/opening?page={n}");
                    await Press(client, "crossing", token, [new("kind", "x1a"), new("inside", "true")], mayFail: true);
                }
            });
            var big = Big(folder);
            await Part(server, "a picture of 100 megapixels mended", async () =>
            {
                var since = await Now(client, "orrin");
                using var form = new MultipartFormDataContent
                {
                    { new StringContent(token), "__RequestVerificationToken" }, { new StringContent("false"),
                        "inside" },
                    { new StreamContent(File.OpenRead(big)), "file", "big.jpg" },
                };
                (await client.PostAsync("/jobs/orrin/press?handler=Mend", form)).EnsureSuccessStatusCode();
                await Ended(client, "orrin", since, mayFail: false);
            });
            await Part(server, "20,000 askings for news", async () =>
            {
                for (var n = 0; n < 20_000; n++)
                    await client.GetAsync($"/jobs/{Slugs[n % Slugs.Length]}/news?seen=1&place=Wrap&was=x");
            });
            await Part(server, "every page again, three times", () => EachPage(client, 3));
            var most = PictureBench.Memory(server);
            Console.WriteLine($"{"the server's most memory of the evening",-46} {$"{most} MB",12}{new Aim(600, "MB").Says(most)}");
        }
        finally
        {
            server.Kill();
            await server.WaitForExitAsync();
        }
    }

    /// <summary>
    /// Reads what the server logs, so that it never waits to be heard; tells what its own processes took.
    /// </summary>
    private static async Task Heard(Process server)
    {
        while (await server.StandardOutput.ReadLineAsync() is { } line)
            if (line.Contains(" MB in its process", StringComparison.Ordinal))
                Console.WriteLine($"  {line[line.IndexOf("Order", StringComparison.Ordinal)..]}");
    }

    private static async Task Part(Process server, string name, Func<Task> work)
    {
        var from = Stopwatch.GetTimestamp();
        await work();
        var took = Stopwatch.GetElapsedTime(from).TotalSeconds.ToString("0.0", CultureInfo.InvariantCulture);
        Console.WriteLine($"{name,-46} {$"{took} s",12}" +
            $"   most memory so far {PictureBench.Memory(server)} MB, now {Held(server)} MB");
    }

    private static long Held(Process server)
    {
        server.Refresh();
        return server.WorkingSet64 / 1_000_000;
    }

    private static async Task EachPage(HttpClient client, int times)
    {
        for (var n = 0; n < times; n++)
            foreach (var slug in Slugs)
            {
                foreach (var page in (string[])["ticket", "wrap", "check", "press", "colours", "steps", "takes",
                    "inside"])
                    await client.GetStringAsync($"/jobs/{slug}/{page}");
                await client.GetByteArrayAsync($"/jobs/{slug}/wrap.jpg?wide=1200");
            }
        foreach (var page in (string[])["/", "/drawer", "/houses", "/looks"]) await client.GetStringAsync(page);
    }

    private static async Task Ask(HttpClient client, string slug, string place, object ask) =>
        (await client.PostAsJsonAsync($"/jobs/{slug}/edit", new
        {
            id = Guid.NewGuid().ToString(),
            session = "evening-bench",
            place,
            ask,
        })).EnsureSuccessStatusCode();

    private static async Task Press(HttpClient client, string slug, string token, List<KeyValuePair<string,
        string>> form,
        bool mayFail = false)
    {
        var since = await Now(client, slug);
        form.Add(new("__RequestVerificationToken", token));
        (await client.PostAsync($"/jobs/{slug}/press", new FormUrlEncodedContent(form))).EnsureSuccessStatusCode();
        await Ended(client, slug, since, mayFail);
    }

    private static async Task<JsonElement> Works(HttpClient client, string slug, string since) =>
        await client.GetFromJsonAsync<JsonElement>($"/jobs/{slug}/works?since={Uri.EscapeDataString(since)}");

    private static async Task<string> Now(HttpClient client, string slug) =>
        (await Works(client, slug, "")).GetProperty("now").GetString()!;

    /// <exception cref="InvalidOperationException">A piece failed, or none ended within five minutes.</exception>
    private static async Task Ended(HttpClient client, string slug, string since, bool mayFail)
    {
        for (var from = Stopwatch.GetTimestamp(); Stopwatch.GetElapsedTime(from) < TimeSpan.FromMinutes(5); await Task.Delay(50))
        {
            var works = (await Works(client, slug, since)).GetProperty("works").EnumerateArray().ToList();
            // What Check stops is not begun.
            if (works.Count == 0 && mayFail && Stopwatch.GetElapsedTime(from) > TimeSpan.FromSeconds(3)) return;
            if (works.Count == 0 || works.Any(w => w.GetProperty("state").GetString() is "waiting" or "running")) continue;
            var failed = works.FirstOrDefault(w => w.GetProperty("state").GetString() == "failed");
            if (!mayFail && failed is { ValueKind: JsonValueKind.Object } no)
                throw new InvalidOperationException(no.GetProperty("problem").GetString());
            return;
        }
        throw new InvalidOperationException($"Nothing was done for {slug}.");
    }

    private static string Big(string folder)
    {
        var file = Path.Combine(folder, "big.jpg");
        using var x = NetVips.Image.Xyz(10_000, 10_000);
        using var a = ((x[0] * 0.05).Math(NetVips.Enums.OperationMath.Sin) * 100) + 128;
        using var b = (x[1] / 40) % 255;
        using var rgb = a.Bandjoin(b, a).Cast(NetVips.Enums.BandFormat.Uchar).Copy(interpretation: NetVips.Enums.Interpretation.Srgb);
        rgb.Jpegsave(file, q: 85);
        return file;
    }
}
