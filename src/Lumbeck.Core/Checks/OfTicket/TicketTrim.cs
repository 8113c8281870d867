namespace Lumbeck.Core.Checks.OfTicket;

/// <summary>A trim the house does not cut; one that is not among its usual sizes is a caution.</summary>
public sealed class TicketTrim : Rule
{
    public override string Id => "ticket.trim";
    public override bool OfTicket => true;
    public override string Proves => "the printer cuts this trim";

    private static bool Near(Size a, Size b) =>
        Length.Abs(a.Width - b.Width) <= House.AtLimit && Length.Abs(a.Height - b.Height) <= House.AtLimit;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        var (house, trim) = (look.House, look.Job.Ticket.Trim);
        var turned = new Size(trim.Height, trim.Width);
        if (!house.Cuts(trim))
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = trim.Show(look.Unit),
                Limit = $"{house.TrimLeast.Show(look.Unit)} to {house.TrimMost.Show(look.Unit)}",
                Why = $"{house.Name} does not cut a trim of {trim.Show(look.Unit)}.",
                Mend = house.Cuts(turned)
                    ? $"Width and height may be swapped: {turned.Show(look.Unit)} can be cut."
                    : "Take a size within these, or another printer.",
                Fix = house.Cuts(turned)
                    ? new SetTrim(turned)
                    : null,
            };
        else if (house.Trims.Count > 0 && house.Trims.All(t => !Near(t.Size, trim)))
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = trim.Show(look.Unit),
                Limit = string.Join(", ", house.Trims.Take(4).Select(t => t.Size.Show(look.Unit))),
                Why = $"{house.Name} can cut this trim, but it is none of its usual sizes: ask about price and delay.",
                Mend = "Take one of the usual sizes, or leave it.",
            };
    }
}
