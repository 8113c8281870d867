namespace Lumbeck.Core.Edits.OfCovers;

public sealed record AddSwatch(Swatch New) : Edit
{
    public override string Says(Job before) => $"swatch {New.Name}";
    protected override Job On(Job job)
    {
        if (job.Swatches.Count >= 200) throw new Refusal("swatch", "a job holds up to 200 swatches");
        if (!Free.CanBe(New.Id))
            throw new Refusal("swatch",
                $"`{LengthText.Clip(New.Id)}` can’t name a swatch: use small letters, digits and hyphens");
        Swatches.Named(job, New.Id, New.Name);
        return job with { Swatches = job.Swatches.Add(New) };
    }
}

/// <summary>Renames or remixes a swatch; every use follows.</summary>
/// <param name="Id">The swatch.</param>
/// <param name="Name">Its new name.</param>
/// <param name="Ink">Its new mix.</param>
/// <param name="Asked">The colour that was asked for, where that was no mix.</param>
public sealed record SetSwatch(string Id, string? Name = null, Ink? Ink = null, string? Asked = null) : Edit
{
    public override string Says(Job before) => $"swatch {before.Swatches.FirstOrDefault(s => s.Id == Id)?.Name}";
    protected override Job On(Job job)
    {
        var s = Swatches.Of(job, Id);
        if (Name is not null) Swatches.Named(job, Id, Name);
        return job with
        {
            Swatches = job.Swatches.Replace(s,
                s with { Name = Name ?? s.Name, Ink = Ink ?? s.Ink, Asked = Asked ?? s.Asked }),
        };
    }
}

/// <summary>Takes a swatch out of the job; what was painted with it keeps its mix in numbers.</summary>
public sealed record RemoveSwatch(string Id) : Edit
{
    public override string Says(Job before) =>
        $"swatch {before.Swatches.FirstOrDefault(s => s.Id == Id)?.Name} removed";
    protected override Job On(Job job)
    {
        var s = Swatches.Of(job, Id);
        return Paints.Map(job,
            p =>
                p is SwatchPaint w && w.Swatch == Id
                    ? new InkPaint(s.Ink.Tint(w.Tint))
                    : p) with
        { Swatches = job.Swatches.Remove(s) };
    }
}

internal static class Swatches
{
    public static Swatch Of(Job job, string id) =>
        job.Swatches.FirstOrDefault(s => s.Id == id)
            ?? throw new Refusal($"swatch/{id}", "this swatch was removed in the meantime");

    public static void Named(Job job, string id, string name)
    {
        if (name.Trim().Length is 0 or > 40 || char.IsDigit(name.Trim()[0]))
            throw new Refusal($"swatch/{id}/name",
                $"`{LengthText.Clip(name)}` can't name a swatch: up to 40 letters, not beginning with a digit");
        if (job.Swatches.Any(s => s.Id != id && s.Name.Equals(name, StringComparison.OrdinalIgnoreCase)))
            throw new Refusal($"swatch/{id}/name", $"there is a swatch `{name}` already: take another name");
    }
}
