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

    [Fact]
    public void What_no_book_can_print_is_refused_by_name()
    {
        string why(byte[] file) => Should.Throw<Refusal>(() => TableDesk.Open(file, "days.ics")).Message;
        why(Calendar(Event("20270101", "Choir", "RRULE:FREQ=WEEKLY"))).ShouldContain("Choir");
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
