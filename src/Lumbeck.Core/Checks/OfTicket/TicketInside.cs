namespace Lumbeck.Core.Checks.OfTicket;

/// <summary>
/// An inside PDF whose page count or page size is not the ticket's; pages of odd sizes within it are a caution.
/// </summary>
public sealed class TicketInside : Rule
{
    public override string Id => "ticket.inside";
    public override bool OfTicket => true;
    public override string Proves => "the inside’s pages are the ticket’s";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        var t = look.Job.Ticket;
        // A file that runs stand in place of is put by.
        if (t.Inside is not { } inside || look.Job.HasPages) yield break;
        if (inside.Pages != t.Pages)
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"{inside.Pages} pages in {inside.Name}",
                Limit = $"{t.Pages} pages on the ticket",
                Why = "Inside and cover are for different page counts, so the spine is wrong for one of them.",
                Mend = "Take the count over on the ticket, or lay the right inside on it.",
                Fix = new TakeInside(Trim: false),
            };
        if (!inside.Fits(t.Trim, look.House.Bleed))
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"pages of {inside.Page.Show(look.Unit)}",
                Limit = $"{t.Trim.Show(look.Unit)}, with bleed or without",
                Why = "Inside and cover are of different sizes.",
                Mend = "Take the size over on the ticket, or lay the right inside on it.",
                Fix = new TakeInside(Pages: false),
            };
        if (inside.Sizes.Length > 1)
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = string.Join(", ",
                    inside.Sizes.Skip(1).Take(3).Select(s => $"page {s.First}: {s.Size.Show(look.Unit)}")),
                Limit = $"{inside.Page.Show(look.Unit)} throughout",
                Why = "Not all pages of the inside are of one size.",
                Mend = "Export the inside again with one page size.",
            };
    }
}
