namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>How many rows of weeks a month is given.</summary>
public enum MonthRows { AsNeeded, Six, FiveSplit }

/// <summary>
/// A month with a cell for each day, on a page or over an opening; a sixth week is a row of its own, or shares the cells
/// of the fifth.
/// </summary>
public sealed record MonthPage : PlanningPage
{
    public MonthRows Weeks { get; init; }

    /// <summary>Of the row that names the weekdays.</summary>
    public Length Heads { get; init; } = Length.FromMillimetres(6);

    /// <summary>Whether days of the months before and after are numbered too.</summary>
    public bool Around { get; init; }

    public override string Kind => "month";
    public override bool Varies => true;

    private static readonly (string, MonthRows)[] Kinds =
        [("as needed", MonthRows.AsNeeded), ("always six", MonthRows.Six), ("five, split", MonthRows.FiveSplit)];

    protected override IReadOnlyList<Field> Settings =>
    [
        new Field<MonthPage, MonthRows>("rows", "Weeks", Values.OneOf(Kinds), d => d.Weeks, (d, r) => d with { Weeks = r })
        { Choices = [.. Kinds.Select(k => (k.Item1, k.Item1))] },
        Measure<MonthPage>("heads", "Weekdays’ row", 3, 20, d => d.Heads, (d, l) => d with { Heads = l }),
        new Field<MonthPage, bool>("around", "Days around it", Values.Switch, d => d.Around,
            (d, b) => d with { Around = b }),
    ];

    protected override DateOnly Start(DateOnly day, BookCalendar calendar) => new(day.Year, day.Month, 1);

    protected override DateOnly Step(DateOnly start, int on) => start.AddMonths(on);

    protected override string Title(PageFacts at) => First(at) is { } first
        ? at.Opens && at.Facing ? "" : at.Calendar.Called.Say(first.Year, first.Month)
        : ToWrite(at.Calendar.Called.Month);

    private Length High(Surface page, int rows)
    {
        var high = 1m / rows * (page.Safe.Height - Heads);
        return high >= Length.FromMillimetres(8) ? high
            : throw new Refusal("heads", $"{rows} weeks leave cells {high.Show(Unit.Millimetre)} high: " +
                "a day wants 8 mm");
    }

    private int Count(DateOnly? first, BookCalendar calendar) => Weeks switch
    {
        MonthRows.Six => 6,
        MonthRows.FiveSplit => 5,
        _ when first is { } month => calendar.Weeks(month.Year, month.Month).Length,
        _ => 5,
    };

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        High(page, 6).IsZero ? default : (Weeks == MonthRows.FiveSplit ? 5 : 6, 7, Length.Zero);

    protected override string Sum(Surface page, Unit unit)
    {
        var rows = Weeks == MonthRows.FiveSplit ? 5 : 6;
        return $"{PageLines.Room(page, true, unit)}, − {Heads.Show(unit)} for weekdays, ÷ " +
            $"{(Weeks == MonthRows.AsNeeded ? "up to 6" : $"{rows}")} weeks = {High(page, rows).Show(unit)}; " +
            $"{PageLines.Room(page, false, unit)}, ÷ 7 days = {(1m / 7 * page.Safe.Width).Show(unit)}";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (calendar, names, safe) = (at.Calendar, at.Calendar.Called, page.Safe);
        var first = First(at);
        var rows = Count(first, calendar);
        var (head, high) = (Heads.Points, High(page, rows).Points);
        // Over an opening three days lie on the first page, four on the second.
        var (from, days) = !at.Opens ? (0, 7) : at.Facing ? (3, 4) : (0, 3);
        var (top, foot) = (safe.Y.Points, safe.Bottom.Points);
        var wide = safe.Width.Points / days;
        var numbers = calendar.Numbers && first is not null;
        var size = Math.Min(9, 0.5 * head);
        // All in full, or all short.
        var full = calendar.Week.All(day => 0.62 * size * names.DayOf(day).Length < wide - 4);
        foreach (var (n, day) in calendar.Week.Skip(from).Take(days).Index())
        {
            var x = Column(safe, n, days, at);
            var name = full ? names.DayOf(day) : names.ShortOf(day);
            yield return Word(CalendarNames.Capital(name), new(x, top, x + wide, top + (0.86 * head)), size,
                Align.Centre, Stand.Foot);
        }
        yield return PageLines.Again(PageLines.Level(0, 0, safe.Width.Points), Weight, 0,
            Enumerable.Range(1, rows).Select(n => (safe.X.Points, top + head + (n * high))));
        yield return PageLines.Again(PageLines.Level(0, 0, safe.Width.Points), 2m * Weight, 1,
            [(safe.X.Points, top + head)]);
        yield return PageLines.Again(PageLines.Upright(0, 0, foot - top - head), Weight, 0,
            Enumerable.Range(0, days + 1).Select(n => (safe.X.Points + (n * wide), top + head)));
        if (first is not { } month) yield break;
        var weeks = calendar.Weeks(month.Year, month.Month);
        for (var row = 0; row < Math.Max(weeks.Length, Around ? rows : 0); row++)
        {
            var week = row < weeks.Length ? weeks[row] : weeks[^1].AddDays(7 * (row - weeks.Length + 1));
            var split = row >= rows;
            var y = top + head + (Math.Min(row, rows - 1) * high);
            for (var n = 0; n < days; n++)
            {
                var day = week.AddDays(from + n);
                if (day.Month != month.Month && (!Around || split))
                {
                    // A row has its week's number too where it begins before the month.
                    if (numbers && from + n == 0 && !split)
                        yield return Number(new(Column(safe, 0, days, at), y, Column(safe, 0, days, at) + wide, y + high), week, at);
                    continue;
                }
                var shares = Weeks == MonthRows.FiveSplit && weeks.Length == 6 && row >= 4
                    && (split || week.AddDays(from + n + 7).Month == month.Month);
                var x = Column(safe, n, days, at);
                var cell = !shares ? new Bounds(x, y, x + wide, y + high)
                    : split ? new(x, y + (high / 2), x + wide, y + high) : new(x, y, x + wide, y + (high / 2));
                if (split)
                    yield return new Line(PageLines.Level(x, y + (high / 2), wide), Weight.Points, 0);
                foreach (var drawn in Day(cell, day, day.Month == month.Month, at,
                    numbers && from + n == 0 ? calendar.NumberOf(week) : null))
                    yield return drawn;
            }
        }
    }

    private Written Number(Bounds cell, DateOnly week, PageFacts at) =>
        Word(at.Calendar.NumberOf(week).ToString(CultureInfo.InvariantCulture), Within(cell, 2.5),
            0.55 * Math.Min(11, 0.5 * (cell.Bottom - cell.Top)), End(at));

    private IEnumerable<Drawn> Day(Bounds cell, DateOnly day, bool within, PageFacts at, int? week)
    {
        var room = Within(cell, 2.5);
        var size = Math.Min(within ? 11 : 7, 0.5 * (cell.Bottom - cell.Top));
        yield return Word(day.Day.ToString(CultureInfo.InvariantCulture), room, size, Start(at));
        if (week is { } number)
            yield return Word(number.ToString(CultureInfo.InvariantCulture), room, 0.55 * size, End(at));
        if (within && NotesOn(at, day) is { Length: > 0 } notes)
            yield return Word(notes, room with { Top = room.Top + (1.25 * size) },
                Math.Min(6.5, 0.3 * (cell.Bottom - cell.Top)), Start(at));
    }
}
