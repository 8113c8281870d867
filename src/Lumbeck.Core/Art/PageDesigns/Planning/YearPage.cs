namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// Twelve months on a page, or six on each page of an opening; undated, a box to write in for each month.
/// </summary>
public sealed record YearPage : PlanningPage
{
    /// <summary>The year; 0 for that of its run’s stretch, or none.</summary>
    public int Year { get; init; }

    /// <summary>Months beside each other.</summary>
    public int Across { get; init; } = 3;

    /// <summary>Between two months, across and down.</summary>
    public Length Gap { get; init; } = Length.FromMillimetres(5);

    public override string Kind => "year";
    public override bool Varies => true;

    protected override IReadOnlyList<Field> Settings =>
    [
        new Field<YearPage, int>("year", "Year", Values.Counts("2027"), d => d.Year, (d, n) => d with { Year = n })
        { Fault = (n, _) => n is 0 or (>= 1900 and <= 2100) ? null : $"{n} has no calendar here: from 1900 to 2100, " +
            "or 0 for that of the run" },
        Count<YearPage>("across", "Months across", 1, 6, d => d.Across, (d, n) => d with { Across = n }),
        Measure<YearPage>("gap", "Between", 0, 30, d => d.Gap, (d, l) => d with { Gap = l }),
    ];

    // A year that is said to begin with another month goes on from there: July to June.
    protected override DateOnly Start(DateOnly day, BookCalendar calendar) => new(day.Year, day.Day == 1 ? day.Month : 1, 1);

    protected override DateOnly Step(DateOnly start, int on) => start.AddYears(on);

    protected override DateOnly? Shows(PageFacts at) => Year > 0 ? new DateOnly(Year, 1, 1) : First(at);

    protected override string Title(PageFacts at) => Shows(at) is not { } year ? ToWrite(at.Calendar.Called.Year)
        : year.Month == 1 ? year.Year.ToString(CultureInfo.InvariantCulture)
        : string.Create(CultureInfo.InvariantCulture, $"{year.Year}–{year.Year + 1}");

    protected override string Side(PageFacts at) => Shows(at) is { } year
        ? NotesFrom(at, year, year.AddYears(1), at.Calendar.Called.Say) : "";

    private (int Rows, Length Wide, Length High) Fit(Surface page, int months)
    {
        var rows = (months + Across - 1) / Across;
        var (wide, high) = (1m / Across * (page.Safe.Width - ((Across - 1) * Gap)),
            1m / rows * (page.Safe.Height - ((rows - 1) * Gap)));
        return wide >= Length.FromMillimetres(18) && high >= Length.FromMillimetres(18) ? (rows, wide, high)
            : throw new Refusal("across", $"{Across} months across and {rows} down leave {wide.Show(Unit.Millimetre)} × " +
                $"{high.Show(Unit.Millimetre)} for each: a month wants 18 mm each way");
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        (Fit(page, 12).Rows, Across, Length.Zero);

    protected override string Sum(Surface page, Unit unit)
    {
        var (rows, wide, high) = Fit(page, 12);
        return $"{PageLines.Room(page, false, unit)}, − {Across - 1} × {Gap.Show(unit)}, ÷ {Across} months = " +
            $"{wide.Show(unit)}; {PageLines.Room(page, true, unit)}, − {rows - 1} × {Gap.Show(unit)}, ÷ {rows} = " +
            $"{high.Show(unit)}";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var months = at.Opens ? 6 : 12;
        var (_, wide, high) = Fit(page, months);
        var safe = page.Safe;
        // The page of an opening that is read second has the later half.
        var first = at.Opens && at.Facing ? 7 : 1;
        for (var n = 0; n < months; n++)
        {
            var column = at.Mirrored ? Across - 1 - (n % Across) : n % Across;
            var (x, y) = ((safe.X + (column * (wide + Gap))).Points, (safe.Y + (n / Across * (high + Gap))).Points);
            var box = new Bounds(x, y, x + wide.Points, y + high.Points);
            if (Shows(at) is { } year)
            {
                var month = year.AddMonths(first + n - 1);
                foreach (var drawn in MonthGrid.Draw(box, month.Year, month.Month, at, InWords, 1, Weight.Points))
                    yield return drawn;
                continue;
            }
            yield return Frame(box, Weight.Points, 0);
            yield return Word(CalendarNames.Capital(at.Calendar.Called.Months[first + n - 1]),
                Within(box, 4), Math.Min(9, (0.1 * high.Points) + 4), Start(at), heads: true);
        }
    }
}
