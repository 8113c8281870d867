using Lumbeck.Core.Drawing;
using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Edits;

/// <summary>Centres an item across its panel's face as the panel is read, and down it too where asked; what hangs on the whole sheet, across that.</summary>
public sealed record CentreItem(string Item, bool DownToo = false) : ItemEdit(Item)
{
    protected override string Fact => "place";
    public override IEnumerable<string> Touches => [$"item/{Item}/box", $"item/{Item}/anchor", $"item/{Item}/x", $"item/{Item}/y"];

    protected override Item On(Item item, Job job)
    {
        // By the middle of the face: with panel and size it follows whatever the sheet does.
        var anchor = DownToo ? Anchor.Middle : (Anchor)(((int)item.Hold.Anchor / 3 * 3) + 1);
        var hung = new HoldItem(Item, Box: HoldBox.Face, Anchor: anchor).Apply(job).Item(Item)!;
        return hung with { Hold = hung.Hold with { Dx = default, Dy = DownToo ? default : hung.Hold.Dy } };
    }
}

/// <summary>How far an item is stretched.</summary>
public enum Reach { Panel, Bleed, Sheet }

/// <summary>Stretches an item over its panel's face, out to the edge that belongs to the panel, or over the whole sheet.</summary>
public sealed record StretchItem(string Item, Reach To) : ItemEdit(Item)
{
    protected override string Fact => "size";
    public override IEnumerable<string> Touches => [$"item/{Item}/panel", $"item/{Item}/box", $"item/{Item}/anchor", $"item/{Item}/x", $"item/{Item}/y", $"item/{Item}/width", $"item/{Item}/height"];

    protected override Item On(Item item, Job job) => item is BarcodeItem
        ? throw new Refusal($"item/{Item}/width", "a barcode has the size its magnification gives it: set that")
        : item with
        {
            Hold = new(To == Reach.Sheet ? Part.Sheet : item.Hold.Panel, To == Reach.Panel ? HoldBox.Face : HoldBox.Edge, Anchor.Middle, default, default),
            Width = Span.Full,
            Height = Span.Full,
        };
}

/// <summary>Lays a copy over an item: a little aside, or mirrored onto the other cover.</summary>
public sealed record CopyItem(string Item, string New, bool ToOtherCover = false) : Edit
{
    private static readonly Length Aside = Length.FromMillimetres(3);

    public override IEnumerable<string> Touches => [$"item/{New}"];
    public override string Says(Job before) => $"copy of {before.Item(Item)?.Kind.ToLower(CultureInfo.InvariantCulture)}";

    protected override Job On(Job job)
    {
        var (wrap, take) = Items.On(job, Item);
        var item = job.Item(Item)!;
        var copy = item with { Id = New, Hold = ToOtherCover ? Mirrored(item.Hold) : item.Hold with { Dx = item.Hold.Dx + Aside, Dy = item.Hold.Dy + Aside } };
        if (Placement.Of(copy, job.SheetOf(copy, wrap)) is null) throw new Refusal($"item/{Item}/panel", $"this binding has no {copy.Hold.Panel.Say()} to copy it to");
        return new AddItem(copy, ToOtherCover ? null : take.Items.FindIndex(i => i.Id == Item) + 1, wrap).Apply(job);
    }

    /// <summary>The same place as seen in a mirror that stands on the spine.</summary>
    private Hold Mirrored(Hold hold)
    {
        var other = hold.Panel switch
        {
            Part.Front => Part.Back,
            Part.Back => Part.Front,
            Part.FrontFlap => Part.BackFlap,
            Part.BackFlap => Part.FrontFlap,
            _ => throw new Refusal($"item/{Item}/panel", $"what hangs on the {hold.Panel.Say()} has no other cover: it lies on both already, or on neither"),
        };
        var anchor = (Anchor)(((int)hold.Anchor / 3 * 3) + 2 - ((int)hold.Anchor % 3));
        return new(other, hold.Box == HoldBox.Room ? HoldBox.Safe : hold.Box, anchor, -hold.Dx, hold.Dy);
    }
}
