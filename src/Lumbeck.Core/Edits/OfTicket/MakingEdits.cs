namespace Lumbeck.Core.Edits.OfTicket;

// How the book is made: the facts that move the sheet.

/// <summary>
/// Takes a house and its rules as they are now; of what the ticket had of the old house, the new one has what it can, and the
/// rest waits for one that has it.
/// </summary>
public sealed record SetHouse(House House) : TicketEdit
{
    protected override string Fact => "house";
    protected override Ticket On(Ticket t) => EarlierChoices.Move(t, House);
}

public sealed record SetBinding(BindingKind Binding) : TicketEdit
{
    protected override string Fact => "binding";
    protected override Ticket On(Ticket t) => t.House.Binds(Binding)
        ? t with { Binding = Binding }
        : throw new Refusal("ticket/binding",
            $"{t.House.Name} binds no {Binding.Word()}: take " +
                $"{string.Join(" or ", t.House.Bindings.Select(b => b.Word()))}, or another printer");
}

/// <summary>A round back in place of a flat one.</summary>
public sealed record SetBack(bool Round) : TicketEdit
{
    protected override string Fact => "back";
    protected override Ticket On(Ticket t) => Round && t.House.RoundBackFactor == 1
        ? throw new Refusal("ticket/back", $"{t.House.Name} makes flat backs only")
        : t with { RoundBack = Round };
}

public sealed record SetTrim(Size Trim) : TicketEdit
{
    protected override string Fact => "trim";
    protected override Ticket On(Ticket t) => t with { Trim = Trim };
}

public sealed record SetPages(int Pages) : TicketEdit
{
    protected override string Fact => "pages";
    protected override Ticket On(Ticket t) => t with { Pages = Pages };
}

public sealed record SetPaper(Paper Paper) : TicketEdit
{
    protected override string Fact => "paper";
    protected override Ticket On(Ticket t) => t with { Paper = Paper };
}

/// <summary>A section on another paper, or none.</summary>
public sealed record SetPlates(Plates? Plates) : TicketEdit
{
    protected override string Fact => "plates";
    protected override Ticket On(Ticket t) => t with { Plates = Plates };
}

/// <summary>The block as measured on a dummy, or null to compute it.</summary>
public sealed record SetDummy(Length? Block) : TicketEdit
{
    protected override string Fact => "dummy";
    protected override Ticket On(Ticket t) => t with { Dummy = Block };
}

/// <summary>What endpapers add; null takes the house's figure.</summary>
public sealed record SetEndpapers(Length? Thickness) : TicketEdit
{
    protected override string Fact => "endpapers";
    protected override Ticket On(Ticket t) => t with { Endpapers = Thickness };
}

/// <summary>Flaps on or off; a width of its own, or the house's where null.</summary>
public sealed record SetFlaps(bool Flaps, Length? Width = null) : TicketEdit
{
    protected override string Fact => "flaps";
    protected override Ticket On(Ticket t) => t with { Flaps = Flaps, FlapWidth = Width };
}

/// <summary>Keeps what an inside PDF says beside the ticket's own facts, or forgets it.</summary>
public sealed record LayInside(InsideFile? Inside) : TicketEdit
{
    protected override string Fact => "inside";
    protected override Ticket On(Ticket t) => t with { Inside = Inside };

    // Runs or a file: what lay there is put by and can be taken up again.
    protected override Job On(Job job) => base.On(job) with
    {
        Inside = Inside is not null && job.Inside is { Runs.Count: > 0 } runs ? runs with { PutBy = true } : job.Inside,
    };
}

/// <summary>Takes page count and trim over from the inside PDF.</summary>
public sealed record TakeInside(bool Pages = true, bool Trim = true) : TicketEdit
{
    protected override string Fact => "pages";
    public override string Says(Job before) => "pages and trim of the inside";
    protected override Ticket On(Ticket t)
    {
        var inside = t.Inside
            ?? throw new Refusal("ticket/inside", "no inside lies on this ticket: drop its PDF first");
        return t with { Pages = Pages ? inside.Pages : t.Pages, Trim = Trim ? inside.Trim(t.Trim, t.House) : t.Trim };
    }
}
