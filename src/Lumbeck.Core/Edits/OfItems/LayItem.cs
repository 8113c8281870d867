namespace Lumbeck.Core.Edits.OfItems;

/// <summary>
/// Lays an item as a hand has sized or turned it: its middle on the sheet, its own sides, and its turn in degrees
/// clockwise. It keeps hanging where it
/// hangs, and a side that is a share of its box stays one. Figures come out whole, to 0.001 mm or 0.0001 in.
/// </summary>
public sealed record LayItem(string Item, Length MiddleX, Length MiddleY, Length? Width = null, Length? Height = null,
    decimal? Turned = null)
    : ItemEdit(Item)
{
    protected override string Fact => Turned is null ? "size" : "turned";

    protected override Item On(Item item, Job job)
    {
        var sheet = job.SheetOf(item, job.WrapOf(Item));
        var at = Hanging.At(item, sheet);
        foreach (var (side, name) in ((Length?, string)[])[(Width, "width"), (Height, "height")])
            if (side is { } l && l < Hanging.Least)
                throw new Refusal($"item/{Item}/{name}",
                    $"{Length.Max(l, default).Show(job.Ticket.Unit)} leaves nothing to see: from " +
                        $"{Hanging.Least.Show(job.Ticket.Unit)} on");
        var level = at.Panel.Turn == Turn.None ? at.Hung.Size : new Size(at.Hung.Height, at.Hung.Width);
        if (item.Sized(Width, Height) is var (field, value))
        {
            if (value.Length is { } side) value = new(Length: Hanging.Whole(side, job.Ticket.Unit));
            item = new SetField(Item, field.Key, value).Apply(job).Item(Item)!;
        }
        else if (item.OwnSize is null)
            item = item with
            {
                Width = Sized(item.Width, Width, level.Width, job),
                Height = item is LineItem ? item.Height : Sized(item.Height, Height, level.Height, job),
            };
        if (Turned is { } turned) item = new TurnItem(Item, Math.Round(turned, 2)).Turn(item);
        return Hanging.ByMiddle(item, item.Hold, sheet, MiddleX, MiddleY, job.Ticket.Unit);
    }

    private static Span Sized(Span span, Length? wanted, Length box, Job job) =>
        wanted is not { } l || l == span.In(box) ? span : span with
        {
            Own = Hanging.Whole(l - (span.Share * box), job.Ticket.Unit),
        };
}

/// <summary>Where items hang, found from where they lie.</summary>
internal static class Hanging
{
    /// <summary>The least side that a hand can give.</summary>
    public static readonly Length Least = Length.FromMillimetres(0.1m);

    /// <exception cref="Refusal">The sheet has no such panel.</exception>
    public static Placement At(Item item, Sheet sheet) => Placement.Of(item, sheet)
        ?? throw new Refusal($"item/{item.Id}/panel",
            $"this binding has no {item.Hold.Panel.Say()}: hang it on another panel first");

    /// <summary>The middle of an item on its sheet.</summary>
    public static (Length X, Length Y) Middle(Item item, Placement at)
    {
        var b = at.OnSheet(item with { Turned = 0 });
        return (b.X + (0.5m * b.Width), b.Y + (0.5m * b.Height));
    }

    /// <summary>
    /// The item hung by <paramref name="hold"/>'s panel, box and anchor, with its middle at a point of the sheet.
    /// </summary>
    public static Item ByMiddle(Item item, Hold hold, Sheet sheet, Length x, Length y, Unit unit)
    {
        var bare = item with { Hold = hold with { Dx = default, Dy = default } };
        var at = At(bare, sheet);
        var (atX, atY) = Middle(bare, at);
        var (dx, dy) = (x - atX, y - atY);
        (dx, dy) = at.Panel.Turn switch
        {
            Turn.Clockwise => (dy, -dx),
            Turn.CounterClockwise => (-dy, dx),
            _ => (dx, dy),
        };
        return item with { Hold = hold with { Dx = Whole(dx, unit), Dy = Whole(dy, unit) } };
    }

    public static Length Whole(Length l, Unit unit) => unit == Unit.Inch
        ? Length.FromInches(Math.Round(l.Inches, 4, MidpointRounding.AwayFromZero))
        : Length.FromMillimetres(Math.Round(l.Millimetres, 3, MidpointRounding.AwayFromZero));
}
