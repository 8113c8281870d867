using System.Runtime.Serialization;
using System.Text;
using Ical.Net;
using Ical.Net.CalendarComponents;

namespace Lumbeck.Desk.Assets;

/// <summary>
/// A calendar file (.ics, RFC 5545) as the table that pages are made of: date, text, kind. What comes back every year is
/// a month and a day; what goes over several days stands on each of them. What repeats otherwise is a row without a
/// date, which Check tells with all others of its kind.
/// </summary>
internal static class CalendarFile
{
    public static bool IsOne(ReadOnlySpan<byte> file) =>
        Encoding.UTF8.GetString(file[..Math.Min(file.Length, 40)]).TrimStart('\uFEFF').TrimStart()
            .StartsWith("BEGIN:VCALENDAR", StringComparison.OrdinalIgnoreCase);

    /// <exception cref="Refusal">It can’t be read, or holds no days.</exception>
    public static byte[] AsTable(byte[] file, string name)
    {
        Refusal no(string why) => new("table", $"{name} {why}");
        List<CalendarEvent> events;
        TimeZoneInfo zone;
        try
        {
            var text = new UTF8Encoding(false, throwOnInvalidBytes: true).GetString(file);
            var calendars = CalendarCollection.Load(text);
            events = [.. calendars.SelectMany(c => c.Events)];
            zone = Zone(calendars.Select(c => c.Properties["X-WR-TIMEZONE"]?.Value as string).FirstOrDefault(z => z is not null));
        }
        catch (DecoderFallbackException) { throw no("is no text in UTF-8"); }
        // What a parser of another hand throws on is no calendar, whatever it throws.
        catch (Exception e) when (e is SerializationException or FormatException or ArgumentException
            or InvalidOperationException or IndexOutOfRangeException or NullReferenceException or KeyNotFoundException
            or OverflowException)
        {
            throw no("can’t be read as a calendar file");
        }
        if (events.Count > TableDesk.MostRows) throw no($"has over {TableDesk.MostRows} events: part it");
        var table = new StringBuilder("date,text,kind\n");
        var days = 0;
        foreach (var e in events)
        {
            if (e.Start is not { } start) continue;
            var says = Plain.Line(e.Summary ?? "");
            var (yearly, cell) = (false, "");
            if (e.RecurrenceRule is { } rule)
            {
                yearly = rule is { Frequency: FrequencyType.Yearly, Interval: 1, Count: null, Until: null }
                    && rule is { ByDay.Count: 0, ByYearDay.Count: 0, ByWeekNo.Count: 0, BySetPosition.Count: 0 };
                if (!yearly)
                    cell = $"“{LengthText.Clip(says)}”, which repeats in a way that no day of the year has" +
                        (rule.Until is { } until ? string.Create(CultureInfo.InvariantCulture, $" until {until.Value:yyyy-MM-dd}") : "");
            }
            var (first, last) = Days(e, start, zone);
            if (last.DayNumber - first.DayNumber >= MostDays)
                cell = $"“{LengthText.Clip(says)}”, which goes over more than {MostDays} days";
            for (var day = first; day <= last; day = day.AddDays(1))
            {
                table.Append(Quoted(cell.Length > 0 ? cell : day.ToString(yearly ? "MM-dd" : "yyyy-MM-dd", CultureInfo.InvariantCulture)))
                    .Append(',').Append(Quoted(says)).Append(',')
                    .Append(Quoted(Plain.Line(string.Join(" ", e.Categories ?? [])))).Append('\n');
                if (++days > TableDesk.MostRows) throw no($"has over {TableDesk.MostRows} days: part it");
                if (cell.Length > 0) break;
            }
        }
        return days > 0 ? Encoding.UTF8.GetBytes(table.ToString()) : throw no("holds no day that has a date");
    }

    /// <summary>The first and the last day of an event. One of whole days ends before its end (RFC 5545, 3.6.1).</summary>
    private static (DateOnly First, DateOnly Last) Days(CalendarEvent e, Ical.Net.DataTypes.CalDateTime start, TimeZoneInfo zone)
    {
        var first = DateOnly.FromDateTime(start is { HasTime: true, IsUtc: true }
            ? TimeZoneInfo.ConvertTimeFromUtc(DateTime.SpecifyKind(start.Value, DateTimeKind.Utc), zone) : start.Value);
        if (start.HasTime || e.End is not { HasTime: false } end) return (first, first);
        var last = DateOnly.FromDateTime(end.Value).AddDays(-1);
        return (first, last < first ? first : last);
    }

    /// <summary>The most days of one event; of a longer one it is told instead.</summary>
    private const int MostDays = 400;

    /// <summary>The zone that a calendar says it is kept in; this machine's where it says none that is known.</summary>
    private static TimeZoneInfo Zone(string? named) =>
        named is not null && TimeZoneInfo.TryFindSystemTimeZoneById(named.Trim(), out var zone) ? zone : TimeZoneInfo.Local;

    private static string Quoted(string cell) => $"\"{cell.Replace("\"", "\"\"", StringComparison.Ordinal)}\"";
}
