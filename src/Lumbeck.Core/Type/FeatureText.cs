namespace Lumbeck.Core.Type;

/// <summary>OpenType features as people type them.</summary>
public static class FeatureText
{
    /// <summary>
    /// What is on in every text unless it is turned off (OpenType, registered features: liga, clig, calt).
    /// </summary>
    public static readonly ImmutableArray<string> Usual = ["calt", "clig", "liga"];

    public static bool IsSound(string features) =>
        features.Length <= 200
            && features.Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .All(f =>
                    f.TrimStart('-') is { Length: 4 } tag && f.Length - tag.Length <= 1
                        && tag.All(char.IsAsciiLetterOrDigit));

    public static string Ordered(string features) =>
        string.Join(' ',
            features.Split(' ', StringSplitOptions.RemoveEmptyEntries).DistinctBy(f => f.TrimStart('-'))
                .OrderBy(f => f.TrimStart('-'), StringComparer.Ordinal));

    public static bool IsOn(string features, string tag) =>
        features.Split(' ') is var all && (Usual.Contains(tag) ? !all.Contains("-" + tag) : all.Contains(tag));

    public static string Turned(string features, string tag, bool on)
    {
        var others = features.Split(' ', StringSplitOptions.RemoveEmptyEntries).Where(f => f.TrimStart('-') != tag);
        return Ordered(string.Join(' ', on == Usual.Contains(tag) ? others : others.Append(on ? tag : "-" + tag)));
    }
}
