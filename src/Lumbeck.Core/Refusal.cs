namespace Lumbeck.Core;

/// <summary>
/// Something that can't be made as asked. Carries the path of the fact at fault (<c>ticket/pages</c>,
/// <c>item/title/size</c>) and one sentence for the maker: the thing, the figure, the limit and the way out.
/// </summary>
public sealed class Refusal(string path, string sentence) : Exception(sentence)
{
    /// <summary>
    /// The fact at fault, as <c>ticket/…</c>, <c>item/…/…</c>, <c>ground/…</c>, <c>swatch/…/…</c> or a house's key.
    /// </summary>
    public string Path { get; } = path;

    /// <summary>The same refusal, told of another fact.</summary>
    public Refusal At(string otherPath) => new(otherPath, Message);
}
