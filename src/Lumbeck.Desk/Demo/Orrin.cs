using Length = Lumbeck.Core.Measures.Length;
using Size = Lumbeck.Core.Measures.Size;

namespace Lumbeck.Desk.Demo;

/// <summary>An illustrated local history: printed case, in millimetres. A viaduct runs round the boards.</summary>
internal static class Orrin
{
    /// <summary>A little of the dusk round light words over the valley.</summary>
    private static TextItem Soft(TextItem t) =>
        t with { Shadow = new(new SwatchPaint("dusk"), Length.Zero, Length.FromPoints(1), Length.FromPoints(9), 70) };

    public static IEnumerable<Edit> Edits(Drawer drawer)
    {
        var silk = HouseFile.Shipped["aldwater"].Papers.First(p => p.Name.StartsWith("Silk", StringComparison.Ordinal));
        List<Edit> edits =
        [
            new SetTrim(Size.FromMillimetres(189, 246)), new SetPages(222), new SetPaper(silk),
                new SetFact(TicketFact.Subtitle, "an illustrated history"),
            new SetFact(TicketFact.Author, "Rowan Achterberg"), new SetFact(TicketFact.Imprint, "Skerry & Vane"),
                new SetIsbn("9780000000019"), new SetPrice(new(38, "GBP")),
            new SetContributors([new("Edda Lindqvist", "photographer"), new("Tomas Wray", "foreword")]),
                new SetInsideColour(InsideColour.Colour), new SetFact(TicketFact.Finish, "matt laminate"),
                new SetFact(TicketFact.Edition, "first"),
            .. Lay.Swatches(("dusk", "Dusk", 62, 40, 34, 18), ("haze", "Haze", 52, 32, 28, 12),
                ("stone", "Stone", 12, 14, 24, 4), ("shade", "Shade", 30, 30, 40, 18),
                ("river", "River", 78, 52, 42, 34), ("paper", "Paper", 0, 1, 4, 0)),
            new PaintGround(new SwatchPaint("dusk")),
                new LayPattern(new ContourLines { Seed = 7, Paints = [new SwatchPaint("haze")] }),
            Art.Over(drawer, "valley", "orrin-valley-in-mist.jpg", 5200, 2240,
                Lay.At(Part.Sheet, Anchor.Top, box: HoldBox.Edge), 184),
            // The viaduct: a wall, its openings, a parapet, and the river before it.
            Lay.Rect("wall", Lay.At(Part.Sheet, Anchor.Bottom, box: HoldBox.Edge), 0, 104, "stone"),
            Lay.Rect("parapet", Lay.At(Part.Sheet, Anchor.Bottom, down: -104, box: HoldBox.Edge), 0, 3, "shade"),
        ];
        foreach (var panel in (Part[])[Part.Back, Part.Front])
            for (var i = 0; i < 5; i++)
                // The back keeps its wall whole where the barcode lies.
                if (panel == Part.Front || i is 0 or 4)
                    edits.Add(Lay.Rect($"arch-{panel.Word()}-{i + 1}",
                        Lay.At(panel, Anchor.Bottom, -76 + (38 * i), 14, HoldBox.Face), 30, 104, "dusk", corner: 15));
        edits.AddRange(
        [
            Lay.Rect("river", Lay.At(Part.Sheet, Anchor.Bottom, box: HoldBox.Edge), 0, 38, "river"),
            Lay.Rect("pier", Lay.At(Part.Spine, Anchor.Middle, box: HoldBox.Edge), 0, 0, "river"),
            Lay.Text("title", TextRole.Title, "Bridges of the\nOrrin Valley", Lay.At(Part.Front, Anchor.Top, down: 20),
                0, 60, "libre-caslon-text/400", 52, "paper", leading: 1.06m)
                .Run("Bridges of the\n",
                    new() { Face = Lay.Face("libre-caslon-text/400i"), Size = Length.FromPoints(34) })
                .With(Soft),
            Lay.Rect("title-rule", Lay.At(Part.Front, Anchor.Top, down: 72), 42, 0.5m, "paper"),
            Lay.Text("subtitle", TextRole.Subtitle, "an illustrated history", Lay.At(Part.Front, Anchor.Top, down: 77),
                0, 11, "libre-caslon-text/400i", 19, "paper")
                .With(Soft),
            Lay.Text("author", TextRole.Author, "Rowan Achterberg", Lay.At(Part.Front, Anchor.Bottom, down: 0), 0, 9,
                "libre-caslon-text/400", 17, "paper", tracking: 40),
            Lay.Spine("spine-title", TextRole.Title, "Bridges of the Orrin Valley", "libre-caslon-text/400", "paper"),
            Lay.Spine("spine-author", TextRole.Author, "Achterberg", "libre-caslon-text/400i", "paper"),
            Lay.Spine("spine-imprint", TextRole.Imprint, "S & V", "libre-caslon-text/400", "paper", 40),
            Lay.Text("blurb", TextRole.Blurb,
                "Eleven bridges cross the Orrin between its spring and the sea. Each was built twice: once by " +
                    "masons, and once by those who told how it was built.\n\nRowan Achterberg walked the valley with " +
                    "its maps, its toll books and its quarrels, and puts the two beside each other, stone by stone.",
                Lay.At(Part.Back, Anchor.Top, down: 22), 142, 70, "libre-caslon-text/400", 12.5m, "paper", Align.Left,
                leading: 1.5m)
                .Copy()
                .Run("Eleven bridges", new() { Case = LetterCase.Upper, Size = Length.FromPoints(11), Tracking = 90 }),
            Lay.Barcode("barcode"),
        ]);
        return edits;
    }
}
