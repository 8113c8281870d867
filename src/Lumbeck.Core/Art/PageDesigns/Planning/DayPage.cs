namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>A day with its hours, and rows below for what is left of the page.</summary>
public sealed record DayPage : PlanningPage
{
    /// <summary>The first and last hour, 0 to 23.</summary>
    public int From { get; init; } = 7;
    public int Until { get; init; } = 20;

    /// <summary>Rows for each hour: 1, 2 or 4.</summary>
    public int Parts { get; init; } = 1;

    public Length Pitch { get; init; } = Length.FromMillimetres(7.5m);

    /// <summary>Of the column that says the hour.</summary>
    public Length Hours { get; init; } = Length.FromMillimetres(12);

    /// <summary>Whether the month stands small beside the heading’s own room.</summary>
    public bool Month { get; init; }

    public override string Kind => "day";

    protected override IReadOnlyList<Field> Settings =>
    [
        Count<DayPage>("from", "First hour", 0, 23, d => d.From, (d, n) => d with { From = n }),
        Count<DayPage>("until", "Last hour", 0, 23, d => d.Until, (d, n) => d with { Until = n }),
        new Field<DayPage, int>("parts", "Rows an hour", Values.Counts("2"), d => d.Parts,
            (d, n) => d with { Parts = n })
        { Fault = (n, _) => n is 1 or 2 or 4 ? null : $"{n} rows an hour can't be drawn: 1, 2 or 4, from 1 to 4" },
        Measure<DayPage>("pitch", "Row pitch", 3, 40, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Measure<DayPage>("hours", "Hours’ column", 6, 40, d => d.Hours, (d, l) => d with { Hours = l }),
        new Field<DayPage, bool>("month", "Month in the corner", Values.Switch, d => d.Month,
            (d, b) => d with { Month = b }),
    ];

    protected override DateOnly Start(DateOnly day, BookCalendar calendar) => day;

    protected override DateOnly Step(DateOnly start, int on) => start.AddDays(on);

    protected override string Title(PageFacts at) => First(at) is { } day
        ? $"{CalendarNames.Capital(at.Calendar.Called.DayOf(day.DayOfWeek))} {at.Calendar.Called.Say(day)}"
        : ToWrite(at.Calendar.Called.Day);

    protected override string Side(PageFacts at) => First(at) is { } day
        ? day.Year.ToString(CultureInfo.InvariantCulture) : "";

    /// <exception cref="Refusal">The hours end before they begin, or their rows don’t fit.</exception>
    private (int Rows, int Below, Length Over) Fit(Surface page)
    {
        if (Until < From) throw new Refusal("until", $"hours that end at {Until} end before they begin at {From}");
        var rows = (Until - From + 1) * Parts;
        var all = Fitted.Of(page.Safe.Height, Pitch, "row");
        return rows <= all.Count ? (rows, all.Count - rows, all.Over)
            : throw new Refusal("pitch", $"{rows} rows for {From} to {Until} o’clock are more than the {all.Count} " +
                $"of {Pitch.Show(Unit.Millimetre)} that fit");
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var (rows, below, over) ? (rows + below, null, over) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var (rows, below, over) = Fit(page);
        return $"{PageLines.Room(page, true, unit)}, ÷ {Pitch.Show(unit)} = {rows + below} rows: " +
            $"{Until - From + 1} hours × {Parts}, {below} for notes; {over.Show(unit)} over, given to the head";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (rows, below, over) = Fit(page);
        var (safe, pitch, hours) = (page.Safe, Pitch.Points, Hours.Points);
        var (left, wide, top) = (safe.X.Points, safe.Width.Points, (safe.Y + over).Points);
        double y(int row) => top + (row * pitch);
        var corner = Month && First(at) is not null ? Math.Min(wide * 0.4, Length.FromMillimetres(34).Points) : 0;
        // Rules beside the small month end before it.
        bool beside(int row) => corner > 0 && y(row) > y(rows + below) - corner - 2;
        yield return PageLines.Again(PageLines.Level(0, 0, wide), Weight, 0,
            Enumerable.Range(1, rows + below).Where(n => n != rows && !(n < rows && n % Parts != 0) && !beside(n))
                .Select(n => (left, y(n))));
        if (corner > 0)
            yield return PageLines.Again(PageLines.Level(0, 0, wide - corner - 8), Weight, 0,
                Enumerable.Range(rows + 1, below).Where(beside)
                    .Select(n => (at.Mirrored ? left + corner + 8 : left, y(n))));
        yield return PageLines.Again(PageLines.Level(0, 0, wide), 2m * Weight, 1, [(left, y(0)), (left, y(rows))]);
        if (Parts > 1)
            yield return PageLines.Again(PageLines.Level(0, 0, wide - hours), 0.75m * Weight, 0,
                Enumerable.Range(1, rows - 1).Where(n => n % Parts != 0)
                    .Select(n => (at.Mirrored ? left : left + hours, y(n))));
        yield return PageLines.Again(PageLines.Upright(0, 0, rows * pitch), Weight, 0,
            [(at.Mirrored ? left + wide - hours : left + hours, y(0))]);
        var size = Math.Min(9, 0.55 * pitch);
        var x = at.Mirrored ? left + wide - hours + 3 : left;
        for (var hour = From; hour <= Until; hour++)
        {
            var row = (hour - From) * Parts;
            yield return Word(hour.ToString(CultureInfo.InvariantCulture),
                new(x, y(row), x + hours - 3, y(row + 1) - (0.25 * pitch)), size, Start(at), Stand.Foot);
        }
        if (First(at) is not { } day) yield break;
        if (NotesOn(at, day) is { Length: > 0 } notes)
            yield return Word(notes, new(at.Mirrored ? left : left + hours + 4, y(0) + 2,
                at.Mirrored ? left + wide - hours - 4 : left + wide, y(Math.Min(rows, 2))), 0.8 * size, Start(at));
        if (!Month) yield break;
        var foot = y(rows + below);
        if (below * pitch < corner) throw new Refusal("month", $"a month wants {Length.FromPoints((decimal)corner)
            .Show(Unit.Millimetre)} under the hours, where {(below * Pitch).Show(Unit.Millimetre)} are left");
        var end = at.Mirrored ? left : left + wide - corner;
        foreach (var drawn in MonthGrid.Draw(new(end, foot - corner, end + corner, foot), day.Year, day.Month, at,
            InWords, 1, Weight.Points))
            yield return drawn;
    }
}
