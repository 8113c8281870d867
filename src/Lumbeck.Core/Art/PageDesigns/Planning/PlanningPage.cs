namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// A page for a day, a week, a month or a year: of its run’s stretch, of a date that is given, or undated where
/// neither is (docs/inside.md, Calendars).
/// </summary>
public abstract record PlanningPage : PageDesign
{
    /// <summary>
    /// The day, month or year that its first page is for where its run has no stretch; empty for undated.
    /// </summary>
    public string Begins { get; init; } = "";

    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    protected override ImmutableArray<string> OwnSlots => ["Rules", "Heavy rules"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        new Field<PlanningPage, string>("begins", "Begins", Values.Line, d => d.Begins, (d, s) => d with { Begins = s })
        { Fault = (s, _) => s.Length == 0 || Read(s) is not null ? null : $"{LengthText.Clip(s)} is no day: " +
            "2027, 2027-03 or 2027-03-15, from 1900 to 2100; nothing for undated pages" },
        .. Settings,
        Weighed<PlanningPage>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    protected abstract IReadOnlyList<Field> Settings { get; }

    /// <summary>The first day of the day, week, month or year that holds this one.</summary>
    protected abstract DateOnly Start(DateOnly day, BookCalendar calendar);

    /// <summary>So many days, weeks, months or years on.</summary>
    protected abstract DateOnly Step(DateOnly start, int on);

    /// <summary>The first day that a page is for; null where it is undated.</summary>
    protected DateOnly? First(PageFacts at)
    {
        if (at.Day is { } day) return Start(day, at.Calendar);
        if (Read(Begins) is not { } begins) return null;
        var first = Step(Start(begins, at.Calendar), at.Time - 1);
        return first.Year <= 2100 ? first : throw new Refusal("begins",
            $"page {at.Time} from {Begins} on is for {first.Year}: calendars here go to 2100");
    }

    /// <summary>The first day of what a page shows, and the first after it; null where it is undated.</summary>
    public (DateOnly From, DateOnly Before)? Covers(PageFacts at) => Shows(at) is { } first ? (first, Step(first, 1)) : null;

    /// <summary>The first day that a page shows.</summary>
    protected virtual DateOnly? Shows(PageFacts at) => First(at);

    /// <summary>What stands over a page that is given no heading.</summary>
    protected abstract string Title(PageFacts at);

    protected virtual string Side(PageFacts at) => "";

    protected override string HeadingOf(PageFacts at) =>
        Heading.Length > 0 ? at.Fill(Heading) : CalendarNames.Capital(Title(at));

    protected override string BesideOf(PageFacts at) => Beside.Length > 0 ? at.Fill(Beside) : Side(at);

    /// <summary>A word and a rule to write on: “week ______”.</summary>
    protected static string ToWrite(string word, int letters = 14) => $"{word} {new string('_', letters)}";

    private static DateOnly? Read(string text)
    {
        foreach (var pattern in (string[])["yyyy-MM-dd", "yyyy-MM", "yyyy"])
            if (DateOnly.TryParseExact(text, pattern, CultureInfo.InvariantCulture, DateTimeStyles.None, out var day)
                && day.Year is >= 1900 and <= 2100)
                return day;
        return null;
    }

    /// <summary>What falls on a day, in one line.</summary>
    protected static string NotesOn(PageFacts at, DateOnly day) =>
        string.Join(" · ", at.Calendar.Notes.On(day).Select(n => n.Text));

    /// <summary>Where the so-manieth of a few columns begins: from the right in a book read that way.</summary>
    protected static double Column(Box room, int n, int of, PageFacts at) => room.X.Points
        + ((at.Mirrored ? of - 1 - n : n) * room.Width.Points / of);

    /// <summary>
    /// Most letters of the notes beside a heading; what is more is told by an ellipsis, and marked at its day.
    /// </summary>
    private const int MostBeside = 60;

    /// <summary>What falls on a stretch of days, each with its day, in a line beside the heading.</summary>
    protected static string NotesFrom(PageFacts at, DateOnly first, DateOnly until, Func<DateOnly, string> say)
    {
        if (at.Calendar.Notes.All.IsEmpty) return "";
        var line = "";
        for (var day = first; day < until; day = day.AddDays(1))
        {
            if (NotesOn(at, day) is not { Length: > 0 } notes) continue;
            var next = line + (line.Length > 0 ? " · " : "") + $"{say(day)} {notes}";
            if (next.Length > MostBeside) return line.Length > 0 ? line + " · …" : next[..(MostBeside - 1)] + "…";
            line = next;
        }
        return line;
    }

    /// <summary>The side that words begin on.</summary>
    protected static Align Start(PageFacts at) => at.Mirrored ? Align.Right : Align.Left;

    protected static Align End(PageFacts at) => at.Mirrored ? Align.Left : Align.Right;

    protected Written Word(string words, Bounds box, double size, Align align = Align.Left, Stand stand = Stand.Head,
        bool heads = false) => new(words, box, size, InWords) { Align = align, Stand = stand, Heads = heads, Fits = true };

    /// <summary>Rows to write on, from the foot up: as many as a pitch fits.</summary>
    protected IEnumerable<Drawn> Rows(Bounds box, Length pitch)
    {
        var count = (int)((box.Bottom - box.Top) / pitch.Points);
        if (count > 0)
            yield return PageLines.Again(PageLines.Level(0, 0, box.Right - box.Left), Weight, 0,
                Enumerable.Range(0, count).Select(n => (box.Left, box.Bottom - (n * pitch.Points))));
    }

    /// <summary>A box’s own outline, within it.</summary>
    protected static Line Frame(Bounds b, double weight, int slot) => new(Shapes.Box(b.Left + (weight / 2),
        b.Top + (weight / 2), b.Right - (weight / 2), b.Bottom - (weight / 2)), weight, slot);

    /// <summary>A box smaller by so much on each side.</summary>
    protected static Bounds Within(Bounds b, double by) => new(b.Left + by, b.Top + by, b.Right - by, b.Bottom - by);

    /// <summary>
    /// A day to write in: a heavy rule, under it the weekday and the date, what falls on it, and rows from the foot up.
    /// </summary>
    protected IEnumerable<Drawn> Day(Bounds box, DayOfWeek weekday, DateOnly? day, PageFacts at, Length pitch)
    {
        var names = at.Calendar.Called;
        var size = Math.Clamp(0.14 * (box.Bottom - box.Top), 7, 11);
        var wide = box.Right - box.Left;
        yield return new Line(PageLines.Level(box.Left, box.Top, wide), 2 * Weight.Points, 1);
        var head = box with { Top = box.Top + (0.35 * size) };
        var name = names.DayOf(weekday);
        if (0.55 * size * (name.Length + 4) > wide) name = names.ShortOf(weekday);
        yield return Word(CalendarNames.Capital(name), head, size, Start(at), heads: true);
        if (day is { } date)
        {
            // Where a column is narrow the number alone stands for the date.
            var said = wide > 22 * size ? names.Say(date) : date.Day.ToString(CultureInfo.InvariantCulture);
            yield return Word(said, head, size, End(at), heads: true);
            if (NotesOn(at, date) is { Length: > 0 } notes)
                yield return Word(notes, head with { Top = head.Top + (1.3 * size), Bottom = box.Bottom }, 0.72 * size,
                    Start(at));
        }
        foreach (var row in Rows(box with { Top = box.Top + Head(box) }, pitch)) yield return row;
    }

    /// <summary>What a day’s name and the notes on it take of its box.</summary>
    protected static double Head(Bounds box) => 2.6 * Math.Clamp(0.14 * (box.Bottom - box.Top), 7, 11);
}
