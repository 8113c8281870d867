using System.Text.Json;
using System.Text.Json.Nodes;

namespace Lumbeck.Core.Stored;

/// <summary>
/// What the houses that shipped when form 6 came asked of pages, as literal JSON of that form: a step from a form never
/// asks what a house says today, nor how today's program writes it.
/// </summary>
internal static class EarlierInsides
{
    private static readonly Lazy<JsonObject> Jobs = new(() => Literal("form-6-insides")),
        Files = new(() => Literal("form-6-house-keys"));

    /// <summary>The rules as a job has them, by a house's id; null where none of that id had shipped.</summary>
    public static JsonNode? InJob(string house) => Jobs.Value[house]?.DeepClone();

    /// <summary>The same as keys of a house file.</summary>
    public static JsonElement? InFile(string house) => Files.Value[house]?.Deserialize<JsonElement>();

    private static JsonObject Literal(string name)
    {
        using var file = typeof(EarlierInsides).Assembly.GetManifestResourceStream("form/" + name)!;
        return (JsonObject)JsonNode.Parse(file)!;
    }
}
