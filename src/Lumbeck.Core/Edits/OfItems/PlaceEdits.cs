namespace Lumbeck.Core.Edits.OfItems;

/// <summary>
/// Hangs an item elsewhere. A new box or anchor on the same panel leaves it where it lies and changes its figures;
/// a new panel takes the figures along.
/// </summary>
public sealed record HoldItem(string Item, Part? Panel = null, HoldBox? Box = null, Anchor? Anchor = null,
    Length? Dx = null, Length? Dy = null)
    : ItemEdit(Item)
{
    protected override string Fact => "hold";

    protected override Item On(Item item, Job job)
    {
        var hold = item.Hold with
        {
            Panel = Panel ?? item.Hold.Panel,
            Box = Box ?? item.Hold.Box,
            Anchor = Anchor ?? item.Hold.Anchor,
        };
        var sheet = job.SheetOf(item with { Hold = hold }, job.WrapOf(Item));
        var from = job.SheetOf(item, job.WrapOf(Item));
        if (Placement.Of(item with { Hold = hold }, sheet) is not { } next)
            throw new Refusal($"item/{Item}/panel",
                $"this binding has no {hold.Panel.Say()}: hang it on another panel");
        if (hold.Panel == item.Hold.Panel && Placement.Of(item, from) is { } now)
        {
            var (was, wouldBe) = (now.OnSheet(item with { Turned = 0 }), next.OnSheet(item with { Turned = 0 }));
            var (right, down) = (was.X - wouldBe.X, was.Y - wouldBe.Y);
            (right, down) = next.Panel.Turn switch
            {
                Turn.Clockwise => (down, -right),
                Turn.CounterClockwise => (-down, right),
                _ => (right, down),
            };
            hold = hold with { Dx = hold.Dx + right, Dy = hold.Dy + down };
        }
        return item with { Hold = hold with { Dx = Dx ?? hold.Dx, Dy = Dy ?? hold.Dy } };
    }
}

/// <summary>Moves an item right and down as its panel is read.</summary>
public sealed record MoveItem(string Item, Length Right, Length Down) : ItemEdit(Item)
{
    protected override string Fact => "place";
    protected override Item On(Item item, Job job) => item with
    {
        Hold = item.Hold with { Dx = item.Hold.Dx + Right, Dy = item.Hold.Dy + Down },
    };
}

public sealed record SizeItem(string Item, Span? Width = null, Span? Height = null) : ItemEdit(Item)
{
    protected override string Fact => "size";

    protected override Item On(Item item, Job job)
    {
        var after = item with { Width = Width ?? item.Width, Height = Height ?? item.Height };
        if (Placement.Of(after, job.SheetOf(after, job.WrapOf(Item))) is { } p
            && (p.Box.Width.Units <= 0 || p.Box.Height.Units <= 0))
            throw new Refusal($"item/{Item}/{(p.Box.Width.Units <= 0 ? "width" : "height")}",
                $"{(p.Box.Width.Units <= 0 ? p.Box.Width : p.Box.Height).Show(job.Ticket.Unit)} leaves nothing to " +
                    $"see: type more than 0");
        return after;
    }
}

public sealed record TurnItem(string Item, decimal Degrees) : ItemEdit(Item)
{
    protected override string Fact => "turned";
    protected override Item On(Item item, Job job) => Turn(item);
    internal Item Turn(Item item) => item with { Turned = ((Degrees % 360) + 360) % 360 };
}
