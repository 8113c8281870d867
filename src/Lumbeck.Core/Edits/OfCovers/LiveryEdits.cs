namespace Lumbeck.Core.Edits.OfCovers;

/// <summary>Lays designs that were composed elsewhere beside the others, one on each wrap, and on the bench.</summary>
/// <param name="Takes">By wrap, all of one id.</param>
/// <param name="Swatches">Those that they name; one of the same id is as it is now.</param>
/// <param name="Name">Of the livery.</param>
/// <param name="LetGo">Takes that make room, by id, on wraps that hold as many as they can.</param>
public sealed record LayTakes(ImmutableList<Take> Takes, ImmutableList<Swatch> Swatches, string Name,
    ImmutableList<string>? LetGo = null) : Edit
{
    public override string Says(Job before) => $"livery “{Name}”";

    /// <summary>
    /// The job with the one design that shows, for a look: a wrap that can hold no more takes is no hindrance.
    /// </summary>
    public static Job Alone(Job job) => job with { Wraps = [.. job.Wraps.Select(w => w with { Takes = [w.Take] })] };

    protected override Job On(Job job)
    {
        if (Takes.Count == 0 || Takes.Count > job.Wraps.Count || !Free.CanBe(Takes[0].Id)
            || Takes.Any(t => t.Id != Takes[0].Id))
            throw new Refusal("takes", "these designs are not of this job’s wraps");
        foreach (var (n, take) in Takes.Index())
        {
            var wrap = job.Wraps[n];
            if (wrap.Takes.Count >= AddTake.Most)
                wrap = wrap with
                {
                    Takes = wrap.Takes.Remove(wrap.Takes.Find(t => LetGo?.Contains(t.Id) == true)
                        ?? throw new Refusal("takes", $"the {wrap.Name} holds {AddTake.Most} takes, as many as it can: " +
                            "say which one to let go")),
                };
            if (wrap.Find(take.Id) is not null)
                throw new Refusal("takes", $"a take can’t have the id `{LengthText.Clip(take.Id)}`");
            var name = take.Name;
            for (var k = 2; wrap.Takes.Any(t => t.Name.Equals(name, StringComparison.OrdinalIgnoreCase)); k++)
                name = $"{take.Name} {k}";
            job = job with
            {
                Wraps = job.Wraps.SetItem(n, wrap with
                {
                    Takes = wrap.Takes.Add(take with { Name = name }),
                    Current = take.Id,
                }),
            };
        }
        return job with
        {
            Swatches = [.. job.Swatches.Where(s => Swatches.All(n => n.Id != s.Id)), .. Swatches],
        };
    }
}

/// <summary>
/// Puts designs composed anew in place of those on the bench, one on each wrap, under the ids they have.
/// </summary>
/// <param name="Takes">By wrap.</param>
/// <param name="Swatches">Those that they name; one of the same id is as it is now.</param>
/// <param name="Name">Of the livery.</param>
public sealed record SetAgain(ImmutableList<Take> Takes, ImmutableList<Swatch> Swatches, string Name) : Edit
{
    public override string Says(Job before) => $"livery “{Name}” set again";

    protected override Job On(Job job)
    {
        if (Takes.Count == 0 || Takes.Count > job.Wraps.Count
            || Takes.Where((t, n) => t.Id != job.Wraps[n].Take.Id).Any())
            throw new Refusal("takes", "these designs are not those on the bench");
        return job with
        {
            Wraps = [.. job.Wraps.Select((w, n) => n < Takes.Count ? w.With(Takes[n]) : w)],
            Swatches = [.. job.Swatches, .. Swatches.Where(s => job.Swatches.All(h => h.Id != s.Id))],
        };
    }
}

/// <summary>Lays what lies beside the sheet on a panel, in its middle, over all else.</summary>
/// <param name="Wrap">The wrap.</param>
/// <param name="Item">Its id.</param>
/// <param name="Panel">The panel.</param>
public sealed record LayBeside(int Wrap, string Item, Part Panel) : Edit
{
    public override string Says(Job before) => "laid from beside the sheet";

    protected override Job On(Job job)
    {
        if (Wrap < 0 || Wrap >= job.Wraps.Count) throw new Refusal("takes", "this job has no such wrap");
        var take = job.Wraps[Wrap].Take;
        var item = take.Beside.Find(i => i.Id == Item)
            ?? throw new Refusal("takes", "this lies beside the sheet no more");
        if (take.Items.Count >= AddItem.Most)
            throw new Refusal("takes", $"a take holds up to {AddItem.Most} items: remove one first");
        var left = take.Beside.Remove(item);
        return job.With(Wrap, take with
        {
            Unplaced = left.IsEmpty ? null : left,
            Items = take.Items.Add(item with
            {
                Id = Free.Id(item.Id, id => job.Item(id) is not null || left.Any(i => i.Id == id)),
                Hold = new(Panel, HoldBox.Safe, Anchor.Middle, Length.Zero, Length.Zero),
                Laid = null,
            }),
        });
    }
}

/// <summary>Lets go of what lies beside the sheet; the take it came from still has it.</summary>
/// <param name="Wrap">The wrap.</param>
/// <param name="Item">Its id.</param>
public sealed record DropBeside(int Wrap, string Item) : TakeEdit(Wrap)
{
    public override string Says(Job before) => "let go from beside the sheet";

    protected override Wrap On(Wrap wrap) => wrap.With(wrap.Take with
    {
        Unplaced = wrap.Take.Beside.RemoveAll(i => i.Id == Item) is { IsEmpty: false } left ? left : null,
    });
}
