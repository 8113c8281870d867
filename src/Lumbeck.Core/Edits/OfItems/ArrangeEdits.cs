namespace Lumbeck.Core.Edits.OfItems;

/// <summary>
/// Centres an item across its panel's face as the panel is read, and down it too where asked; what hangs on the whole
/// sheet, across that. It keeps the box that it hangs by, and so its size.
/// </summary>
/// <param name="Item">The item.</param>
/// <param name="DownToo">Down it too.</param>
/// <param name="Over">Another panel to hang it on and centre it there; null for its own.</param>
/// <param name="Safe">Within the panel's safe box instead of its face.</param>
public sealed record CentreItem(string Item, bool DownToo = false, Part? Over = null, bool Safe = false)
    : ItemEdit(Item)
{
    protected override string Fact => "place";

    /// <summary>
    /// From the middle of its box to the middle of what is drawn in it, as the sheet lies: words set left in a wide box
    /// are centred by themselves.
    /// </summary>
    public (Length Right, Length Down) Drawn { get; init; }

    protected override Item On(Item item, Job job)
    {
        // By the middle of its box: with panel and size it follows whatever the sheet does.
        var anchor = DownToo ? Anchor.Middle : (Anchor)(((int)item.Hold.Anchor / 3 * 3) + 1);
        var box = Safe ? HoldBox.Safe : Over is { } over ? DuplicateItem.Over(item.Hold, over).Box : item.Hold.Box;
        var held = new HoldItem(Item, Panel: Over, Box: box, Anchor: anchor).Apply(job);
        var hung = held.Item(Item)!;
        hung = hung with { Hold = hung.Hold with { Dx = default, Dy = DownToo ? default : hung.Hold.Dy } };
        var place = Placement.Of(hung, held.SheetOf(hung, held.WrapOf(Item)))!;
        var (room, at) = (Safe ? place.Panel.Safe : place.Panel.Face, place.OnSheet(hung with { Turned = 0 }));
        var right = room.X + (0.5m * room.Width) - at.X - (0.5m * at.Width) - Drawn.Right;
        var down = room.Y + (0.5m * room.Height) - at.Y - (0.5m * at.Height) - Drawn.Down;
        var (x, y) = place.Panel.Turn switch
        {
            Turn.Clockwise => (down, -right),
            Turn.CounterClockwise => (-down, right),
            _ => (right, down),
        };
        return hung with { Hold = hung.Hold with { Dx = x, Dy = DownToo ? y : hung.Hold.Dy } };
    }
}

/// <summary>How far an item is stretched.</summary>
public enum Reach { Panel, Bleed, Sheet }

/// <summary>
/// Stretches an item over its panel's face, out to the edge that belongs to the panel, or over the whole sheet.
/// </summary>
public sealed record StretchItem(string Item, Reach To) : ItemEdit(Item)
{
    protected override string Fact => "size";

    protected override Item On(Item item, Job job) => item.OwnSize is not null
        ? throw new Refusal($"item/{Item}/width", "a code has the size that its own figures give it: set those")
        : item with
        {
            Hold = new(To == Reach.Sheet ? Part.Sheet : item.Hold.Panel,
                To == Reach.Panel ? HoldBox.Face : HoldBox.Edge, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
        };
}

/// <summary>
/// Lays a copy of an item: a little aside over it, on another panel, or mirrored onto the other cover.
/// </summary>
/// <param name="Item">What is copied.</param>
/// <param name="New">The copy's id.</param>
/// <param name="ToOtherCover">Mirrored, as in a glass that stands on the spine.</param>
/// <param name="To">The panel it is copied to; it hangs there as it hung.</param>
/// <param name="Group">The group the copy belongs to.</param>
public sealed record DuplicateItem(string Item, string New, bool ToOtherCover = false, Part? To = null, string Group = "")
    : Edit
{
    /// <summary>How far a copy lies aside, so that both are seen.</summary>
    internal static readonly Length Aside = Length.FromMillimetres(3);

    public override string Says(Job before) => $"duplicate of {before.Item(Item)?.Said}";

    protected override Job On(Job job)
    {
        var (wrap, take) = Items.On(job, Item);
        var item = job.Item(Item)!;
        if (ToOtherCover) item = Mirrored(item);
        var hold = ToOtherCover
            ? item.Hold
            : To is { } panel && panel != item.Hold.Panel
            ? Over(item.Hold, panel)
            : item.Hold with { Dx = item.Hold.Dx + Aside, Dy = item.Hold.Dy + Aside };
        var copy = item with { Id = New, Hold = hold, Group = Group, Locked = false };
        if (Placement.Of(copy, job.SheetOf(copy, wrap)) is null)
            throw new Refusal($"item/{Item}/panel", $"this binding has no {copy.Hold.Panel.Say()} to duplicate it on");
        return new AddItem(copy,
            hold.Panel != job.Item(Item)!.Hold.Panel ? null : take.Items.FindIndex(i => i.Id == Item) + 1, wrap)
            .Apply(job);
    }

    /// <summary>The same hanging on another panel; the barcode's room is the back's alone.</summary>
    public static Hold Over(Hold hold, Part panel) =>
        hold with { Panel = panel, Box = hold.Box == HoldBox.Room && panel != Part.Back ? HoldBox.Safe : hold.Box };

    private Item Mirrored(Item item) => item.Hold.Panel.Across() is { } other && item.Mirrored() is var mirrored
        ? mirrored with { Hold = Over(mirrored.Hold, other) }
        : throw new Refusal($"item/{Item}/panel",
            $"what hangs on the {item.Hold.Panel.Say()} has no other cover: it lies on both already, or on neither");
}
