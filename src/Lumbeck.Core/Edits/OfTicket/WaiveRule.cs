namespace Lumbeck.Core.Edits.OfTicket;

/// <summary>
/// Lets a job go without a rule, for a reason that stays on record; no reason takes the rule up again.
/// </summary>
public sealed record WaiveRule(string Rule, string Reason) : Edit
{
    public override string Says(Job before) =>
        Reason.Trim().Length > 0 ? $"go without {Rule}: {LengthText.Clip(Reason)}" : $"look at {Rule} again";

    protected override Job On(Job job)
    {
        // Which rules there are is known above edits; that a job goes without one that is none is refused at the desk's
        // door.
        if (Rule.Length is 0 or > 40) throw new Refusal("waiver", $"there is no rule called `{LengthText.Clip(Rule)}`");
        var reason = Plain.Line(Reason);
        if (reason.Length > Waiver.Most)
            throw new Refusal($"waiver/{Rule}",
                $"a reason of {reason.Length} letters is over {Waiver.Most}: shorten it");
        var others = job.Waivers.RemoveAll(w => w.Rule == Rule);
        return job with { Waivers = reason.Length == 0 ? others : others.Add(new(Rule, reason)) };
    }
}
