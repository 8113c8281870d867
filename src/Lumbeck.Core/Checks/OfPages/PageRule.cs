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
public abstract class PageRule : CheckRule
{
    public static ImmutableArray<PageRule> All { get; } =
    [
        new InsideCount(), new InsideBleed(), new InsideGutter(), new InsideTabs(), new InsideTable(), new InsideRows(),
        new InsideNotes(), new PageFit(), new PageWords(), new PageFields(),
        new PageMargin(), new PageEdge(), new PageFacing(), new PageFolio(), new PageLine(), new PageTint(),
            new PageInk(), new PagePicture(), new PagePuzzle(),
    ];

    /// <summary>What it finds on one page.</summary>
    public IEnumerable<Finding> Find(PageLook look) => Look(look).Select(f =>
        Paged(f, look.House, look.Number) with { Run = f.Run ?? look.Planned?.Run?.Id });

    /// <summary>What it finds on all pages together.</summary>
    public IEnumerable<Finding> Find(InsidePlan plan) => Look(plan).Select(f =>
        Paged(f, plan.Job.Ticket.House, Math.Max(1, f.Page)));

    protected virtual IEnumerable<Finding> Look(PageLook look) => [];

    protected virtual IEnumerable<Finding> Look(InsidePlan plan) => [];

    /// <summary>All that is found on a page by itself, stops first.</summary>
    public static ImmutableArray<Finding> Check(PageLook look) =>
        [.. All.SelectMany(r => r.Find(look)).OrderBy(f => f.Severity)];

    private protected Finding Paged(Finding found, House house, int page) =>
        Weighed(found, house) with { Panel = Part.Page, Sheet = -1, Page = page };
}
