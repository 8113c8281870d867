using System.Text.Json;

namespace Lumbeck.Core.Stored;

/// <summary>What stands in stored JSON and was read into nothing.</summary>
internal static class Unread
{
    /// <summary>The members of one that the other, written again from what was read, does not have; by path.</summary>
    public static IEnumerable<string> Of(JsonElement stored, JsonElement again, string path = "")
    {
        if (stored.ValueKind == JsonValueKind.Object && again.ValueKind == JsonValueKind.Object)
            foreach (var member in stored.EnumerateObject())
            {
                var at = path.Length == 0 ? member.Name : $"{path}.{member.Name}";
                if (!again.TryGetProperty(member.Name, out var own))
                {
                    // What holds nothing is not written.
                    if (member.Value.ValueKind != JsonValueKind.Null) yield return at;
                    continue;
                }
                foreach (var inner in Of(member.Value, own, at)) yield return inner;
            }
        else if (stored.ValueKind == JsonValueKind.Array && again.ValueKind == JsonValueKind.Array)
            foreach (var (one, own) in stored.EnumerateArray().Zip(again.EnumerateArray()))
                foreach (var inner in Of(one, own, path)) yield return inner;
    }
}
