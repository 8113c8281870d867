namespace Lumbeck.Web.Wire;

/// <summary>Puts a livery on every wrap of a job, as a take of its own.</summary>
/// <param name="Livery">Its word.</param>
/// <param name="Colourway">Which of its sets of colours, from 1.</param>
/// <param name="Seed">Of what it draws by chance: a number or a word; the livery’s own where empty.</param>
/// <param name="New">The take’s id.</param>
public sealed record WearLivery(string Livery, int Colourway, string Seed, string New) : Ask
{
    public override Edit Make(Asking at) =>
        at.Desk.Liveries.Wear(at.Job, Livery, Colourway, Seed.Length == 0 ? null : Seed, New).Edit;
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
