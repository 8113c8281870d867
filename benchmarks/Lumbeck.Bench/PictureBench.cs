using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json;
using NetVips;

namespace Lumbeck.Bench;

/// <summary>
/// A photograph of 24 megapixels from the sender's first byte to the sheet and to the press, and the most memory the
/// server has for it.
/// </summary>
internal static class PictureBench
{
    public static async Task Run(string folder)
    {
        var file = Path.Combine(folder, "photograph.jpg");
        using (var noise = Image.Gaussnoise(6000, 4000, sigma: 30, mean: 128))
        using (var image = noise.Bandjoin(noise.Flip(Enums.Direction.Horizontal), noise.Flip(Enums.Direction.Vertical))
            .Cast(Enums.BandFormat.Uchar).Copy(interpretation: Enums.Interpretation.Srgb))
            await File.WriteAllBytesAsync(file, image.JpegsaveBuffer(q: 90));
        var (server, client) = await Benches.Start(Path.Combine(folder, "picture"));
        using var s = server;
        using var c = client;
        try
        {
            client.DefaultRequestHeaders.Add("X-Lumbeck-Token",
                Benches.Token().Match(await client.GetStringAsync("/jobs/orrin/wrap")).Groups[1].Value);
            var before = Memory(server);
            var megabytes = new FileInfo(file).Length / 1_000_000;
            string item = "";
            await Once(server, $"24 megapixels ({megabytes} MB) taken in", async () =>
            {
                await using var body = File.OpenRead(file);
                var answer = await client.PostAsync("/jobs/orrin/picture?name=photograph.jpg&panel=back",
                    new StreamContent(body));
                answer.EnsureSuccessStatusCode();
                item = (await answer.Content.ReadFromJsonAsync<JsonElement>()).GetProperty("item").GetString()!;
            });
            var page = await client.GetStringAsync("/jobs/orrin/wrap");
            var preview = page[page.IndexOf("/pictures/", StringComparison.Ordinal)..];
            await Once(server, "its first preview",
                async () => _ = await client.GetByteArrayAsync(preview[..preview.IndexOf('"')]));
            await Once(server, "  peer: the same again, kept",
                async () => _ = await client.GetByteArrayAsync(preview[..preview.IndexOf('"')]));
            // Over the whole sheet, at the house's highest resolution.
            var wide = await client.PostAsJsonAsync("/jobs/orrin/edit",
                new
                {
                    id = Guid.NewGuid().ToString(),
                    session = Guid.NewGuid().ToString(),
                    place = "Wrap",
                    ask = new { @is = "arrange", items = new[] { item }, how = "sheet" },
                });
            wide.EnsureSuccessStatusCode();
            var token = Benches.Form().Match(await client.GetStringAsync("/jobs/orrin/press")).Groups[1].Value;
            var began = await Now(client);
            await Once(server, "pressed over a whole case", async () =>
            {
                (await client.PostAsync("/jobs/orrin/press",
                    new FormUrlEncodedContent([new("__RequestVerificationToken", token), new("kind", "x4")])))
                    .EnsureSuccessStatusCode();
                await Ended(client, "press", began);
            });
            async Task edit(object wire) =>
                (await client.PostAsJsonAsync("/jobs/orrin/edit", wire)).EnsureSuccessStatusCode();
            string id() => Guid.NewGuid().ToString();
            var session = id();
            await edit(new
            {
                id = id(),
                session,
                place = "Wrap",
                ask = new { @is = "write", path = $"item/{item}/panel", text = "back" }
            });
            await edit(new
            {
                id = id(),
                session,
                place = "Wrap",
                ask = new { @is = "arrange", items = new[] { item }, how = "panel" }
            });
            var growing = await Now(client);
            await Once(server, "grown round the back, beside the page", async () =>
            {
                await edit(new
                {
                    id = id(),
                    session,
                    place = "Wrap",
                    ask = new { @is = "write", path = $"item/{item}/grow", text = "synthesis" }
                });
                await Ended(client, "grow", growing);
            });
            Console.WriteLine($"{"the server's most memory for it",-46} {$"{Memory(server)} MB",12}   {before} MB " +
                $"before{new Aim(400, "MB").Says(Memory(server))}");
        }
        finally
        {
            server.Kill();
            await server.WaitForExitAsync();
        }
    }

    private static async Task<JsonElement> Works(HttpClient client, string since) =>
        await client.GetFromJsonAsync<JsonElement>("/jobs/orrin/works?since=" + Uri.EscapeDataString(since));

    private static async Task<string> Now(HttpClient client) =>
        (await Works(client, "")).GetProperty("now").GetString()!;

    /// <summary>Waits for what goes on beside the page until a piece of a kind, queued since a time, is done.</summary>
    /// <exception cref="InvalidOperationException">It failed, or none was queued.</exception>
    private static async Task Ended(HttpClient client, string kind, string since)
    {
        for (var from = Stopwatch.GetTimestamp(); Stopwatch.GetElapsedTime(from) < TimeSpan.FromMinutes(5);
            await Task.Delay(10))
        {
            var works = (await Works(client, since)).GetProperty("works").EnumerateArray()
                .Where(w => w.GetProperty("kind").GetString() == kind).ToList();
            if (works.Count > 0 && works.All(w => w.GetProperty("state").GetString() == "done")) return;
            if (works.FirstOrDefault(w =>
                w.GetProperty("state").GetString() is "failed" or "left") is { ValueKind: JsonValueKind.Object } failed)
                throw new InvalidOperationException(failed.GetProperty("problem").GetString());
        }
        throw new InvalidOperationException($"No {kind} was done.");
    }

    internal static long Memory(Process server) =>
        long.Parse(File.ReadLines($"/proc/{server.Id}/status").First(l =>
            l.StartsWith("VmHWM", StringComparison.Ordinal)).Split(' ', StringSplitOptions.RemoveEmptyEntries)[1],
            CultureInfo.InvariantCulture) / 1000;

    private static async Task Once(Process server, string name, Func<Task> work)
    {
        var from = Stopwatch.GetTimestamp();
        await work();
        var seconds = Stopwatch.GetElapsedTime(from).TotalSeconds.ToString("0.00", CultureInfo.InvariantCulture);
        Console.WriteLine($"{name,-46} {$"{seconds} s",12}" +
            $"   most memory so far {Memory(server)} MB");
    }
}
