using System.Net;
using System.Net.Http.Headers;
using System.Reflection;
using System.Text;
using Lumbeck.Tests.ByChance;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.AspNetCore.Routing;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;

namespace Lumbeck.Web.Tests;

/// <summary>
/// Every route, as the server itself lists them, with every state of a job and with whatever is sent: never a server's
/// error, and what is refused is told in a sentence.
/// </summary>
public sealed class RouteTests : IAsyncLifetime
{
    private readonly string _data = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private WebApplication _app = null!;
    private HttpClient _client = null!;
    private readonly Chance _chance = new(34);

    public async ValueTask InitializeAsync()
    {
        DemoData.In(_data);
        _app = LumbeckHost.Build(new(Port: 0, Data: _data));
        await _app.StartAsync();
        _client = new(new HttpClientHandler { AllowAutoRedirect = false, CookieContainer = new() })
        { BaseAddress = new(_app.Urls.First()) };
        var html = await _client.GetStringAsync("/jobs/tidewatcher/ticket");
        _token = System.Text.RegularExpressions.Regex.Match(html,
            "lumbeck-token\" content=\"([^\"]+)\"").Groups[1].Value;
    }

    private string _token = "";
    private readonly List<string> _wrong = [];

    public async ValueTask DisposeAsync()
    {
        _client.Dispose();
        await _app.DisposeAsync();
        SqliteConnection.ClearAllPools();
        Directory.Delete(_data, recursive: true);
    }

    private Desk.AppServices Desk => _app.Services.GetRequiredService<Desk.AppServices>();

    private sealed record Door(string Route, string Method, IReadOnlyList<string> Takes);

    /// <summary>All that can be asked, with the names of what it takes.</summary>
    private IReadOnlyList<Door> Doors()
    {
        var doors = new List<Door>();
        foreach (var endpoint in _app.Services.GetRequiredService<EndpointDataSource>().Endpoints.OfType<RouteEndpoint>())
        {
            var route = "/" + endpoint.RoutePattern.RawText!.TrimStart('/');
            if (endpoint.Metadata.GetMetadata<PageActionDescriptor>() is { } page)
            {
                var model = typeof(LumbeckHost).Assembly.GetTypes().FirstOrDefault(t => typeof(PageModel).IsAssignableFrom(t)
                    && !t.IsAbstract && t.Name == Path.GetFileName(page.ViewEnginePath) + "Model");
                foreach (var handler in (model?.GetMethods() ?? []).Where(m => m.Name.StartsWith("On",
                    StringComparison.Ordinal)))
                {
                    var name = handler.Name.Replace("Async", "", StringComparison.Ordinal);
                    var (method, called) = name.StartsWith("OnGet", StringComparison.Ordinal) ? ("GET", name[5..])
                        : name.StartsWith("OnPost", StringComparison.Ordinal) ? ("POST", name[6..]) : ("", "");
                    if (method.Length == 0) continue;
                    doors.Add(new(route + (called.Length > 0 ? "?handler=" + called : ""), method,
                        [.. handler.GetParameters().SelectMany(p => p.ParameterType.Namespace == "Lumbeck.Web.Screens"
                            ? p.ParameterType.GetProperties().Select(q => q.Name) : [p.Name!])]));
                }
                continue;
            }
            var takes = endpoint.Metadata.GetMetadata<MethodInfo>()?.GetParameters().Where(p => p.ParameterType.Namespace == "System")
                .Select(p => p.Name!).ToList() ?? [];
            foreach (var method in endpoint.Metadata.GetMetadata<HttpMethodMetadata>()?.HttpMethods ?? ["GET"])
                doors.Add(new(route, method, takes));
        }
        return [.. doors.Where(d => d.Method is "GET" or "POST").DistinctBy(d => (d.Route, d.Method))];
    }

    private static readonly string[] Odd =
    [
        "", " ", "0", "-1", "99", "9999999999999999999", "1.5", "true", "é ü", "𝔘", "../../etc/passwd", "%00", "\u202e",
        "tidewatcher", "tern", "front", "title", "x4", "spec", new('9', 400), "<script>", "a,b", "2–5",
    ];

    private string Odds(string name) => name == "slug" && _chance.One(2) ? "tidewatcher" : _chance.Of(Odd);

    private string Address(Door door, bool slugs, string? very = null)
    {
        var used = new HashSet<string>();
        var path = System.Text.RegularExpressions.Regex.Replace(door.Route, @"\{(\w+)(:[^}]*)?\??\}", m =>
        {
            used.Add(m.Groups[1].Value);
            var value = m.Groups[1].Value == "slug" && slugs ? "tidewatcher"
                : m.Groups[2].Value is ":int" or ":long" ? _chance.Of("1", "0", "77", "-3") : Odds(m.Groups[1].Value);
            return Uri.EscapeDataString(value.Length == 0 || value.Contains('/',
                StringComparison.Ordinal) ? "x" : value);
        });
        var query = door.Takes.Where(t => !used.Contains(t) && _chance.One(2))
            .Select(t => $"{t}={Uri.EscapeDataString(very ?? Odds(t))}").ToList();
        return query.Count == 0 ? path : path + (path.Contains('?',
            StringComparison.Ordinal) ? "&" : "?") + string.Join('&', query);
    }

    private async Task<string> Ask(HttpRequestMessage request, string what)
    {
        request.Headers.Add("X-Lumbeck-Token", _token);
        using var answer = await _client.SendAsync(request);
        var status = (int)answer.StatusCode;
        if (status >= 500) _wrong.Add($"{what} gives {status}");
        if (answer.Headers.Location is { } to && to.OriginalString.Length > 2000) _wrong.Add($"{what} sends on to {to}");
        var text = answer.Content.Headers.ContentType?.MediaType is "text/html" or "application/problem+json"
            ? await answer.Content.ReadAsStringAsync() : "";
        if (status is >= 400 and not 405 and not 415 && !text.Contains('.', StringComparison.Ordinal))
            _wrong.Add($"{what} gives {status} without a sentence");
        return text;
    }

    [Fact]
    public async Task Whatever_is_sent_to_any_route_is_answered_in_words()
    {
        var doors = Doors();
        doors.Count.ShouldBeGreaterThan(70);
        foreach (var door in doors)
            for (var n = 0; n < (Sweep.Many(60, 6, 4)); n++)
            {
                var address = Address(door, slugs: n % 2 == 0);
                if (door.Method == "GET")
                {
                    await Ask(new(HttpMethod.Get, address), $"GET {address}");
                    continue;
                }
                HttpContent body = (n % 4) switch
                {
                    0 => new FormUrlEncodedContent(door.Takes.Append("slug").Append("id").Select(t =>
                        new KeyValuePair<string, string>(t, n == 0 ? "" : Odds(t)))),
                    1 => new StringContent(_chance.Of("", "{}", "null", "[]", "{\"is\":1}",
                        "{\"id\":\"12345678\",\"session\":\"12345678\",\"ask\":{}}",
                        "{\"id\":\"12345678\",\"session\":\"12345678\",\"ask\":{\"path\":\"ticket/title\",\"text\":\"x\"}}",
                        "{\"id\":\"12345678\",\"session\":\"12345678\",\"ask\":{\"is\":\"nothing\"}}"),
                        Encoding.UTF8, "application/json"),
                    2 => new MultipartFormDataContent { { new ByteArrayContent([1, 2, 3]), "file", "é𝔘.pdf" },
                        { new StringContent(""), "slug" } },
                    _ => new ByteArrayContent(Encoding.UTF8.GetBytes(_chance.Of(Odd))),
                };
                await Ask(new(HttpMethod.Post, address) { Content = body },
                    $"POST {address}, {body.GetType().Name}, {n}");
            }
        _wrong.ShouldBeEmpty();
    }

    [Fact]
    public async Task An_asking_that_says_nothing_names_the_fact_and_a_very_long_one_is_no_address()
    {
        foreach (var what in (string[])["edit", "try"])
        {
            var asked = new StringContent("""{"id":"12345678","session":"12345678","ask":{"path":"ticket/title"}}""",
                Encoding.UTF8, new MediaTypeHeaderValue("application/json"));
            (await Ask(new(HttpMethod.Post, $"/jobs/tidewatcher/{what}") { Content = asked }, what)).ShouldNotBeEmpty();
        }
        var form = new FormUrlEncodedContent(new Dictionary<string, string> { ["kind"] = "x4", ["for"] = new('a',
            70_000) });
        await Ask(new(HttpMethod.Post, "/jobs/tidewatcher/press") { Content = form }, "a very long house");
        foreach (var form2 in (Dictionary<string, string>[])[new() { ["slug"] = "" }, new() { ["slug"] = "é",
            ["hash"] = "ééééééééééééé" },
            new() { ["hash"] = "ééééééééééééééé" }])
            foreach (var at in (string[])["/jobs/tidewatcher/press", "/jobs/tidewatcher/takes?handler=New",
                "/jobs/tidewatcher/history?handler=Bring", "/drawer?handler=SayFace", "/drawer?handler=Say",
                    "/drawer?handler=Remove", "/jobs/tidewatcher/press?handler=Unmend"])
                await Ask(new(HttpMethod.Post, at) { Content = new FormUrlEncodedContent(form2) }, at);
        _wrong.ShouldBeEmpty();
    }

    /// <summary>The states a job can be in, each with a job made so.</summary>
    private Dictionary<string, string> States()
    {
        var desk = Desk;
        string copy(string name)
        {
            var job = desk.Bench.All().First(j => j.Job.Pictures.Any()).Job;
            return desk.Bench.Begin(name, job, "test", name).Slug;
        }
        var states = new Dictionary<string, string>
        {
            ["as it is"] = "tidewatcher",
            ["with pages"] = "hive",
            ["of two sheets"] = desk.Bench.All().First(j => j.Composed.Sheets.Length > 1).Slug,
            ["bare"] = desk.Bench.Begin("", Starters.Job(desk.Houses.Get("tern").House, ""), "test", "bare").Slug,
            ["put away"] = copy("away"),
            ["removed"] = copy("removed"),
            ["damaged"] = copy("damaged"),
            ["of a later form"] = copy("later"),
            ["never there"] = "never",
        };
        desk.Bench.PutAway("away");
        desk.Bench.PutAway("removed");
        desk.Bench.Remove("removed");
        using var c = new SqliteConnection($"Data Source={Path.Combine(_data, "lumbeck.db")}");
        c.Open();
        void spoil(string slug, byte[] state)
        {
            using var command = c.CreateCommand();
            command.CommandText = "UPDATE revision SET state = $state WHERE job = (SELECT id FROM job WHERE slug = $slug)";
            command.Parameters.AddWithValue("$state", state);
            command.Parameters.AddWithValue("$slug", slug);
            command.ExecuteNonQuery().ShouldBeGreaterThan(0);
        }
        spoil("damaged", [0, 255, 0, 255]);
        using var later = new MemoryStream();
        using (var deflated = new System.IO.Compression.DeflateStream(later,
            System.IO.Compression.CompressionLevel.Fastest, true))
            deflated.Write("{\"form\":99}"u8);
        spoil("later", later.ToArray());
        return states;
    }

    [Fact, Wide]
    public async Task Every_page_is_answered_in_every_state_of_a_job()
    {
        var states = States();
        // As a program finds them that begins on this folder.
        await _app.DisposeAsync();
        _app = LumbeckHost.Build(new(Port: 0, Data: _data));
        await _app.StartAsync();
        _client.Dispose();
        _client = new(new HttpClientHandler { AllowAutoRedirect = false }) { BaseAddress = new(_app.Urls.First()) };
        foreach (var (n, (state, slug)) in states.Index())
            foreach (var door in Sweep.Few(Doors().Where(d => d.Method == "GET"
                && (slug == "tidewatcher" || d.Route.Contains("{slug}", StringComparison.Ordinal))), every: 2, from: n))
            {
                var address = door.Route.Replace("{slug}", slug, StringComparison.Ordinal);
                address = System.Text.RegularExpressions.Regex.Replace(address, @"\{(\w+)(:[^}]*)?\??\}",
                    m => m.Groups[2].Value is ":int" or ":long" ? "1" : m.Groups[1].Value switch { "kind" => "pdf",
                        _ => "1" });
                if (address.Contains("news", StringComparison.Ordinal) || address.Contains("plated",
                    StringComparison.Ordinal))
                    address += (address.Contains('?', StringComparison.Ordinal) ? "&" : "?") + "seen=1&place=Wrap";
                await Ask(new(HttpMethod.Get, address), $"{state}: GET {address}");
            }
        _wrong.ShouldBeEmpty();
        // Its pictures are used still by what is put away, and said so.
        (await Ask(new(HttpMethod.Get, "/drawer"), "drawer")).ShouldContain("(put away)");
    }
}
