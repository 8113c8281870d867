namespace Lumbeck.Core.Art.Fields;

/// <summary>What a value can come from in place of a hand.</summary>
public enum OriginKind
{
    /// <summary>A fact of the ticket, by its word: <c>title</c>.</summary>
    Ticket,
    /// <summary>A livery, by its id.</summary>
    Livery,
    /// <summary>A row of the table that a series is made from, by its id.</summary>
    Row,
    /// <summary>Another edition of the book, by its id.</summary>
    Edition,
}

/// <summary>
/// Where a value comes from (docs/architecture.md, Origins): it follows that until a hand sets another. What has no origin
/// was typed.
/// </summary>
/// <param name="Kind">What it comes from.</param>
/// <param name="Of">Which one; up to 60 letters.</param>
public readonly record struct Origin(OriginKind Kind, string Of)
{
    /// <summary>Most letters of which one it is, and most origins of one item.</summary>
    public const int Longest = 60, Most = 40;

    /// <summary>As it is stored: <c>ticket/title</c>.</summary>
    public override string ToString() => $"{Kind.ToString().ToLowerInvariant()}/{Of}";

    public static bool TryParse(string? text, out Origin origin)
    {
        origin = default;
        if (text?.IndexOf('/', StringComparison.Ordinal) is not (> 0 and var at) || text.Length - at - 1 is < 1 or > Longest)
            return false;
        foreach (var kind in Enum.GetValues<OriginKind>())
            if (text.AsSpan(0, at).SequenceEqual(kind.ToString().ToLowerInvariant()))
            {
                origin = new(kind, text[(at + 1)..]);
                return true;
            }
        return false;
    }
}
