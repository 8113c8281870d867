namespace Lumbeck.Core.Checks.OfBarcodes;

/// <summary>Whether the house adds a barcode of its own or wants the maker's.</summary>
public sealed class BarcodeWho : Rule
{
    public override string Id => "barcode.who";
    public override string Proves => "it is settled who adds the barcode";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        // A case under a jacket stays bare, and a front alone has no back.
        if (look.On.Wrap > 0 || look.Sheet.Panel(Part.Back) is null
            || look.Sheet.Zone(ZoneKind.Barcode, Part.Back)?.Box is not { } room)
            yield break;
        if (look.Drawn().Any(d => d.Item is BarcodeItem)) yield break;
        if (look.House.BarcodeBy == BarcodeBy.Maker)
            yield return new()
            {
                Severity = Severity.Todo,
                Measured = "no barcode",
                Limit = "yours",
                Why = $"{look.House.Name} adds no barcode of its own: without one no shop takes the book.",
                Mend = "Add the barcode to the back.",
                Panel = Part.Back,
                Place = room,
                Fix = new AddItem(BarcodeItem.In(look.House, Free.Numbered("barcode",
                    n => look.Job.Item(n.Replace(' ', '-')) is not null).Replace(' ', '-')), Wrap: look.On.Wrap),
            };
        else if (look.House.BarcodeBy == BarcodeBy.House)
        {
            yield return new()
            {
                Severity = Severity.Note,
                Measured = "no barcode",
                Limit = $"room of {room.Size.Show(look.Unit)}",
                Why = $"{look.House.Name} adds its own there.",
                Mend = "Leave it to the printer, or add one.",
                Panel = Part.Back,
                Place = room,
            };
            foreach (var (item, drawn) in look.Drawn())
                if ((item.IsRead || item.Whole) && !drawn.Inked.ToBox().Intersect(room).IsEmpty)
                    yield return new()
                    {
                        Severity = Severity.Stop,
                        Measured = $"a {item.Kind.ToLower(CultureInfo.InvariantCulture)} in the barcode’s room",
                        Limit = "nothing but ground",
                        Why = $"{look.House.Name} would print its barcode over it.",
                        Mend = "Move it out of the room.",
                        Of = item,
                        Place = drawn.Inked.ToBox(),
                        Fix = Above(item, drawn.Inked.ToBox(), room),
                    };
        }
    }

    private static DropItem? Above(Item item, Box ink, Box room) =>
        item.Locked ? null : new(item.Id, default, room.Y - Length.FromMillimetres(2) - ink.Bottom);
}
