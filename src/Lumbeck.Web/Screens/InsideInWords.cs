using System.Text;

namespace Lumbeck.Web.Screens;

/// <summary>An inside in words, for those who don't see it.</summary>
public static class InsideInWords
{
    public static string Say(InsidePlan? plan)
    {
        if (plan is null) return "No pages are made here.\n";
        var t = plan.Job.Ticket;
        var s = new StringBuilder().Append(CultureInfo.InvariantCulture,
            $"{plan.Counted.Asked} pages of {t.Trim.Show(t.Unit)}, printed as {plan.Printed}.\n");
        foreach (var counted in plan.Counted.Runs)
        {
            var run = plan.Inside.Runs[counted.Run];
            if (counted.BlankBefore > 0)
                s.Append(CultureInfo.InvariantCulture,
                    $"{counted.BlankBefore} blank, so that the next run begins where it is to.\n");
            s.Append(CultureInfo.InvariantCulture,
                $"{run.Says}: {(counted.Pages == 0 ? "no pages" : $"pages {counted.First} to {counted.Last}")}, " +
                    $"{run.Designs[0].Kind}.\n");
            foreach (var design in run.Designs)
                s.Append("  ").Append(Attempt.Or(
                    () => design.Working(plan.Page(Math.Max(1, counted.First)).Surface, t.Unit),
                    r => $"Does not fit: {r.Message}")).Append('\n');
        }
        return s.ToString();
    }
}
