namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>How the days of a week stand on a page.</summary>
public enum WeekLayout { Down, Across, TwoColumns }

/// <summary>
/// A week on a page: seven days under each other or beside each other, or in two columns with room for notes.
/// </summary>
public sealed record WeekPage : PlanningPage
{
    public WeekLayout Layout { get; init; }

    /// <summary>Of the rows in each day; none are drawn where it is larger than a day.</summary>
    public Length Pitch { get; init; } = Length.FromMillimetres(6);

    /// <summary>Between the boxes of two days.</summary>
    public Length Gap { get; init; } = Length.FromMillimetres(3);

    public override string Kind => "week";

    private static readonly (string, WeekLayout)[] Layouts =
        [("down", WeekLayout.Down), ("across", WeekLayout.Across), ("two columns", WeekLayout.TwoColumns)];

    protected override IReadOnlyList<Field> Settings =>
    [
        new Field<WeekPage, WeekLayout>("layout", "Days", Values.OneOf(Layouts), d => d.Layout,
            (d, l) => d with { Layout = l }) { Choices = [.. Layouts.Select(l => (l.Item1, l.Item1))] },
        Measure<WeekPage>("pitch", "Row pitch", 4, 100, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Measure<WeekPage>("gap", "Between days", 0, 30, d => d.Gap, (d, l) => d with { Gap = l }),
    ];

    protected override DateOnly Start(DateOnly day, BookCalendar calendar) => calendar.WeekOf(day);

    protected override DateOnly Step(DateOnly start, int on) => start.AddDays(7 * on);

    protected override string Title(PageFacts at) => WeekTitle.Of(First(at), at);

    protected override string Side(PageFacts at) => WeekTitle.Number(First(at), at);

    private (int Columns, int Rows) Parts => Layout switch
    {
        WeekLayout.Down => (1, 7),
        WeekLayout.Across => (7, 1),
        _ => (2, 4),
    };

    private (Length Wide, Length High) Fit(Surface page)
    {
        var (columns, rows) = Parts;
        var wide = 1m / columns * (page.Safe.Width - ((columns - 1) * Gap));
        var high = 1m / rows * (page.Safe.Height - ((rows - 1) * Gap));
        return wide >= Length.FromMillimetres(10) && high >= Length.FromMillimetres(10) ? (wide, high)
            : throw new Refusal("layout", $"days of {wide.Show(Unit.Millimetre)} × {high.Show(Unit.Millimetre)} are " +
                "too small to write in: a day wants 10 mm each way");
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var _ ? (Parts.Rows, Parts.Columns, Length.Zero) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var (wide, high) = Fit(page);
        var (columns, rows) = Parts;
        return rows > 1
            ? $"{PageLines.Room(page, true, unit)}, − {rows - 1} × {Gap.Show(unit)}, ÷ {rows} days = {high.Show(unit)}"
            : $"{PageLines.Room(page, false, unit)}, − {columns - 1} × {Gap.Show(unit)}, ÷ {columns} days = " +
                $"{wide.Show(unit)}";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (wide, high) = Fit(page);
        var (columns, rows) = Parts;
        var (first, safe) = (First(at), page.Safe);
        Bounds place(int n)
        {
            var (column, row) = (n / rows, n % rows);
            if (at.Mirrored) column = columns - 1 - column;
            var (x, y) = ((safe.X + (column * (wide + Gap))).Points, (safe.Y + (row * (high + Gap))).Points);
            return new(x, y, x + wide.Points, y + high.Points);
        }
        foreach (var (n, weekday) in at.Calendar.Week.Index())
            foreach (var drawn in Day(place(n), weekday, first?.AddDays(n), at, Pitch)) yield return drawn;
        if (Layout == WeekLayout.TwoColumns)
            foreach (var row in Rows(place(7), Pitch)) yield return row;
    }
}

/// <summary>What stands over a week.</summary>
internal static class WeekTitle
{
    /// <summary>“4 January – 10 January 2027”; undated, a rule to write on.</summary>
    public static string Of(DateOnly? first, PageFacts at)
    {
        var names = at.Calendar.Called;
        if (first is not { } day) return $"{names.Week} ______________";
        var last = day.AddDays(6);
        return $"{names.Say(day)} – {names.Say(last)} {last.Year.ToString(CultureInfo.InvariantCulture)}";
    }

    /// <summary>“week 1”.</summary>
    public static string Number(DateOnly? first, PageFacts at) => first is { } day && at.Calendar.Numbers
        ? $"{at.Calendar.Called.Week} {at.Calendar.NumberOf(day).ToString(CultureInfo.InvariantCulture)}" : "";
}
