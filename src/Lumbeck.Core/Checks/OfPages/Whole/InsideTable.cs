namespace Lumbeck.Core.Checks.OfPages;

/// <summary>
/// Runs made of a table that is not in the Drawer any more, and lists that their pages have no room for.
/// </summary>
public sealed class InsideTable : PageRule
{
    public override string Id => "inside.table";
    public override string Proves => "tables are there, and lists have room";

    protected override IEnumerable<Finding> Look(InsidePlan plan)
    {
        foreach (var counted in plan.Counted.Runs)
        {
            var run = plan.Inside.Runs[counted.Run];
            if (run is { Goes: RunKind.Rows, Table: { } table } && !plan.Has(table))
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = $"{table.Name} is not in the Drawer",
                    Limit = "the table that its pages are made of",
                    Why = "Pages made of its rows say nothing.",
                    Mend = "Lay the table on the run again.",
                    Page = Math.Max(1, counted.First),
                    Run = run.Id,
                };
            if (counted.Pages == 0 || run.Designs[0] is not (ContentsPage or IndexPage)) continue;
            if (Attempt.OrNull(() => run.Designs[0].Lists(plan.Page(counted.First).Surface) ?? (int?)0) is not { } rows)
                continue;
            var entries = run.Designs[0] is ContentsPage ? plan.Contents.Length : plan.Index.Length;
            var room = rows * plan.Counted.Pages.Count(p => p.Run == counted.Run && p.Kind == SlotKind.Page);
            if (entries > room)
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = $"{entries} entries",
                    Limit = $"{room} rows on {counted.Pages} pages",
                    Why = "Entries that have no row are not printed.",
                    Mend = "Give the run more pages, or a smaller pitch.",
                    Page = counted.First,
                    Run = run.Id,
                };
        }
    }
}
