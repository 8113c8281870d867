namespace Lumbeck.Core.Checks.OfPages;

/// <summary>
/// Puzzles that come twice, a maker’s own with no solution or several, and those that are not made yet.
/// </summary>
public sealed class PagePuzzle : PageRule
{
    public override string Id => "page.puzzle";
    public override string Proves => "every puzzle has one solution, and none comes twice";

    protected override IEnumerable<Finding> Look(InsidePlan plan)
    {
        var known = new Dictionary<(System.Type, string), int>();
        foreach (var (index, slot) in plan.Counted.Pages.Index())
        {
            if (slot.Kind != SlotKind.Page || plan.Inside.Runs[slot.Run].Designs[slot.Design] is not PuzzlePage design) continue;
            var run = plan.Inside.Runs[slot.Run].Id;
            // What can’t be made at all does not fit its page.
            if (Attempt.OrNull(() => plan.Page(index + 1).Facts) is not { } at) continue;
            var many = design.OnPage.Across * design.OnPage.Down;
            for (var n = (slot.Time - 1) * many; n < slot.Time * many; n++)
            {
                if (design.Fault(n, at) is { } fault)
                {
                    yield return new()
                    {
                        Severity = Severity.Stop,
                        Measured = fault,
                        Limit = "one solution",
                        Why = "A puzzle that can’t be solved, or in several ways, is sent back by its solvers.",
                        Mend = "Mend its givens.",
                        Page = index + 1,
                        Run = run,
                    };
                    continue;
                }
                var (same, no) = Attempt.Of(() => design.Identity(n, at));
                if (no is not null) continue;
                if (same is null)
                    yield return new()
                    {
                        Severity = Severity.Stop,
                        Measured = $"{design.Kind} {n + 1} is not made yet",
                        Limit = "all puzzles made",
                        Why = "Its page would be printed empty.",
                        Mend = "Wait until it is made.",
                        Page = index + 1,
                        Run = run,
                    };
                else if (!known.TryAdd((design.GetType(), same), index + 1))
                    yield return new()
                    {
                        Severity = Severity.Stop,
                        Measured = $"the {design.Kind} of page {known[(design.GetType(), same)]} again",
                        Limit = "each puzzle once",
                        Why = "A book sells a puzzle once.",
                        Mend = "Give one of the two runs another seed.",
                        Page = index + 1,
                        Run = run,
                    };
            }
        }
    }
}
