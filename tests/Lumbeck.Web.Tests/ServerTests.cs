using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text.Json;

namespace Lumbeck.Web.Tests;

/// <summary>A server on a copy of the demo, for all tests of a class.</summary>
public sealed class OneServer : IDisposable
{
    public OneServer() => Server = new(Data);

    public string Data { get; } = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    public Server Server { get; private set; }

    /// <summary>As after <c>kill -9</c>: another on the same data.</summary>
    public void Again()
    {
        Server.Dispose();
        Server = new(Data);
    }

    public void Dispose()
    {
        Server.Dispose();
        Directory.Delete(Data, recursive: true);
    }
}

/// <summary>The server over the wire, without a browser.</summary>
public sealed class ServerTests(OneServer one) : IClassFixture<OneServer>
{
    private readonly string _data = one.Data;
    private readonly Server _server = one.Server;

    internal static JsonContent Wire(string path, string text, string session = "session-one", long? seen = null,
        string? id = null) =>
        JsonContent.Create(new
        {
            id = id ?? Guid.NewGuid().ToString(),
            session,
            @base = seen,
            seen = seen ?? 1,
            place = "Wrap",
            ask = new { @is = "write", path, text }
        });

    internal static Task<HttpResponseMessage> Edit(HttpClient tab, string path, string text,
        string session = "session-one", long? seen = null) =>
        tab.PostAsync("/jobs/tidewatcher/edit", Wire(path, text, session, seen));

    [Fact]
    public async Task Only_this_machine_s_own_names_are_answered_and_only_on_its_own_address()
    {
        using var client = new HttpClient { BaseAddress = _server.Address };
        using var foreign = new HttpRequestMessage(HttpMethod.Get, "/") { Headers = { Host = "rebind.example" } };
        (await client.SendAsync(foreign)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);

        var others = System.Net.NetworkInformation.NetworkInterface.GetAllNetworkInterfaces()
            .SelectMany(n => n.GetIPProperties().UnicastAddresses).Select(a => a.Address)
            .Where(a => a.AddressFamily == AddressFamily.InterNetwork && !IPAddress.IsLoopback(a));
        foreach (var address in others)
        {
            using var socket = new TcpClient();
            await Should.ThrowAsync<SocketException>(() => socket.ConnectAsync(address, _server.Address.Port));
        }
    }

    [Fact]
    public async Task Every_page_forbids_what_is_not_ours()
    {
        using var client = new HttpClient { BaseAddress = _server.Address };
        foreach (var page in new[] { "/", "/jobs/tidewatcher/ticket", "/jobs/tidewatcher/wrap",
            "/jobs/tidewatcher/check", "/jobs/tidewatcher/press", "/jobs/none/wrap" })
        {
            using var answer = await client.GetAsync(page);
            answer.Headers.GetValues("Content-Security-Policy").Single().ShouldBe(LumbeckHost.ContentSecurityPolicy);
            answer.Headers.GetValues("X-Content-Type-Options").Single().ShouldBe("nosniff");
            (await answer.Content.ReadAsStringAsync()).ShouldNotContain(" style=\"");
        }
        (await client.GetAsync("/jobs/none/wrap")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task An_edit_without_the_page_s_token_is_refused()
    {
        using var stranger = new HttpClient { BaseAddress = _server.Address };
        (await Edit(stranger, "ticket/pages", "200")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task An_answer_brings_what_changed_and_nothing_else()
    {
        using var tab = await _server.Tab("/jobs/tidewatcher/wrap");
        var tick = new Lumbeck.Desk.AppServices(DemoData.In(_data), TimeProvider.System, DemoBench.Load)
            .Jobs.Job("tidewatcher").Tick;
        var answer = await tab.PostAsync("/jobs/tidewatcher/edit", Wire("item/line/words", "a novel ł", seen: tick));
        var html = await answer.Content.ReadAsStringAsync();
        var targets = System.Text.RegularExpressions.Regex.Matches(html, "hx-target=\"#([^\"]+)\"")
            .Select(m => m.Groups[1].Value).Order().ToList();
        targets.ShouldBe(["docket", "glyphs", "right", "s-line"], ignoreOrder: true);
        // Of the outlines, only the one letter that was not there.
        System.Text.RegularExpressions.Regex.Count(html, "<path id=\"f").ShouldBe(1);
        var now = new Lumbeck.Desk.AppServices(DemoData.In(_data), TimeProvider.System,
            DemoBench.Load).Jobs.Job("tidewatcher").Tick;
        now.ShouldBeGreaterThan(tick);
        answer.Headers.GetValues("X-Tick").Single().ShouldBe(now.ToString(CultureInfo.InvariantCulture));
        (await tab.GetAsync($"/jobs/tidewatcher/news?seen={now}&place=Wrap"))
            .StatusCode.ShouldBe(HttpStatusCode.NoContent);
    }

    [Fact]
    public async Task Errors_and_conflicts_come_as_words()
    {
        using var tab = await _server.Tab("/jobs/tidewatcher/ticket");
        var refused = await Edit(tab, "ticket/trim", "6x");
        ((int)refused.StatusCode).ShouldBe(422);
        var said = await refused.Content.ReadFromJsonAsync<JsonElement>();
        (said.GetProperty("path").GetString(), said.GetProperty("detail").GetString())
            .ShouldBe(("ticket/trim", "`6x` needs a height: try `6 x 9 in`"));

        var seen = new Lumbeck.Desk.AppServices(DemoData.In(_data), TimeProvider.System, DemoBench.Load)
            .Jobs.Job("tidewatcher").Tick;
        (await Edit(tab, "ticket/pages", "340", "session-one", seen)).StatusCode.ShouldBe(HttpStatusCode.OK);
        var conflict = await Edit(tab, "ticket/pages", "320", "session-two", seen);
        conflict.StatusCode.ShouldBe(HttpStatusCode.Conflict);
        var values = await conflict.Content.ReadFromJsonAsync<JsonElement>();
        (values.GetProperty("theirs").GetString(), values.GetProperty("yours").GetString()).ShouldBe(("340", "320"));
        // The others find the book as it was.
        (await Edit(tab, "ticket/pages", "312")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task Nonsense_on_the_wire_is_no_server_error()
    {
        using var tab = await _server.Tab("/jobs/tidewatcher/wrap");
        string[] bodies =
        [
            "", "{", "[]", "{\"id\":1}",
            .. ((string[])
            [
                """ "ask":{"is":"add","item":"title","kind":"<script>","panel":"front"} """,
                """ "ask":{"is":"write","path":"item//x","text":""} """,
                """ "ask":{"is":"write","path":"ticket/","text":"x"} """,
                """ "ask":{"is":"write"} """,
                """ "ask":{"is":"remove","items":[null]} """,
                """ "ask":{"is":"lay","laid":[null]} """,
                """ "glitter":1,"ask":{"is":"swap-covers"} """,
                """ "ask":{"is":"add","item":"../../x","kind":"text","panel":"front"} """,
            ]).Select(ask => $$"""{ "id": "12345678", "session": "12345678", {{ask}} }"""),
        ];
        foreach (var body in bodies)
        {
            var answer = await tab.PostAsync("/jobs/tidewatcher/edit",
                new StringContent(body, System.Text.Encoding.UTF8, "application/json"));
            ((int)answer.StatusCode).ShouldBeInRange(400, 422, body);
        }
        (await tab.GetAsync("/jobs/tidewatcher/news?seen=-5&place=Wrap&open=nobody"))
            .IsSuccessStatusCode.ShouldBeTrue();
        (await tab.GetAsync("/jobs/tidewatcher/files/77")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Nonsense_sent_to_houses_insides_and_trials_is_answered_in_words()
    {
        using var tab = await _server.Tab("/jobs/tidewatcher/ticket");
        string[] bodies = ["", "null", "{", "[]", "{}", "{\"id\":1}", "{\"id\":\"12345678\",\"session\":\"12345678\"}",
            "{\"id\":\"12345678\",\"session\":\"12345678\",\"ask\":{\"is\":\"write\",\"path\":\"house/bleed_mm\",\"text\":\"wide\"}}",
            "{\"id\":\"12345678\",\"session\":\"12345678\",\"ask\":{\"is\":\"write\",\"path\":\"../x\",\"text\":\"1\"}}",
            "{\"id\":\"12345678\",\"session\":\"12345678\",\"ask\":{\"is\":\"take-over\",\"what\":\"everything\"}}",
            "{\"id\":\"12345678\",\"session\":\"12345678\",\"ask\":{\"is\":\"take-over\",\"what\":\"inside\"}}",
            "{\"id\":\"12345678\",\"session\":\"12345678\",\"ask\":{\"is\":\"write\",\"path\":\"ticket/house\",\"text\":\"nobody\"}}"];
        foreach (var route in (string[])["/houses/tern/edit", "/houses/nobody/edit", "/jobs/tidewatcher/try",
            "/jobs/nowhere/try"])
            foreach (var body in bodies)
            {
                var answer = await tab.PostAsync(route,
                    new StringContent(body, System.Text.Encoding.UTF8, "application/json"));
                ((int)answer.StatusCode).ShouldBeInRange(400, 422, $"{route} {body}");
            }
        foreach (var (route, says) in ((string, string)[])[("/jobs/tidewatcher/inside?name=x.pdf", "x.pdf is empty"),
            ("/jobs/nowhere/inside?name=x.pdf", "no job is called"),
            ("/begin/inside?name=x.pdf&house=nobody", "no printer is called"), ("/begin/inside", "no printer is called")])
        {
            var answer = await tab.PostAsync(route, new ByteArrayContent([]));
            ((int)answer.StatusCode).ShouldBeInRange(400, 422);
            (await answer.Content.ReadFromJsonAsync<JsonElement>()).GetProperty("detail")
                .GetString()!.ShouldContain(says);
        }
        foreach (var route in (string[])["/houses/nobody", "/houses/nobody.json", "/houses/..%2f..%2fetc",
            "/jobs/tidewatcher/blank.exe", "/jobs/tidewatcher/blank.pdf?panel=belly",
            "/jobs/tidewatcher/blank.pdf?panel=back-flap"])
            (await tab.GetAsync(route)).StatusCode.ShouldBe(HttpStatusCode.NotFound, route);
        using var stranger = new HttpClient { BaseAddress = _server.Address };
        (await stranger.PostAsync("/jobs/tidewatcher/inside?name=x.pdf", new ByteArrayContent([1]))).StatusCode
            .ShouldBe(HttpStatusCode.BadRequest);
        (await stranger.PostAsync("/houses/tern/edit",
            new StringContent("{}", System.Text.Encoding.UTF8, "application/json")))
            .StatusCode
            .ShouldBe(HttpStatusCode.BadRequest);
    }

    /// <summary>What a form can't do is said in a sentence on its page; what has no page of its own, by itself.</summary>
    [Theory]
    [InlineData("/jobs/tidewatcher/takes", "New", "name", 400, "A take needs a name of up to 60 letters.", 200)]
    [InlineData("/jobs/tidewatcher/history", "Name", "name", 400, "This job has no such step.", 200)]
    [InlineData("/looks", "Keep", "slug", 1, "No job is called `x`.", 200)]
    [InlineData("/houses/tern", "Away", "id", 1, "ships", 200)]
    [InlineData("/jobs/tidewatcher/press", "", "kind", 3, "take x4", 200)]
    [InlineData("/", "", "title", 301, "A title has up to 300 letters: shorten it.", 200)]
    [InlineData("/", "Remove", "slug", 1, "No job is called `x`.", 404)]
    [InlineData("/jobs/nowhere/takes", "New", "name", 1, "No job is called `nowhere`.", 404)]
    public async Task What_a_form_can_t_do_is_said_where_it_was_sent(string page, string handler, string field, int letters,
        string says, int status)
    {
        using var tab = await _server.Tab("/jobs/tidewatcher/ticket");
        var form = new FormUrlEncodedContent(new Dictionary<string, string>
        {
            [field] = new('x', letters),
            ["__RequestVerificationToken"] = tab.DefaultRequestHeaders.GetValues("X-Lumbeck-Token").First(),
        });
        // As a browser sends it, which asks for pages.
        using var request = new HttpRequestMessage(HttpMethod.Post,
            page + (handler.Length > 0 ? "?handler=" + handler : "")) { Content = form };
        tab.DefaultRequestHeaders.Remove("X-Lumbeck-Token");
        var answer = await tab.SendAsync(request);
        ((int)answer.StatusCode).ShouldBe(status);
        WebUtility.HtmlDecode(await answer.Content.ReadAsStringAsync()).ShouldContain(says);
        answer.Headers.CacheControl?.MaxAge.ShouldBeNull();
    }

    [Fact]
    public async Task A_trial_shows_what_would_be_and_keeps_nothing()
    {
        using var tab = await _server.Tab("/jobs/tidewatcher/ticket");
        var before = new Lumbeck.Desk.AppServices(DemoData.In(_data), TimeProvider.System,
            DemoBench.Load).Jobs.Job("tidewatcher");
        var answer = await tab.PostAsync("/jobs/tidewatcher/try",
            new StringContent("""
                {
                  "id": "12345678", "session": "12345678", "place": "Ticket",
                  "ask": { "is": "write", "path": "ticket/pages", "text": "340" }
                }
                """,
            System.Text.Encoding.UTF8, "application/json"));
        var html = await answer.Content.ReadAsStringAsync();
        System.Text.RegularExpressions.Regex.Matches(html, "hx-target=\"#([^\"]+)\"").Select(m => m.Groups[1].Value)
            .ShouldBe(["plan", "changes", "sums"], ignoreOrder: true);
        html.ShouldContain("0.904 in");
        new Lumbeck.Desk.AppServices(DemoData.In(_data), TimeProvider.System, DemoBench.Load).Jobs.Job("tidewatcher")
            .Tick.ShouldBe(before.Tick);
        // Whoever showed a trial is brought what is saved, though nothing changed.
        var back = await (await tab.GetAsync($"/jobs/tidewatcher/news?seen={before.Tick}&place=Ticket&tried=true"))
            .Content.ReadAsStringAsync();
        foreach (var part in (string[])["plan", "changes", "sums"]) back.ShouldContain($"hx-target=\"#{part}\"");
        back.ShouldContain("0.829 in");
    }
}
