namespace Lumbeck.Core.Checks.OfPages;

/// <summary>
/// Puzzles that come twice, a maker’s own with no solution or several, and those that are not made yet.
/// </summary>
public sealed class PagePuzzle : PageRule
{
    public override string Id => "page.puzzle";
    public override string Proves => "every puzzle has one solution, and none comes twice";

    public override IEnumerable<Finding> Find(InsidePlan plan)
    {
        var known = new Dictionary<(System.Type, string), int>();
        foreach (var (index, slot) in plan.Counted.Pages.Index())
        {
            if (slot.Kind != SlotKind.Page || plan.Inside.Runs[slot.Run].Designs[slot.Design] is not PuzzlePage design) continue;
            var run = plan.Inside.Runs[slot.Run].Id;
            PageFacts at;
            // What can’t be made at all does not fit its page.
            try { at = plan.Page(index + 1).Facts; }
            catch (Refusal) { continue; }
            var many = design.OnPage.Across * design.OnPage.Down;
            for (var n = (slot.Time - 1) * many; n < slot.Time * many; n++)
            {
                if (design.Fault(n, at) is { } fault)
                {
                    yield return Found(plan, Severity.Stop, fault, "one solution",
                        "A puzzle that can’t be solved, or in several ways, is sent back by its solvers.",
                        "Mend its givens.", index + 1, run);
                    continue;
                }
                string? same;
                try { same = design.Identity(n, at); }
                catch (Refusal) { continue; }
                if (same is null)
                    yield return Found(plan, Severity.Stop, $"{design.Kind} {n + 1} is not made yet", "all puzzles made",
                        "Its page would be printed empty.", "Wait until it is made.", index + 1, run);
                else if (!known.TryAdd((design.GetType(), same), index + 1))
                    yield return Found(plan, Severity.Stop, $"the {design.Kind} of page {known[(design.GetType(), same)]} again",
                        "each puzzle once", "A book sells a puzzle once.", "Give one of the two runs another seed.",
                        index + 1, run);
            }
        }
    }
}
