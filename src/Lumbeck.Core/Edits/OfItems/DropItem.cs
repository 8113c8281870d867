namespace Lumbeck.Core.Edits.OfItems;

/// <summary>
/// Drops an item so far right of and below where it lay, as the sheet is seen. It hangs on the panel that its middle
/// then lies on, by the same point
/// of the same box; what hangs on the whole sheet stays there. Figures come out whole, to 0.001 mm or 0.0001 in.
/// </summary>
public sealed record DropItem(string Item, Length Right, Length Down) : ItemEdit(Item)
{
    protected override string Fact => "place";

    protected override Item On(Item item, Job job)
    {
        var sheet = job.SheetOf(item, job.WrapOf(Item));
        var (x, y) = Hanging.Middle(item, Hanging.At(item, sheet));
        (x, y) = (x + Right, y + Down);
        var panel = item.Hold.Panel == Part.Sheet ? Part.Sheet
            : sheet.Panels.FirstOrDefault(p =>
                (p.CarriesText || p.Part == Part.Spine) && p.Face.X <= x && x < p.Face.Right && p.Face.Y <= y
                    && y < p.Face.Bottom)?.Part
                ?? item.Hold.Panel;
        // The barcode's room is the back's alone.
        var hold = new Hold(panel, item.Hold.Box == HoldBox.Room && panel != Part.Back ? HoldBox.Safe : item.Hold.Box,
            item.Hold.Anchor, default, default);
        return Hanging.ByMiddle(item, hold, sheet, x, y, job.Ticket.Unit);
    }
}
