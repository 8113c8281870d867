namespace Lumbeck.Core.Drawing.Pages;

/// <summary>
/// Runs that go on as long as they need: a text, the solutions, contents, an index. How many pages that is depends on the
/// margins, the gutter among them, and that on how many pages there are: from the least on it is counted up, and the
/// first count that agrees with its own gutter stands.
/// </summary>
internal static class Pagination
{
    /// <summary>The same job with such runs as long as they need.</summary>
    /// <exception cref="Refusal">They are more than a volume has.</exception>
    public static Job Of(Job job, IType type, ITables? tables = null)
    {
        if (!job.HasPages || !job.Inside!.Runs.Any(r => r.Goes == RunKind.Needed)) return job;
        var settled = With(job, r => r.Goes == RunKind.Needed ? 1 : r.Count);
        for (var round = 0; round < 20; round++)
        {
            var plan = new InsidePlan(settled, tables);
            var needs = plan.Inside.Runs.Select((r, n) =>
                r.Goes == RunKind.Needed ? Math.Max(r.Count, PagesOf(plan, n, type)) : r.Count)
                .ToList();
            if (needs.SequenceEqual(plan.Inside.Runs.Select(r => r.Count))) break;
            settled = With(settled, r => needs[settled.Inside!.Runs.IndexOf(r)]);
        }
        // What came out as it was is what it was.
        return settled.Inside!.Equals(job.Inside) && settled.Ticket.Pages == job.Ticket.Pages ? job : settled;
    }

    private static Job With(Job job, Func<PageRun, int> count) =>
        (job with
        {
            Inside = job.Inside! with
            {
                Runs = [.. job.Inside.Runs.Select(r =>
            r with { Count = Math.Min(Inside.MostPages, count(r)) })]
            }
        })
            .WithPagesCounted(job);

    /// <summary>Pages that a run needs.</summary>
    private static int PagesOf(InsidePlan plan, int run, IType type)
    {
        var first = plan.Counted.Runs[run].First;
        if (first < 1 || first > plan.Printed) return 1;
        // What does not fit its page is told by Check.
        return Attempt.Or(() => PagesOf(plan.Inside.Runs[run], plan.Bare(first), plan, type),
            _ => plan.Inside.Runs[run].Count);
    }

    private static int PagesOf(PageRun run, PlannedPage page, InsidePlan plan, IType type) => run.Designs.Count
        * page.Design switch
        {
            SolutionsPage solutions => solutions.PagesFor(plan.Puzzles),
            TextPages => plan.Flow(page, type).Length,
            ContentsPage or IndexPage => Listed(page,
                page.Design is ContentsPage ? plan.Contents.Length : plan.Index.Length),
            { RowsToPrint: { } rows } design => (rows + design.RowsOn(page.Surface) - 1) / design.RowsOn(page.Surface),
            _ => 1,
        };

    private static int Listed(PlannedPage page, int entries) =>
        page.Design!.Lists(page.Surface) is > 0 and var rows ? Math.Max(1, ((entries - 1) / rows) + 1) : 1;
}
