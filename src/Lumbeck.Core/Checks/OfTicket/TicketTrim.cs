namespace Lumbeck.Core.Checks.OfTicket;

/// <summary>A trim the house does not cut; one that is not among its usual sizes is a caution.</summary>
public sealed class TicketTrim : Rule
{
    public override string Id => "ticket.trim";
    public override bool OfTicket => true;
    public override string Proves => "the printer cuts this trim";

    private static bool Near(Size a, Size b) =>
        Length.Abs(a.Width - b.Width) <= House.AtLimit && Length.Abs(a.Height - b.Height) <= House.AtLimit;

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        var (house, trim) = (look.House, look.Job.Ticket.Trim);
        var turned = new Size(trim.Height, trim.Width);
        if (!house.Cuts(trim))
            yield return Found(look, Severity.Stop, trim.Show(look.Unit), $"{house.TrimLeast.Show(look.Unit)} to " +
                $"{house.TrimMost.Show(look.Unit)}", $"{house.Name} does not cut a trim of {trim.Show(look.Unit)}.",
                house.Cuts(turned)
                    ? $"Width and height may be swapped: {turned.Show(look.Unit)} can be cut."
                    : "Take a size within these, or another printer.", by: house.Cuts(turned)
                    ? new SetTrim(turned)
                    : null);
        else if (house.Trims.Count > 0 && house.Trims.All(t => !Near(t.Size, trim)))
            yield return Found(look, Severity.Caution, trim.Show(look.Unit),
                string.Join(", ", house.Trims.Take(4).Select(t => t.Size.Show(look.Unit))),
                $"{house.Name} can cut this trim, but it is none of its usual sizes: ask about price and delay.",
                "Take one of the usual sizes, or leave it.");
    }
}
