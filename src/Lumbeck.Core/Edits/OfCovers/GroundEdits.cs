namespace Lumbeck.Core.Edits.OfCovers;

/// <summary>An edit of what lies under everything on one wrap.</summary>
public abstract record GroundEdit(int Wrap) : Edit
{
    protected abstract string Fact { get; }
    protected abstract Fill On(Fill ground);
    public override string Says(Job before) => "ground";
    protected override Job On(Job job)
    {
        if (Wrap < 0 || Wrap >= job.Wraps.Count)
            throw new Refusal(GroundPath.Of(Wrap, Fact), "this job has no such wrap");
        var take = job.Wraps[Wrap].Take;
        return job.With(Wrap, take with { Ground = On(take.Ground) });
    }
}

/// <summary>Paints the ground, or takes its paint away.</summary>
public sealed record PaintGround(Paint? Paint, int Wrap = 0) : GroundEdit(Wrap)
{
    protected override string Fact => "paint";
    protected override Fill On(Fill ground) => ground with { Paint = Paint };
}

/// <summary>Lays a drawn paper over the ground, or takes it away.</summary>
public sealed record LayPaper(Pattern? Paper, int Wrap = 0) : GroundEdit(Wrap)
{
    protected override string Fact => "paper";
    protected override Fill On(Fill ground) => ground with { Pattern = Paper };
}

/// <summary>An edit of the paper that lies on the ground.</summary>
public abstract record PaperEdit(int Wrap) : GroundEdit(Wrap)
{
    public override string Says(Job before) => $"{Fact} of the ground's paper";
    protected abstract Pattern On(Pattern paper);
    protected override Fill On(Fill ground) => ground with
    {
        Pattern = On(ground.Pattern
            ?? throw new Refusal(GroundPath.Of(Wrap, Fact), "no paper lies on the ground: pick one first")),
    };
}

/// <summary>Another seed draws another paper of the same kind.</summary>
public sealed record SeedPaper(int Seed, int Wrap = 0) : PaperEdit(Wrap)
{
    protected override string Fact => "seed";
    protected override Pattern On(Pattern paper) => paper with { Seed = Seed };
}

public sealed record PaintPaper(Paint Lines, int Wrap = 0, int Slot = 0) : PaperEdit(Wrap)
{
    protected override string Fact => "lines";
    protected override Pattern On(Pattern paper) => paper with { Paints = paper.Paints.SetItem(Slot, Lines) };
}
