namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Habits down, the days of a month across, a box for each.</summary>
public sealed record HabitMonth : PlanningPage
{
    /// <summary>A habit a line; rows below them are to write on.</summary>
    public string Habits { get; init; } = "Water\nWalk\nRead\nSleep by eleven\n\n\n\n\n\n";

    /// <summary>Of the column that names them.</summary>
    public Length Names { get; init; } = Length.FromMillimetres(26);

    public Length Pitch { get; init; } = Length.FromMillimetres(8);

    public override string Kind => "habit month";
    public override IEnumerable<string> Given => [.. base.Given, Habits];
    public override bool Varies => true;

    protected override IReadOnlyList<Field> Settings =>
    [
        Lines<HabitMonth>("habits", "Habits", d => d.Habits, (d, s) => d with { Habits = s }),
        Measure<HabitMonth>("names", "Names’ column", 10, 80, d => d.Names, (d, l) => d with { Names = l }),
        Measure<HabitMonth>("pitch", "Row pitch", 4, 30, d => d.Pitch, (d, l) => d with { Pitch = l }),
    ];

    protected override DateOnly Start(DateOnly day, BookCalendar calendar) => new(day.Year, day.Month, 1);

    protected override DateOnly Step(DateOnly start, int on) => start.AddMonths(on);

    protected override string Title(PageFacts at) => First(at) is { } first
        ? at.Calendar.Called.Say(first.Year, first.Month) : ToWrite(at.Calendar.Called.Month);

    protected override string Side(PageFacts at) => First(at) is { } first
        ? NotesFrom(at, first, first.AddMonths(1), d => d.Day.ToString(CultureInfo.InvariantCulture)) : "";

    private string[] All => Habits.Split('\n');

    private int RowsShown(Surface page) => Math.Max(All.Length, Fitted.Of(page.Safe.Height, Pitch, "row").Count - 1);

    /// <exception cref="Refusal">They don’t fit.</exception>
    private (Length Column, Length Over) Fit(Surface page, int days)
    {
        var rows = Fitted.Of(page.Safe.Height, Pitch, "row").Count - 1;
        if (All.Length > rows)
            throw new Refusal("habits", $"{All.Length} habits under a row of days are more than the {rows} rows of " +
                $"{Pitch.Show(Unit.Millimetre)} that fit");
        var column = 1m / days * (page.Safe.Width - Names);
        return column >= Length.FromMillimetres(1.6m)
            ? (column, page.Safe.Height - ((rows + 1) * Pitch))
            : throw new Refusal("names", $"{days} days beside names of {Names.Show(Unit.Millimetre)} leave " +
                $"{Length.Max(column, default).Show(Unit.Millimetre)} for each: a box wants 1.6 mm");
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page, 31) is var (_, over) ? (RowsShown(page), 31, over) : default;

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, false, unit)}, − {Names.Show(unit)}, ÷ 31 days = " +
            $"{Fit(page, 31).Column.Show(unit)}; {PageLines.Room(page, true, unit)}, ÷ " +
            $"{Pitch.Show(unit)} = {RowsShown(page)} habits under a row of days, {Fit(page, 31).Over.Show(unit)} over";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var first = First(at);
        var days = first is { } f ? BookCalendar.DaysOf(f.Year, f.Month) : 31;
        var (column, _) = Fit(page, days);
        var (safe, pitch, names, wide) = (page.Safe, Pitch.Points, Names.Points, column.Points);
        var (left, top, rows) = (safe.X.Points, safe.Y.Points, RowsShown(page));
        double x(int day) => at.Mirrored ? safe.Right.Points - names - (day * wide) : left + names + ((day - 1) * wide);
        yield return PageLines.Again(PageLines.Level(0, 0, safe.Width.Points), Weight, 0,
            Enumerable.Range(2, rows).Select(n => (left, top + (n * pitch))));
        yield return PageLines.Again(PageLines.Level(0, 0, safe.Width.Points), 2m * Weight, 1, [(left, top + pitch)]);
        var edges = Enumerable.Range(1, days).Select(x).Append(x(days) + wide).Append(x(1)).Append(x(1) + wide)
            .DistinctBy(e => Math.Round(e, 2));
        yield return PageLines.Again(PageLines.Upright(0, 0, rows * pitch), Weight, 0,
            edges.Select(e => (e, top + pitch)));
        var size = Math.Min(7, 0.72 * wide);
        for (var day = 1; day <= days; day++)
        {
            yield return Word(day.ToString(CultureInfo.InvariantCulture),
                new(Math.Max(left, x(day) - 4), top,
                Math.Min(safe.Right.Points, x(day) + wide + 4), top + (0.8 * pitch)), size, Align.Centre, Stand.Foot);
            if (first is { } month && at.Calendar.Notes.On(month.AddDays(day - 1)).Any())
                yield return new Line(PageLines.Level(x(day) + (0.15 * wide), top + (0.9 * pitch), 0.7 * wide),
                    2 * Weight.Points, 1);
        }
        foreach (var (n, habit) in All.Index())
        {
            var y = top + ((n + 1) * pitch);
            var start = at.Mirrored ? safe.Right.Points - names : left;
            yield return Word(at.Fill(habit), new(start, y, start + names - 2, y + (0.76 * pitch)),
                Math.Min(9, 0.5 * pitch), Start(at), Stand.Foot);
        }
    }
}
