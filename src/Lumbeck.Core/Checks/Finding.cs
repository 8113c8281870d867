using System.Text.Json.Serialization;

namespace Lumbeck.Core.Checks;

/// <summary>
/// One thing Check found. <paramref name="Measured"/> and <paramref name="Limit"/> are written in the job's unit;
/// <paramref name="Place"/> is on the sheet, null where a finding has none; <paramref name="Mend"/> says in words what
/// would do.
/// </summary>
public sealed record Finding(string Id, Severity Severity, string Whose, string? Item, Part? Panel, string Measured,
    string Limit, Box? Place, string Why, string? Mend)
{
    /// <summary>The number of the printed sheet it was found on.</summary>
    public int Sheet { get; init; }

    /// <summary>
    /// The page of the inside it was found on; 0 where it is of the cover, and then no sheet's number is.
    /// </summary>
    public int Page { get; init; }

    /// <summary>The run of pages it is of.</summary>
    public string? Run { get; init; }

    /// <summary>The edit that mends it, where one is certain: one press, one step of history.</summary>
    [JsonIgnore]
    public Edit? Fix { get; init; }

    /// <summary>Why this job goes without its rule; null where it does not.</summary>
    public string? Waived { get; init; }

    /// <summary>What tells it from every other of the same job.</summary>
    public string Key =>
        string.Create(CultureInfo.InvariantCulture,
            $"{Id}/{(Page > 0 ? $"p{Page}" : Sheet)}/{Item ?? Panel?.ToString() ?? "-"}/{Measured}");
}
