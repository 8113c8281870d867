namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Runs that are more or less than a fixed count, and a last page that a house wants for its mark.</summary>
public sealed class InsideCount : PageRule
{
    public override string Id => "inside.count";
    public override string Proves => "the runs make the pages that the book has";

    protected override IEnumerable<Finding> Look(InsidePlan plan)
    {
        var made = plan.Counted.Runs.Length == 0 ? 0 : plan.Counted.Runs.Max(r => r.Last);
        if (plan.Inside.Fixed is { } asked && made > asked)
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"{made} pages",
                Limit = $"{asked} pages, as fixed",
                Why = $"The runs are {made - asked} pages more than the book has.",
                Mend = "Make a run shorter, or let the runs say the count.",
                Page = asked + 1,
            };
        else if (plan.Inside.Fixed is { } few && made < few && plan.Inside.Runs.All(r => r.Goes != RunKind.Rest))
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = $"{made} pages",
                Limit = $"{few} pages, as fixed",
                Why = $"{few - made} pages at the end stay blank.",
                Mend = "Let a run take the rest, or let the runs say the count.",
                Page = made + 1,
            };
        if (plan.Rules.LastPageBlank && plan.Counted.Pages[^1].Kind is SlotKind.Page
            && plan.Page(plan.Printed).Design is not BlankPage)
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"page {plan.Printed} is printed on",
                Limit = "a blank last page",
                Why = $"{plan.Job.Ticket.House.Name} puts its own mark on the last page.",
                Mend = "Leave the last page blank: add one, or make a run a page shorter.",
                Page = plan.Printed,
            };
    }
}
