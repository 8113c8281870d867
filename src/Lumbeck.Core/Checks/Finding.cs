using System.Text.Json.Serialization;

namespace Lumbeck.Core.Checks;

/// <summary>One thing Check found.</summary>
public sealed record Finding
{
    /// <summary>The rule that found it.</summary>
    public string Id { get; init; } = "";

    public required Severity Severity { get; init; }

    /// <summary>Whose limit it is: the house's name, or “the trade”.</summary>
    public string Whose { get; init; } = "";

    /// <summary>The id of the item it is about; null where it is about none.</summary>
    public string? Item { get; init; }

    public Part? Panel { get; init; }

    /// <summary>What is so, in the job's unit.</summary>
    public required string Measured { get; init; }

    /// <summary>What it is to be, in the job's unit.</summary>
    public required string Limit { get; init; }

    /// <summary>Where it is on the sheet; null where it has no place.</summary>
    public Box? Place { get; init; }

    public required string Why { get; init; }

    /// <summary>What would do, in words.</summary>
    public string? Mend { get; init; }

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

    /// <summary>The item it is about, on its panel.</summary>
    [JsonIgnore]
    public Item? Of
    {
        init => (Item, Panel) = (value?.Id, value?.Hold.Panel);
    }
}
