using Size = Lumbeck.Core.Measures.Size;

namespace Lumbeck.Desk.Demo;

/// <summary>
/// A job in trouble, as they come in at midnight: a small picture stretched over the front and no further, a line over
/// the fold, a wrong check digit.
/// </summary>
internal static class SaltRoad
{
    public static IEnumerable<Edit> Edits(Drawer drawer) =>
    [
        new SetTrim(Size.FromInches(5.5m, 8.5m)), new SetPages(224), new SetFact(TicketFact.Author, "Jonas Fell"),
            new SetFact(TicketFact.Imprint, "Skerry & Vane"), new SetIsbn("9780000000057"),
            new SetFact(TicketFact.Finish, "gloss"),
        .. Lay.Swatches(("dust", "Dust", 14, 26, 46, 0), ("salt", "Salt", 2, 3, 8, 0),
            ("umber", "Umber", 34, 58, 72, 62)),
        // Painted by two rectangles that stop at the cut, as if there were no bleed.
        new PaintGround(null),
        Lay.Rect("back-colour", Lay.At(Part.Back, Anchor.Middle, box: HoldBox.Face), 0, 0, "dust"),
        Lay.Rect("spine-colour", Lay.At(Part.Spine, Anchor.Middle, box: HoldBox.Face), 0, 0, "umber"),
        Art.Over(drawer, "road", "salt-road.jpg", 620, 930, Lay.At(Part.Front, Anchor.Middle, box: HoldBox.Face), 0),
        Lay.Text("title", TextRole.Title, "THE SALT ROAD", Lay.At(Part.Front, Anchor.Top, down: 24), 0, 22,
            "oswald/600", 40, "umber", tracking: 40, leading: 1),
        Lay.Text("author", TextRole.Author, "Jonas Fell", Lay.At(Part.Front, Anchor.Bottom, down: -8), 0, 10,
            "source-serif-4/400", 20, "salt", leading: 1),
        Lay.Text("line", TextRole.Free, "Four hundred miles, one mule, no map", Lay.At(Part.Front, Anchor.Top, -42, 52),
            128, 9, "source-serif-4/400i", 17, "umber", Align.Centre, leading: 1),
        Lay.Text("spine-title", TextRole.Title, "THE SALT ROAD", Lay.At(Part.Spine, Anchor.Left, 12), 90, 0,
            "oswald/600", 15, "salt", Align.Left, Stand.Middle, 40, 1),
        Lay.Text("blurb", TextRole.Blurb,
            "In the dry year the salt carriers stopped coming. Jonas Fell went to see where they had gone, by their " +
                "own road, at their own pace, and came back with most of the mule.",
            Lay.At(Part.Back, Anchor.Top, down: 26), 108, 60, "source-serif-4/400", 12, "umber", Align.Left,
            leading: 1.5m)
            .Copy(),
        new AddItem(new BarcodeItem { Id = "barcode",
            Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default), Number = "9780000000058" }),
    ];
}
