using System.Text.Json;

namespace Lumbeck.Web.Tests;

/// <summary>What an owner is told, as JSON on wish: what begins, ends and fails, and no words of books.</summary>
public sealed class LogTests : IDisposable
{
    private readonly string _data = Directory.CreateTempSubdirectory("lumbeck-").FullName;

    public void Dispose() => Directory.Delete(_data, recursive: true);

    [Fact]
    public async Task An_order_and_a_damaged_job_are_told_line_by_line_as_JSON()
    {
        using var server = new Server(_data, "--log", "json");
        using var tab = await server.Tab("/jobs/tidewatcher/press");
        var form = new FormUrlEncodedContent(new Dictionary<string, string>
        {
            ["kind"] = "x4",
            ["__RequestVerificationToken"] = tab.DefaultRequestHeaders.GetValues("X-Lumbeck-Token").First(),
        });
        (await tab.PostAsync("/jobs/tidewatcher/press", form)).EnsureSuccessStatusCode();
        using (var c = new Microsoft.Data.Sqlite.SqliteConnection($"Data Source={Path.Combine(_data, "lumbeck.db")};Pooling=False"))
        {
            c.Open();
            using var spoil = c.CreateCommand();
            spoil.CommandText = "UPDATE revision SET state = x'00ff' WHERE job = (SELECT id FROM job WHERE slug = 'calder')";
            spoil.ExecuteNonQuery().ShouldBeGreaterThan(0);
        }
        var damaged = await new HttpClient { BaseAddress = server.Address }.GetAsync("/jobs/calder/wrap");
        ((int)damaged.StatusCode).ShouldBe(422);
        (await damaged.Content.ReadAsStringAsync()).ShouldContain("bring it back from a pack");
        SpinWait.SpinUntil(() => server.Said.Any(l => l.Contains("done in", StringComparison.Ordinal)),
            TimeSpan.FromMinutes(3)).ShouldBeTrue();
        var lines = server.Said.ToList();
        var told = lines.ConvertAll(l => JsonDocument.Parse(l).RootElement);
        told.ShouldAllBe(l => l.GetProperty("Category").GetString()!.StartsWith("Lumbeck.", StringComparison.Ordinal));
        told.Count(l => l.GetProperty("State").TryGetProperty("Kind", out var kind) && kind.GetString() == "press")
            .ShouldBeGreaterThanOrEqualTo(2);
        told.Single(l => l.GetProperty("LogLevel").GetString() == "Error").GetProperty("Message").GetString()!
            .ShouldStartWith("GET jobs/{slug}/wrap failed: Lumbeck.Store.DamagedState");
        foreach (var word in (string[])["idewatcher", "calder", "Winter over"])
            lines.ShouldAllBe(l => !l.Contains(word, StringComparison.OrdinalIgnoreCase));
    }
}
