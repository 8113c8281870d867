using System.Text.Json;
using System.Text.Json.Serialization;

namespace Lumbeck.Core.Edits.Doors;

/// <summary>
/// Items as text, to carry them to another panel, take or job: the items, and the swatches their paints name.
/// </summary>
public sealed record Clip([property: JsonPropertyName("lumbeck-items")] int Version, ImmutableList<Item> Items,
    ImmutableList<Swatch> Swatches)
{
    /// <summary>Letters of text that are looked at.</summary>
    public const int Longest = 4_000_000;

    public static string Write(Job job, IReadOnlyCollection<string> ids)
    {
        var items = job.Items.Where(i => ids.Contains(i.Id)).ToImmutableList();
        var text = JsonSerializer.Serialize(items, JobJson.Options);
        return JsonSerializer.Serialize(new Clip(1, items,
            [.. job.Swatches.Where(s => text.Contains(JsonSerializer.Serialize(s.Id), StringComparison.Ordinal))]),
            JobJson.Options);
    }

    /// <exception cref="Refusal">The text holds no items of ours, or more than a cover takes.</exception>
    public static Clip Read(string text)
    {
        if (text.Length > Longest) throw No($"{text.Length / 1_000_000} million letters are more than a cover’s items");
        Clip? clip;
        try { clip = JsonSerializer.Deserialize<Clip>(text, JobJson.AtTheDoor); }
        catch (Exception e) when (e is JsonException or NotSupportedException or ArgumentException
            or InvalidOperationException or OverflowException)
        { throw No("what was pasted are no items of a cover"); }
        if (clip is not { Version: 1, Items: not null, Swatches: not null }
            || clip.Items.Any(i => i is null || i.Hold is null || i.Name is null || i.Group is null)
            || clip.Swatches.Any(s => s is null || s.Id is null || s.Name is null))
            throw No("what was pasted are no items of a cover");
        if (clip.Items.Count > AddItem.Most)
            throw No($"{Many.Items(clip.Items.Count)} were pasted: a cover holds up to {AddItem.Most}");
        return clip;
    }

    private static Refusal No(string why) => new("paste", why);
}

/// <summary>Pastes items over all others of a wrap.</summary>
/// <param name="Clip">What is pasted.</param>
/// <param name="New">What the new items' ids begin with; small letters, digits and hyphens, up to 30.</param>
/// <param name="Wrap">The wrap.</param>
/// <param name="Over">The panel they are to hang on; each stays on its own where null.</param>
public sealed record PasteItems(Clip Clip, string New, int Wrap = 0, Part? Over = null) : Edit
{
    public override string Says(Job before) => $"paste {Many.Items(Clip.Items.Count)}";

    protected override Job On(Job job)
    {
        if (Wrap < 0 || Wrap >= job.Wraps.Count) throw new Refusal("paste", "this job has no such wrap");
        if (Clip.Items.Count == 0) throw new Refusal("paste", "nothing was pasted");
        if (job.Wraps[Wrap].Take.Items.Count + Clip.Items.Count > AddItem.Most)
            throw new Refusal("paste",
                $"{Many.Items(Clip.Items.Count)} more would make " +
                    $"{job.Wraps[Wrap].Take.Items.Count + Clip.Items.Count}: a cover holds up to {AddItem.Most}");
        // A swatch that goes by the same name here is used; one that is not here comes along.
        var names = new Dictionary<string, string>();
        foreach (var s in Clip.Swatches)
        {
            var here = job.Swatches.FirstOrDefault(x => x.Name.Equals(s.Name, StringComparison.OrdinalIgnoreCase));
            if (here is null)
                job = new AddSwatch(here = s with { Id = Free.Id(s.Id, id => job.Swatches.Any(x => x.Id == id)) })
                    .Apply(job);
            names[s.Id] = here.Id;
        }
        var taken = job.Wraps[Wrap].Take.Items.Select(i => i.Group).ToHashSet();
        var groups = Clip.Items.Select(i => i.Group).Where(g => g.Length > 0).Distinct()
            .ToDictionary(g => g,
                g => Free.Like(Plain.Line(g) is { Length: > 0 and <= 40 } line ? line : "Group", taken.Contains));
        var sheets = job.Sheets().Where(s => s.Wrap == Wrap).ToList();
        var n = 0;
        foreach (var item in Clip.Items)
        {
            var hold = Over is { } panel ? DuplicateItem.Over(item.Hold, panel) : item.Hold;
            if (hold.Panel != Part.Sheet && sheets.All(s => s.Sheet.Panel(hold.Panel) is null))
                hold = DuplicateItem.Over(hold, sheets[0].Sheet.Panels[^1].Part);
            if (job.Wraps[Wrap].Take.Items.Any(i => i.Hold == hold))
                hold = hold with { Dx = hold.Dx + DuplicateItem.Aside, Dy = hold.Dy + DuplicateItem.Aside };
            job = new AddItem(ImportValidation.Item(item, s => names.GetValueOrDefault(s)) with
            {
                Id = $"{New}-{++n}",
                Hold = hold,
                Group = groups.GetValueOrDefault(item.Group, ""),
                Locked = false
            },
                Wrap: Wrap)
                .Apply(job);
        }
        return job;
    }
}
