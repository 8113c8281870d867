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
        Length at(Box b) =>
            By switch
            {
                Along.Left => b.X,
                Along.Right => b.Right,
                Along.Centre => b.X + (0.5m * b.Width),
                Along.Head => b.Y,
                Along.Foot => b.Bottom,
                _ => b.Y + (0.5m * b.Height),
            };
        var all = Sets.Round(boxes.Select(b => b.Box));
        foreach (var (id, box) in boxes)
            yield return By <= Along.Right
                ? new DropItem(id, at(all) - at(box), default)
                : new DropItem(id, default, at(all) - at(box));
    }
}

/// <summary>Centres a group as one: all of its members go the same way.</summary>
/// <param name="Items">The members.</param>
/// <param name="DownToo">Down the panel too.</param>
/// <param name="Over">Another panel to centre it on; null for the one that the first hangs on.</param>
/// <param name="Safe">Within the panel's safe box instead of its face.</param>
public sealed record CentreGroup(ImmutableArray<string> Items, bool DownToo = false, Part? Over = null,
    bool Safe = false)
    : ItemsEdit(Items)
{
    protected override string Does => "centre";

    protected override IEnumerable<Edit> Each(Job job)
    {
        var (first, at) = Sets.At(job, Items[0]);
        var sheet = job.SheetOf(Over is { } over ? first with { Hold = first.Hold with { Panel = over } } : first,
            job.WrapOf(first.Id));
        var panel = Over is { } part
            ? sheet.Panel(part) ?? throw new Refusal($"item/{first.Id}/panel", $"this binding has no {part.Say()}")
            : at.Panel;
        var (room, all) = (Safe ? panel.Safe : panel.Face, Sets.Round(Sets.Boxes(job, Items).Select(b => b.Box)));
        var right = room.X + (0.5m * room.Width) - all.X - (0.5m * all.Width);
        var down = room.Y + (0.5m * room.Height) - all.Y - (0.5m * all.Height);
        // Across a spine is down the sheet as it lies.
        var (x, y) = DownToo ? (right, down) : panel.Turn == Turn.None ? (right, default) : (default(Length), down);
        foreach (var id in Items) yield return new DropItem(id, x, y);
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
            yield return DownTheSheet
                ? new DropItem(id, default, at - first(box))
                : new DropItem(id, at - first(box), default);
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
            var (wide, high) = (Wide ? size.Width : at.Box.Width, High ? size.Height : at.Box.Height);
            if (High && item is TextItem { Fit: Fitting.Grow })
                throw new Refusal($"item/{id}/height",
                    $"{item.Said} is as high as its words: give it another fit first");
            // A barcode keeps its proportions: its height gives its width.
            if (High && !Wide && item is BarcodeItem) wide = (decimal)high.Units / at.Box.Height.Units * at.Box.Width;
            yield return new LayItem(id, x, y, wide, high);
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
        if (Plain.Line(Name) is not { Length: > 0 and <= NameItem.Most } name)
            throw new Refusal("items", $"a group needs a name of up to {NameItem.Most} letters");
        if (take.Items.Any(i => i.Group == name && !Items.Contains(i.Id)))
            throw new Refusal("items", $"there is a group “{name}” already: take another name");
        foreach (var id in Items)
            if (take.Items.All(i => i.Id != id))
                throw job.Item(id) is null
                    ? Job.Gone(id)
                    : new Refusal($"item/{id}", "a group lies on one wrap: these items lie on two");
        var members = take.Items.Where(i => Items.Contains(i.Id)).ToList();
        var top = take.Items.IndexOf(members[^1]);
        var under = take.Items.Take(top).Where(i => !members.Contains(i));
        return job.With(wrap,
            take with
            {
                Items = [.. under, .. members.Select(i => i with { Group = name }), .. take.Items.Skip(top + 1)],
            });
    }
}

/// <summary>Lets the items of a group go their own ways.</summary>
public sealed record Ungroup(ImmutableArray<string> Items) : Edit
{
    public override string Says(Job before) => "ungroup";
    protected override Job On(Job job) => Items.Aggregate(job, (j, id) => j.WithItem(id, i => i with { Group = "" }));
}

/// <summary>
/// Lets front and back change places, flaps too. What is measured from words keeps its side; what runs out over a cut
/// keeps running out over it. The barcode stays in its room.
/// </summary>
public sealed record SwapCovers(int Wrap = 0) : Edit
{
    public override string Says(Job before) => "swap front and back";

    protected override Job On(Job job)
    {
        if (Wrap < 0 || Wrap >= job.Wraps.Count) throw new Refusal("items", "this job has no such wrap");
        var take = job.Wraps[Wrap].Take;
        if (take.Items.FirstOrDefault(i => i.Locked && i.Hold.Panel.Across() is not null) is { } held)
            throw new Refusal($"item/{held.Id}", $"the {held.Said} is locked: unlock it first");
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
        boxes.Aggregate((a, b) =>
            Box.FromEdges(Length.Min(a.X, b.X), Length.Min(a.Y, b.Y), Length.Max(a.Right, b.Right),
                Length.Max(a.Bottom, b.Bottom)));
}
