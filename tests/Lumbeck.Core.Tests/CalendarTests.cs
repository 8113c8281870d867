namespace Lumbeck.Core.Tests;

/// <summary>Months, weeks and days as they are printed, in many languages, years and directions.</summary>
public sealed class CalendarTests
{
    private static readonly ImmutableArray<string> Planning =
        [.. DesignShelf.All.Where(d => d.First is PlanningPage).Select(d => d.Word)];

    private static Surface Page(decimal wide = 148, decimal high = 210, Reading reading = Reading.LeftToRight) =>
        new PageGrid(new(Length.FromMillimetres(wide), Length.FromMillimetres(high)), reading,
            Length.FromMillimetres(10), Length.FromMillimetres(10), Length.FromMillimetres(12),
            Length.FromMillimetres(14)).Page(1);

    private static BookCalendar In(string code, DayOfWeek first = DayOfWeek.Monday) =>
        new() { Language = code, Names = CalendarNames.Of(code), First = first };

    [Fact]
    public void Every_language_has_all_its_names_and_says_dates_with_them()
    {
        CalendarNames.Codes.Count.ShouldBeGreaterThanOrEqualTo(12);
        foreach (var code in CalendarNames.Codes)
        {
            var names = CalendarNames.Of(code);
            names.Months.Length.ShouldBe(12, code);
            names.OfMonths.Length.ShouldBe(12, code);
            names.Days.Distinct().Count().ShouldBe(7, code);
            names.ShortDays.Length.ShouldBe(7, code);
            names.NarrowDays.Length.ShouldBe(7, code);
            for (var month = 1; month <= 12; month++)
            {
                names.Say(2027, month).ShouldContain("2027", customMessage: code);
                names.Say(new DateOnly(2027, month, 28)).ShouldContain("28", customMessage: code);
                names.Say(2027, month).ShouldNotContain("'");
            }
        }
        CalendarNames.Of("pl").Say(new(2027, 1, 4)).ShouldBe("4 stycznia");
        CalendarNames.Of("pl").Say(2027, 1).ShouldBe("Styczeń 2027");
        CalendarNames.Of("es").Say(2027, 1).ShouldBe("Enero de 2027");
        CalendarNames.Of("ja").Say(2027, 1).ShouldBe("2027年1月");
        CalendarNames.Of("he").Say(new(2027, 1, 4)).ShouldBe("4 בינואר");
        Should.Throw<Refusal>(() => CalendarNames.Of("xx")).Message.ShouldContain("`xx`");
    }

    [Fact]
    public void Weeks_of_a_month_hold_each_of_its_days_once_and_carry_the_number_that_ISO_8601_gives()
    {
        foreach (var first in (DayOfWeek[])[DayOfWeek.Monday, DayOfWeek.Sunday, DayOfWeek.Saturday])
            for (var month = new DateOnly(1900, 1, 1); month.Year <= 2100; month = month.AddMonths(1))
            {
                var weeks = In("en", first).Weeks(month.Year, month.Month);
                weeks.Length.ShouldBeInRange(4, 6);
                weeks.ShouldAllBe(w => w.DayOfWeek == first);
                var days = weeks.SelectMany(w => Enumerable.Range(0, 7).Select(n => w.AddDays(n)))
                    .Where(d => d.Month == month.Month && d.Year == month.Year).ToList();
                days.ShouldBe(Enumerable.Range(0, DateTime.DaysInMonth(month.Year, month.Month))
                    .Select(n => month.AddDays(n)));
                foreach (var week in weeks)
                {
                    // A week's number is that of its one Thursday: the weeks before it of the same year, and itself.
                    var thursday = Enumerable.Range(0, 7).Select(n => week.AddDays(n))
                        .Single(d => d.DayOfWeek == DayOfWeek.Thursday);
                    In("en", first).NumberOf(week).ShouldBe((thursday.DayOfYear + 6) / 7);
                }
            }
        // February of 2027 has four weeks from Monday, August of 2027 six.
        In("en").Weeks(2027, 2).Length.ShouldBe(4);
        In("en").Weeks(2027, 8).Length.ShouldBe(6);
        In("en", DayOfWeek.Sunday).Weeks(2027, 8).Length.ShouldBe(5);
    }

    [Fact]
    public void Touching_weeks_are_53_or_54_and_ISO_weeks_52_or_53()
    {
        for (var year = 1900; year <= 2100; year++)
            foreach (var first in (DayOfWeek[])[DayOfWeek.Monday, DayOfWeek.Sunday, DayOfWeek.Saturday])
            {
                var run = new PageRun
                {
                    Id = "w",
                    Designs = [DesignShelf.Of("week")],
                    Goes = RunKind.Weeks,
                    From = new(year, 1, 1),
                    To = new(year, 12, 31),
                };
                var last = (DayOfWeek)(((int)first + 6) % 7);
                run.Times(first).ShouldBe(DateTime.IsLeapYear(year) && run.From.DayOfWeek == last ? 54 : 53, $"{year} {first}");
                (run with { Weeks = WeekCount.Iso }).Times(first).ShouldBe(ISOWeek.GetWeeksInYear(year));
            }
    }

    [Fact]
    public void A_note_is_printed_on_its_day_on_every_design_that_has_room_for_words()
    {
        var chance = new Random(11);
        for (var round = 0; round < 200; round++)
        {
            var day = new DateOnly(1900, 1, 1).AddDays(chance.Next(365 * 201));
            var first = chance.Next(3) switch { 0 => DayOfWeek.Monday, 1 => DayOfWeek.Sunday, _ => DayOfWeek.Saturday };
            var yearly = chance.Next(2) == 0;
            var date = yearly ? $"{day.Month:00}-{day.Day:00}" : CalendarSpan.Show(day);
            var calendar = In("de", first) with
            {
                Notes = DatedNotes.Of(["date", "text", "kind"], [[date, "Flut", "moon"]]),
            };
            foreach (var word in (string[])["month", "week", "week-spread", "day", "meal-week"])
            {
                var design = DesignShelf.Of(word);
                var pages = (design.Takes == 2 ? [false, true] : (bool[])[false]).SelectMany(facing =>
                    design.Draw(Page(), new() { Day = day, Facing = facing, Calendar = calendar })).OfType<Written>();
                pages.Count(w => w.Words.Contains("Flut", StringComparison.Ordinal)).ShouldBe(1, $"{word} {day}");
                var other = day.AddDays(word is "month" ? 40 : 9);
                if (other.Year > 2100 || (yearly && other == day)) continue;
                design.Draw(Page(), new() { Day = other, Calendar = calendar }).OfType<Written>()
                    .ShouldAllBe(w => !w.Words.Contains("Flut", StringComparison.Ordinal));
            }
            // Where there is no room a mark says that there is something.
            int lines(string word, BookCalendar c) =>
                DesignShelf.Of(word).Draw(Page(210, 297), new() { Day = day, Calendar = c }).OfType<Line>().Count();
            lines("year", calendar).ShouldBe(lines("year", In("de", first)) + 1);
            lines("habit-month", calendar).ShouldBe(lines("habit-month", In("de", first)) + 1);
            // And its words stand beside the heading, with the day; nothing of another month or year.
            string beside(string word, DateOnly on) => string.Join('\n', DesignShelf.Of(word).Draw(Page(210, 297),
                new() { Day = on, Calendar = calendar }).OfType<Written>().Select(w => w.Words));
            beside("habit-month", day).ShouldContain($"{day.Day} Flut");
            beside("year", new(day.Year, 1, 1)).ShouldContain(calendar.Called.Say(day) + " Flut");
            if (day.Year < 2099) beside("habit-month", day.AddMonths(1)).ShouldNotContain("Flut");
        }
    }

    [Fact]
    public void Undated_pages_have_no_date_and_dated_ones_step_from_where_they_begin()
    {
        foreach (var word in Planning)
        {
            var undated = DesignShelf.Of(word).Draw(Page(210, 297)).OfType<Written>().Select(w => w.Words).ToList();
            undated.ShouldAllBe(w => !w.Contains("20", StringComparison.Ordinal) || word == "habit-month" || word == "day");
            undated.ShouldNotBeEmpty();
        }
        string heads(string word, string begins, int time) => string.Join(" ", DesignShelf.Of(word)
            .With("begins", new(Words: begins), "").Draw(Page(), new() { Time = time }).OfType<Written>()
            .Where(w => w.Heads).Take(1).Select(w => w.Words));
        heads("month", "2027-11", 3).ShouldBe("January 2028");
        heads("year", "2027", 2).ShouldBe("2028");
        heads("day", "2028-02-28", 2).ShouldBe("Tuesday February 29");
        heads("week", "2027-01-01", 2).ShouldBe("January 4 – January 10 2027");
        Should.Throw<Refusal>(() => heads("month", "2100-11", 3)).Message.ShouldContain("2101");
        foreach (var wrong in (string[])["1899", "2027-13", "2027-02-30", "soon"])
            Should.Throw<Refusal>(() => heads("month", wrong, 1)).Message.ShouldContain(wrong);
    }

    [Fact]
    public void A_book_read_from_the_right_has_its_first_weekday_at_the_right_and_its_figures_as_they_are()
    {
        foreach (var (mirrored, reading) in ((bool, Reading)[])[(false, Reading.LeftToRight), (true, Reading.RightToLeft)])
        {
            var month = DesignShelf.Of("month").Draw(Page(297, 210, reading), new()
            {
                Day = new(2027, 3, 1),
                Mirrored = mirrored,
                Calendar = In("he", DayOfWeek.Sunday),
            }).OfType<Written>().ToList();
            double middle(string word) => month.Where(w => w.Words == word).Select(w => (w.Box.Left + w.Box.Right) / 2).First();
            double named(DayOfWeek day) => middle(CalendarNames.Of("he").DayOf(day));
            var (sunday, saturday) = (named(DayOfWeek.Sunday), named(DayOfWeek.Saturday));
            (sunday > saturday).ShouldBe(mirrored);
            (middle("7") > middle("13")).ShouldBe(mirrored);
        }
    }

    [Fact]
    public void Each_fits_A5_letter_and_a_landscape_or_says_what_it_wants()
    {
        foreach (var word in Planning)
            foreach (var (wide, high) in ((decimal, decimal)[])[(148, 210), (215.9m, 279.4m), (210, 148), (105, 148)])
            {
                var design = DesignShelf.Of(word);
                try
                {
                    design.Working(Page(wide, high), Unit.Millimetre).ShouldContain("÷");
                    design.Draw(Page(wide, high), new() { Day = new(2027, 8, 1) }).ShouldNotBeEmpty();
                }
                catch (Refusal r) { r.Message.ShouldContain("mm", customMessage: word); }
            }
    }

    /// <summary>A year from July on has the months of both years and both in its heading.</summary>
    [Fact]
    public void A_year_begins_with_the_month_that_it_is_said_to()
    {
        string[] words(string begins) =>
            [.. ((YearPage)DesignShelf.Of("year") with { Begins = begins, Header = Length.FromMillimetres(15) })
                .Draw(Pages(), PageFacts.None).OfType<Written>().Where(w => w.Heads).Select(w => w.Words)];
        words("2027").ShouldSatisfyAllConditions(w => w[0].ShouldBe("2027"), w => w[1].ShouldBe("January"));
        words("2027-07").ShouldSatisfyAllConditions(w => w[0].ShouldBe("2027–2028"), w => w[1].ShouldBe("July"),
            w => w[^1].ShouldBe("June"));
    }

    /// <summary>The first row of a month has its week's number, whatever day the month begins on.</summary>
    [Fact]
    public void Every_row_of_a_month_has_its_week_s_number()
    {
        // October 2027 begins on a Friday: of its first week four days are September's.
        var month = (MonthPage)DesignShelf.Of("month") with { Begins = "2027-10", Around = false };
        var small = month.Draw(Pages(), PageFacts.None).OfType<Written>().Select(w => w.Words).ToList();
        foreach (var week in (string[])["39", "40", "41", "42", "43"]) small.ShouldContain(week);
    }

    private static Surface Pages()
    {
        var job = new BeginInside([new() { Id = "x", Designs = [DesignShelf.Of("year")], Count = 4 }], "pages")
            .Apply(Sample.Job());
        return new InsidePlan(job).Page(1).Surface;
    }
}
