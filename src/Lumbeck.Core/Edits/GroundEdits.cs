using Lumbeck.Core.Jobs;
using Lumbeck.Core.Papers;

namespace Lumbeck.Core.Edits;

/// <summary>An edit of what lies under everything on one wrap.</summary>
public abstract record GroundEdit(int Wrap) : Edit
{
    protected abstract string Fact { get; }
    protected abstract Ground On(Ground ground);
    public override IEnumerable<string> Touches => [GroundFacts.Path(Wrap, Fact)];
    public override string Says(Job before) => "ground";
    protected override Job On(Job job)
    {
        if (Wrap < 0 || Wrap >= job.Wraps.Count) throw new Refusal(GroundFacts.Path(Wrap, Fact), "this job has no such wrap");
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
        Paper = On(ground.Paper ?? throw new Refusal(GroundFacts.Path(Wrap, Fact), "no paper lies on the ground: pick one first")),
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

public sealed record AddSwatch(Swatch New) : Edit
{
    public override IEnumerable<string> Touches => [$"swatch/{New.Id}"];
    public override string Says(Job before) => $"swatch {New.Name}";
    protected override Job On(Job job)
    {
        if (job.Swatches.Count >= 200) throw new Refusal("swatch", "a job holds up to 200 swatches");
        Swatches.Named(job, New.Id, New.Name);
        return job with { Swatches = job.Swatches.Add(New) };
    }
}

/// <summary>Renames or remixes a swatch; every use follows.</summary>
public sealed record SetSwatch(string Id, string? Name = null, Ink? Ink = null) : Edit
{
    public override IEnumerable<string> Touches => [.. Name is null ? [] : (string[])[$"swatch/{Id}/name"], .. Ink is null ? [] : (string[])[$"swatch/{Id}/mix"]];
    public override string Says(Job before) => $"swatch {before.Swatches.FirstOrDefault(s => s.Id == Id)?.Name}";
    protected override Job On(Job job)
    {
        var s = job.Swatches.FirstOrDefault(s => s.Id == Id) ?? throw new Refusal($"swatch/{Id}", "this swatch was removed in the meantime");
        if (Name is not null) Swatches.Named(job, Id, Name);
        return job with { Swatches = job.Swatches.Replace(s, s with { Name = Name ?? s.Name, Ink = Ink ?? s.Ink }) };
    }
}

internal static class Swatches
{
    public static void Named(Job job, string id, string name)
    {
        if (name.Trim().Length is 0 or > 40 || char.IsDigit(name.Trim()[0])) throw new Refusal($"swatch/{id}/name", $"`{LengthText.Clip(name)}` can't name a swatch: up to 40 letters, not beginning with a digit");
        if (job.Swatches.Any(s => s.Id != id && s.Name.Equals(name, StringComparison.OrdinalIgnoreCase))) throw new Refusal($"swatch/{id}/name", $"there is a swatch `{name}` already: take another name");
    }
}
