namespace Lumbeck.Core.Checks.OfTicket;

/// <summary>
/// Pages under or over what house and paper can bind; pages raised to the house's multiple are noted.
/// </summary>
public sealed class TicketPages : Rule
{
    public override string Id => "ticket.pages";
    public override bool OfTicket => true;
    public override string Proves => "the page count can be bound";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        var (house, paper, spine) = (look.House, look.Job.Ticket.Paper, look.Geometry.Spine);
        var (least, most) = (look.Geometry.FewestPages, look.Geometry.MostPages);
        // The nearest way is a paper of the same list that holds as many.
        bool holds(Paper p) => look.Geometry.PagesOn(p) is var on && spine.Pages >= on.Fewest && spine.Pages <= on.Most;
        if (!holds(paper) && house.Papers.FirstOrDefault(holds) is { } other)
        {
            var (fewest, greatest) = look.Geometry.PagesOn(other);
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"{spine.Pages} pages",
                Limit = $"{(spine.Pages < least ? least : most)} pages",
                Why = $"{house.Name} binds {paper.Name} {(spine.Pages < least ? $"from {least}" : $"up to {most}")} pages.",
                Mend = $"Take {other.Name}, which it binds from {fewest} to {greatest} pages, or another count.",
                Fix = new SetPaper(other),
            };
        }
        else if (spine.Pages < least)
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"{spine.Pages} pages",
                Limit = $"{least} pages",
                Why = $"{house.Name} binds {paper.Name} from {least} pages: fewer do not hold together.",
                Mend = $"Add {least - spine.Pages} pages, or choose another binding.",
                Fix = new SetPages(least),
            };
        else if (spine.Pages > most)
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"{spine.Pages} pages",
                Limit = $"{most} pages",
                Why = $"{house.Name} binds {paper.Name} up to {most} pages.",
                Mend = "Take a thinner paper, a larger trim, or two volumes.",
            };
        if (spine.Pages != spine.PagesAsked)
            yield return new()
            {
                Severity = Severity.Note,
                Measured = $"{spine.PagesAsked} pages",
                Limit = $"a multiple of {spine.Multiple}",
                Why = $"{spine.PagesAsked} pages print as {spine.Pages}: the sheet is computed from {spine.Pages}.",
                Mend = $"Leave it, or add {spine.Pages - spine.PagesAsked} of your own.",
                Fix = new SetPages(spine.Pages),
            };
    }
}
