namespace Lumbeck.Core.Trade.Calendars;

/// <summary>Words that belong to a day, of one year or of every year.</summary>
/// <param name="Year">Null where they come back every year.</param>
/// <param name="Kind">What sort they are, such as “holiday” or “moon”; may be empty.</param>
public sealed record DatedNote(int? Year, int Month, int Day, string Text, string Kind)
{
    public bool Falls(DateOnly on) => (on.Month, on.Day) == (Month, Day) && (Year ?? on.Year) == on.Year;

    public string Show() => Year is { } y
        ? string.Create(CultureInfo.InvariantCulture, $"{y:0000}-{Month:00}-{Day:00}")
        : string.Create(CultureInfo.InvariantCulture, $"{Month:00}-{Day:00}");
}

/// <summary>What a table says of days: a column of dates, one of words, and one of kinds if it has one.</summary>
public sealed class DatedNotes
{
    private readonly ILookup<(int Month, int Day), DatedNote> _byDay;

    public static DatedNotes None { get; } = new([], []);

    private DatedNotes(ImmutableArray<DatedNote> all, ImmutableArray<string> unread) =>
        (All, Unread, _byDay) = (all, unread, all.ToLookup(n => (n.Month, n.Day)));

    public ImmutableArray<DatedNote> All { get; }

    /// <summary>Dates that are none, as the table has them.</summary>
    public ImmutableArray<string> Unread { get; }

    /// <summary>What falls on a day, in the table's order.</summary>
    public IEnumerable<DatedNote> On(DateOnly day) => _byDay[(day.Month, day.Day)].Where(n => n.Falls(day));

    /// <summary>Whether any falls within a stretch.</summary>
    public bool Falls((DateOnly From, DateOnly Before) within)
    {
        for (var day = within.From; day < within.Before; day = day.AddDays(1))
            if (On(day).Any()) return true;
        return false;
    }

    /// <param name="columns">The table's heads: “date”, “text” and “kind”, or the first, second and third.</param>
    /// <param name="rows">Its rows. A date is 2027-03-15, or 03-15 for every year.</param>
    public static DatedNotes Of(ImmutableArray<string> columns, ImmutableArray<ImmutableArray<string>> rows)
    {
        int column(string name, int otherwise) => columns.Index()
            .Where(c => string.Equals(c.Item.Trim(), name, StringComparison.OrdinalIgnoreCase))
            .Select(c => (int?)c.Index).FirstOrDefault() ?? otherwise;
        var (date, text, kind) = (column("date", 0), column("text", 1), column("kind", 2));
        var notes = ImmutableArray.CreateBuilder<DatedNote>();
        var unread = ImmutableArray.CreateBuilder<string>();
        foreach (var row in rows)
        {
            var said = row.ElementAtOrDefault(date) ?? "";
            if (Read(said) is not { } day) { unread.Add(said); continue; }
            notes.Add(new(day.Year, day.Month, day.Day, row.ElementAtOrDefault(text) ?? "",
                row.ElementAtOrDefault(kind) ?? ""));
        }
        return new(notes.ToImmutable(), unread.ToImmutable());
    }

    private static (int? Year, int Month, int Day)? Read(string text)
    {
        var said = text.Trim();
        if (DateOnly.TryParseExact(said, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
            return day.Year is >= 1900 and <= 2100 ? (day.Year, day.Month, day.Day) : null;
        // A leap year has every day that a year can have.
        return DateOnly.TryParseExact("2000-" + said.TrimStart('-'), "yyyy-MM-dd", CultureInfo.InvariantCulture,
            DateTimeStyles.None, out day) ? (null, day.Month, day.Day) : null;
    }
}
