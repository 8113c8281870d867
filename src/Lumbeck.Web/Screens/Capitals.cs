namespace Lumbeck.Web.Screens;

internal static class Capitals
{
    /// <summary>The same words as the beginning of a sentence or heading.</summary>
    public static string Capital(this string words) =>
        words.Length == 0 ? words : char.ToUpperInvariant(words[0]) + words[1..];

    /// <summary>What a refusal says, as a sentence that stands by itself.</summary>
    public static string Sentence(this Refusal refusal) =>
        refusal.Message.Capital() + (refusal.Message.EndsWith('.') ? "" : ".");
}
