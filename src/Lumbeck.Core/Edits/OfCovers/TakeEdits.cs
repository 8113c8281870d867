namespace Lumbeck.Core.Edits.OfCovers;

/// <summary>
/// An edit of a wrap's takes, its alternative designs. The one that lies on the bench is the one that is checked and
/// pressed.
/// </summary>
public abstract record TakeEdit(int Wrap) : Edit
{
    protected abstract Wrap On(Wrap wrap);

    protected override Job On(Job job) => Wrap < 0 || Wrap >= job.Wraps.Count
        ? throw new Refusal("takes", "this job has no such wrap")
        : job with { Wraps = job.Wraps.SetItem(Wrap, On(job.Wraps[Wrap])) };

    protected static Take At(Wrap wrap, string take) =>
        wrap.Find(take) ?? throw new Refusal("takes", "this take was removed in the meantime");

    protected static string FreeName(Wrap wrap, string name, string? except = null) => Plain.Line(name) switch
    {
        { Length: 0 or > NameItem.Most } => throw new Refusal("takes",
            $"a take needs a name of up to {NameItem.Most} letters"),
        var n when wrap.Takes.Any(t => t.Id != except && t.Name.Equals(n, StringComparison.OrdinalIgnoreCase)) =>
            throw new Refusal("takes", $"there is a take “{n}” already: take another name"),
        var n => n,
    };
}

/// <summary>Begins another design from the one on the bench, and lays it there.</summary>
/// <param name="Wrap">The wrap.</param>
/// <param name="New">Its id.</param>
/// <param name="Name">What it is called.</param>
public sealed record AddTake(int Wrap, string New, string Name) : TakeEdit(Wrap)
{
    /// <summary>Takes a wrap holds at most.</summary>
    public const int Most = 24;
    public override string Says(Job before) => $"new take “{Name}”";
    protected override Wrap On(Wrap wrap)
    {
        if (wrap.Takes.Count >= Most) throw new Refusal("takes", $"a wrap holds up to {Most} takes: remove one first");
        if (!Free.CanBe(New) || wrap.Find(New) is not null)
            throw new Refusal("takes", $"a take can’t have the id `{LengthText.Clip(New)}`");
        return wrap with
        {
            Takes = wrap.Takes.Add(wrap.Take with { Id = New, Name = FreeName(wrap, Name) }),
            Current = New,
        };
    }
}

/// <summary>Lays a take on the bench.</summary>
public sealed record ChooseTake(int Wrap, string Take) : TakeEdit(Wrap)
{
    public override string Says(Job before) =>
        $"take “{(Wrap < before.Wraps.Count ? before.Wraps[Wrap].Find(Take)?.Name : "")}” chosen";
    protected override Wrap On(Wrap wrap) => wrap with { Current = At(wrap, Take).Id };
}

public sealed record NameTake(int Wrap, string Take, string Name) : TakeEdit(Wrap)
{
    public override string Says(Job before) => "name of a take";
    protected override Wrap On(Wrap wrap) => wrap.With(At(wrap, Take) with { Name = FreeName(wrap, Name, Take) });
}

public sealed record RemoveTake(int Wrap, string Take) : TakeEdit(Wrap)
{
    public override string Says(Job before) => "take removed";
    protected override Wrap On(Wrap wrap)
    {
        var take = At(wrap, Take);
        if (wrap.Takes.Count == 1) throw new Refusal("takes", "this is the wrap’s only take: begin another first");
        var left = wrap.Takes.Remove(take);
        // The one before it is on the bench then.
        return wrap with
        {
            Takes = left,
            Current = wrap.Current == take.Id ? left[Math.Max(0, wrap.Takes.IndexOf(take) - 1)].Id : wrap.Current,
        };
    }
}

/// <summary>Brings the whole job back as it was at a revision, as a new step.</summary>
/// <param name="Revision">The revision, as the store numbers it.</param>
public sealed record BringBack(long Revision) : Edit
{
    /// <summary>The job as it was then; the store keeps it with the revision.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public Job? State { get; init; }

    public override string Says(Job before) => "brought back";
    protected override Job On(Job job) => State ?? throw new Refusal("history", "there is no such step");
}
