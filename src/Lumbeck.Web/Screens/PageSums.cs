namespace Lumbeck.Web.Screens;

/// <summary>How the figures of an opening come about.</summary>
public static class PageSums
{
    public static IReadOnlyList<Sum> Of(InsidePlan plan, int opening, Unit unit)
    {
        var page = plan.Page(Math.Clamp(opening, 1, plan.Printed));
        var (t, rules, inside) = (plan.Job.Ticket, plan.Rules, plan.Inside);
        var grid = plan.Grid(page.Slot.Run);
        var own = page.Run?.Margins is { } m ? m.Over(inside.Margins) : inside.Margins;
        var least = rules.MarginOf(inside.Bleeds);
        Sum margin(string name, string label, Length? wished, Length holds) => new(name, label, holds.Show(unit),
            wished is { } w && w >= least
                ? $"{w.Show(unit)} of its own; {t.House.Name} wants {least.Show(unit)} or more"
            : $"{least.Show(unit)}, the least of " +
                $"{t.House.Name}{(wished is { } x ? $", over its own {x.Show(unit)}" : "")}");
        var gutter =
            $"{plan.Gutter.Wide.Show(unit)} at {t.House.Name} up to {plan.Gutter.UpTo} pages, {plan.Printed} here" +
            (plan.Band.Units > 0 ? $"; {plan.Band.Show(unit)} are punched" : "") +
            (own.Gutter is { } g ? $"; {g.Show(unit)} of its own" : "") + $": {grid.Gutter.Show(unit)}" +
            (plan.CreepMost.Units > 0
                ? $"; creep takes up to {plan.CreepMost.Show(unit)}, {(grid.Gutter - plan.CreepMost).Show(unit)} left"
                : "");
        List<Sum> sums =
        [
            margin("head", "Head", own.Head, grid.Head), margin("foot", "Foot", own.Foot, grid.Foot),
            margin("fore-edge", "Fore-edge", own.ForeEdge, grid.ForeEdge),
                new("gutter", "Gutter", grid.Gutter.Show(unit), gutter),
            new("width", "Width", page.Surface.Safe.Width.Show(unit), $"{t.Trim.Width.Show(unit)} − " +
                $"{grid.Gutter.Show(unit)} − " +
                $"{grid.ForeEdge.Show(unit)} = {page.Surface.Safe.Width.Show(unit)}"),
        ];
        if (page.Design is { } design)
            sums.Insert(0, new("page", "Page", "", Attempt.Or(() => design.Working(page.Surface, unit),
                r => $"does not fit: {r.Message}")));
        if (inside.Bleeds)
            sums.Add(new("bleed", "Bleed", rules.BleedWidth.Show(unit),
                $"{InsideFacts.Bleeding(t)}, as {t.House.Name} takes it"));
        return sums;
    }
}
