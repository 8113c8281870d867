using System.Runtime.Serialization;
using System.Text;
using Ical.Net;
using Ical.Net.CalendarComponents;

namespace Lumbeck.Desk.Assets;

/// <summary>
/// A calendar file (.ics, RFC 5545) as the table that pages are made of: date, text, kind. What comes back every year is
/// a month and a day; other repetitions are refused, since a book has its own stretch.
/// </summary>
internal static class CalendarFile
{
    public static bool IsOne(ReadOnlySpan<byte> file) =>
        Encoding.UTF8.GetString(file[..Math.Min(file.Length, 40)]).TrimStart('\uFEFF').TrimStart()
            .StartsWith("BEGIN:VCALENDAR", StringComparison.OrdinalIgnoreCase);

    /// <exception cref="Refusal">It can’t be read, holds no days, or an event repeats in another way.</exception>
    public static byte[] AsTable(byte[] file, string name)
    {
        Refusal no(string why) => new("table", $"{name} {why}");
        List<CalendarEvent> events;
        try
        {
            var text = new UTF8Encoding(false, throwOnInvalidBytes: true).GetString(file);
            events = [.. CalendarCollection.Load(text).SelectMany(c => c.Events)];
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
            var yearly = false;
            if (e.RecurrenceRule is { } rule)
            {
                yearly = rule is { Frequency: FrequencyType.Yearly, Interval: 1, Count: null, Until: null }
                    && rule is { ByDay.Count: 0, ByYearDay.Count: 0, ByWeekNo.Count: 0, BySetPosition.Count: 0 };
                if (!yearly) throw no($"says that “{LengthText.Clip(says)}” repeats in a way that no day of the year " +
                    "has: write its days out, or let it come back every year");
            }
            table.Append(start.Date.ToString(yearly ? "MM-dd" : "yyyy-MM-dd", CultureInfo.InvariantCulture))
                .Append(',').Append(Quoted(says)).Append(',')
                .Append(Quoted(Plain.Line(string.Join(" ", e.Categories ?? [])))).Append('\n');
            days++;
        }
        return days > 0 ? Encoding.UTF8.GetBytes(table.ToString()) : throw no("holds no day that has a date");
    }

    private static string Quoted(string cell) => $"\"{cell.Replace("\"", "\"\"", StringComparison.Ordinal)}\"";
}
