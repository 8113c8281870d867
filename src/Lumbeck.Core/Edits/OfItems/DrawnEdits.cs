namespace Lumbeck.Core.Edits.OfItems;

/// <summary>
/// Lays a corner on a panel's four corners: the one that is there in the upper left, its mirrors in the others.
/// </summary>
/// <param name="Item">The ornament.</param>
/// <param name="New">What ids of the three others begin with.</param>
public sealed record FourCorners(string Item, string New) : Edit
{
    public override string Says(Job before) => $"four corners of {before.Item(Item)?.Said}";

    protected override Job On(Job job)
    {
        var (wrap, take) = Items.On(job, Item);
        if (job.Item(Item) is not OrnamentItem ornament) throw Items.Wrong(job.Item(Item)!);
        var group = ornament.Group.Length > 0
            ? ornament.Group
            : Free.Numbered("Corners", n => job.Items.Any(i => i.Group == n));
        OrnamentItem at(string id, Anchor anchor, Flip flip) => ornament with
        {
            Id = id,
            Group = group,
            Flip = flip,
            Turned = 0,
            Hold = new(ornament.Hold.Panel, ornament.Hold.Box, anchor, default, default),
        };
        var first = at(Item, Anchor.TopLeft, Flip.None);
        var index = take.Items.FindIndex(i => i.Id == Item);
        job = job.WithItem(Item, _ => first);
        foreach (var (n, anchor, flip) in ((int, Anchor, Flip)[])[(1, Anchor.TopRight, Flip.Across),
            (2, Anchor.BottomLeft, Flip.Down), (3, Anchor.BottomRight, Flip.Both)])
            job = new AddItem(at($"{New}-{n}", anchor, flip), index + n, wrap).Apply(job);
        return job;
    }
}

/// <summary>
/// Puts words into the place that an ornament has for them; they are a text of their own in its group.
/// </summary>
/// <param name="Item">The ornament.</param>
/// <param name="New">The text's id.</param>
public sealed record WordsInOrnament(string Item, string New) : Edit
{
    public override string Says(Job before) => $"words in {before.Item(Item)?.Said}";

    protected override Job On(Job job)
    {
        var (wrap, take) = Items.On(job, Item);
        if (job.Item(Item) is not OrnamentItem ornament) throw Items.Wrong(job.Item(Item)!);
        if (Placement.Of(ornament, job.SheetOf(ornament, wrap)) is not { } at)
            throw new Refusal($"item/{Item}/panel", "it lies on no panel");
        var (wide, high) = (at.Box.Width, at.Box.Height);
        if (ornament.Ornament.Words((double)wide.Millimetres, (double)high.Millimetres) is not { } place)
            throw new Refusal($"item/{Item}",
                $"a {ornament.Ornament.Kind} has no place for words: add a text beside it");
        var group = ornament.Group.Length > 0
            ? ornament.Group
            : Free.Numbered("Group", n => job.Items.Any(i => i.Group == n));
        var size = Length.FromMillimetres((decimal)Math.Clamp(place.Size, 1.5, 60));
        // From the ornament's middle to that of its words.
        var (dx, dy) = (Mm(((place.Box.Left + place.Box.Right) / 2)) - (0.5m * wide),
            Mm((place.Box.Top + place.Box.Bottom) / 2) - (0.5m * high));
        var middle = new Hold(ornament.Hold.Panel, ornament.Hold.Box, Anchor.Middle,
            at.Box.X + (0.5m * wide) + dx - at.Hung.X - (0.5m * at.Hung.Width),
            at.Box.Y + (0.5m * high) + dy - at.Hung.Y - (0.5m * at.Hung.Height));
        var text = new TextItem
        {
            Id = New,
            Hold = middle,
            Group = group,
            Words = job.Ticket.Title.Length > 0 && place.Bend == 0 ? job.Ticket.Title : "Your words here",
            Starter = true,
            Width = new(Mm(place.Box.Right - place.Box.Left)),
            Height = new(Mm(place.Box.Bottom - place.Box.Top)),
            Bend = place.Bend,
            Fit = Fitting.Shrink,
            Style = new()
            {
                Face = new("eb-garamond", 400, false),
                Size = Length.FromPoints(Math.Round((decimal)size.Points, 1)),
                Align = Align.Centre,
                Stand = Stand.Middle,
                Paint = new InkPaint(Readable(ornament, job)),
            },
        };
        job = job.WithItem(Item, i => i with { Group = group });
        return new AddItem(text, take.Items.FindIndex(i => i.Id == Item) + 1, wrap).Apply(job);
    }

    private static Length Mm(double mm) => Length.FromMillimetres((decimal)Math.Round(mm, 2));

    /// <summary>Black or white, whichever is farther from the ornament's ground.</summary>
    private static Ink Readable(OrnamentItem ornament, Job job)
    {
        var ground = ornament.Ornament.Paints[ornament.Ornament.WordsLieOn].Resolve(job.Swatches);
        return ground.K + ((ground.C + ground.M) / 2) > 5000 ? Ink.White : Ink.Black;
    }
}

/// <summary>Takes a vista apart: each of its layers becomes an item of its own, the farthest lowest.</summary>
/// <param name="Item">The vista.</param>
/// <param name="New">What ids of the layers begin with.</param>
public sealed record TakeApart(string Item, string New) : Edit
{
    public override string Says(Job before) => $"layers of {before.Item(Item)?.Said}";

    protected override Job On(Job job)
    {
        var (wrap, take) = Items.On(job, Item);
        if (job.Item(Item) is not VistaItem vista) throw Items.Wrong(job.Item(Item)!);
        if (vista.Vista.Layer > 0)
            throw new Refusal($"item/{Item}/layer", "it is one layer already: there is nothing to take apart");
        var at = take.Items.FindIndex(i => i.Id == Item);
        job = new RemoveItem(Item).Apply(job);
        for (var n = 1; n <= vista.Vista.Layers.Length; n++)
        {
            var layer = vista with { Id = $"{New}-{n}", Locked = false, Vista = vista.Vista with { Layer = n } };
            job = new AddItem(layer, at + n - 1, wrap).Apply(job);
        }
        return job;
    }
}

/// <summary>
/// Paints a vista in the job's own swatches: each role in the one that is as light as its own colour, or as an hour of
/// the day has it.
/// </summary>
/// <param name="Item">The vista.</param>
/// <param name="Hour">The hour; null for its own.</param>
public sealed record VistaInSwatches(string Item, Hour? Hour = null) : ItemEdit(Item)
{
    protected override string Fact => "paints";

    protected override Item On(Item item, Job job)
    {
        if (item is not VistaItem vista) throw Items.Wrong(item);
        if (job.Swatches.Count < VistaShelf.LeastSwatches)
            throw new Refusal($"item/{Item}/paints",
                $"this job has {job.Swatches.Count} swatches: a vista needs four or more to choose from");
        return vista with
        {
            Vista = Hour is { } hour ? vista.Vista.At(hour, job.Swatches) : vista.Vista.In(job.Swatches),
        };
    }
}
