using System.Net;
using System.Reflection;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Lumbeck.Tests.ByChance;
using Lumbeck.Web.Wire;

namespace Lumbeck.Web.Tests;

/// <summary>
/// Askings by chance, each member of its own type, out of range or null: whatever is sent is answered in words, and
/// never by a server's error.
/// </summary>
public sealed class FuzzTests : IDisposable
{
    private readonly string _data = Directory.CreateTempSubdirectory("lumbeck-").FullName;
    private readonly Server _server;
    private readonly Chance _chance = new(2026);

    /// <summary>Twice as many in the long run.</summary>
    private static readonly int Many = Sweep.Many(2000, 600, 250);
    private IReadOnlyList<string> _items = [], _paths = [];

    public FuzzTests() => _server = new(_data);

    public void Dispose()
    {
        _server.Dispose();
        Directory.Delete(_data, recursive: true);
    }

    private static readonly string[] Odd =
    [
        "", " ", "0", "-1", "50 %", "1e99", "12 pt", "6 x 9 in", "none", "black", "#2a6350", "lab 38 -28 12", "front",
            "spine", "title", "page", "\u0000", "\u202e", "א", "\ud83d\ude00",
        "../../etc", "<script>", "{\"lumbeck-items\":null}", "{\"lumbeck-items\":1,\"items\":[null]}", new('9', 400),
            "pale", "true", "null", "first", "Deep water",
    ];

    private static readonly double[] Figures = [0, -1, 1, 0.5, 7, 72, -1e6, 1e12, 1e300, int.MaxValue, int.MinValue,
        3e9, 0.1];

    private JsonNode? Value(System.Type type, int depth = 0)
    {
        if (_chance.One(9)) return null;
        if (Nullable.GetUnderlyingType(type) is { } inner) type = inner;
        if (type == typeof(string))
            return _chance.From(0, 3) switch
            {
                0 => _chance.Of([.. _items]),
                1 => _chance.Of([.. _paths]),
                _ => _chance.Of(Odd),
            };
        if (type == typeof(bool)) return _chance.One(2);
        if (type == typeof(int)) return _chance.One(6) ? 1.5 : _chance.From(-3, 12);
        if (type == typeof(double) || type == typeof(decimal) || type == typeof(long)) return _chance.Of(Figures);
        if (type.IsEnum)
            return _chance.One(5)
                ? "nonsense"
                : JsonNamingPolicy.KebabCaseLower.ConvertName(_chance.Of(Enum.GetNames(type)));
        if (type.IsArray && depth < 3)
            return new JsonArray([.. Enumerable.Range(0, _chance.From(0, 4))
                .Select(_ => Value(type.GetElementType()!, depth + 1))]);
        return depth < 3 ? Shaped(type, depth + 1) : new JsonObject();
    }

    private JsonObject Shaped(System.Type type, int depth = 0)
    {
        var shaped = new JsonObject();
        foreach (var p in type.GetProperties(BindingFlags.Public | BindingFlags.Instance)
            .Where(p => p.Name != "EqualityContract"))
            if (!_chance.One(12)) shaped[JsonNamingPolicy.CamelCase.ConvertName(p.Name)] = Value(p.PropertyType, depth);
        return shaped;
    }

    /// <summary>A paste of a job's own items, with something in it made null, another's, or gone.</summary>
    private JsonObject Paste(string clip)
    {
        var text = JsonNode.Parse(clip)!;
        List<(JsonObject In, string Member)> all = [];
        void walk(JsonNode? node)
        {
            if (node is JsonObject o) foreach (var (name, value) in o) { all.Add((o, name)); walk(value); }
            else if (node is JsonArray a) foreach (var value in a) walk(value);
        }
        walk(text);
        var (within, member) = _chance.Of([.. all]);
        switch (_chance.From(0, 3))
        {
            case 0: within[member] = null; break;
            case 1: within.Remove(member); break;
            case 2: within[member] = _chance.Of(Figures); break;
            default: within[member] = new JsonArray((JsonNode?)null); break;
        }
        return new()
        {
            ["is"] = "paste",
            ["text"] = text.ToJsonString(),
            ["new"] = $"fuzz-{_chance.From(0, 1_000_000)}",
            ["panel"] = "front"
        };
    }

    [Fact, Wide]
    public async Task Askings_by_chance_are_answered_and_none_by_an_error_of_the_server()
    {
        using var tab = await _server.Tab("/jobs/hive/wrap");
        var job = new Lumbeck.Desk.AppServices(DemoData.In(_data), TimeProvider.System,
            DemoBench.Load).Jobs.Job("hive").Job;
        _items = [.. job.Items.Select(i => i.Id)];
        _paths = [.. job.Items.SelectMany(i => ItemFacts.Of(i)).Concat(TicketFacts.All).Concat(GroundFacts.Of(job, 0))
            .Concat(job.Swatches.SelectMany(s => GroundFacts.OfSwatch(s.Id))).Select(f => f.Path)];
        var clip = Clip.Write(job, _items);
        var kinds = typeof(Ask).GetCustomAttributes<JsonDerivedTypeAttribute>().ToList();
        List<string> wrong = [];
        var done = 0;
        for (var n = 0; n < Many; n++)
        {
            var kind = _chance.Of([.. kinds]);
            var ask = _chance.One(6) ? Paste(clip) : Shaped(kind.DerivedType);
            ask.Remove("is");
            // The kind comes first, as a browser writes it.
            var named = new JsonObject
            {
                ["is"] = ask.ContainsKey("text") && ask.ContainsKey("new") ? "paste" : (string)kind.TypeDiscriminator!,
            };
            foreach (var (name, value) in ask) named[name] = value?.DeepClone();
            var sent = new JsonObject
            {
                ["id"] = Guid.NewGuid().ToString(),
                ["session"] = "session-fuzz",
                ["seen"] = 1,
                ["place"] = "Wrap",
                ["sheet"] = _chance.One(9) ? Value(typeof(string)) : "cover",
                ["ask"] = named,
            };
            using var answer = await tab.PostAsync(_chance.One(8) ? "/jobs/hive/try" : "/jobs/hive/edit",
                new StringContent(sent.ToJsonString(), Encoding.UTF8, "application/json"));
            if (answer.IsSuccessStatusCode) done++;
            if ((int)answer.StatusCode >= 500)
                wrong.Add($"{(int)answer.StatusCode}: " +
                    $"{sent["ask"]!.ToJsonString()[..Math.Min(400, sent["ask"]!.ToJsonString().Length)]}");
            // What has grown out of all shape is stepped back from.
            if (n % 25 == 24)
                (await tab.PostAsync("/jobs/hive/edit",
                new StringContent("""{"id":"ID","session":"session-fuzz","seen":1,"place":"Wrap","ask":{"is":"step","way":"back"}}"""
                .Replace("ID", Guid.NewGuid().ToString(), StringComparison.Ordinal),
                Encoding.UTF8, "application/json"))).Dispose();
        }
        wrong.ShouldBeEmpty(string.Join('\n', _server.Errors));
        // Chance made some that could be done, so that it looked behind the door too.
        done.ShouldBeGreaterThan(Many / 10);
        (await tab.GetAsync("/jobs/hive/wrap")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }
}
