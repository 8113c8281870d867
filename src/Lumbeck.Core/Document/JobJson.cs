using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;

namespace Lumbeck.Core.Document;

/// <summary>
/// Jobs and edits as JSON, exact: a length is its base units, a caliper its fraction of a micrometre.
/// </summary>
public static class JobJson
{
    public static JsonSerializerOptions Options { get; } = new()
    {
        PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        IgnoreReadOnlyProperties = true,
        AllowOutOfOrderMetadataProperties = true,
        // A member that is not known is a slip or a later version's: to leave it out in silence would lose it.
        UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
        MaxDepth = StoredForm.Deepest,
        TypeInfoResolver =
            new System.Text.Json.Serialization.Metadata.DefaultJsonTypeInfoResolver
            {
                Modifiers = { PatternShelf.Told, OrnamentShelf.Told, VistaShelf.Told, DesignShelf.Told },
            },
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower), new LengthJson(), new PressKindJson(), new SeedJson(),
            new CaliperJson(), new FaceJson(), new IsbnJson(), new OriginJson() },
    };

    /// <summary>For what comes from elsewhere: what is missing, or null where something must be, is refused.</summary>
    public static JsonSerializerOptions AtTheDoor { get; } = new(Options)
    {
        RespectNullableAnnotations = true,
        RespectRequiredConstructorParameters = true
    };

    /// <summary>A job in the current form.</summary>
    public static byte[] Write(Job job) => StoredForm.Stamp(JsonSerializer.SerializeToUtf8Bytes(job, Options));

    private static volatile ImmutableList<(Job Job, byte[] Json)> _written = [];

    /// <summary>
    /// The same bytes without writing them again, for a job that was written of late: an edit is compared with what was
    /// there, which the edit before it wrote. Not to be changed.
    /// </summary>
    public static byte[] Written(Job job)
    {
        foreach (var (known, json) in _written) if (ReferenceEquals(known, job)) return json;
        var written = Write(job);
        var kept = _written;
        _written = (kept.Count >= 12 ? kept.RemoveRange(6, kept.Count - 6) : kept).Insert(0, (job, written));
        return written;
    }

    /// <summary>A job of any form.</summary>
    /// <param name="json">As it was written.</param>
    /// <param name="unread">Is told of each member that is not known, which is then left out; where null, such members
    /// are refused.</param>
    /// <exception cref="JsonException">It is no job.</exception>
    /// <exception cref="Refusal">It is of a later form than is known, or holds a member that is not known.</exception>
    public static Job Read(ReadOnlySpan<byte> json, Action<string>? unread = null)
    {
        var plain = StoredForm.Unstamped(json, Steps);
        try { return Job(plain, unread is null ? AtTheDoor : Options); }
        catch (JsonException)
        {
            var job = Job(plain, Lenient);
            using var stored = JsonDocument.Parse(plain);
            using var again = JsonDocument.Parse(JsonSerializer.SerializeToUtf8Bytes(job, Options));
            List<string> unknown = [.. Unread.Of(stored.RootElement, again.RootElement).Distinct()];
            if (unknown.Count == 0) throw;
            if (unread is null)
                throw new Refusal(unknown[0], $"it holds `{LengthText.Clip(unknown[0])}`, which is no part of a job");
            foreach (var member in unknown) unread(member);
            return job;
        }
    }

    /// <summary>How each form of a job is made of the one before.</summary>
    private static readonly Action<JsonObject>[] Steps =
    [
        // Form 1 had the shown takes' items, and the pictures and faces of all, once more beside the wraps.
        job => { foreach (var twice in (string[])["items", "pictures", "faces"]) job.Remove(twice); },
        // Form 2 told takes apart by their place; a shape was filled with a paint alone, and a paper had one.
        job =>
            { foreach (var wrap in Wraps(job)) { NameTakes(wrap);
                foreach (var take in Objects(wrap["takes"])) FillTake(take); } },
        // Form 3 had one kind of pattern, at its own scale and level; what it says is said the same way.
        _ => { },
        // Form 4 had seeds as numbers to 999,999, which are read as they are, and no vistas or ornaments.
        _ => { },
        // Form 5 knew nothing of pages: what their house asks of them is what the shipped house of that name did. A blurb
        // was the words of its text alone.
        job => { PagesOfHouse(job["ticket"]?["house"] as JsonObject); BlurbOfTexts(job); },
        // Form 6 knew of no origins: words that a livery laid, and that are still a fact of the ticket, come from there. A
        // job had one ticket, which is that of its first edition.
        OriginsOfWords,
    ];

    private static IEnumerable<JsonObject> Wraps(JsonObject job) => Objects(job["wraps"]);

    private static IEnumerable<JsonObject> Objects(JsonNode? list) => (list as JsonArray ?? []).OfType<JsonObject>();

    private static void PagesOfHouse(JsonObject? house)
    {
        if (house?["id"] is not JsonValue v || !v.TryGetValue(out string? id) || id is null) return;
        if (EarlierInsides.InJob(id) is { } rules) house["inside"] = rules;
    }

    private static void BlurbOfTexts(JsonObject job)
    {
        static string? word(JsonNode? node) => node is JsonValue v && v.TryGetValue(out string? text) ? text : null;
        var blurb = Wraps(job).SelectMany(w => Objects(w["takes"])).SelectMany(t => Objects(t["items"]))
            .FirstOrDefault(i => word(i["role"]) == "blurb" && i["starter"]?.ToJsonString() != "true");
        if (job["ticket"] is JsonObject ticket && word(blurb?["words"]) is { } said
            && Plain.Text(said).Trim() is { Length: > 0 and <= Document.Ticket.LongestBlurb } plain)
            ticket["blurb"] = plain;
    }

    /// <summary>The words of a ticket that form 7 has origins for: the member, and the origin.</summary>
    private static readonly (string Member, string Origin)[] Origins =
    [
        ("title", "title"), ("subtitle", "subtitle"), ("author", "author"), ("imprint", "imprint"), ("series", "series"),
        ("seriesNumber", "series-number"), ("edition", "edition"), ("category", "category"), ("blurb", "blurb"),
        ("note", "note"),
    ];

    private static void OriginsOfWords(JsonObject job)
    {
        static string? word(JsonNode? node) => node is JsonValue v && v.TryGetValue(out string? text) ? text : null;
        foreach (var item in Wraps(job).SelectMany(w => Objects(w["takes"])).SelectMany(t => Objects(t["items"])))
        {
            if (item["laid"] is not JsonObject || word(item["is"]) != "text" || item["composed"]?.ToJsonString() == "true"
                || item["runs"] is JsonArray { Count: > 0 } || word(item["words"]) is not { Length: > 0 } words)
                continue;
            var fact = Origins.FirstOrDefault(o => word(job["ticket"]?[o.Member]) == words);
            if (fact.Origin is not null) item["from"] = new JsonObject { ["words"] = "ticket/" + fact.Origin };
        }
    }

    private static void FillTake(JsonObject take)
    {
        if (take["ground"] is JsonObject ground && ground.Remove("paper", out var paper))
        {
            if (paper is JsonObject pattern && pattern.Remove("paint", out var lines))
                pattern["paints"] = new JsonArray(lines);
            ground["pattern"] = paper;
        }
        foreach (var item in Objects(take["items"]))
            if (item.Remove("fill", out var fill) && fill is not null)
                item["fill"] = new JsonObject { ["paint"] = fill };
    }

    private static void NameTakes(JsonObject wrap)
    {
        var n = 0;
        foreach (var take in Objects(wrap["takes"])) take["id"] = $"take-{++n}";
        wrap["current"] = $"take-{(wrap["current"] is JsonValue v && v.TryGetValue(out int at) ? at : 0) + 1}";
    }

    private static Job Job(byte[] json, JsonSerializerOptions options) =>
        JsonSerializer.Deserialize<Job>(json, options) ?? throw new JsonException("An empty job.");

    private static readonly JsonSerializerOptions Lenient =
        new(Options) { UnmappedMemberHandling = JsonUnmappedMemberHandling.Skip };

    private sealed class LengthJson : JsonConverter<Length>
    {
        public override Length Read(ref Utf8JsonReader reader, System.Type typeToConvert,
            JsonSerializerOptions options) =>
            Length.FromUnits(reader.GetInt64());
        public override void Write(Utf8JsonWriter writer, Length value, JsonSerializerOptions options) =>
            writer.WriteNumberValue(value.Units);
    }

    private sealed class PressKindJson : JsonConverter<PressKind>
    {
        public override PressKind Read(ref Utf8JsonReader reader, System.Type typeToConvert,
            JsonSerializerOptions options) =>
            PressKind.Of(reader.GetString() ?? "");

        public override void Write(Utf8JsonWriter writer, PressKind value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.Word);
    }

    /// <summary>Seeds as strings, since many readers of JSON keep no more than 53 bits of a number.</summary>
    private sealed class SeedJson : JsonConverter<Seed>
    {
        public override Seed Read(ref Utf8JsonReader reader, System.Type typeToConvert,
            JsonSerializerOptions options) =>
            reader.TokenType == JsonTokenType.Number ? new(reader.GetUInt64()) : Seed.Of(reader.GetString() ?? "");

        public override void Write(Utf8JsonWriter writer, Seed value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.ToString());
    }

    private sealed class CaliperJson : JsonConverter<Caliper>
    {
        public override Caliper Read(ref Utf8JsonReader reader, System.Type typeToConvert,
            JsonSerializerOptions options) =>
            Caliper.TryParseFraction(reader.GetString(), out var c)
                ? c
                : throw new JsonException("A caliper is a fraction of micrometres, such as 135/1.");
        public override void Write(Utf8JsonWriter writer, Caliper value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.Fraction);
    }

    private sealed class FaceJson : JsonConverter<FaceId>
    {
        public override FaceId Read(ref Utf8JsonReader reader, System.Type typeToConvert,
            JsonSerializerOptions options) =>
            FaceId.TryParse(reader.GetString(), out var f)
                ? f
                : throw new JsonException("A face is family/weight, such as eb-garamond/400i.");
        public override void Write(Utf8JsonWriter writer, FaceId value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.ToString());
    }

    private sealed class OriginJson : JsonConverter<Origin>
    {
        public override Origin Read(ref Utf8JsonReader reader, System.Type typeToConvert,
            JsonSerializerOptions options) =>
            Origin.TryParse(reader.GetString(), out var o) ? o
                : throw new JsonException("An origin is a kind and which one, such as ticket/title.");
        public override void Write(Utf8JsonWriter writer, Origin value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.ToString());
    }

    private sealed class IsbnJson : JsonConverter<Isbn>
    {
        public override Isbn Read(ref Utf8JsonReader reader, System.Type typeToConvert,
            JsonSerializerOptions options) =>
            Isbn.TryParse(reader.GetString() ?? "", out var i, out var why) ? i : throw new JsonException(why);
        public override void Write(Utf8JsonWriter writer, Isbn value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.Digits);
    }
}
