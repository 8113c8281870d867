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
    /// <param name="rows">Its rows. A date is 2027-03-15, or 03-15 for every year, or as the language writes it.</param>
    /// <param name="language">The book's.</param>
    public static DatedNotes Of(ImmutableArray<string> columns, ImmutableArray<ImmutableArray<string>> rows, string language = "en")
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
            if (Read(said, language, out var twofold) is not { } day) { unread.Add(twofold ?? said); continue; }
            notes.Add(new(day.Year, day.Month, day.Day, row.ElementAtOrDefault(text) ?? "",
                row.ElementAtOrDefault(kind) ?? ""));
        }
        return new(notes.ToImmutable(), unread.ToImmutable());
    }

    /// <summary>Languages that write a year first where parts are set apart by strokes or points.</summary>
    private static readonly string[] YearFirst = ["hu", "ja", "ko", "lt", "mn", "zh"];

    private static (int? Year, int Month, int Day)? Read(string text, string language, out string? twofold)
    {
        twofold = null;
        var said = text.Trim();
        if (said.TrimEnd('.').Split('.', '/') is { Length: 2 or 3 } parts && said.Contains('-') is false)
            return AsWritten([.. parts.Select(p => p.Trim()).Where(p => p.Length > 0)], said, language, out twofold);
        if (DateOnly.TryParseExact(said, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
            return day.Year is >= 1900 and <= 2100 ? (day.Year, day.Month, day.Day) : null;
        // A leap year has every day that a year can have.
        return DateOnly.TryParseExact("2000-" + said.TrimStart('-'), "yyyy-MM-dd", CultureInfo.InvariantCulture,
            DateTimeStyles.None, out day) ? (null, day.Month, day.Day) : null;
    }

    /// <summary>“03.11.2027”, “3/11”, “2027. 11. 3”: a day, a month and perhaps a year in the language's order.</summary>
    private static (int? Year, int Month, int Day)? AsWritten(string[] parts, string said, string language, out string? twofold)
    {
        twofold = null;
        var figures = new int[parts.Length];
        for (var n = 0; n < parts.Length; n++)
            if (!int.TryParse(parts[n], NumberStyles.None, CultureInfo.InvariantCulture, out figures[n])) return null;
        (int? Year, int A, int B) read = figures switch
        {
            [> 31 and var year, var month, var day] => (year, day, month),
            [var a, var b, > 31 and var year] => (year, a, b),
            [var a, var b] when YearFirst.Contains(language) => (null, b, a),
            [var a, var b] => (null, a, b),
            _ => (null, 0, 0),
        };
        // A stroke says day and month in one English-speaking country, and month and day in another.
        var open = language == "en" && said.Contains('/') && figures[0] <= 31;
        if (open && read is { A: <= 12, B: <= 12 } && read.A != read.B)
        {
            twofold = $"{said} (day {read.A} of month {read.B}, or day {read.B} of month {read.A}?)";
            return null;
        }
        var (dayOf, monthOf) = open && read.B > 12 ? (read.B, read.A) : (read.A, read.B);
        return monthOf is >= 1 and <= 12 && read.Year is null or >= 1900 and <= 2100
            && dayOf >= 1 && dayOf <= BookCalendar.DaysOf(read.Year ?? 2000, monthOf)
            ? (read.Year, monthOf, dayOf) : null;
    }
}
