using Size = Lumbeck.Core.Measures.Size;

namespace Lumbeck.Desk.Demo;

/// <summary>A novella in Hebrew, so its front lies left: paperback, in inches.</summary>
internal static class Lighthouse
{
    public static IEnumerable<Edit> Edits(Drawer drawer)
    {
        List<Edit> edits =
        [
            new SetLanguage("he"), new SetTrim(Size.FromInches(5, 8)), new SetPages(160),
                new SetFact(TicketFact.Subtitle, "נובלה"), new SetFact(TicketFact.Author, "נועה אלמוג"),
                new SetFact(TicketFact.Imprint, "Skerry & Vane"), new SetIsbn("9780000000033"),
            new SetContributors([new("Idit Marom", "translator")]), new SetFact(TicketFact.Finish, "matt"),
            .. Lay.Swatches(("sea", "Evening sea", 74, 40, 30, 16), ("lamp", "Lamp", 2, 10, 52, 0),
                ("lime", "Lime wash", 0, 1, 4, 0), ("dark", "Night rock", 68, 60, 56, 95),
                ("brick", "Brick", 18, 82, 76, 8), ("rock", "Rock", 60, 54, 52, 44)),
            new PaintGround(new SwatchPaint("sea")),
            Art.Over(drawer, "evening", "evening-off-the-last-light.jpg", 3240, 2520,
                Lay.At(Part.Sheet, Anchor.Middle, box: HoldBox.Edge), 0),
            Lay.Rect("rock", Lay.At(Part.Sheet, Anchor.Bottom, box: HoldBox.Edge), 0, 34, "rock"),
            Lay.Rect("tower", Lay.At(Part.Front, Anchor.Bottom, 0, -28, HoldBox.Face), 22, 66, "lime"),
        ];
        for (var i = 0; i < 3; i++)
            edits.Add(Lay.Rect($"stripe-{i + 1}", Lay.At(Part.Front, Anchor.Bottom, 0, -36 - (i * 20), HoldBox.Face),
                22, 10, "brick"));
        edits.AddRange(
        [
            Lay.Rect("gallery", Lay.At(Part.Front, Anchor.Bottom, 0, -94, HoldBox.Face), 30, 2.4m, "rock"),
            Lay.Rect("lantern", Lay.At(Part.Front, Anchor.Bottom, 0, -96.4m, HoldBox.Face), 14, 11, "lamp"),
            Lay.Rect("cap", Lay.At(Part.Front, Anchor.Bottom, 0, -107, HoldBox.Face), 18, 4, "brick", corner: 2),
            Lay.Text("title", TextRole.Title, "המגדלור\nהאחרון", Lay.At(Part.Front, Anchor.Top, down: 7), 96, 52,
                "frank-ruhl-libre/700", 54, "lime", leading: 0.96m),
            Lay.Text("subtitle", TextRole.Subtitle, "נובלה", Lay.At(Part.Front, Anchor.Top, down: 50), 0, 9,
                "frank-ruhl-libre/400", 18, "lime"),
            Lay.Text("author", TextRole.Author, "נועה אלמוג", Lay.At(Part.Front, Anchor.Bottom, down: -5), 0, 10,
                "frank-ruhl-libre/400", 22, "lime"),
            Lay.Spine("spine-title", TextRole.Title, "המגדלור האחרון", "frank-ruhl-libre/700", "lime"),
            Lay.Spine("spine-author", TextRole.Author, "נועה אלמוג", "frank-ruhl-libre/400", "dark"),
            Lay.Spine("spine-imprint", TextRole.Imprint, "S & V", "frank-ruhl-libre/400", "lime", 40),
            Lay.Text("blurb", TextRole.Blurb,
                "בלילה האחרון של השנה נדלק האור במגדלור שאיש אינו שומר עליו.\n\nדינה, שבאה לאי כדי למכור את בית " +
                    "סבתה, נשארת עד האביב, ולומדת לקרוא את הים, את שכניה, ואת הפנקס שבו רשמה סבתה כל ספינה שלא חזרה.",
                Lay.At(Part.Back, Anchor.Top, down: 22), 92, 90, "frank-ruhl-libre/400", 13, "lime", Align.Left,
                leading: 1.5m)
                .Copy(),
            Lay.Barcode("barcode"),
        ]);
        return edits;
    }
}
