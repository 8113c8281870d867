namespace Lumbeck.Core.Edits.OfInside;

/// <summary>What all pages share, as it is to be.</summary>
public sealed record SetInside(Inside New, string What) : InsideEdit
{
    public override string Says(Job before) => What;

    // Runs are changed by edits of their own.
    protected override Inside On(Inside inside, Job job) =>
        New with { Runs = inside.Runs } is { IsSound: true } next
            ? next
            : throw new Refusal("inside", "pages can’t be so");
}

/// <summary>Begins the inside with ready runs in place of what is there.</summary>
public sealed record BeginInside(ImmutableList<PageRun> Runs, string Name) : InsideEdit
{
    private static PageRun LeftBlank { get; } = new()
    {
        Id = "last", Name = "Left blank for the printer", Designs = [DesignShelf.Of("blank")], Folio = false,
    };

    /// <summary>Whether a run that takes the rest fills the pages that the ticket says.</summary>
    public bool Fills { get; init; }

    public override string Says(Job before) => $"inside of {Name}";

    protected override Inside On(Inside inside, Job job)
    {
        // Where the printer puts a mark of its own on the last page, that is left blank.
        var left = Fills && job.Ticket.House.Inside.LastPageBlank && Runs.All(r => r.Id != "last");
        var next = inside with { Runs = left ? Runs.Add(LeftBlank) : Runs, PutBy = false };
        if (!next.IsSound) throw new Refusal("inside", "these runs can’t be laid");
        if (!Fills) return next;
        next = next with { Fixed = null };
        // A run that takes the rest has all that the others leave it, where they leave any.
        var filled = next with { Fixed = Math.Min(job.Ticket.Pages, Inside.MostPages) };
        return Runs.Any(r => r.Goes == RunKind.Rest) && Counted.Of(filled, 1) is { } counted
            && counted.Runs.All(r => r.Last <= filled.Fixed) ? filled : next;
    }
}

/// <summary>Puts the pages by for a file from elsewhere, or takes them up again.</summary>
public sealed record PutInsideBy(bool By) : InsideEdit
{
    public override string Says(Job before) => By ? "put the runs by" : "take the runs up again";

    protected override Inside On(Inside inside, Job job) => inside.Runs.IsEmpty
        ? throw new Refusal("inside", "there are no runs to take up: add one")
        : inside with { PutBy = By };
}
