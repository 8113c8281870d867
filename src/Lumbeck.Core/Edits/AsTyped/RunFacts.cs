namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>
/// What is given of a run, as it is typed: how far it goes, where it begins, and its designs’ settings.
/// </summary>
public static class RunFacts
{
    private const string AsAll = "as all";

    public static readonly (string Word, RunKind Kind)[] Goes =
    [
        ("pages", RunKind.Pages), ("spreads", RunKind.Spreads), ("sets", RunKind.Sets),
            ("rows of a table", RunKind.Rows),
        ("days", RunKind.Days), ("weeks", RunKind.Weeks), ("months", RunKind.Months), ("the rest", RunKind.Rest),
        ("as long as it needs", RunKind.Needed),
    ];

    private static readonly (string, BeginsOn)[] Begins =
        [("next page", BeginsOn.Next), ("odd page", BeginsOn.Odd), ("even page", BeginsOn.Even)];

    private static readonly (string, Backs)[] Sides =
        [("two sides", Backs.Pages), ("backs blank", Backs.Blank), ("backs black", Backs.Solid),
            ("backs with a note", Backs.Note)];

    private static readonly (string Word, BackdropPlace Place)[] Places =
        [("over the page", BackdropPlace.Page), ("within the margins", BackdropPlace.Margins),
            ("along the head", BackdropPlace.Head), ("along the foot", BackdropPlace.Foot)];

    private static readonly (string, bool)[] YesNo = [("yes", true), ("no", false)];

    /// <summary>Every fact of a run.</summary>
    public static IEnumerable<Fact> Of(Job job, string id) => job.Inside?.Run(id) is { } run
        ? [.. Own(id), .. run.Designs.Index().SelectMany(d => OfDesign(job, id, d.Index, d.Item))]
        : [];

    /// <summary>The facts of one of its designs.</summary>
    public static IEnumerable<Fact> OfDesign(Job job, string id, int n, PageDesign design)
    {
        yield return new($"run/{id}/{n + 1}-design", n == 0 ? "Design" : $"Design {n + 1}",
            j => j.Inside?.Run(id)?.Designs.ElementAtOrDefault(n) is { } d ? DesignShelf.WordOf(d) : "",
            (_, t) => new SetDesign(id, n, DesignShelf.Of(t.Trim())))
        { Choices = Facts.Of([.. DesignShelf.All.Select(d => (d.Word, d.First.Kind))]) };
        foreach (var field in design.Fields)
            yield return new Fact($"run/{id}/{n + 1}-{field.Key}", field.Label,
                j =>
                    j.Inside?.Run(id)?.Designs.ElementAtOrDefault(n) is { } d ? field.Show(d, FieldFacts.Terms(j)) : "",
                (j, t) => new SetDesignField(id, n, field.Key, field.Read(t, FieldFacts.Terms(j))))
            { Choices = _ => field.Choices, TakesColour = field.TakesPaint };
    }

    private static IEnumerable<Fact> Own(string id)
    {
        Fact fact(string key, string label, Func<PageRun, Job, string> read,
            Func<PageRun, string, Job, PageRun> write) =>
            new($"run/{id}/{key}", label, j => j.Inside?.Run(id) is { } r ? read(r, j) : "",
                (j, t) => new ChangeRun(write(j.Inside?.Run(id)
                    ?? throw new Refusal($"run/{id}",
                        "this run was removed in the meantime: undo to have it again"),
                        t, j), label.ToLowerInvariant()));
        Fact choice<T>(string key, string label, (string Word, T Value)[] of, Func<PageRun, T> read,
            Func<PageRun, T, PageRun> write)
            where T : struct =>
            fact(key, label, (r, _) => of.First(o => o.Value.Equals(read(r))).Word,
                (r, t, _) => write(r, Typed.Choice(t, of)))
                with
            { Choices = Facts.Of([.. of.Select(o => (o.Word, o.Word))]) };
        Fact margin(string key, string label, Func<PageMargins, Length?> read,
            Func<PageMargins, Length?, PageMargins> write) =>
            fact(key, label, (r, j) => r.Margins is { } m && read(m) is { } l ? l.Show(j.Ticket.Unit) : AsAll,
                (r, t, j) => r with
                {
                    Margins = write(r.Margins ?? new(),
                        t.Trim() is "" or AsAll ? null : InsideFacts.Margin(Facts.Length(j, t), j)),
                });
        Fact day(string key, string label, Func<PageRun, DateOnly> read, Func<PageRun, DateOnly, PageRun> write) =>
            fact(key, label, (r, _) => CalendarSpan.Show(read(r)), (r, t, _) => write(r, CalendarSpan.Read(t)) is var next
                && CalendarSpan.Fault(next.From, next.To) is { } fault
                    ? throw Typed.No(fault)
                    : write(r, CalendarSpan.Read(t)));
        yield return fact("name", "Name", (r, _) => r.Name, (r, t, _) => r with { Name = Plain.Line(t) });
        yield return choice("goes", "Goes on for", Goes, r => r.Goes, Going);
        yield return fact("count", "How many", (r, _) => r.Count.ToString(CultureInfo.InvariantCulture),
            (r, t, _) => r with { Count = InsideFacts.Within(Typed.Whole(t, "12"), 1, Inside.MostPages) });
        yield return day("from", "From", r => r.From, (r, d) => r with { From = d });
        yield return day("to", "To", r => r.To, (r, d) => r with { To = d });
        yield return choice("weeks", "Weeks", [("that touch it", WeekCount.Touching),
            ("of the ISO year", WeekCount.Iso)],
            r => r.Weeks, (r, w) => r with { Weeks = w });
        yield return choice("begins", "Begins on", Begins, r => r.Begins, (r, b) => r with { Begins = b });
        yield return choice("backs", "Printed on", Sides, r => r.Backs, (r, b) => r with { Backs = b });
        yield return fact("back-note", "Backs say", (r, _) => r.BackNote,
            (r, t, _) => r with { BackNote = Plain.Line(t) });
        yield return choice("folio", "Folio", YesNo, r => r.Folio, (r, b) => r with { Folio = b });
        yield return choice("tab", "Thumb tab", YesNo, r => r.Tab, (r, b) => r with { Tab = b });
        yield return margin("head", "Head", m => m.Head, (m, l) => m with { Head = l });
        yield return margin("fore-edge", "Fore-edge", m => m.ForeEdge, (m, l) => m with { ForeEdge = l });
        yield return margin("foot", "Foot", m => m.Foot, (m, l) => m with { Foot = l });
        yield return margin("gutter", "Gutter", m => m.Gutter, (m, l) => m with { Gutter = l });
        yield return fact("behind", "Behind", (r, j) => r.Behind?.Paint?.Show(j.Swatches) ?? "none",
            (r, t, j) => r with
            {
                Behind = Fill.Of(t.Trim() is "" or "none" ? null : Facts.PlainPaint(j, t, "pages"), r.Behind?.Pattern),
            })
            with
        { TakesColour = true };
        yield return fact("behind-paper", "Pattern", (r, _) => r.Behind?.Pattern?.Kind ?? "none",
            (r, t, j) => r with
            {
                Behind = Fill.Of(r.Behind?.Paint, t.Trim() is "" or "none" ? null : PatternOf(j, t.Trim())),
            })
            with
        { Choices = _ => [("none", "none"), .. PatternShelf.All.Select(p => (p.First.Kind, p.First.Kind))] };
        Fact behind(string key, string label, Func<Backdrop, string> read, Func<Backdrop, string, Backdrop> write) =>
            fact(key, label, (r, _) => r.Backdrop is { } b ? read(b) : "none", (r, t, _) => r.Backdrop is { } b
                ? r with { Backdrop = t.Trim() == "none" ? null : write(b, t) }
                : t.Trim() is "" or "none" ? r
                : throw Typed.No("no picture lies behind its pages yet: pick one of the Drawer first"));
        yield return behind("behind-place", "Picture behind", b => Places.First(p => p.Place == b.Place).Word,
            (b, t) => b.At(Typed.Choice(t, Places)))
            with
        { Choices = Facts.Of([.. Places.Select(p => (p.Word, p.Word)), ("none", "none")]) };
        yield return behind("behind-strength", "Its strength", b => $"{b.Strength} %", (b, t) => b with
        {
            Strength = InsideFacts.Within(Typed.Whole(t.TrimEnd('%', ' '), "20"), 5, 100),
        });
    }

    private static Pattern PatternOf(Job job, string kind) =>
        PatternShelf.Kinds.FirstOrDefault(p => p.Kind.Equals(kind,
            StringComparison.OrdinalIgnoreCase))?.In(job.Swatches)
            ?? throw Typed.No($"`{LengthText.Clip(kind)}` is no pattern: pick one of the list, or none");

    /// <summary>A run that goes on otherwise: what it needs for that it is given.</summary>
    private static PageRun Going(PageRun run, RunKind goes) =>
        goes == RunKind.Rows && run.Table is null
            ? throw Typed.No("no table makes its pages yet: lay one on this run first")
            : goes == RunKind.Spreads && run.Designs.Count > 2 ? run with
            {
                Goes = goes,
                Designs = run.Designs.RemoveRange(2, run.Designs.Count - 2),
            }
            : run with { Goes = goes };
}
