namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// A week over an opening: three days and room for notes on the first page, four days on the facing one, all of one
/// height, so that the rules meet at the fold.
/// </summary>
public sealed record WeekSpread : PlanningPage
{
    public Length Pitch { get; init; } = Length.FromMillimetres(6);

    /// <summary>Between the boxes of two days.</summary>
    public Length Gap { get; init; } = Length.FromMillimetres(3);

    /// <summary>What the room beside the days is for; empty for none said.</summary>
    public string Notes { get; init; } = "Notes";

    public override string Kind => "week over an opening";
    public override int Takes => 2;
    public override IEnumerable<string> Given => [.. base.Given, Notes];

    protected override IReadOnlyList<Field> Settings =>
    [
        Measure<WeekSpread>("pitch", "Row pitch", 4, 100, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Measure<WeekSpread>("gap", "Between days", 0, 30, d => d.Gap, (d, l) => d with { Gap = l }),
        Line<WeekSpread>("notes", "Beside the days", d => d.Notes, (d, s) => d with { Notes = s }),
    ];

    protected override DateOnly Start(DateOnly day, BookCalendar calendar) => calendar.WeekOf(day);

    protected override DateOnly Step(DateOnly start, int on) => start.AddDays(7 * on);

    protected override string Title(PageFacts at) => at.Facing ? "" : WeekTitle.Of(First(at), at);

    protected override string Side(PageFacts at) => at.Facing ? WeekTitle.Number(First(at), at) : "";

    private Length Fit(Surface page)
    {
        var high = 0.25m * (page.Safe.Height - (3 * Gap));
        return high >= Length.FromMillimetres(12) ? high
            : throw new Refusal("gap", $"days {high.Show(Unit.Millimetre)} high are too low to write in: " +
                "a day wants 12 mm");
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var _ ? (4, 1, Length.Zero) : default;

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, true, unit)}, − 3 × {Gap.Show(unit)}, ÷ 4 = {Fit(page).Show(unit)} for each day";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (high, first, safe) = (Fit(page), First(at), page.Safe);
        Bounds place(int n)
        {
            var y = (safe.Y + (n * (high + Gap))).Points;
            return new(safe.X.Points, y, safe.Right.Points, y + high.Points);
        }
        var from = at.Facing ? 3 : 0;
        foreach (var (n, weekday) in at.Calendar.Week.Skip(from).Take(at.Facing ? 4 : 3).Index())
            foreach (var drawn in Day(place(n), weekday, first?.AddDays(from + n), at, Pitch)) yield return drawn;
        if (at.Facing) yield break;
        var notes = place(3);
        yield return new Line(PageLines.Level(notes.Left, notes.Top, notes.Right - notes.Left), 2 * Weight.Points, 1);
        // Rows as a day has them, so that they meet those of the facing page.
        foreach (var row in Rows(notes with { Top = notes.Top + Head(notes) }, Pitch)) yield return row;
        if (at.Fill(Notes) is { Length: > 0 } said)
            yield return Word(said, notes with { Top = notes.Top + 3 }, 8, Start(at), heads: true);
    }
}
