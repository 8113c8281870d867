using Size = Lumbeck.Core.Measures.Size;

namespace Lumbeck.Desk.Demo;

/// <summary>Poems: a case with a jacket over it, two wraps of one job.</summary>
internal static class Calder
{
    public static IEnumerable<Edit> Edits(Drawer drawer) =>
    [
        new SetBinding(BindingKind.Jacket), new SetTrim(Size.FromMillimetres(138, 216)), new SetPages(286),
            new SetFact(TicketFact.Subtitle, "poems"),
        new SetFact(TicketFact.Author, "Tamsin Oyelaran"), new SetFact(TicketFact.Imprint, "Skerry & Vane"),
            new SetIsbn("9780000000026"), new SetPrice(new(16.5m, "GBP")),
            new SetFact(TicketFact.Finish, "uncoated with seal"),
        .. Lay.Swatches(("night", "Night", 88, 70, 40, 40), ("ice", "Ice", 16, 4, 6, 0), ("moon", "Moon", 2, 4, 18, 0),
            ("slate", "Slate", 70, 52, 42, 30)),
        // The jacket: one picture of the sound from flap to flap, the moon on the front.
        new PaintGround(new SwatchPaint("night")),
        Art.Over(drawer, "sound", "calder-sound-by-night.jpg", 6080, 2700,
            Lay.At(Part.Sheet, Anchor.Middle, box: HoldBox.Edge), 0),
        Lay.Text("title", TextRole.Title, "Winter over\nCalder Sound", Lay.At(Part.Front, Anchor.Top, down: 25), 0, 42,
            "cormorant-garamond/400", 47, "ice", leading: 0.92m)
            .Run("Winter over\n", new() { Face = Lay.Face("cormorant-garamond/400i") }),
        Lay.Text("subtitle", TextRole.Subtitle, "poems", Lay.At(Part.Front, Anchor.Top, down: 66), 0, 9,
            "cormorant-garamond/400i", 19, "ice"),
        Lay.Text("author", TextRole.Author, "TAMSIN OYELARAN", Lay.At(Part.Front, Anchor.Top, down: 10), 0, 9,
            "cormorant-garamond/600", 16, "ice", tracking: 140),
        Lay.Spine("spine-title", TextRole.Title, "Winter over Calder Sound", "cormorant-garamond/600", "ice"),
        Lay.Spine("spine-author", TextRole.Author, "OYELARAN", "cormorant-garamond/600", "ice", 110),
        Lay.Spine("spine-imprint", TextRole.Imprint, "S & V", "cormorant-garamond/600", "ice", 60),
        Lay.Text("quote", TextRole.Free, "The ferry has gone, and the dark\ncomes in on its own oars.",
            Lay.At(Part.Back, Anchor.Top, down: 34), 88, 24, "cormorant-garamond/400i", 19, "ice", Align.Left,
            leading: 1.3m)
            .Run("comes in on its own oars.", new() { Indent = Lay.Mm(9) }),
        Lay.Barcode("barcode"),
        Lay.Text("blurb", TextRole.Blurb,
            "A year on an island that the boats reach on Tuesdays. Tamsin Oyelaran counts what the cold leaves: a " +
                "lamp, a language, eleven neighbours, the long arithmetic of the tide.\n\nThese are poems to be read " +
                "aloud, slowly, by one person to another.",
            Lay.At(Part.FrontFlap, Anchor.Top, down: 18), 0, 120, "eb-garamond/400", 11.5m, "ice", Align.Left,
            leading: 1.45m)
            .Copy(),
        Lay.Text("about", TextRole.Free,
            "Tamsin Oyelaran has kept a weather station, a school and a shop. This is her third book of poems.",
            Lay.At(Part.BackFlap, Anchor.Top, down: 18), 0, 60, "eb-garamond/400", 11.5m, "ice", Align.Left,
            leading: 1.45m)
            .Copy().Run("Tamsin Oyelaran", new() { Case = LetterCase.SmallCaps, Tracking = 30 }),
        // The case under it: bare slate, its spine named and the moon alone on its front.
        new PaintGround(new SwatchPaint("slate"), 1),
        new LayPattern(new NightSky
        {
            Seed = 9,
            Scale = 130,
            Paints = [new SwatchPaint("moon"), new SwatchPaint("ice"), new SwatchPaint("ice", 5_000)],
        }, 1),
        Lay.Rect("case-moon", Lay.At(Part.Front, Anchor.Middle, box: HoldBox.Face), 16, 16, "moon", corner: 8, wrap: 1),
        Lay.Spine("case-title", TextRole.Title, "Winter over Calder Sound", "cormorant-garamond/600", "moon", wrap: 1),
        Lay.Spine("case-author", TextRole.Author, "OYELARAN", "cormorant-garamond/600", "moon", 110, wrap: 1),
        Lay.Spine("case-imprint", TextRole.Imprint, "S & V", "cormorant-garamond/600", "moon", 60, wrap: 1),
    ];
}
