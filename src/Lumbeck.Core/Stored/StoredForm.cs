using System.Globalization;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Lumbeck.Core.Stored;

/// <summary>
/// The form that stored and exported JSON is in: a number, the first member of each object (docs/stored-forms.md).
/// A form is never changed; a new one comes with a reader that makes it from the one before.
/// </summary>
public static class StoredForm
{
    /// <summary>The form that is written. The first had no number.</summary>
    public const int Current = 7;

    /// <summary>The member that says it.</summary>
    public const string Member = "form";

    /// <summary>No object of ours is nested deeper.</summary>
    public const int Deepest = 32;

    private static readonly byte[] Opening = Encoding.ASCII.GetBytes(string.Create(CultureInfo.InvariantCulture,
        $"{{\"{Member}\":{Current},"));

    /// <summary>An object as JSON with the number of its form before all else.</summary>
    /// <param name="json">A JSON object with members, as it is written without one.</param>
    public static byte[] Stamp(ReadOnlySpan<byte> json) => [.. Opening, .. json[1..]];

    /// <summary>The same of text.</summary>
    public static string Stamp(string json) => Encoding.UTF8.GetString(Stamp(Encoding.UTF8.GetBytes(json)));

    /// <summary>
    /// The same object without its form's number, brought to the current form where it is of an earlier one.
    /// </summary>
    /// <param name="json">As it was stored.</param>
    /// <param name="steps">What makes each form of the one before it; the first makes form 2.</param>
    /// <exception cref="Refusal">It is of a later form than this program knows.</exception>
    /// <exception cref="JsonException">It is no JSON object.</exception>
    public static byte[] Unstamped(ReadOnlySpan<byte> json, IReadOnlyList<Action<JsonObject>> steps)
    {
        // What this program wrote itself is not parsed twice.
        if (json.StartsWith(Opening)) return [(byte)'{', .. json[Opening.Length..]];
        var root = JsonNode.Parse(json, null, new JsonDocumentOptions { MaxDepth = Deepest }) as JsonObject
            ?? throw new JsonException("It is no JSON object.");
        var form = 1;
        if (root[Member] is { } says && !(says is JsonValue v && v.TryGetValue(out form)))
            throw new JsonException("A form is a number.");
        Refuse(form);
        root.Remove(Member);
        for (; form < Current; form++) steps[form - 1](root);
        return JsonSerializer.SerializeToUtf8Bytes(root);
    }

    /// <exception cref="Refusal">The form is none that this program knows.</exception>
    public static void Refuse(int form)
    {
        if (form is >= 1 and <= Current) return;
        throw new Refusal(Member, string.Create(CultureInfo.InvariantCulture,
            $"it is in form {form}, and this Lumbeck reads forms 1 to {Current}: open it with the version that wrote " +
                $"it, or a later one"));
    }
}
