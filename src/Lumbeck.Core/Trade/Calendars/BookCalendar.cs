namespace Lumbeck.Core.Trade.Calendars;

/// <summary>How the calendars of a book are printed: names, where weeks begin, their numbers, and what falls on days.</summary>
public sealed record BookCalendar
{
    public static BookCalendar Plain { get; } = new();

    /// <summary>What months and days are called; null where the book's language has no names here.</summary>
    public CalendarNames? Names { get; init; } = CalendarNames.Of("en");

    /// <summary>The book's language, for the refusal where it has none.</summary>
    public string Language { get; init; } = "en";

    /// <summary>The day that weeks begin on: Monday, Sunday or Saturday.</summary>
    public DayOfWeek First { get; init; } = DayOfWeek.Monday;

    /// <summary>Whether weeks carry their number.</summary>
    public bool Numbers { get; init; } = true;

    public DatedNotes Notes { get; init; } = DatedNotes.None;

    /// <exception cref="Refusal">The language has none.</exception>
    public CalendarNames Called => Names ?? CalendarNames.Of(Language);

    /// <summary>The days of a week in their order.</summary>
    public IEnumerable<DayOfWeek> Week => Enumerable.Range(0, 7).Select(n => (DayOfWeek)(((int)First + n) % 7));

    /// <summary>The first day of the week that a day is in.</summary>
    public DateOnly WeekOf(DateOnly day) => day.AddDays(-(((int)day.DayOfWeek - (int)First + 7) % 7));

    /// <summary>
    /// A week's number: ISO 8601 counts Monday weeks, a year's first being that of its first Thursday; weeks that begin
    /// on another day have the number of their Thursday.
    /// </summary>
    public int NumberOf(DateOnly first) =>
        ISOWeek.GetWeekOfYear(first.AddDays(((int)DayOfWeek.Thursday - (int)First + 7) % 7).ToDateTime(default));

    /// <summary>How many days a month has.</summary>
    public static int DaysOf(int year, int month) => CultureInfo.InvariantCulture.Calendar.GetDaysInMonth(year, month);

    /// <summary>The first days of the weeks that hold a month: four to six of them.</summary>
    public ImmutableArray<DateOnly> Weeks(int year, int month)
    {
        var first = new DateOnly(year, month, 1);
        var last = first.AddMonths(1).AddDays(-1);
        var weeks = ImmutableArray.CreateBuilder<DateOnly>();
        for (var day = WeekOf(first); day <= last; day = day.AddDays(7)) weeks.Add(day);
        return weeks.ToImmutable();
    }
}
