namespace Lumbeck.Core.Checks.OfPages;

/// <summary>A stapled booklet whose innermost gutter creep leaves too narrow.</summary>
public sealed class InsideGutter : PageRule
{
    public override string Id => "inside.gutter";
    public override string Proves => "gutters are wide enough, creep and all";

    protected override IEnumerable<Finding> Look(InsidePlan plan)
    {
        var unit = plan.Job.Ticket.Unit;
        if (plan.CreepMost.Units <= 0) yield break;
        foreach (var run in plan.Counted.Runs)
        {
            var left = plan.Grid(run.Run).Gutter - plan.CreepMost;
            if (left >= plan.Gutter.Wide) continue;
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = $"{left.Show(unit)} in the innermost sheet",
                Limit = $"{plan.Gutter.Wide.Show(unit)}, and {plan.CreepMost.Show(unit)} of creep",
                Why = "Sheets inside a booklet are pushed out and drawn in again, which their gutter pays for.",
                Mend = $"Give the run a gutter of {(plan.Gutter.Wide + plan.CreepMost).Show(unit)}.",
                Page = Math.Max(1, run.First),
                Run = plan.Inside.Runs[run.Run]
                    .Id,
            };
        }
    }
}

/// <summary>Pages that run out to the cut at a house whose pages have no bleed.</summary>
public sealed class InsideBleed : PageRule
{
    public override string Id => "inside.bleed";
    public override string Proves => "the printer trims pages that run out, where these do";

    protected override IEnumerable<Finding> Look(InsidePlan plan)
    {
        if (plan is { Inside.Bleeds: true, Rules.Bleed: PageBleed.None })
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = "pages with bleed",
                Limit = "pages without",
                Why = $"{plan.Job.Ticket.House.Name} prints pages that keep clear of the cut: what runs out to it would end in white.",
                Mend = "Let no page bleed, or take another printer.",
            };
    }
}

/// <summary>A thumb index too close to be told apart.</summary>
public sealed class InsideTabs : PageRule
{
    private static readonly Length Least = Length.FromMillimetres(8);

    public override string Id => "inside.tabs";
    public override string Proves => "thumb tabs can be told apart";

    protected override IEnumerable<Finding> Look(InsidePlan plan)
    {
        if (plan.Tabbed.IsEmpty) yield break;
        var (t, unit) = (plan.Job.Ticket.Trim.Height, plan.Job.Ticket.Unit);
        var pitch = plan.Inside.Tabs.Pitch(t, plan.Tabbed.Length);
        var high = pitch - plan.Inside.Tabs.Gap;
        var first = plan.Counted.Runs[plan.Tabbed[0]].First;
        if (high.Units <= 0)
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"tabs of {high.Show(unit)}",
                Limit = "tabs with a height",
                Why = $"{plan.Tabbed.Length} tabs with {plan.Inside.Tabs.Gap.Show(unit)} between them have no room from " +
                    $"head to foot.",
                Mend = "Give fewer runs a tab, or less room at head and foot.",
                Page = first,
            };
        else if (pitch < Least)
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = $"{pitch.Show(unit)} from tab to tab",
                Limit = $"{Least.Show(unit)} or more",
                Why = "Tabs this close are not told apart by a thumb.",
                Mend = "Give fewer runs a tab, or less room at head and foot.",
                Page = first,
            };
    }
}
