namespace Lumbeck.Core.Edits.OfItems;

/// <summary>Adds an item to a wrap, over all others or at a place of its own.</summary>
public sealed record AddItem(Item New, int? At = null, int Wrap = 0) : Edit
{
    public const int Most = 500;

    public override string Says(Job before) => $"add {New.Kind.ToLower(CultureInfo.InvariantCulture)}";

    protected override Job On(Job job)
    {
        if (Wrap < 0 || Wrap >= job.Wraps.Count) throw new Refusal("item", "this job has no such wrap");
        var take = job.Wraps[Wrap].Take;
        var items = take.Items;
        if (items.Count >= Most)
            throw new Refusal($"item/{New.Id}", $"a cover holds up to {Most} items: remove one first");
        if (!Free.CanBe(New.Id))
            throw new Refusal("item",
                $"`{LengthText.Clip(New.Id)}` can't name an item: use small letters, digits and hyphens");
        if (job.Item(New.Id) is not null) throw new Refusal($"item/{New.Id}", $"there is an item `{New.Id}` already");
        return job.With(Wrap, take with { Items = items.Insert(Math.Clamp(At ?? items.Count, 0, items.Count), New) });
    }
}

public sealed record RemoveItem(string Item) : Edit
{
    public override string Says(Job before) =>
        $"remove {before.Item(Item)?.Kind.ToLower(CultureInfo.InvariantCulture)}";

    protected override Job On(Job job)
    {
        var item = job.Item(Item) ?? throw Job.Gone(Item);
        if (item.Locked)
            throw new Refusal($"item/{Item}",
                $"this {item.Kind.ToLower(CultureInfo.InvariantCulture)} is locked: unlock it first");
        var (wrap, take) = Items.On(job, Item);
        return job.With(wrap, take with { Items = take.Items.Remove(item) });
    }
}

/// <summary>Moves an item over (+) or under (−) its neighbours.</summary>
public sealed record OrderItem(string Item, int Steps) : Edit
{
    public override string Says(Job before) =>
        $"order of {before.Item(Item)?.Kind.ToLower(CultureInfo.InvariantCulture)}";

    protected override Job On(Job job)
    {
        var (wrap, take) = Items.On(job, Item);
        var items = take.Items;
        var at = items.FindIndex(i => i.Id == Item);
        var to = Math.Clamp(at + Steps, 0, items.Count - 1);
        return job.With(wrap, take with { Items = items.RemoveAt(at).Insert(to, items[at]) });
    }
}

public sealed record HideItem(string Item, bool Hidden) : ItemEdit(Item)
{
    protected override string Fact => "hidden";
    protected override bool HeldByLock => false;
    protected override Item On(Item item, Job job) => item with { Hidden = Hidden };
}

public sealed record LockItem(string Item, bool Locked) : ItemEdit(Item)
{
    protected override string Fact => "locked";
    protected override bool HeldByLock => false;
    protected override Item On(Item item, Job job) => item with { Locked = Locked };
}
