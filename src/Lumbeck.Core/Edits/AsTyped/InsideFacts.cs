namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>What all pages of an inside share, as it is typed.</summary>
public static class InsideFacts
{
    private const string FromRuns = "from the runs";

    private static readonly (string, FolioPlace)[] Places =
    [
        ("outer foot", FolioPlace.OuterFoot), ("middle of the foot", FolioPlace.MiddleFoot),
            ("outer head", FolioPlace.OuterHead),
        ("none", FolioPlace.None),
    ];

    private const string OfBook = "the book’s language";

    private static readonly (string, DayOfWeek)[] Firsts =
        [("Monday", DayOfWeek.Monday), ("Sunday", DayOfWeek.Sunday), ("Saturday", DayOfWeek.Saturday)];

    private static readonly (string, CreepMode)[] Creeps =
        [("toward the fold", CreepMode.TowardFold), ("balanced", CreepMode.Balanced), ("none", CreepMode.None)];

    public static IReadOnlyList<Fact> All { get; } =
    [
        new("inside/count", "Count", j => j.Inside?.Fixed is { } n ? $"{n} pages" : FromRuns,
            (j, t) => Set(j, "count", i => i with { Fixed = t.Trim() is "" or FromRuns or "free" ? null : Pages(t) })),
        new("inside/bleed", "Bleed", j => j.Inside?.Bleeds == true ? "yes" : "no",
            (j, t) => Set(j, "bleed", i => i with { Bleeds = Typed.Choice(t, [("yes", true), ("no", false)]) }))
            { Choices = j => [("no", "none"), ("yes", Bleeding(j.Ticket))] },
        Margin("head", "Head", m => m.Head, (m, l) => m with { Head = l }),
        Margin("fore-edge", "Fore-edge", m => m.ForeEdge, (m, l) => m with { ForeEdge = l }),
        Margin("foot", "Foot", m => m.Foot, (m, l) => m with { Foot = l }),
        Margin("gutter", "Gutter", m => m.Gutter, (m, l) => m with { Gutter = l }),
        new("inside/folio", "Folio", j => Places.First(p => p.Item2 == (j.Inside ?? new()).Folio.Place).Item1,
            (j, t) => Set(j, "folio", i => i with { Folio = i.Folio with { Place = Typed.Choice(t, Places) } }))
            { Choices = Facts.Of([.. Places.Select(p => (p.Item1, p.Item1))]) },
        new("inside/folio-first", "First number", j => (j.Inside ?? new()).Folio.First.ToString(CultureInfo.InvariantCulture),
            (j, t) => Set(j, "first folio",
                i => i with { Folio = i.Folio with { First = Within(Typed.Whole(t, "1"), 0, 99_999) } })),
        new("inside/folio-size", "Size", j => (j.Inside ?? new()).Folio.Size.ShowPoints(),
            (j, t) => Set(j, "size of folios",
                i => i with { Folio = i.Folio with { Size = Ranged(Typed.Points(t), 5, 36) } })),
        new("inside/folio-beside", "Beside it", j => (j.Inside ?? new()).Folio.Beside,
            (j, t) => Set(j, "words beside folios", i => i with { Folio = i.Folio with { Beside = Plain.Line(t) } })),
        Face("text-face", "Text in", i => i.Text, (i, f) => i with { Text = f }),
        Face("heads-face", "Heads in", i => i.Heads, (i, f) => i with { Heads = f }),
        Tab("tab-head", "From head", t => t.Head, (t, l) => t with { Head = l }),
        Tab("tab-foot", "From foot", t => t.Foot, (t, l) => t with { Foot = l }),
        Tab("tab-gap", "Between", t => t.Gap, (t, l) => t with { Gap = l }),
        Tab("tab-depth", "Deep", t => t.Depth, (t, l) => t with { Depth = l }),
        new("inside/language", "Calendars in", j => (j.Inside ?? new()).Calendar.Language ?? OfBook,
            (j, t) => Set(j, "language of calendars", i => i with
            {
                Calendar = i.Calendar with { Language = t.Trim() is "" or OfBook ? null : Named(t.Trim()) },
            }))
            { Choices = _ => [(OfBook, OfBook), .. CalendarNames.Codes.Select(c => (c, Language.Of(c).Name))] },
        new("inside/first-weekday", "Weeks begin on", j => Firsts.First(f => f.Item2 == (j.Inside ?? new()).Calendar.First).Item1,
            (j, t) => Set(j, "first day of the week",
                i => i with { Calendar = i.Calendar with { First = Typed.Choice(t, Firsts) } }))
            { Choices = Facts.Of([.. Firsts.Select(f => (f.Item1, f.Item1))]) },
        new("inside/week-numbers", "Their numbers", j => (j.Inside ?? new()).Calendar.Numbers ? "yes" : "no",
            (j, t) => Set(j, "numbers of weeks", i => i with
            {
                Calendar = i.Calendar with { Numbers = Typed.Choice(t, [("yes", true), ("no", false)]) },
            })),
        new("inside/creep", "Creep", j => Creeps.First(c => c.Item2 == (j.Inside ?? new()).Creep).Item1,
            (j, t) => Set(j, "creep", i => i with { Creep = Typed.Choice(t, Creeps) }))
            { Choices = Facts.Of([.. Creeps.Select(c => (c.Item1, c.Item1))]) },
    ];

    /// <summary>How pages of a house bleed, in words: “three sides, 3 mm”.</summary>
    public static string Bleeding(Ticket t) => t.House.Inside.Bleed switch
    {
        PageBleed.None => $"{t.House.Name} takes none",
        PageBleed.Three => $"three sides, {t.House.Inside.BleedWidth.Show(t.Unit)}",
        _ => $"four sides, {t.House.Inside.BleedWidth.Show(t.Unit)}",
    };

    private static SetInside Set(Job job, string what, Func<Inside, Inside> change) =>
        new(change(job.Inside ?? new()), what);

    private static string Named(string code) =>
        CalendarNames.Codes.Contains(code) ? code : throw Typed.No(Missing(code));

    private static string Missing(string code) => Attempt.Of(() => CalendarNames.Of(code)).Why?.Message ?? "";

    private static int Pages(string text) =>
        Within(Typed.Whole(text.Replace("pages", "", StringComparison.OrdinalIgnoreCase), "120"),
        1, Inside.MostPages);

    internal static int Within(int n, int least, int most) =>
        n >= least && n <= most ? n : throw Typed.No($"{n} can't be: from {least} to {most}");

    private static Length Ranged(Length l, decimal least, decimal most) =>
        l >= Length.FromPoints(least) && l <= Length.FromPoints(most) ? l
            : throw Typed.No($"{l.ShowPoints()} can't be: from {least} pt to {most} pt");

    internal static Length Margin(Length l, Job job) => l.Units >= 0 && l <= Length.FromMillimetres(200) ? l
        : throw Typed.No($"a margin of {l.Show(job.Ticket.Unit)} can't be: from 0 to " +
            $"{Length.FromMillimetres(200).Show(job.Ticket.Unit)}");

    private static Fact Margin(string key, string label, Func<PageMargins, Length?> of,
        Func<PageMargins, Length?, PageMargins> to) =>
        new($"inside/{key}", label, j => of((j.Inside ?? new()).Margins)?.Show(j.Ticket.Unit) ?? "as the printer’s",
            (j, t) => Set(j, key, i => i with
            {
                Margins = to(i.Margins, t.Trim() is "" or "as the printer’s" ? null : Margin(Facts.Length(j, t), j)),
            }));

    private static Fact Tab(string key, string label, Func<ThumbIndex, Length> of,
        Func<ThumbIndex, Length, ThumbIndex> to) =>
        new($"inside/{key}", label, j => of((j.Inside ?? new()).Tabs).Show(j.Ticket.Unit),
            (j, t) => Set(j, "thumb index", i => i with { Tabs = to(i.Tabs, Margin(Facts.Length(j, t), j)) }));

    private static Fact Face(string key, string label, Func<Inside, FaceId> of, Func<Inside, FaceId, Inside> to) =>
        new($"inside/{key}", label, j => of(j.Inside ?? new()).ToString(),
            (j, t) => Set(j, label.ToLowerInvariant(), i => to(i, FaceId.TryParse(t.Trim(), out var face) ? face
                : throw Typed.No($"`{LengthText.Clip(t)}` is no face: pick one of the list"))));
}
