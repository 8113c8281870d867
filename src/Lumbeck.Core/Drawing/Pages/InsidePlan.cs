using System.Collections.Concurrent;

namespace Lumbeck.Core.Drawing.Pages;

/// <summary>
/// The pages of a job's inside, worked out: their count, margins and gutter, and what each of them is
/// (docs/inside.md). A page is made when it is asked for.
/// </summary>
public sealed class InsidePlan
{
    private readonly ITables? _tables;
    private readonly ConcurrentDictionary<int, PageGrid> _grids = new();
    private readonly ConcurrentDictionary<(int Run, bool Odd), Surface> _surfaces = new();
    private readonly ConcurrentDictionary<(int, int, bool, bool, int), ImmutableArray<Mark>> _bodies = new();
    private readonly Lazy<(ImmutableArray<PageEntry> Contents, ImmutableArray<PageEntry> Index)> _entries;
    private readonly ImmutableDictionary<string, string> _book;
    private readonly PagePuzzles _puzzles;

    /// <param name="job">A job that has pages.</param>
    /// <param name="tables">Tables of the Drawer; pages made of rows say nothing of them where null.</param>
    /// <param name="puzzles">Puzzles that take time to make; their pages stay empty where null.</param>
    public InsidePlan(Job job, ITables? tables = null, IPuzzles? puzzles = null)
    {
        (Job, _tables) = (job, tables);
        Inside = job.Inside ?? new();
        Counted = Counted.Of(Inside, job.Ticket.PageMultiple);
        Gutter = Rules.GutterOf(job.Ticket.Binding, Counted.Printed);
        Tabbed = [.. Inside.Runs.Index().Where(r => r.Item.Tab && Counted.Runs[r.Index].Pages > 0)
            .Select(r => r.Index)];
        _book = Facts(job.Ticket);
        Calendar = CalendarOf(job, tables);
        _entries = new(Entries);
        _puzzles = new(this, puzzles);
    }

    public Job Job { get; }
    public Inside Inside { get; }
    public Counted Counted { get; }
    public InsideRules Rules => Job.Ticket.House.Inside;

    /// <summary>The house's least gutter for so many printed pages.</summary>
    public GutterStep Gutter { get; }

    /// <summary>The runs that have a tab, by their places.</summary>
    public ImmutableArray<int> Tabbed { get; }

    /// <summary>How its calendars are printed.</summary>
    public BookCalendar Calendar { get; }

    public int Printed => Counted.Printed;

    /// <summary>On which sides its pages bleed: a book bleeds as a whole or not at all.</summary>
    public PageBleed Bleed => Inside.Bleeds ? Rules.Bleed : PageBleed.None;

    /// <summary>What the binding itself takes of the gutter: the band that is punched.</summary>
    public Length Band => Job.Ticket.Binding == BindingKind.Loose ? Job.Ticket.House.PunchBand : Length.Zero;

    /// <summary>How far the innermost sheet of a stapled booklet is pushed out, to be drawn in again.</summary>
    public Length CreepMost => Job.Ticket.Binding == BindingKind.Booklet
        ? (((Printed / 4) - 1) * Job.Ticket.Paper.Leaf.ToLength()) is { Units: > 0 } most ? most : Length.Zero
        : Length.Zero;

    /// <summary>A run's margins as they hold: on each side the larger of the design's and the house's.</summary>
    public PageGrid Grid(int run) => _grids.GetOrAdd(run, n =>
    {
        var own = n >= 0 && Inside.Runs[n].Margins is { } m ? m.Over(Inside.Margins) : Inside.Margins;
        var least = Rules.MarginOf(Inside.Bleeds);
        Length of(Length? wished) => Length.Max(wished ?? Length.Zero, least);
        return new(Job.Ticket.Trim, Job.Ticket.Reading, of(own.Head), of(own.ForeEdge), of(own.Foot),
            Length.Max(Length.Max(own.Gutter ?? Length.Zero, Gutter.Wide), Band))
        {
            Bleed = Bleed,
            BleedWidth = Rules.BleedWidth,
        };
    });

    /// <exception cref="Refusal">
    /// There is no such page, its margins leave nothing of it, or its puzzles can’t be made.
    /// </exception>
    public PlannedPage Page(int number)
    {
        var page = Bare(number);
        return page.Design switch
        {
            PuzzlePage => page with
            {
                Facts = page.Facts with
                {
                    Made = _puzzles.Made(page.Slot),
                    Fields = _puzzles.SolvedOn(number) is { } folio ? page.Facts.Fields.SetItem("solution", folio)
                        : page.Facts.Fields,
                },
            },
            SolutionsPage => page with { Facts = page.Facts with { ToSolve = _puzzles.ToSolve() } },
            _ => page,
        };
    }

    private readonly ConcurrentDictionary<(int, int, int), ImmutableArray<ImmutableArray<FlowedLine>>> _flows = new();

    /// <summary>A text page’s text, broken into pages; a table’s row has its own.</summary>
    public ImmutableArray<ImmutableArray<FlowedLine>> Flow(PlannedPage page, IType type) =>
        _flows.GetOrAdd((page.Slot.Run, page.Slot.Design, page.Run!.Goes == RunKind.Rows ? page.Slot.Time : 0), _ =>
            TextFlow.Of((TextPages)page.Design!, page.Facts, page.Surface.Safe.Width.Points, page.Surface.Safe.Height.Points,
                Inside, Job.Ticket.Language, type));

    /// <summary>Which page of its text a page has, from 0.</summary>
    internal static int FlowedTo(PlannedPage page) => page.Run!.Goes switch
    {
        RunKind.Pages or RunKind.Needed or RunKind.Rest => (page.Slot.Time - 1) / page.Run.Designs.Count,
        RunKind.Rows => 0,
        _ => page.Slot.Time - 1,
    };

    /// <summary>Whether its run has no page after it for more of the text.</summary>
    internal bool EndsFlow(PlannedPage page) => page.Run!.Goes == RunKind.Rows
        || !Counted.Pages.Skip(page.Number).TakeWhile(s => s.Run == page.Slot.Run)
            .Any(s => s.Kind == SlotKind.Page && s.Design == page.Slot.Design);

    /// <summary>What is to be made before all its pages can be drawn.</summary>
    public IEnumerable<SudokuAsk> Asked => _puzzles.Asked;

    /// <summary>Puzzles on its pages.</summary>
    public int Puzzles => _puzzles.Count;

    /// <summary>A page without what its puzzles and their solutions are.</summary>
    internal PlannedPage Bare(int number)
    {
        if (number < 1 || number > Printed)
            throw new Refusal("page", $"there is no page {number}: from 1 to {Printed}");
        var slot = Counted.Pages[number - 1];
        var run = slot.Run >= 0 ? Inside.Runs[slot.Run] : null;
        var surface = _surfaces.GetOrAdd((slot.Run, number % 2 == 1), at => Grid(at.Run).Page(at.Odd ? 1 : 2));
        if (run is null || slot.Kind is SlotKind.BeforeRun)
            return new(number, slot, run, null, surface, PageFacts.None);
        var counted = Counted.Runs[slot.Run];
        var design = slot.Kind == SlotKind.Back ? null : run.Designs[slot.Design];
        var facts = new PageFacts
        {
            Folio = FolioOf(number),
            Time = slot.Time,
            Times = run.Goes == RunKind.Rest ? counted.Pages : run.Times(Calendar.First),
            Opens = run.Goes == RunKind.Spreads && run.Designs.Count == 1,
            Day = CalendarSpan.Day(run, slot.Time, Calendar.First),
            Calendar = Calendar,
            Facing = number % 2 == 1,
            Mirrored = Job.Ticket.Reading == Reading.RightToLeft,
            Fields = Fields(run, slot),
            Label = design is not BelongsTo ? null
                : Job.Items.OfType<OrnamentItem>().FirstOrDefault(o => o.Ornament.Sort == OrnamentSort.Label)?.Ornament,
            Contents = design is ContentsPage ? _entries.Value.Contents : [],
            Index = design is IndexPage ? _entries.Value.Index : [],
        };
        var tab = Tabbed.IndexOf(slot.Run);
        return new(number, slot, run, design, surface, facts)
        {
            PrintsFolio = Inside.Folio.Place != FolioPlace.None && run.Folio && design is { IsDisplay: false },
            Tab = tab >= 0 ? (tab, Tabbed.Length) : null,
        };
    }

    /// <summary>What contents name, each with its folio.</summary>
    public ImmutableArray<PageEntry> Contents => _entries.Value.Contents;

    /// <summary>What an index names.</summary>
    public ImmutableArray<PageEntry> Index => _entries.Value.Index;

    /// <summary>Whether a table's rows are at hand.</summary>
    public bool Has(TableRef table) => _tables?.Rows(table.Hash) is not null;

    /// <summary>A page's number as it is printed.</summary>
    public string FolioOf(int number) => (Inside.Folio.First + number - 1).ToString(CultureInfo.InvariantCulture);

    /// <summary>What pages of one design on one side share, drawn once.</summary>
    internal ImmutableArray<Mark> Body(PlannedPage page, Func<ImmutableArray<Mark>> draw) =>
        _bodies.GetOrAdd(page.Body, _ => draw());

    /// <summary>
    /// Pages that differ from all before them in more than their words: each design on each side it comes on.
    /// </summary>
    public IEnumerable<PlannedPage> Distinct() => Enumerable.Range(1, Printed).Select(Page)
        .Where(p => p.Design is not null || p.Slot.Kind == SlotKind.Back).DistinctBy(p => (p.Body, p.Slot.Kind));

    /// <summary>How many pages have an ink but black.</summary>
    public int ColourPages(PageArt art) => Job.Ticket.InsideColour == InsideColour.Black ? 0
        : Enumerable.Range(1, Printed).Select(Page).GroupBy(p => (p.Body, p.Slot.Kind, p.Tab))
            .Sum(g => IsColoured(g.First(), art) ? g.Count() : 0);

    private bool IsColoured(PlannedPage page, PageArt art) => Attempt.Or(
        () => PageScene.Of(this, page, art).Items.SelectMany(p => p.Marks).Any(MarkHasColour.Of), _ => false);

    private ImmutableDictionary<string, string> Fields(PageRun run, Slot slot)
    {
        var fields = _book.SetItems(CalendarSpan.Told(run, slot.Time, Calendar)
            .Select(t => KeyValuePair.Create(t.Field, t.Says)));
        if (run is not { Goes: RunKind.Rows, Table: { } table } || _tables?.Rows(table.Hash) is not { } rows
            || slot.Time > rows.Length)
            return fields;
        var row = rows[slot.Time - 1];
        return fields.SetItems(table.Columns.Index().Where(c => c.Index < row.Length)
            .Select(c => KeyValuePair.Create(c.Item.Trim(), row[c.Index])));
    }

    private static BookCalendar CalendarOf(Job job, ITables? tables)
    {
        var said = (job.Inside ?? new()).Calendar;
        var language = said.Language ?? job.Ticket.Language;
        return new()
        {
            Language = language,
            Names = CalendarNames.Codes.Contains(language) ? CalendarNames.Of(language) : null,
            First = said.First,
            Numbers = said.Numbers,
            Notes = said.Notes is { } notes && tables?.Rows(notes.Hash) is { } rows
                ? DatedNotes.Of(notes.Columns, rows, language) : DatedNotes.None,
        };
    }

    private static ImmutableDictionary<string, string> Facts(Ticket t) =>
        PageFacts.None.Fields.SetItems(new (string Field, string Says)[]
        {
            ("title", t.Title), ("subtitle", t.Subtitle), ("author", t.Author), ("people", Person.Show(t.Contributors)),
            ("imprint", t.Imprint), ("edition", t.Edition), ("series", t.Series), ("number", t.SeriesNumber),
            ("isbn", t.Isbn?.ToString() ?? ""), ("house", t.House.Name),
        }.Select(f => KeyValuePair.Create(f.Field, f.Says)));

    /// <summary>
    /// Contents name the runs, an index the pages that are made of rows; both by the folios as they come out.
    /// </summary>
    private (ImmutableArray<PageEntry>, ImmutableArray<PageEntry>) Entries()
    {
        var contents = Counted.Runs.Where(r => r.Pages > 0 && !Inside.Runs[r.Run].Designs[0].IsDisplay
                && Inside.Runs[r.Run].Designs[0] is not ContentsPage)
            .Select(r => new PageEntry(Inside.Runs[r.Run].Printed(Job.PagesLanguage), FolioOf(r.First)))
            .Where(e => e.Words.Length > 0);
        var index = Counted.Pages.Index()
            .Where(p => p.Item is { Kind: SlotKind.Page, Design: 0 } && Inside.Runs[p.Item.Run].Goes == RunKind.Rows)
            .Select(p => (Run: Inside.Runs[p.Item.Run], p.Item, Number: p.Index + 1))
            .Where(p => p.Run.Designs[0].Heading.Length > 0)
            .Select(p => new PageEntry((PageFacts.None with { Time = p.Item.Time, Fields = Fields(p.Run, p.Item) })
                .Fill(p.Run.Designs[0].Heading), FolioOf(p.Number)))
            .OrderBy(e => e.Words, new AlphabeticalOrder(Job.Ticket.Language));
        return ([.. contents], [.. index]);
    }
}
