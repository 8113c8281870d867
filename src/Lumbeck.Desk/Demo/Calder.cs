using Lumbeck.Core.Papers;
using Size = Lumbeck.Core.Measures.Size;

namespace Lumbeck.Desk.Demo;

/// <summary>Poems: a case with a jacket over it, two wraps of one job.</summary>
internal static class Calder
{
    public static IEnumerable<Edit> Edits(Desk desk) =>
    [
        new SetBinding(BindingKind.Jacket), new SetTrim(Size.FromMillimetres(138, 216)), new SetPages(286), new SetFact(Words.Subtitle, "poems"),
        new SetFact(Words.Author, "Tamsin Oyelaran"), new SetFact(Words.Imprint, "Skerry & Vane"), new SetIsbn("9780000000026"), new SetPrice(new(16.5m, "GBP")), new SetFact(Words.Finish, "uncoated with seal"),
        .. Lay.Swatches(("night", "Night", 88, 70, 40, 40), ("ice", "Ice", 16, 4, 6, 0), ("moon", "Moon", 2, 4, 18, 0), ("slate", "Slate", 70, 52, 42, 30)),
        // The jacket: one picture of the sound from flap to flap, the moon on the front.
        new PaintGround(new SwatchPaint("night")),
        Art.Over(desk, "sound", "calder-sound-by-night.jpg", 6080, 2700, Lay.At(Part.Sheet, Anchor.Middle, box: HoldBox.Edge), 0),
        Lay.Text("title", TextRole.Title, "Winter over\nCalder Sound", Lay.At(Part.Front, Anchor.Top, down: 26), 0, 40, "cormorant-garamond/400", 38, "ice", leading: 1.02m),
        Lay.Text("subtitle", TextRole.Subtitle, "poems", Lay.At(Part.Front, Anchor.Top, down: 62), 0, 9, "cormorant-garamond/400i", 19, "ice"),
        Lay.Text("author", TextRole.Author, "TAMSIN OYELARAN", Lay.At(Part.Front, Anchor.Top, down: 10), 0, 9, "cormorant-garamond/600", 16, "ice", tracking: 140),
        Lay.Text("spine-title", TextRole.Title, "Winter over Calder Sound", Lay.At(Part.Spine, Anchor.Left, 10), 104, 0, "cormorant-garamond/600", 21, "ice", Align.Left, Stand.Middle, leading: 1),
        Lay.Text("spine-author", TextRole.Author, "OYELARAN", Lay.At(Part.Spine, Anchor.Right, -6), 44, 0, "cormorant-garamond/600", 12, "ice", Align.Right, Stand.Middle, 120, 1),
        Lay.Text("quote", TextRole.Free, "The ferry has gone, and the dark\ncomes in on its own oars.", Lay.At(Part.Back, Anchor.Top, down: 34), 0, 24, "cormorant-garamond/400i", 17, "ice", leading: 1.3m),
        Lay.Barcode("barcode"),
        Lay.Text("blurb", TextRole.Blurb, "A year on an island that the boats reach on Tuesdays. Tamsin Oyelaran counts what the cold leaves: a lamp, a language, eleven neighbours, the long arithmetic of the tide.\n\nThese are poems to be read aloud, slowly, by one person to another.", Lay.At(Part.FrontFlap, Anchor.Top, down: 18), 0, 120, "eb-garamond/400", 11.5m, "ice", Align.Left, leading: 1.45m),
        Lay.Text("about", TextRole.Free, "Tamsin Oyelaran has kept a weather station, a school and a shop. This is her third book of poems.", Lay.At(Part.BackFlap, Anchor.Top, down: 18), 0, 60, "eb-garamond/400", 11.5m, "ice", Align.Left, leading: 1.45m),
        // The case under it: bare slate, its spine named and the moon alone on its front.
        new PaintGround(new SwatchPaint("slate"), 1),
        Lay.Rect("case-moon", Lay.At(Part.Front, Anchor.Middle, box: HoldBox.Face), 16, 16, "moon", corner: 8, wrap: 1),
        Lay.Text("case-title", TextRole.Title, "Winter over Calder Sound", Lay.At(Part.Spine, Anchor.Left, 10), 104, 0, "cormorant-garamond/600", 21, "moon", Align.Left, Stand.Middle, leading: 1, wrap: 1),
        Lay.Text("case-author", TextRole.Author, "OYELARAN", Lay.At(Part.Spine, Anchor.Right, -6), 44, 0, "cormorant-garamond/600", 12, "moon", Align.Right, Stand.Middle, 120, 1, wrap: 1),
    ];
}
