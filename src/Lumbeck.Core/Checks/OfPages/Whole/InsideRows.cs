namespace Lumbeck.Core.Checks.OfPages;

/// <summary>
/// Rows of a design, such as words to trace or questions, for which its run has no page: nobody sees what is missing.
/// </summary>
public sealed class InsideRows : PageRule
{
    public override string Id => "inside.rows";
    public override string Proves => "all that a design’s rows say is printed";

    protected override IEnumerable<Finding> Look(InsidePlan plan)
    {
        foreach (var counted in plan.Counted.Runs)
        {
            var run = plan.Inside.Runs[counted.Run];
            // A table's rows fill the same words page by page.
            if (counted.Pages == 0 || run.Goes == RunKind.Rows) continue;
            var set = plan.Counted.Pages.Index().Where(p => p.Item.Kind == SlotKind.Page && p.Item.Run == counted.Run).ToList();
            foreach (var (n, design) in run.Designs.Index())
            {
                var pages = set.Where(p => p.Item.Design == n).ToList();
                if (design.RowsToPrint is not { } rows || pages.Count == 0) continue;
                // What does not fit its page is told by itself.
                if (Attempt.OrNull(() => (int?)design.RowsOn(plan.Bare(pages[0].Index + 1).Surface)) is not { } each)
                    continue;
                if (pages.Count * each >= rows) continue;
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = $"{pages.Count * each} of {rows} rows are printed",
                    Limit = $"{rows} rows",
                    Why = $"The run has {pages.Count} page{(pages.Count == 1 ? "" : "s")} with {each} of the {design.Kind}’s rows each: " +
                        "the others are in no copy.",
                    Mend = $"Give the run {(rows + each - 1) / each} pages, or let it go as long as it needs.",
                    Page = pages[0].Index + 1,
                    Run = run.Id,
                };
            }
        }
    }
}
