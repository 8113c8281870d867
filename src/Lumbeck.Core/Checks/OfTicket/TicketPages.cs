namespace Lumbeck.Core.Checks.OfTicket;

/// <summary>
/// Pages under or over what house and paper can bind; pages raised to the house's multiple are noted.
/// </summary>
public sealed class TicketPages : Rule
{
    public override string Id => "ticket.pages";
    public override bool OfTicket => true;
    public override string Proves => "the page count can be bound";

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        var (house, paper, spine) = (look.House, look.Job.Ticket.Paper, look.Geometry.Spine);
        var (least, most) = (look.Geometry.FewestPages, look.Geometry.MostPages);
        // The nearest way is a paper of the same list that holds as many.
        bool holds(Paper p) => look.Geometry.PagesOn(p) is var on && spine.Pages >= on.Fewest && spine.Pages <= on.Most;
        if (!holds(paper) && house.Papers.FirstOrDefault(holds) is { } other)
        {
            var (fewest, greatest) = look.Geometry.PagesOn(other);
            yield return Found(look, Severity.Stop, $"{spine.Pages} pages", $"{(spine.Pages < least ? least : most)} pages",
                $"{house.Name} binds {paper.Name} {(spine.Pages < least ? $"from {least}" : $"up to {most}")} pages.",
                $"Take {other.Name}, which it binds from {fewest} to {greatest} pages, or another count.", by: new SetPaper(other));
        }
        else if (spine.Pages < least)
            yield return Found(look, Severity.Stop, $"{spine.Pages} pages", $"{least} pages",
                $"{house.Name} binds {paper.Name} from {least} pages: fewer do not hold together.",
                $"Add {least - spine.Pages} pages, or choose another binding.", by: new SetPages(least));
        else if (spine.Pages > most)
            yield return Found(look, Severity.Stop, $"{spine.Pages} pages", $"{most} pages",
                $"{house.Name} binds {paper.Name} up to {most} pages.",
                "Take a thinner paper, a larger trim, or two volumes.");
        if (spine.Pages != spine.PagesAsked)
            yield return Found(look, Severity.Note, $"{spine.PagesAsked} pages", $"a multiple of {spine.Multiple}",
                $"{spine.PagesAsked} pages print as {spine.Pages}: the sheet is computed from {spine.Pages}.",
                $"Leave it, or add {spine.Pages - spine.PagesAsked} of your own.", by: new SetPages(spine.Pages));
    }
}
