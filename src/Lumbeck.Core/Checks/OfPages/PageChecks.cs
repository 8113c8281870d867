namespace Lumbeck.Core.Checks.OfPages;

/// <summary>
/// All that is found on an inside. Pages that differ in nothing but their words' fillings are looked at once, but for
/// those made of a table's rows and days that a note falls on, whose words are each their own.
/// </summary>
public static class PageChecks
{
    /// <param name="plan">The pages.</param>
    /// <param name="art">What they are drawn with.</param>
    /// <param name="before">Is told before each page; may end the work by throwing.</param>
    public static ImmutableArray<Finding> Of(InsidePlan plan, PageArt art, Action? before = null)
    {
        var (job, house) = (plan.Job, plan.Job.Ticket.House);
        List<Finding> found = [.. PageRule.All.SelectMany(r => r.Find(plan))];
        var fit = PageRule.All.OfType<PageFit>().Single();
        foreach (var page in plan.Distinct().Concat(Own(plan)).DistinctBy(p => p.Number))
        {
            before?.Invoke();
            var (scene, no) = Attempt.Of(() => PageScene.Of(plan, page, art));
            if (scene is null)
            {
                found.Add(fit.Of(plan, page, no!));
                continue;
            }
            var look = new PageLook(scene, page.Number, house, job.Ticket.Unit) { Planned = page, Plan = plan };
            found.AddRange(PageRule.All.SelectMany(r => r.Find(look)));
        }
        return [.. found.GroupBy(f => (f.Id, f.Run)).Select(Told)
            .Select(f => f with { Waived = job.Waivers.FirstOrDefault(w => w.Rule == f.Id)?.Reason })
                .OrderBy(f => f.Severity)];
    }

    private static IEnumerable<PlannedPage> Own(InsidePlan plan) => plan.Counted.Pages.Index()
        .Where(p => p.Item is { Kind: SlotKind.Page, Run: >= 0 })
        .Where(p => plan.Inside.Runs[p.Item.Run].Goes == RunKind.Rows
            || (!plan.Calendar.Notes.All.IsEmpty
                && plan.Inside.Runs[p.Item.Run].Designs[p.Item.Design] is PlanningPage design
                && design.Covers(plan.Page(p.Index + 1).Facts) is { } shown && plan.Calendar.Notes.Falls(shown)))
        .Select(p => plan.Page(p.Index + 1));

    /// <summary>The same thing on several pages of a run is told once, with how many they are.</summary>
    private static Finding Told(IEnumerable<Finding> alike)
    {
        var all = alike.ToList();
        var worst = all.MinBy(f => (f.Severity, f.Page))!;
        return all.Count == 1 ? worst : worst with
        {
            Measured = $"{worst.Measured}; so on {all.Count} kinds of page, the first page {worst.Page}",
        };
    }
}

/// <summary>A run whose design does not fit its page, or whose margins leave nothing.</summary>
public sealed class PageFit : PageRule
{
    public override string Id => "page.fit";
    public override string Proves => "every design fits its page";

    public Finding Of(InsidePlan plan, PlannedPage page, Refusal why) => Paged(
        new()
        {
            Severity = Severity.Stop,
            Measured = why.Message,
            Limit = "what fits the margins",
            Why = $"Page {page.Number} can’t be drawn.",
            Mend = "Change the run’s settings, or its margins.",
            Page = page.Number,
            Run = page.Run?.Id,
        }, plan.Job.Ticket.House, page.Number);
}
