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

/// <summary>Lays a pattern over the ground, or takes it away.</summary>
public sealed record LayPattern(Pattern? Pattern, int Wrap = 0) : GroundEdit(Wrap)
{
    protected override string Fact => "paper";
    protected override Fill On(Fill ground) => ground with { Pattern = Pattern };
}

/// <summary>
/// Gives one field of the paper that lies on the ground another value; what it may be, its kind says.
/// </summary>
/// <param name="Field">The field's word.</param>
/// <param name="Value">The value.</param>
/// <param name="Wrap">The wrap.</param>
public sealed record SetGroundPattern(string Field, FieldValue Value, int Wrap = 0) : GroundEdit(Wrap)
{
    public override string Says(Job before) => $"{Field.Replace('-', ' ')} of the ground's pattern";
    protected override string Fact => "paper-" + Field;
    protected override Fill On(Fill ground) => ground with
    {
        Pattern = (Pattern)(ground.Pattern
            ?? throw new Refusal(GroundPath.Of(Wrap, Fact), "no pattern lies on the ground: pick one first"))
            .With(Field, Value, GroundPath.Of(Wrap, Fact)),
    };
}
