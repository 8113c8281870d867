using System.Globalization;

namespace Lumbeck.Core.Document.Insides;

/// <summary>A stretch of days, in days, weeks and months.</summary>
public static class CalendarSpan
{
    private static readonly DateOnly First = new(1900, 1, 1), Last = new(2100, 12, 31);

    /// <summary>Why a stretch can't be; null where it can.</summary>
    public static string? Fault(DateOnly from, DateOnly to) =>
        from < First || to > Last
            ? $"{Show(from < First ? from : to)} is no day of a calendar here: from {Show(First)} to {Show(Last)}"
        : to < from ? $"it ends on {Show(to)}, before it begins on {Show(from)}"
        : null;

    public static int Days(DateOnly from, DateOnly to) => to.DayNumber - from.DayNumber + 1;

    public static int Months(DateOnly from, DateOnly to) => ((to.Year - from.Year) * 12) + to.Month - from.Month + 1;

    /// <summary>
    /// The weeks' first days. Weeks that touch a year are 53, or 54 in a leap year that begins on the last day of a
    /// week; the ISO weeks of the year that a stretch begins in are 52 or 53 (ISO 8601).
    /// </summary>
    /// <param name="run">The run.</param>
    /// <param name="starts">The day that weeks begin on; ISO weeks begin on Monday whatever it is.</param>
    public static IEnumerable<DateOnly> Weeks(PageRun run, DayOfWeek starts = DayOfWeek.Monday)
    {
        if (run.Weeks == WeekCount.Iso)
        {
            // The year that most of the stretch is in: its first day may belong to the last week of the year before.
            var year = ISOWeek.GetYear(run.From.AddDays((run.To.DayNumber - run.From.DayNumber) / 2).ToDateTime(default));
            var first = DateOnly.FromDateTime(ISOWeek.GetYearStart(year));
            for (var n = 0; n < ISOWeek.GetWeeksInYear(year); n++) yield return first.AddDays(7 * n);
            yield break;
        }
        var back = ((int)run.From.DayOfWeek - (int)starts + 7) % 7;
        for (var day = run.From.AddDays(-back); day <= run.To; day = day.AddDays(7)) yield return day;
    }

    /// <summary>
    /// The day that a set of pages is for, or the first of its week or month; null where its run has none.
    /// </summary>
    /// <param name="time">From 1.</param>
    public static DateOnly? Day(PageRun run, int time, DayOfWeek starts) => run.Goes switch
    {
        RunKind.Days => run.From.AddDays(time - 1),
        RunKind.Weeks => Weeks(run, starts).Skip(time - 1).Select(d => (DateOnly?)d).FirstOrDefault(),
        RunKind.Months => new DateOnly(run.From.Year, run.From.Month, 1).AddMonths(time - 1),
        _ => null,
    };

    /// <summary>What is told of the day, week or month that a set of pages is for.</summary>
    public static IEnumerable<(string Field, string Says)> Told(PageRun run, int time, BookCalendar calendar)
    {
        if (Day(run, time, calendar.First) is not { } day) yield break;
        yield return ("date", Show(day));
        yield return ("day", day.Day.ToString(CultureInfo.InvariantCulture));
        yield return ("month", day.Month.ToString(CultureInfo.InvariantCulture));
        yield return ("year", day.Year.ToString(CultureInfo.InvariantCulture));
        yield return ("week", calendar.NumberOf(calendar.WeekOf(day)).ToString(CultureInfo.InvariantCulture));
        yield return ("until", Show(run.Goes == RunKind.Weeks ? day.AddDays(6)
            : run.Goes == RunKind.Months ? day.AddMonths(1).AddDays(-1) : day));
        if (calendar.Names is not { } names) yield break;
        yield return ("month-name", CalendarNames.Capital(names.Months[day.Month - 1]));
        yield return ("weekday", CalendarNames.Capital(names.DayOf(day.DayOfWeek)));
        yield return ("day-month", names.Say(day));
        yield return ("notes", string.Join(" · ", calendar.Notes.On(day).Select(n => n.Text)));
    }

    public static string Show(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    /// <exception cref="Refusal">It is no day.</exception>
    public static DateOnly Read(string text) =>
        DateOnly.TryParseExact(text.Trim(), "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None,
            out var day)
            ? day
            : throw Typed.No($"`{LengthText.Clip(text)}` is no day: type such as 2026-01-31");
}
