namespace Lumbeck.Core.Checks.OfPages;

/// <summary>What a rule of pages looks at.</summary>
/// <param name="Scene">The page as it is drawn.</param>
/// <param name="Number">Its number, from 1.</param>
/// <param name="House">The house that prints it.</param>
/// <param name="Unit">The job's.</param>
public sealed record PageLook(Scene Scene, int Number, House House, Unit Unit)
{
    /// <summary>The page's place in its plan; null of a design that is looked at alone.</summary>
    public PlannedPage? Planned { get; init; }

    /// <summary>The plan it is of.</summary>
    public InsidePlan? Plan { get; init; }

    public Surface Page => Scene.Surface;

    /// <summary>What is written on and with, without what lies behind, in the margins or out to an edge.</summary>
    public IEnumerable<DrawnItem> Written => Scene.Items.Where(p => p.Item is PageScene.Body or PageScene.Words
        && !p.Marks.Any(m => m is PictureMark or DrawingMark));
}

/// <summary>
/// One thing that Check looks for on the pages of an inside. A rule is added by a file of its own and its line here.
/// </summary>
public abstract class PageRule
{
    public static ImmutableArray<PageRule> All { get; } =
    [
        new InsideCount(), new InsideBleed(), new InsideGutter(), new InsideTabs(), new InsideTable(), new InsideRows(),
        new InsideNotes(), new PageFit(), new PageWords(), new PageFields(),
        new PageMargin(), new PageEdge(), new PageFacing(), new PageFolio(), new PageLine(), new PageTint(),
            new PageInk(), new PagePicture(), new PagePuzzle(),
    ];

    /// <summary>The rule's id, such as <c>page.margin</c>.</summary>
    public abstract string Id { get; }

    /// <summary>What is so when it finds nothing, in words.</summary>
    public abstract string Proves { get; }

    /// <summary>What it finds on one page.</summary>
    public virtual IEnumerable<Finding> Find(PageLook look) => [];

    /// <summary>What it finds on all pages together.</summary>
    public virtual IEnumerable<Finding> Find(InsidePlan plan) => [];

    /// <summary>All that is found on a page by itself, stops first.</summary>
    public static ImmutableArray<Finding> Check(PageLook look) =>
        [.. All.SelectMany(r => r.Find(look)).OrderBy(f => f.Severity)];

    protected Finding Found(PageLook look, Severity severity, string measured, string limit, string why, string mend,
        Box? place = null, string? item = null) =>
        Found(look.House, severity, measured, limit, why, mend, look.Number, place, item ?? look.Planned?.Run?.Id);

    protected Finding Found(InsidePlan plan, Severity severity, string measured, string limit, string why, string mend, int page = 1,
        string? run = null) => Found(plan.Job.Ticket.House, severity, measured, limit, why, mend, page, null, run);

    private Finding Found(House house, Severity severity, string measured, string limit, string why, string mend, int page, Box? place,
        string? run)
    {
        var ours = house.Severities.TryGetValue(Id, out var said);
        return new(Id, ours ? said : severity, house.Name, null, Part.Page, measured, limit, place, why,
            mend)
        { Sheet = -1, Page = page, Run = run };
    }
}
