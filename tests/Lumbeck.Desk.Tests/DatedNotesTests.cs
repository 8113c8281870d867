using System.Text;
using Lumbeck.Core;
using Lumbeck.Desk.Assets;
using Shouldly;
using Xunit;

namespace Lumbeck.Desk.Tests;

/// <summary>Calendar files become the table of their days, or are refused by name.</summary>
public sealed class DatedNotesTests
{
    private static byte[] Calendar(params string[] lines) => Encoding.UTF8.GetBytes(string.Join("\r\n",
        ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//made up//EN", .. lines, "END:VCALENDAR", ""]));

    private static string[] Event(string day, string says, params string[] more) =>
        ["BEGIN:VEVENT", "UID:" + says, "DTSTART;VALUE=DATE:" + day, "SUMMARY:" + says, .. more, "END:VEVENT"];

    [Fact]
    public void Days_of_a_calendar_file_are_rows_and_what_comes_back_every_year_has_no_year()
    {
        var file = Calendar([.. Event("20270106", "Epiphany\\, at home", "CATEGORIES:holiday"),
            .. Event("20270501", "Regatta", "RRULE:FREQ=YEARLY"), .. Event("20271224", "long " + new string('x', 90))]);
        var (table, rows) = TableDesk.Open(file, "days.ics");
        table.Columns.ShouldBe(["date", "text", "kind"]);
        rows[0].ShouldBe(["2027-01-06", "Epiphany, at home", "holiday"]);
        rows[1].ShouldBe(["05-01", "Regatta", ""]);
        var notes = DatedNotes.Of(table.Columns, rows);
        notes.On(new(2031, 5, 1)).ShouldHaveSingleItem().Text.ShouldBe("Regatta");
        notes.On(new(2028, 1, 6)).ShouldBeEmpty();
    }

    /// <summary>What goes over days stands on each; a time is one of the calendar's own zone.</summary>
    [Fact]
    public void Events_stand_on_all_their_days_in_their_zone_and_what_repeats_otherwise_is_told_with_all_others()
    {
        var file = Calendar(["X-WR-TIMEZONE:Asia/Tokyo", .. Event("20270301", "Fair", "DTEND;VALUE=DATE:20270304"),
            "BEGIN:VEVENT", "UID:late", "DTSTART:20270310T200000Z", "SUMMARY:Late call", "END:VEVENT",
            .. Event("20270101", "Choir", "RRULE:FREQ=WEEKLY"), .. Event("20250101", "Old choir", "RRULE:FREQ=WEEKLY;UNTIL=20251231")]);
        var (table, rows) = TableDesk.Open(file, "days.ics");
        var notes = DatedNotes.Of(table.Columns, rows);
        notes.All.Select(n => $"{n.Show()} {n.Text}").ShouldBe(["2027-03-01 Fair", "2027-03-02 Fair", "2027-03-03 Fair",
            "2027-03-11 Late call"]);
        var endless = TableDesk.Open(Calendar(Event("20270101", "Era", "DTEND;VALUE=DATE:20990101")), "days.ics");
        DatedNotes.Of(endless.Table.Columns, endless.Rows).Unread.ShouldHaveSingleItem().ShouldContain("over more than 400 days");
        notes.Unread.ShouldSatisfyAllConditions(u => u.Length.ShouldBe(2), u => u[0].ShouldContain("Choir"),
            u => u[1].ShouldEndWith("until 2025-12-31"));
    }

    [Theory]
    [InlineData("de", "03.11.2027", "2027-11-03")]
    [InlineData("de", "3.11.", "11-03")]
    [InlineData("fr", "03/11/2027", "2027-11-03")]
    [InlineData("hu", "2027. 11. 3.", "2027-11-03")]
    [InlineData("hu", "11.3", "11-03")]
    [InlineData("en", "25/12/2027", "2027-12-25")]
    [InlineData("en", "12/25/2027", "2027-12-25")]
    [InlineData("en", "04/04/2027", "2027-04-04")]
    [InlineData("en", "03/11/2027", null)]
    [InlineData("de", "31.02.2027", null)]
    public void Dates_are_read_as_the_book_s_language_writes_them_and_two_readings_are_asked(string language, string typed, string? day)
    {
        var notes = DatedNotes.Of(["date", "text"], [[typed, "x"]], language);
        notes.All.Select(n => n.Show()).ShouldBe(day is null ? [] : [day]);
        notes.Unread.Length.ShouldBe(day is null ? 1 : 0);
        if (typed == "03/11/2027" && day is null) notes.Unread[0].ShouldContain("day 3 of month 11, or day 11 of month 3?");
    }

    [Fact]
    public void What_no_book_can_print_is_refused_by_name()
    {
        string why(byte[] file) => Should.Throw<Refusal>(() => TableDesk.Open(file, "days.ics")).Message;
        why(Calendar()).ShouldContain("no day");
        why(Encoding.UTF8.GetBytes("BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART:soon\r\n")).ShouldContain("days.ics");
        why([.. Encoding.ASCII.GetBytes("BEGIN:VCALENDAR\r\n"), 0xff, 0xfe]).ShouldContain("UTF-8");
        var chance = new Random(5);
        var good = Calendar([.. Event("20270106", "One"), .. Event("20270501", "Two", "RRULE:FREQ=YEARLY")]);
        for (var round = 0; round < 300; round++)
        {
            var spoilt = (byte[])good.Clone();
            for (var n = chance.Next(1, 6); n > 0; n--) spoilt[chance.Next(20, spoilt.Length)] = (byte)chance.Next(32, 127);
            // Read, or refused: nothing else is thrown.
            try { TableDesk.Open(spoilt, "days.ics").Rows.ShouldNotBeEmpty(); }
            catch (Refusal r) { r.Message.ShouldContain("days.ics"); }
        }
    }
}
