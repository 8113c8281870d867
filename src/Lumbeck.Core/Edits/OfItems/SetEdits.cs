namespace Lumbeck.Core.Edits.OfItems;

/// <summary>What items are lined up by, as the sheet is seen.</summary>
public enum Along { Left, Centre, Right, Head, Middle, Foot }

/// <summary>Lines items up by an edge or the middle of all of them together.</summary>
public sealed record LineUp(ImmutableArray<string> Items, Along By) : ItemsEdit(Items)
{
    protected override string Does => "line up";

    protected override IEnumerable<Edit> Each(Job job)
    {
        var boxes = Sets.Boxes(job, Items);
        Length at(Box b) => By switch { Along.Left => b.X, Along.Right => b.Right, Along.Centre => b.X + (0.5m * b.Width), Along.Head => b.Y, Along.Foot => b.Bottom, _ => b.Y + (0.5m * b.Height) };
        var all = Sets.Round(boxes.Select(b => b.Box));
        foreach (var (id, box) in boxes)
            yield return By <= Along.Right ? new DropItem(id, at(all) - at(box), default) : new DropItem(id, default, at(all) - at(box));
    }
}

/// <summary>Spaces items out between the first and the last of them, so that the gaps are equal.</summary>
public sealed record SpaceOut(ImmutableArray<string> Items, bool DownTheSheet) : ItemsEdit(Items)
{
    protected override string Does => "space out";
    protected override int Least => 3;

    protected override IEnumerable<Edit> Each(Job job)
    {
        Length first(Box b) => DownTheSheet ? b.Y : b.X;
        Length size(Box b) => DownTheSheet ? b.Height : b.Width;
        var boxes = Sets.Boxes(job, Items).OrderBy(b => first(b.Box)).ToList();
        var all = Sets.Round(boxes.Select(b => b.Box));
        var taken = boxes.Aggregate(Length.Zero, (sum, b) => sum + size(b.Box));
        var gap = 1m / (boxes.Count - 1) * (size(all) - taken);
        var at = first(all);
        foreach (var (id, box) in boxes)
        {
            yield return DownTheSheet ? new DropItem(id, default, at - first(box)) : new DropItem(id, at - first(box), default);
            at += size(box) + gap;
        }
    }
}

/// <summary>Makes items as wide, as high, or both, as the last of them.</summary>
public sealed record SameSize(ImmutableArray<string> Items, bool Wide = true, bool High = true) : ItemsEdit(Items)
{
    protected override string Does => "make as large";

    protected override IEnumerable<Edit> Each(Job job)
    {
        var size = Sets.At(job, Items[^1]).At.Box.Size;
        foreach (var id in Items[..^1])
        {
            var (item, at) = Sets.At(job, id);
            var (x, y) = Hanging.Middle(item, at);
            yield return new LayItem(id, x, y, Wide ? size.Width : at.Box.Width, High ? size.Height : at.Box.Height);
        }
    }
}

/// <summary>Makes a group of items under a name; they come to lie together where the uppermost of them lies.</summary>
public sealed record GroupItems(ImmutableArray<string> Items, string Name) : Edit
{
    public override string Says(Job before) => $"group {Many.Items(Items.Length)}";

    protected override Job On(Job job)
    {
        if (Items.Length < 2) throw new Refusal("items", "pick two items or more to make a group");
        var (wrap, take) = Edits.Items.On(job, Items[0]);
        if (Plain.Line(Name) is not { Length: > 0 and <= NameItem.Most } name) throw new Refusal("items", $"a group needs a name of up to {NameItem.Most} letters");
        if (take.Items.Any(i => i.Group == name && !Items.Contains(i.Id))) throw new Refusal("items", $"there is a group “{name}” already: take another name");
        foreach (var id in Items) if (take.Items.All(i => i.Id != id)) throw job.Item(id) is null ? Job.Gone(id) : new Refusal($"item/{id}", "a group lies on one wrap: these items lie on two");
        var members = take.Items.Where(i => Items.Contains(i.Id)).ToList();
        var top = take.Items.IndexOf(members[^1]);
        var under = take.Items.Take(top).Where(i => !members.Contains(i));
        return job.With(wrap, take with { Items = [.. under, .. members.Select(i => i with { Group = name }), .. take.Items.Skip(top + 1)] });
    }
}

/// <summary>Lets the items of a group go their own ways.</summary>
public sealed record Ungroup(ImmutableArray<string> Items) : Edit
{
    public override string Says(Job before) => "ungroup";
    protected override Job On(Job job) => Items.Aggregate(job, (j, id) => j.WithItem(id, i => i with { Group = "" }));
}

/// <summary>
/// Lets front and back change places, flaps too. What is measured from words keeps its side; what runs out over a cut keeps running out over it. The barcode stays in its room.
/// </summary>
public sealed record SwapCovers(int Wrap = 0) : Edit
{
    public override string Says(Job before) => "swap front and back";

    protected override Job On(Job job)
    {
        if (Wrap < 0 || Wrap >= job.Wraps.Count) throw new Refusal("items", "this job has no such wrap");
        var take = job.Wraps[Wrap].Take;
        if (take.Items.FirstOrDefault(i => i.Locked && i.Hold.Panel.Across() is not null) is { } held) throw new Refusal($"item/{held.Id}", $"the {held.Said} is locked: unlock it first");
        return job.With(Wrap, take with { Items = [.. take.Items.Select(Swapped)] });
    }

    private static Item Swapped(Item item)
    {
        if (item.Hold.Box == HoldBox.Room || item.Hold.Panel.Across() is not { } other) return item;
        var hold = item.Hold.Box == HoldBox.Edge ? item.Hold.Mirrored() : item.Hold;
        return item with { Hold = hold with { Panel = other } };
    }
}

internal static class Sets
{
    public static (Item Item, Placement At) At(Job job, string id)
    {
        var item = job.Item(id) ?? throw Job.Gone(id);
        return (item, Hanging.At(item, job.SheetOf(item, job.WrapOf(id))));
    }

    public static IReadOnlyList<(string Id, Box Box)> Boxes(Job job, IEnumerable<string> ids) =>
        [.. ids.Select(id => At(job, id) is var (item, at) ? (id, at.OnSheet(item)) : default)];

    /// <summary>The smallest box round all of them.</summary>
    public static Box Round(IEnumerable<Box> boxes) =>
        boxes.Aggregate((a, b) => Box.FromEdges(Length.Min(a.X, b.X), Length.Min(a.Y, b.Y), Length.Max(a.Right, b.Right), Length.Max(a.Bottom, b.Bottom)));
}
