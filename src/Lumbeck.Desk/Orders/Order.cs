using System.Text.Json;
using System.Text.Json.Serialization;

namespace Lumbeck.Desk.Orders;

/// <summary>
/// An order of long work, whole: a pack and a plan in, files and a verdict out (docs/orders.md). Whoever has it needs
/// to ask nothing of the bench. In the queue it holds its job itself, and what that is made of by hash; where it leaves
/// the data folder, both go with it as a pack (<see cref="OrderFile"/>).
/// </summary>
public sealed record Order
{
    /// <summary>The kinds: a file, the inks of a cover and its pages, a picture grown, a file mended.</summary>
    public const string Press = "press", Check = "check", Grow = "grow", Mend = "mend";

    /// <summary>
    /// The plan of a check of all rules at press resolution; else it is a glance at those that need plates.
    /// </summary>
    public const string Exact = "exact";

    /// <summary>The form an order is written in.</summary>
    public const int Form = 1;

    /// <summary>The form this one is in; what tells an order from all else stands first.</summary>
    public int LumbeckOrder { get; init; } = Form;

    /// <summary>One of the kinds.</summary>
    public required string Kind { get; init; }

    /// <summary>
    /// What is asked, in words: a press plan; a grown picture's recipe and its pixels across; how a check looks.
    /// </summary>
    public string Plan { get; init; } = "";

    /// <summary>The job's id and address, which its file bears.</summary>
    public string JobId { get; init; } = "";

    public string Slug { get; init; } = "";

    /// <summary>The revision that was ordered, and when it was made.</summary>
    public long Revision { get; init; }

    public string At { get; init; } = "";

    /// <summary>
    /// Another house than the job's own, whose rules the job has taken here; null where it is as it lies.
    /// </summary>
    public string? House { get; init; }

    /// <summary>What a grown picture is called.</summary>
    public string? Picture { get; init; }

    /// <summary>The job as it was ordered; null where a picture alone is grown.</summary>
    [JsonConverter(typeof(StoredJob))]
    public Job? Job { get; init; }

    /// <summary>A job within an order, in the form that jobs are stored in.</summary>
    private sealed class StoredJob : JsonConverter<Job>
    {
        public override Job Read(ref Utf8JsonReader reader, System.Type typeToConvert, JsonSerializerOptions options) =>
            JobJson.Read(JsonSerializer.SerializeToUtf8Bytes(JsonElement.ParseValue(ref reader)), _ => { });

        public override void Write(Utf8JsonWriter writer, Job value, JsonSerializerOptions options) =>
            writer.WriteRawValue(JobJson.Written(value));
    }

    /// <summary>An order of what is on the bench.</summary>
    /// <param name="kind">Its kind.</param>
    /// <param name="on">The job as it is to be made.</param>
    /// <param name="plan">What is asked.</param>
    /// <param name="at">When its revision was made.</param>
    /// <param name="house">The house it is for, where that is not the job's own.</param>
    public static Order Of(string kind, OnBench on, string plan, string at, string? house = null) => new()
    {
        Kind = kind,
        Plan = plan,
        JobId = on.JobId,
        Slug = on.Slug,
        Revision = on.Revision,
        At = at,
        House = house,
        Job = on.Job,
    };

    /// <summary>The order as JSON.</summary>
    /// <param name="withJob">Whether its job goes with it here.</param>
    public string Write(bool withJob = true) =>
        JsonSerializer.Serialize(withJob ? this : this with { Job = null }, JobJson.Options);

    /// <summary>Whether a text is an order at all; before there were any, a piece had less.</summary>
    public static bool IsOne(string text) => text.StartsWith("{\"lumbeckOrder\"", StringComparison.Ordinal);

    /// <summary>An order as it was written.</summary>
    /// <exception cref="Refusal">It is none, or of a later form.</exception>
    public static Order Read(string text)
    {
        try
        {
            return JsonSerializer.Deserialize<Order>(text, JobJson.AtTheDoor) is { LumbeckOrder: Form } order
                ? order
                : throw No("it is of a later version");
        }
        catch (JsonException) { throw No("it is damaged, or no order of Lumbeck’s"); }
    }

    /// <summary>What is ordered, worked out; what this program has at hand of that revision is the same.</summary>
    internal OnBench On(JobDesk jobs) => new(JobId, Slug, 0,
        House is null && jobs.Known(Revision) is { } known
            ? known
            : jobs.Worked(Revision, Job ?? throw No("it has no job")));

    internal static Refusal No(string why) => new("order", $"this order can’t be done: {why}");
}
