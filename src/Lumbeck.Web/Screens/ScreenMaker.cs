using Lumbeck.Caching;
using Lumbeck.Store;

namespace Lumbeck.Web.Screens;

/// <summary>Which place of a job a screen shows.</summary>
public enum Place { Ticket, Inside, Wrap, Check, Press, Colours, Houses }

/// <summary>What a partial page of a job is given.</summary>
/// <param name="On">The job as on the bench, or as it was.</param>
/// <param name="Place">The open place.</param>
/// <param name="Number">The sheet that is shown where one is at a time.</param>
/// <param name="Open">The picked item where it is one alone.</param>
/// <param name="Back">Whether there is a step to take back.</param>
/// <param name="Forward">Whether there is a step to take again.</param>
/// <param name="Pressings">The files that were made of it, the newest first.</param>
/// <param name="Around">What lies beside the job: faces, pictures, houses.</param>
public sealed record JobView(OnBench On, Place Place, int Number, string? Open, bool Back, bool Forward,
    IReadOnlyList<PressingRow> Pressings, Surroundings Around)
{
    /// <summary>All picked items, the one picked last at the end.</summary>
    public IReadOnlyList<string> Picked { get; init; } = [];
    /// <summary>A page of the opening that is shown of the inside.</summary>
    public int Opening { get; init; } = 1;
    /// <summary>
    /// Its pages; where none are made here, as many empty ones as its ticket says, to see their margins on.
    /// </summary>
    public InsidePlan Plan => _plan ??= Composed.Pages ?? new(Job with
    {
        Inside = new()
        {
            Runs = [new() { Id = "empty", Designs = [DesignShelf.Of("blank")],
            Count = Math.Clamp(Ticket.Pages, 2, Inside.MostPages) }]
        },
    });
    private InsidePlan? _plan;
    /// <summary>The run that is picked, where that is one alone.</summary>
    public PageRun? Run => Picked is [var one] ? Job.Inside?.Run(one) : null;
    /// <summary>Whether the picked item's words are typed in on the sheet.</summary>
    public bool Typing { get; init; }
    /// <summary>The letters that are picked there, from one to before another.</summary>
    public (int From, int To)? Range { get; init; }
    /// <summary>
    /// What this is laid over to show what changed: what was on the bench before, or what is there while this is only
    /// tried.
    /// </summary>
    public Composed? Was { get; init; }
    /// <summary>Whether this is only tried.</summary>
    public bool OnTrial { get; init; }
    /// <summary>The same sheet as it was, where it has moved.</summary>
    public Sheet? Moved =>
        Was is { } was && Number < was.Sheets.Length && Changes.Moves(was.Sheets[Number].Sheet, Sheet)
            ? was.Sheets[Number].Sheet
            : null;

    /// <summary>A key for all that a list shows while a text is typed in, but for its words.</summary>
    public string Apart => _apart ??= Convert.ToHexString(System.Security.Cryptography.SHA256.HashData([
        .. JobJson.Write(Job.WithItem(Open!, i => (TextItem)i with { Words = "", Runs = [] })),
        .. System.Text.Encoding.UTF8.GetBytes($"{On.Slug} {Number} {Open} {Range} " +
            $"{(Range is null ? "" : Facts.Read(Job, $"item/{Open}/runs"))} {string.Concat(Composed.Findings)}")]));
    private string? _apart;

    public Job Job => On.Job;
    public Ticket Ticket => On.Job.Ticket;
    public Composed Composed => On.Composed;
    /// <summary>The sheet that is shown.</summary>
    public ComposedSheet Shown => On.Composed.Sheets[Number];
    public Sheet Sheet => Shown.Sheet;
    public int Wrap => Shown.On.Wrap;
    public Take Take => On.Job.Wraps[Wrap].Take;
    public string Base => "/jobs/" + On.Slug;
}

/// <summary>A panel's list on the Wrap screen.</summary>
public sealed record PanelView(JobView View, Part Part)
{
    public string Id => "list-" + Part.Word();
    /// <summary>In the order they are laid down, the lowest first.</summary>
    public IEnumerable<Item> Items => View.Take.Items.Where(i => i.Hold.Panel == Part);
}

/// <summary>
/// Screens made of late, but for their dockets: what an answer is the difference from is, as a rule, what the answer
/// before it made.
/// </summary>
public sealed class ScreenCache
{
    private readonly ByteCache<(long Revision, Place Place, int Sheet, string Picked, long? Pressing), Screen> _made =
        new(24_000_000, screen => screen.Bytes);

    private readonly ByteCache<string, string> _lists = new(8_000_000, list => 2 * list.Length);

    /// <summary>A list under a key that says all it depends on.</summary>
    public async Task<string> List(string key, Func<Task<string>> make)
    {
        return _lists.TryGet(key, out var known) ? known : _lists.Keep(key, await make());
    }

    public async Task<Screen> Get((long, Place, int, string, long?) key, Func<Task<Screen>> make)
    {
        return _made.TryGet(key, out var known) ? known : _made.Keep(key, await make());
    }
}

/// <summary>Makes a job's screens out of their parts.</summary>
public sealed class ScreenMaker(Desk.AppServices desk, Drawings drawings, PlatedItems plated, PartialRenderer partials,
    ScreenCache cache)
{
    /// <summary>The screen of what is on the bench, with an item picked or none.</summary>
    public async Task<Screen> Now(OnBench on, Place place, string? sheet, string? open)
    {
        var view = View(on, place, sheet, open);
        var body = await Body(view);
        return body with { Parts = [new("docket", await partials.Render("_Docket", view)), .. body.Parts] };
    }

    /// <summary>
    /// The screen a browser shows, to compare with. It has no docket: which steps there are depends on what was done
    /// since, so the docket is always sent.
    /// </summary>
    public Task<Screen> Shown(OnBench on, Place place, string? sheet, string? open) =>
        Body(View(on, place, sheet, open));

    private JobView View(OnBench on, Place place, string? sheet, string? open)
    {
        var (back, forward) = desk.Jobs.Steps(on);
        // What is picked, and after an @ the letters of it: `title@3-9`; `title@` while a caret stands in it.
        var letters = open?.IndexOf('@', StringComparison.Ordinal) is >= 0 and var mark ? open[(mark + 1)..] : null;
        if (letters is not null) open = open![..^(letters.Length + 1)];
        List<string> picked = open is null
            ? []
            : [.. open.Split(',', StringSplitOptions.RemoveEmptyEntries).Distinct()
                .Where(id => place == Place.Inside ? on.Job.Inside?.Run(id) is not null : on.Job.Item(id) is not null)];
        return new(on, place, on.Composed.Named(sheet).On.Number, picked is [var one] ? one : null, back, forward,
            desk.Pressing.Pressings(on.Slug), new(desk, on))
        {
            Picked = picked,
            Opening = place == Place.Inside && int.TryParse(sheet, CultureInfo.InvariantCulture, out var page)
                && on.Composed.Pages is { } pages
                    ? Math.Clamp(page, 1, pages.Printed)
                    : on.Composed.Pages is null
                    ? 2
                    : 1,
            Typing = letters is not null && picked is [var typed] && on.Job.Item(typed) is TextItem,
            Range = letters is { Length: > 0 } && picked is [var in_] && on.Job.Item(in_) is TextItem t
                && letters.Split('-') is [var a, var b] && int.TryParse(a, out var from) && int.TryParse(b, out var to)
                && from >= 0 && from < to && to <= t.Words.Length
                ? (from, to)
                : null,
        };
    }

    /// <summary>The parts of a ticket that show a sheet only tried.</summary>
    public static IReadOnlyList<string> TriedParts { get; } = ["plan", "changes", "sums"];

    /// <summary>The ticket's sheet as an edit would make it, over what it is, as partials.</summary>
    public async Task<string> Tried(OnBench on, Composed would, string? sheet)
    {
        var view = View(on with { Composed = would }, Place.Ticket, sheet,
            null) with
        { Was = on.Composed, OnTrial = true };
        return new Screen([.. (await Parts(view, ("sums", "_Sums"), ("changes", "_Changes"))).Parts,
            new("plan", PlanDrawing.Of(view))])
            .Since(new Screen([]), TriedParts);
    }

    // A ticket also shows what changed last, and its house's news, which are no part of a revision.
    private Task<Screen> Body(JobView v) => v.Place == Place.Ticket
        ? Ticket(v)
        : cache.Get((v.On.Revision, v.Place, v.Place == Place.Inside ? v.Opening / 2 : v.Number,
            string.Join(',', v.Picked) + (v.Typing ? $"@{v.Range}" : "") + $"#{v.Composed.Plates?.Revision}",
            v.Pressings.Count > 0 ? v.Pressings[0].Id : null), () => v.Place switch
    {
        Place.Wrap => Wrap(v),
        Place.Inside => Inside(v),
        Place.Colours => Parts(v, ("colours", "_Colours"), ("foot", "_Foot")),
        Place.Check => Parts(v, ("findings", "_Findings"), ("foot", "_Foot")),
        _ => Parts(v, ("press-body", "_Press"), ("foot", "_Foot")),
    });

    private async Task<Screen> Ticket(JobView v)
    {
        v = v with { Was = desk.Jobs.Before(v.On) };
        return new([.. (await Parts(v, ("facts", "_Facts"), ("sums", "_Sums"), ("changes", "_Changes"),
            ("foot", "_Foot"))).Parts,
            new("plan", PlanDrawing.Of(v))]);
    }

    private async Task<Screen> Inside(JobView v) => new([
        .. (await Parts(v, ("inside-bar", "_InsideBar"), ("runs", "_Runs"), ("page-sums", "_PageSums"),
            ("foot", "_Foot")))
            .Parts,
        new("spread",
            $"<div id=\"spread\" class=\"contents\">{InsideDrawing.Spread(v)}</div>"),
        new("block", await partials.Render("_Block", v))]);

    /// <summary>The opening of a page, as partials.</summary>
    public async Task<string> Leafed(OnBench on, int page, string? open)
    {
        var screen = await Inside(View(on, Place.Inside, page.ToString(CultureInfo.InvariantCulture), open));
        return new Screen([.. screen.Parts.Where(p => p.Id is "spread" or "page-sums")]).Since(new Screen([]));
    }

    private async Task<Screen> Wrap(JobView v)
    {
        var parts = new List<Fragment>((await Parts(v, ("lens", "_Lens"), ("foot", "_Foot")))
            .Parts) { new("ground", await Listed("_Ground", v, v)),
            new("spine-list", await Listed("_SpineList", v, v)), PickedInWords.Part(v) };
        // The sheet's outermost panels first and last: what is left of the sheet, and what is right of it.
        var panels = v.Sheet.Panels.Where(p => p.Part is not (Part.Spine or Part.BackForeEdge or Part.FrontForeEdge))
            .Select(p => p.Part).ToList();
        // A sheet of one panel has its list on the side it would have in the whole cover.
        var half = panels.Count > 1
            ? panels.Count / 2
            : panels[0] == Part.Back == (v.Ticket.Reading == Reading.LeftToRight)
            ? 1
            : 0;
        foreach (var (side, listed) in ((string, List<Part>)[])[("left", panels[..half]), ("right", panels[half..])])
        {
            var lists = "";
            foreach (var part in listed) lists += await Listed("_PanelList", new PanelView(v, part));
            if (side == "left" && v.Take.Items.Any(i => i.Hold.Panel == Part.Sheet))
                lists += await Listed("_PanelList", new PanelView(v, Part.Sheet));
            parts.Add(new(side, $"<div id=\"{side}\" class=\"overflow-y-auto flex-1 min-h-0\">{lists}</div>"));
        }
        if (v.Typing && v.Open is { } id && v.Job.Item(id) is TextItem typed)
        {
            // After the list that they belong in.
            var says = typed.Words.Replace('\n', ' ');
            parts.Add(new("says-of-" + id,
                await partials.Render("_Says", ((Item)typed, says.Length == 0 ? "—" : says)))
            { Within = Lists });
            parts.Add(new("words-of-" + id, await partials.Render("_Words", (v, typed))) { Within = Lists });
        }
        parts.Add(new("tracing", HandDrawing.Tracing(v), Svg: true));
        parts.Add(new("edge", $"<defs id=\"edge\">{Press.Svg.SvgPainter.Edge(v.Shown.Scene)}</defs>", Svg: true));
        parts.Add(new("zones", $"<g id=\"zones\" class=\"zones\">{drawings.Zones(v.Shown, v.Ticket.House)}</g>",
            Svg: true));
        parts.Add(new("chains",
            $"<g id=\"chains\" class=\"chain\">{Drawings.Chains(v.Sheet, v.Ticket.Unit, v.Base + "/ticket")}</g>",
            Svg: true));
        parts.Add(new("hits", $"<g id=\"hits\">{HandDrawing.Hits(v)}</g>", Svg: true));
        parts.Add(new("carets", HandDrawing.Carets(v), Svg: true));
        parts.Add(new("finds", FindingDrawing.OnSheet(v), Svg: true));
        parts.Add(new("frame", HandDrawing.Frame(v), Svg: true));
        var painter = drawings.Painter(v.Composed);
        return new(parts, plated.Of(v.Composed, v.Shown, v.Base), [.. painter.Glyphs(v.Shown.Scene)]);
    }

    private static readonly string[] Lists = ["left", "right", "spine-list"];

    private Task<string> Listed(string partial, PanelView panel) => Listed(partial, panel, panel.View);

    /// <summary>
    /// A list; while a text is typed in, as it was made before where all but the typed words is as it was.
    /// </summary>
    private async Task<string> Listed(string partial, object model, JobView v)
    {
        if (!v.Typing) return await partials.Render(partial, model);
        var key = $"{v.Apart} {partial} {(model as PanelView)?.Part}";
        return await cache.List(key, () => partials.Render(partial, model));
    }

    private async Task<Screen> Parts(JobView v, params (string Id, string Partial)[] parts)
    {
        var made = new List<Fragment>();
        foreach (var (id, partial) in parts) made.Add(new(id, await partials.Render(partial, v)));
        return new(made);
    }
}
