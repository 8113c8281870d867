namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>A week of meals: days down, meals across, and a list to shop by at the foot.</summary>
public sealed record MealWeek : PlanningPage
{
    /// <summary>Meals of a day, parted by dots.</summary>
    public string Meals { get; init; } = "Breakfast · Lunch · Supper";

    /// <summary>What the rows at the foot are for.</summary>
    public string List { get; init; } = "To buy";

    /// <summary>Rows of that list; 0 for none.</summary>
    public int Lines { get; init; } = 5;

    public Length Pitch { get; init; } = Length.FromMillimetres(7);

    /// <summary>Of the column that names the days.</summary>
    public Length Days { get; init; } = Length.FromMillimetres(22);

    public override string Kind => "meal week";
    public override IEnumerable<string> Given => [.. base.Given, Meals, List];

    protected override IReadOnlyList<Field> Settings =>
    [
        Line<MealWeek>("meals", "Meals", d => d.Meals, (d, s) => d with { Meals = s }),
        Line<MealWeek>("list", "List’s head", d => d.List, (d, s) => d with { List = s }),
        Count<MealWeek>("lines", "List’s rows", 0, 30, d => d.Lines, (d, n) => d with { Lines = n }),
        Measure<MealWeek>("pitch", "Row pitch", 4, 30, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Measure<MealWeek>("days", "Days’ column", 10, 60, d => d.Days, (d, l) => d with { Days = l }),
    ];

    protected override DateOnly Start(DateOnly day, BookCalendar calendar) => calendar.WeekOf(day);

    protected override DateOnly Step(DateOnly start, int on) => start.AddDays(7 * on);

    protected override string Title(PageFacts at) => WeekTitle.Of(First(at), at);

    protected override string Side(PageFacts at) => WeekTitle.Number(First(at), at);

    private string[] All => Meals.Split('·', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);

    /// <exception cref="Refusal">They don’t fit.</exception>
    private (Length Wide, Length High, Length Top) Fit(Surface page)
    {
        var meals = Math.Max(1, All.Length);
        var wide = 1m / meals * (page.Safe.Width - Days);
        // A row for the meals’ names over the days, a row’s room for the list’s own name.
        var high = 1m / 7 * (page.Safe.Height - Pitch - (Lines == 0 ? Length.Zero : (Lines + 1) * Pitch));
        return wide >= Length.FromMillimetres(10) && high >= Length.FromMillimetres(8) ? (wide, high, Pitch)
            : throw new Refusal("lines", $"cells of {Length.Max(wide, default).Show(Unit.Millimetre)} × " +
                $"{Length.Max(high, default).Show(Unit.Millimetre)} are too small to write in: " +
                "fewer meals, or a shorter list");
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var _ ? (7, Math.Max(1, All.Length), Length.Zero) : default;

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, true, unit)}, − {Pitch.Show(unit)} − {(Lines == 0 ? 0 : Lines + 1)} × " +
            $"{Pitch.Show(unit)}, ÷ 7 days = {Fit(page).High.Show(unit)}; {PageLines.Room(page, false, unit)}, − " +
            $"{Days.Show(unit)}, ÷ {Math.Max(1, All.Length)} = {Fit(page).Wide.Show(unit)}";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (wide, high, head) = Fit(page);
        var (safe, first, names) = (page.Safe, First(at), at.Calendar.Called);
        var (left, top) = (safe.X.Points, (safe.Y + head).Points);
        var meals = Math.Max(1, All.Length);
        double edge(int n) => at.Mirrored ? (safe.Right - Days - (n * wide)).Points : (safe.X + Days + (n * wide)).Points;
        yield return PageLines.Again(PageLines.Level(0, 0, safe.Width.Points), Weight, 0,
            Enumerable.Range(1, 7).Select(n => (left, top + (n * high.Points))));
        yield return PageLines.Again(PageLines.Level(0, 0, safe.Width.Points), 2m * Weight, 1, [(left, top)]);
        yield return PageLines.Again(PageLines.Upright(0, 0, 7 * high.Points), Weight, 0,
            Enumerable.Range(0, meals).Select(n => (edge(n), top)));
        foreach (var (n, meal) in All.Index())
        {
            var x = Math.Min(edge(n), edge(n + 1));
            yield return Word(at.Fill(meal), new(x, safe.Y.Points, x + wide.Points, top - 3), 8.5, Align.Centre,
                Stand.Foot);
        }
        var column = at.Mirrored ? (safe.Right - Days).Points + 3 : left;
        var full = at.Calendar.Week.All(day => 5.2 * names.DayOf(day).Length <= Days.Points);
        foreach (var (n, weekday) in at.Calendar.Week.Index())
        {
            var y = top + (n * high.Points);
            var box = new Bounds(column, y + 3, column + Days.Points - 3, y + high.Points);
            var name = full ? names.DayOf(weekday) : names.ShortOf(weekday);
            yield return Word(CalendarNames.Capital(name), box, 9.5, Start(at), heads: true);
            if (first?.AddDays(n) is not { } day) continue;
            var notes = NotesOn(at, day);
            yield return Word(day.Day.ToString(CultureInfo.InvariantCulture) + (notes.Length > 0 ? $" · {notes}" : ""),
                box with { Top = box.Top + 12 }, 7.5, Start(at));
        }
        if (Lines == 0) yield break;
        var foot = safe.Bottom.Points;
        yield return PageLines.Again(PageLines.Level(0, 0, safe.Width.Points), Weight, 0,
            Enumerable.Range(0, Lines).Select(n => (left, foot - (n * Pitch.Points))));
        yield return Word(at.Fill(List), new(left, foot - ((Lines + 1) * Pitch.Points), safe.Right.Points,
            foot - (Lines * Pitch.Points)), 9.5, Start(at), Stand.Foot, heads: true);
    }
}
