using System.Text.Json.Serialization;

namespace Lumbeck.Core.Document.Insides;

/// <summary>How all calendars of an inside are printed.</summary>
public sealed record Calendaring
{
    /// <summary>A code of <see cref="CalendarNames.Codes"/>; null for the ticket’s own language.</summary>
    public string? Language { get; init; }

    /// <summary>The day that weeks begin on: Monday, Sunday or Saturday.</summary>
    public DayOfWeek First { get; init; } = DayOfWeek.Monday;

    /// <summary>Whether weeks carry their number.</summary>
    public bool Numbers { get; init; } = true;

    /// <summary>A table of dates and words, which are printed in the right day; null for none.</summary>
    public TableRef? Notes { get; init; }

    [JsonIgnore]
    public bool IsSound => (Language is null || CalendarNames.Codes.Contains(Language))
        && First is DayOfWeek.Monday or DayOfWeek.Sunday or DayOfWeek.Saturday
        && (Notes is null || Notes is { Rows: > 0, Hash: { Length: 64 } hash } && hash.All(char.IsAsciiHexDigitLower));
}
