namespace Lumbeck.Web.Wire;

/// <summary>Puts a livery on every wrap of a job, as a take of its own.</summary>
/// <param name="Livery">Its word.</param>
/// <param name="Colourway">Which of its sets of colours, from 1.</param>
/// <param name="Seed">Of what it draws by chance: a number or a word; the livery’s own where empty.</param>
/// <param name="New">The take’s id.</param>
/// <param name="LetGo">Takes that make room where a wrap holds as many as it can.</param>
public sealed record WearLivery(string Livery, int Colourway, string Seed, string New, string[]? LetGo = null) : Ask
{
    public override Edit Make(Asking at) =>
        at.Desk.Liveries.Wear(at.Job, Livery, Colourway, Seed.Length == 0 ? null : Seed, New).Edit
            with
        { LetGo = LetGo is null ? null : [.. LetGo] };
}

/// <summary>Sets a picture of the ticket to one of the Drawer; none takes it off.</summary>
/// <param name="Which">“mark” or “portrait”.</param>
/// <param name="Hash">The picture.</param>
public sealed record PutTicketPicture(string Which, string? Hash = null) : Ask
{
    public override Edit Make(Asking at) => new SetTicketPicture(Named(Which), Hash is null ? null : AddKept.Of(at, Hash));

    /// <exception cref="Refusal">There is no such picture of a ticket.</exception>
    internal static TicketPicture Named(string which) =>
        Enum.TryParse<TicketPicture>(which, ignoreCase: true, out var known) && Enum.IsDefined(known) && !char.IsDigit(which[0])
            ? known
            : throw new Refusal("ticket", $"a ticket has no picture `{LengthText.Clip(which)}`: mark, or portrait");
}

/// <summary>Sets the designs on the bench again as their livery would, but for what a hand has moved.</summary>
public sealed record SetLiveryAgain : Ask
{
    public override Edit Make(Asking at) => at.Desk.Liveries.Again(at.Job);
}

/// <summary>Lays what lies beside the sheet on a panel, or lets it go.</summary>
/// <param name="Item">Its id.</param>
/// <param name="Panel">Where to; empty to let it go.</param>
public sealed record FromBeside(string Item, string Panel) : Ask
{
    public override Edit Make(Asking at) => Panel.Length == 0 ? new DropBeside(at.Wrap, Item)
        : Parts.TryParse(Panel, out var part) ? new LayBeside(at.Wrap, Item, part)
        : throw new Refusal("takes", "there is no such panel");
}
