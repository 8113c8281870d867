using System.Text.Json;
using System.Text.Json.Serialization;
using Lumbeck.Core.Barcodes;
using Lumbeck.Core.Edits;
using Lumbeck.Core.Type;

namespace Lumbeck.Core.Jobs;

/// <summary>Jobs and edits as JSON, exact: a length is its base units, a caliper its fraction of a micrometre.</summary>
public static class JobJson
{
    public static JsonSerializerOptions Options { get; } = new()
    {
        PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        IgnoreReadOnlyProperties = true,
        AllowOutOfOrderMetadataProperties = true,
        MaxDepth = 32,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower), new LengthJson(), new CaliperJson(), new FaceJson(), new IsbnJson() },
    };

    public static byte[] Write(Job job) => JsonSerializer.SerializeToUtf8Bytes(job, Options);

    private static volatile ImmutableList<(Job Job, byte[] Json)> _written = [];

    /// <summary>The same bytes without writing them again, for a job that was written of late: an edit is compared with what was there, which the edit before it wrote. Not to be changed.</summary>
    public static byte[] Written(Job job)
    {
        foreach (var (known, json) in _written) if (ReferenceEquals(known, job)) return json;
        var written = Write(job);
        var kept = _written;
        _written = (kept.Count >= 12 ? kept.RemoveRange(6, kept.Count - 6) : kept).Insert(0, (job, written));
        return written;
    }

    public static Job Read(ReadOnlySpan<byte> json) => JsonSerializer.Deserialize<Job>(json, Options) ?? throw new JsonException("An empty job.");

    public static string Write(Edit edit) => JsonSerializer.Serialize(edit, Options);

    public static Edit ReadEdit(string json) => JsonSerializer.Deserialize<Edit>(json, Options) ?? throw new JsonException("An empty edit.");

    private sealed class LengthJson : JsonConverter<Length>
    {
        public override Length Read(ref Utf8JsonReader reader, System.Type typeToConvert, JsonSerializerOptions options) => Length.FromUnits(reader.GetInt64());
        public override void Write(Utf8JsonWriter writer, Length value, JsonSerializerOptions options) => writer.WriteNumberValue(value.Units);
    }

    private sealed class CaliperJson : JsonConverter<Caliper>
    {
        public override Caliper Read(ref Utf8JsonReader reader, System.Type typeToConvert, JsonSerializerOptions options) =>
            Caliper.TryParseFraction(reader.GetString(), out var c) ? c : throw new JsonException("A caliper is a fraction of micrometres, such as 135/1.");
        public override void Write(Utf8JsonWriter writer, Caliper value, JsonSerializerOptions options) => writer.WriteStringValue(value.Fraction);
    }

    private sealed class FaceJson : JsonConverter<FaceId>
    {
        public override FaceId Read(ref Utf8JsonReader reader, System.Type typeToConvert, JsonSerializerOptions options) =>
            FaceId.TryParse(reader.GetString(), out var f) ? f : throw new JsonException("A face is family/weight, such as eb-garamond/400i.");
        public override void Write(Utf8JsonWriter writer, FaceId value, JsonSerializerOptions options) => writer.WriteStringValue(value.ToString());
    }

    private sealed class IsbnJson : JsonConverter<Isbn>
    {
        public override Isbn Read(ref Utf8JsonReader reader, System.Type typeToConvert, JsonSerializerOptions options) =>
            Isbn.TryParse(reader.GetString() ?? "", out var i, out var why) ? i : throw new JsonException(why);
        public override void Write(Utf8JsonWriter writer, Isbn value, JsonSerializerOptions options) => writer.WriteStringValue(value.Digits);
    }
}
