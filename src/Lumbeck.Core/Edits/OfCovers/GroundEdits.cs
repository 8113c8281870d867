namespace Lumbeck.Core.Edits.OfCovers;

/// <summary>An edit of what lies under everything on one wrap.</summary>
public abstract record GroundEdit(int Wrap) : Edit
{
    protected abstract string Fact { get; }
    protected abstract Ground On(Ground ground);
    public override string Says(Job before) => "ground";
    protected override Job On(Job job)
    {
        if (Wrap < 0 || Wrap >= job.Wraps.Count) throw new Refusal(GroundPath.Of(Wrap, Fact), "this job has no such wrap");
        var take = job.Wraps[Wrap].Take;
        return job.With(Wrap, take with { Ground = On(take.Ground) });
    }
}

/// <summary>Paints the ground, or takes its paint away.</summary>
public sealed record PaintGround(Paint? Paint, int Wrap = 0) : GroundEdit(Wrap)
{
    protected override string Fact => "paint";
    protected override Ground On(Ground ground) => ground with { Paint = Paint };
}

/// <summary>Lays a drawn paper over the ground, or takes it away.</summary>
public sealed record LayPaper(PaperDesign? Paper, int Wrap = 0) : GroundEdit(Wrap)
{
    protected override string Fact => "paper";
    protected override Ground On(Ground ground) => ground with { Paper = Paper };
}

/// <summary>An edit of the paper that lies on the ground.</summary>
public abstract record PaperEdit(int Wrap) : GroundEdit(Wrap)
{
    public override string Says(Job before) => $"{Fact} of the ground's paper";
    protected abstract PaperDesign On(PaperDesign paper);
    protected override Ground On(Ground ground) => ground with
    {
        Paper = On(ground.Paper ?? throw new Refusal(GroundPath.Of(Wrap, Fact), "no paper lies on the ground: pick one first")),
    };
}

/// <summary>Another seed draws another paper of the same kind.</summary>
public sealed record SeedPaper(int Seed, int Wrap = 0) : PaperEdit(Wrap)
{
    protected override string Fact => "seed";
    protected override PaperDesign On(PaperDesign paper) => paper with { Seed = Seed };
}

public sealed record PaintPaper(Paint Lines, int Wrap = 0) : PaperEdit(Wrap)
{
    protected override string Fact => "lines";
    protected override PaperDesign On(PaperDesign paper) => paper with { Paint = Lines };
}
