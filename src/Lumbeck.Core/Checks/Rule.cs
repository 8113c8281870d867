namespace Lumbeck.Core.Checks;

/// <summary>
/// One thing that Check looks for (docs/checks.md): on a sheet as it is drawn (<see cref="Rule"/>), on the inks as they
/// lie on the press (<see cref="PlateRule"/>), or on the pages of an inside (<see cref="OfPages.PageRule"/>). A rule is
/// added by adding its file and naming it where its kind is listed.
/// </summary>
public abstract class CheckRule
{
    /// <summary>The rule's id, such as <c>zone.trim</c>.</summary>
    public abstract string Id { get; }

    /// <summary>What is so when it finds nothing, in words.</summary>
    public abstract string Proves { get; }

    /// <summary>Whether the limit is one of the house's figures.</summary>
    protected virtual bool Limited => true;

    /// <summary>What was found, of this rule and as the house weighs it where it says so.</summary>
    private protected Finding Weighed(Finding found, House house)
    {
        var ours = house.Severities.TryGetValue(Id, out var said);
        return found with
        {
            Id = Id,
            Severity = ours ? said : found.Severity,
            Whose = ours || Limited ? house.Name : "the trade",
        };
    }

    private protected Finding Weighed(Finding found, CheckContext look) => Weighed(found, look.House) with
    {
        Sheet = look.On.Number,
        Waived = look.Job.Waivers.FirstOrDefault(w => w.Rule == Id)?.Reason,
    };
}

/// <summary>A rule that looks at a sheet as it is drawn.</summary>
public abstract class Rule : CheckRule
{
    /// <summary>Whether it looks at the ticket alone, so that a job with several sheets is looked at once.</summary>
    public virtual bool OfTicket => false;

    public IEnumerable<Finding> Check(CheckContext look) => Look(look).Select(f => Weighed(f, look));

    /// <summary>What is so, its limit, where and why; whose limit it is and how much it weighs is the rule's.</summary>
    protected abstract IEnumerable<Finding> Look(CheckContext look);
}

/// <summary>
/// A rule that looks at the inks as they lie on the press: it is asked later than the others, and again at press
/// resolution before a file leaves.
/// </summary>
public abstract class PlateRule : CheckRule
{
    public IEnumerable<Finding> Find(CheckContext look, PlateContext plates) =>
        Look(look, plates).Select(f => Weighed(f, look));

    /// <summary>What is so, as a <see cref="Rule"/> says it.</summary>
    protected abstract IEnumerable<Finding> Look(CheckContext look, PlateContext plates);
}
