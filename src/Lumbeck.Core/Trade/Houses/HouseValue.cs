using System.Text.Json;

namespace Lumbeck.Core.Trade.Houses;

/// <summary>Reads one value of a house file, or refuses it by its key with what would do.</summary>
internal static class HouseValue
{
    public static string Text(JsonElement e, string key) => e.ValueKind == JsonValueKind.String
        && e.GetString() is { Length: <= 400 } s
        ? s : throw No(key, e, "a text in quotes of up to 400 letters");

    public static bool Flag(JsonElement e, string key) => e.ValueKind switch
    {
        JsonValueKind.True => true,
        JsonValueKind.False => false,
        _ => throw No(key, e, "`true` or `false`"),
    };

    public static decimal Number(JsonElement e, string key, decimal least, decimal most, string unit)
    {
        var suffix = unit.Length > 0 ? " " + unit : "";
        if (e.ValueKind != JsonValueKind.Number || !e.TryGetDecimal(out var n))
            throw No(key, e, string.Create(CultureInfo.InvariantCulture, $"a number from {least} to {most}{suffix}"));
        return n >= least && n <= most
            ? n
            : throw No(key, e, string.Create(CultureInfo.InvariantCulture, $"from {least} to {most}{suffix}"));
    }

    public static int Whole(JsonElement e, string key, int least, int most)
    {
        var n = Number(e, key, least, most, "");
        return decimal.IsInteger(n) ? (int)n : throw No(key, e, "a whole number");
    }

    public static Size Pair(JsonElement e, string key, decimal most)
    {
        var parts = Array(e, key).ToArray();
        if (parts.Length != 2) throw No(key, e, "two numbers, `[width, height]`");
        return new(Length.FromMillimetres(Number(parts[0], key, 0, most, "mm")),
            Length.FromMillimetres(Number(parts[1], key, 0, most, "mm")));
    }

    public static Ink Mix(JsonElement e, string key)
    {
        var n = Array(e, key).Select(x => Number(x, key, 0, 100, "%")).ToArray();
        return n.Length == 4 ? Ink.Percent(n[0], n[1], n[2], n[3]) : throw No(key, e, "four numbers, `[c, m, y, k]`");
    }

    public static IEnumerable<JsonElement> Array(JsonElement e, string key) => e.ValueKind == JsonValueKind.Array
        ? e.EnumerateArray() : throw No(key, e, "a list in square brackets");

    public static T Choice<T>(JsonElement e, string key, IReadOnlyList<(string Word, T Value)> words)
    {
        if (e.ValueKind == JsonValueKind.String)
            foreach (var (word, value) in words) if (word == e.GetString()) return value;
        throw No(key, e, "one of " + string.Join(", ", words.Select(w => $"`{w.Word}`")));
    }

    public static ImmutableDictionary<string, Severity> Severities(JsonElement e)
    {
        if (e.ValueKind != JsonValueKind.Object) throw No("severities", e, "rules with `stop`, `caution` or `note`");
        return e.EnumerateObject()
            .ToImmutableDictionary(p => p.Name, p => Choice(p.Value, "severities", SeverityWords.Words));
    }

    public static Refusal No(string key, JsonElement e, string wanted) =>
        new(key, $"`{key}` can't be `{LengthText.Clip(e.GetRawText())}`: it takes {wanted}");
}
