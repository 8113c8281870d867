namespace Lumbeck.Core.Edits.OfTicket;

/// <summary>The facts that are pictures.</summary>
public enum TicketPicture
{
    /// <summary>The imprint's, as spines bear it.</summary>
    Mark,
    /// <summary>The author's portrait, for the back or a flap.</summary>
    Portrait
}

/// <summary>Sets a fact that is a picture; null takes it off. Covers have it when their livery is set again.</summary>
public sealed record SetTicketPicture(TicketPicture Which, Picture? Picture = null) : TicketEdit
{
    protected override string Fact => Which.ToString().ToLower(CultureInfo.InvariantCulture);

    public override string Says(Job before) => Which == TicketPicture.Mark ? "imprint’s mark" : "author’s picture";

    protected override Ticket On(Ticket t) =>
        Picture is { IsSound: false } ? throw new Refusal($"ticket/{Fact}", "this is no picture that was kept")
        : Which == TicketPicture.Mark ? t with { Mark = Picture }
        : t with { Portrait = Picture };
}
