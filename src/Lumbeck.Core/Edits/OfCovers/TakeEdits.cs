namespace Lumbeck.Core.Edits.OfCovers;

/// <summary>An edit of a wrap's takes, its alternative designs. The one that lies on the bench is the one that is checked and pressed.</summary>
public abstract record TakeEdit(int Wrap) : Edit
{
    protected abstract Wrap On(Wrap wrap);

    protected override Job On(Job job) => Wrap < 0 || Wrap >= job.Wraps.Count
        ? throw new Refusal("takes", "this job has no such wrap")
        : job with { Wraps = job.Wraps.SetItem(Wrap, On(job.Wraps[Wrap])) };

    protected static Take At(Wrap wrap, int take) => take >= 0 && take < wrap.Takes.Count ? wrap.Takes[take] : throw new Refusal("takes", "this take was removed in the meantime");

    protected static string Free(Wrap wrap, string name, int except = -1) => Plain.Line(name) switch
    {
        { Length: 0 or > NameItem.Most } => throw new Refusal("takes", $"a take needs a name of up to {NameItem.Most} letters"),
        var n when wrap.Takes.Where((t, i) => i != except).Any(t => t.Name.Equals(n, StringComparison.OrdinalIgnoreCase)) => throw new Refusal("takes", $"there is a take “{n}” already: take another name"),
        var n => n,
    };
}

/// <summary>Begins another design from the one on the bench, and lays it there.</summary>
public sealed record AddTake(int Wrap, string Name) : TakeEdit(Wrap)
{
    /// <summary>Takes a wrap holds at most.</summary>
    public const int Most = 24;
    public override string Says(Job before) => $"new take “{Name}”";
    protected override Wrap On(Wrap wrap) => wrap.Takes.Count >= Most
        ? throw new Refusal("takes", $"a wrap holds up to {Most} takes: remove one first")
        : wrap with { Takes = wrap.Takes.Add(wrap.Take with { Name = Free(wrap, Name) }), Current = wrap.Takes.Count };
}

/// <summary>Lays a take on the bench.</summary>
public sealed record ChooseTake(int Wrap, int Take) : TakeEdit(Wrap)
{
    public override string Says(Job before) => $"take “{(Wrap < before.Wraps.Count && Take >= 0 && Take < before.Wraps[Wrap].Takes.Count ? before.Wraps[Wrap].Takes[Take].Name : "")}” chosen";
    protected override Wrap On(Wrap wrap) => At(wrap, Take) is var _ ? wrap with { Current = Take } : wrap;
}

public sealed record NameTake(int Wrap, int Take, string Name) : TakeEdit(Wrap)
{
    public override string Says(Job before) => "name of a take";
    protected override Wrap On(Wrap wrap) => wrap with { Takes = wrap.Takes.SetItem(Take, At(wrap, Take) with { Name = Free(wrap, Name, Take) }) };
}

public sealed record RemoveTake(int Wrap, int Take) : TakeEdit(Wrap)
{
    public override string Says(Job before) => "take removed";
    protected override Wrap On(Wrap wrap)
    {
        _ = At(wrap, Take);
        if (wrap.Takes.Count == 1) throw new Refusal("takes", "this is the wrap’s only take: begin another first");
        return wrap with { Takes = wrap.Takes.RemoveAt(Take), Current = wrap.Current > Take || wrap.Current == wrap.Takes.Count - 1 ? wrap.Current - 1 : wrap.Current };
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
    protected override Job On(Job job) => State ?? throw new Refusal("steps", "there is no such step");
}
