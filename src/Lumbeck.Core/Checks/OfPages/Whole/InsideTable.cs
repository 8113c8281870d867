namespace Lumbeck.Core.Checks.OfPages;

/// <summary>
/// Runs made of a table that is not in the Drawer any more, and lists that their pages have no room for.
/// </summary>
public sealed class InsideTable : PageRule
{
    public override string Id => "inside.table";
    public override string Proves => "tables are there, and lists have room";

    public override IEnumerable<Finding> Find(InsidePlan plan)
    {
        foreach (var counted in plan.Counted.Runs)
        {
            var run = plan.Inside.Runs[counted.Run];
            if (run is { Goes: RunKind.Rows, Table: { } table } && !plan.Has(table))
                yield return Found(plan, Severity.Stop, $"{table.Name} is not in the Drawer", "the table that its " +
                    "pages are made of",
                    "Pages made of its rows say nothing.", "Lay the table on the run again.",
                        Math.Max(1, counted.First), run.Id);
            if (counted.Pages == 0 || run.Designs[0] is not (ContentsPage or IndexPage)) continue;
            int rows;
            try { rows = run.Designs[0].Lists(plan.Page(counted.First).Surface) ?? 0; }
            catch (Refusal) { continue; }
            var entries = run.Designs[0] is ContentsPage ? plan.Contents.Length : plan.Index.Length;
            var room = rows * plan.Counted.Pages.Count(p => p.Run == counted.Run && p.Kind == SlotKind.Page);
            if (entries > room)
                yield return Found(plan, Severity.Stop, $"{entries} entries", $"{room} rows on {counted.Pages} pages",
                    "Entries that have no row are not printed.", "Give the run more pages, or a smaller pitch.",
                        counted.First, run.Id);
        }
    }
}
