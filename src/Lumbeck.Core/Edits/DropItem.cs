using Lumbeck.Core.Drawing;
using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Edits;

/// <summary>
/// Drops an item so far right of and below where it lay, as the sheet is seen. It hangs on the panel that its middle then lies on, by the same point
/// of the same box; what hangs on the whole sheet stays there. Figures come out whole, to 0.001 mm or 0.0001 in.
/// </summary>
public sealed record DropItem(string Item, Length Right, Length Down) : ItemEdit(Item)
{
    protected override string Fact => "place";
    public override IEnumerable<string> Touches => [$"item/{Item}/panel", $"item/{Item}/box", $"item/{Item}/x", $"item/{Item}/y"];

    protected override Item On(Item item, Job job)
    {
        var sheet = job.SheetOf(item, job.WrapOf(Item));
        if (Placement.Of(item, sheet) is not { } now) throw new Refusal($"item/{Item}/panel", $"this binding has no {item.Hold.Panel.Say()}: hang it on another panel first");
        var (x, y) = Middle(now.OnSheet(item with { Turned = 0 }));
        (x, y) = (x + Right, y + Down);
        var panel = item.Hold.Panel == Part.Sheet ? Part.Sheet
            : sheet.Panels.FirstOrDefault(p => (p.CarriesText || p.Part == Part.Spine) && p.Face.X <= x && x < p.Face.Right && p.Face.Y <= y && y < p.Face.Bottom)?.Part ?? item.Hold.Panel;
        // The barcode's room is the back's alone.
        var hold = new Hold(panel, item.Hold.Box == HoldBox.Room && panel != Part.Back ? HoldBox.Safe : item.Hold.Box, item.Hold.Anchor, default, default);
        var next = Placement.Of(item with { Hold = hold }, sheet)!;
        var (atX, atY) = Middle(next.OnSheet(item with { Turned = 0 }));
        var (dx, dy) = (x - atX, y - atY);
        (dx, dy) = next.Panel.Turn switch { Turn.Clockwise => (dy, -dx), Turn.CounterClockwise => (-dy, dx), _ => (dx, dy) };
        return item with { Hold = hold with { Dx = Whole(dx, job.Ticket.Unit), Dy = Whole(dy, job.Ticket.Unit) } };
    }

    private static (Length X, Length Y) Middle(Box b) => (b.X + (0.5m * b.Width), b.Y + (0.5m * b.Height));

    private static Length Whole(Length l, Unit unit) => unit == Unit.Inch
        ? Length.FromInches(Math.Round(l.Inches, 4, MidpointRounding.AwayFromZero))
        : Length.FromMillimetres(Math.Round(l.Millimetres, 3, MidpointRounding.AwayFromZero));
}
