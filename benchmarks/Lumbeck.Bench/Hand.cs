using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;

namespace Lumbeck.Bench;

/// <summary>One person at one place of a job, as the browser asks for them.</summary>
internal sealed class Hand(HttpClient client, string slug, string place, string token, long tick)
{
    private readonly string _session = Guid.NewGuid().ToString();
    private int _n;

    /// <summary>What this person saw last.</summary>
    public long Tick { get; private set; } = tick;

    /// <summary>Opens a place's page; Wrap with the title picked.</summary>
    public static async Task<Hand> At(HttpClient client, string slug, string place = "Wrap")
    {
        var page = await client.GetStringAsync($"/jobs/{slug}/{place.ToLowerInvariant()}?item=title");
        return new(client, slug, place, Benches.Token().Match(page).Groups[1].Value,
            long.Parse(Benches.Tick().Match(page).Groups[1].Value, CultureInfo.InvariantCulture));
    }

    /// <summary>The title a little to the right, and back.</summary>
    public Task<double> Nudge() =>
        Ask(new { @is = "nudge", items = new[] { "title" }, right = ++_n % 2 == 0 ? 1 : -1, down = 0, far = false });

    /// <summary>The ground's paper from another seed.</summary>
    public Task<double> Reseed() =>
        Ask(new { @is = "write", path = "ground/paper-seed", text = (++_n).ToString(CultureInfo.InvariantCulture) });

    /// <summary>The title's size, one of two.</summary>
    public Task<double> Resize() =>
        Ask(new { @is = "write", path = "item/title/size", text = ++_n % 2 == 0 ? "53 pt" : "52 pt" });

    /// <summary>The page count, one of two.</summary>
    public Task<double> Pages() => Ask(Typed(++_n % 2 == 0 ? "286" : "300"));

    /// <summary>A run's pitch, one of two.</summary>
    public Task<double> Pitch() =>
        Ask(new { @is = "write", path = "run/recipes/2-pitch", text = ++_n % 2 == 0 ? "7 mm" : "8 mm" });

    /// <summary>What another page count would do, saved by nobody.</summary>
    public Task<double> TryPages() => Ask(Typed(++_n % 2 == 0 ? "310" : "320"), "try");

    private static object Typed(string pages) => new { @is = "write", path = "ticket/pages", text = pages };

    /// <summary>Asks for an edit. Microseconds from the asking to the whole answer.</summary>
    private async Task<double> Ask(object ask, string door = "edit")
    {
        using var asking = new HttpRequestMessage(HttpMethod.Post, $"/jobs/{slug}/{door}")
        {
            Content = JsonContent.Create(new
            {
                id = Guid.NewGuid().ToString(),
                session = _session,
                @base = Tick,
                seen = Tick,
                place,
                open = place == "Wrap" ? "title" : place == "Inside" ? "recipes" : null,
                sheet = place == "Inside" ? "10" : null,
                ask,
            }),
        };
        asking.Headers.Add("X-Lumbeck-Token", token);
        var from = Stopwatch.GetTimestamp();
        using var answer = await client.SendAsync(asking);
        answer.EnsureSuccessStatusCode();
        _ = await answer.Content.ReadAsStringAsync();
        var took = Stopwatch.GetElapsedTime(from).TotalMicroseconds;
        if (door == "edit")
            Tick = long.Parse(answer.Headers.GetValues("X-Tick").Single(), CultureInfo.InvariantCulture);
        return took;
    }
}
