using Size = Lumbeck.Core.Measures.Size;

namespace Lumbeck.Desk.Demo;

/// <summary>
/// A logbook for beekeepers: A5 paperback on folded sheets, its title on a label plate over rows of cells.
/// </summary>
internal static class Hive
{
    public static IEnumerable<Edit> Edits()
    {
        List<Edit> edits =
        [
            new SetTrim(Size.FromMillimetres(148, 210)), new SetPages(118),
                new SetFact(TicketFact.Subtitle, "a season’s log for beekeepers"),
                new SetFact(TicketFact.Author, "Skerry & Vane"),
            new SetFact(TicketFact.Imprint, "Skerry & Vane"), new SetFact(TicketFact.Series, "Field logs"),
                new SetFact(TicketFact.SeriesNumber, "4"), new SetIsbn("9780000000040"),
                new SetFact(TicketFact.Finish, "matt laminate"),
            .. Lay.Swatches(("honey", "Honey", 4, 30, 88, 0), ("amber", "Amber", 8, 44, 96, 4),
                ("wax", "Wax", 2, 12, 44, 0), ("smoke", "Smoke", 40, 46, 60, 66), ("comb", "Comb paper", 1, 3, 12, 0)),
            new PaintGround(new SwatchPaint("honey")),
            // Comb on the back, which fades toward the cells of the front.
            new LayPattern(new Hexagons
            {
                Seed = 4,
                Scale = 140,
                Filled = 14,
                Fade = PatternFade.Right,
                Paints = [new SwatchPaint("amber"), new SwatchPaint("amber"), new SwatchPaint("amber")],
            }),
        ];
        // Cells in rows set off by half, some capped; they hang on the front, so that a thicker book never moves them.
        for (var row = 0; row < 5; row++)
            for (var cell = 0; cell < 7; cell++)
                edits.Add(Lay.Rect($"cell-{row + 1}-{cell + 1}",
                    Lay.At(Part.Front, Anchor.TopLeft, 9 + (cell * 19) + (row % 2 * 9.5m), 8 + (row * 16.5m),
                        HoldBox.Face),
                    15, 15, (row * 7 + (cell * 3)) % 5 == 0 ? "amber" : "wax", corner: 5));
        edits.RemoveAll(e => e is AddItem { New.Id: "cell-2-7" or "cell-4-7" });
        edits.AddRange(
        [
            Lay.Rect("plate", Lay.At(Part.Front, Anchor.Middle, 0, 22, HoldBox.Face), 108, 78, "comb", corner: 3,
                line: "smoke", weight: 1.2m),
            Lay.Text("series", TextRole.Free, "FIELD LOGS · NUMBER FOUR",
                Lay.At(Part.Front, Anchor.Middle, 0, -3, HoldBox.Face), 64, 9, "barlow-condensed/600", 9.5m, "smoke",
                tracking: 160, leading: 1)
                .With(t => t with { Bend = 34 }),
            Lay.Text("title", TextRole.Title, "HIVE RECORD", Lay.At(Part.Front, Anchor.Middle, 0, 8, HoldBox.Face), 84,
                18, "oswald/600", 38, "smoke", tracking: 20, leading: 1)
                .With(t => t with { Fit = Fitting.FillWidth }),
            Lay.Text("subtitle", TextRole.Subtitle, "a season’s log for beekeepers",
                Lay.At(Part.Front, Anchor.Middle, 0, 24, HoldBox.Face), 100, 8, "source-serif-4/400i", 14, "smoke",
                leading: 1),
            Lay.Rect("line-1", Lay.At(Part.Front, Anchor.Middle, 0, 40, HoldBox.Face), 84, 0.3m, "smoke"),
            Lay.Text("belongs", TextRole.Free, "KEPT BY", Lay.At(Part.Front, Anchor.Middle, 0, 43.5m, HoldBox.Face), 84,
                5, "barlow-condensed/400", 9, "smoke", tracking: 140, leading: 1),
            Lay.Rect("line-2", Lay.At(Part.Front, Anchor.Middle, 0, 53, HoldBox.Face), 84, 0.3m, "smoke"),
            Lay.Text("season", TextRole.Free, "SEASON", Lay.At(Part.Front, Anchor.Middle, 0, 56.5m, HoldBox.Face), 84,
                5, "barlow-condensed/400", 9, "smoke", tracking: 140, leading: 1),
            Lay.Text("author", TextRole.Author, "Skerry & Vane", Lay.At(Part.Front, Anchor.Bottom, down: -6), 0, 6,
                "source-serif-4/400", 11, "smoke", leading: 1),
            Lay.Spine("spine-title", TextRole.Title, "HIVE RECORD", "oswald/600", "smoke", 60),
            Lay.Text("blurb", TextRole.Blurb,
                "Fifty-six openings of one stand of hives: weather, stores, brood, queen and temper on one side, " +
                    "your own words on the other. Tables for swarms, feeding and honey at the end.\n\nThe paper " +
                    "takes pencil and survives propolis.",
                Lay.At(Part.Back, Anchor.Top, down: 24), 104, 70, "source-serif-4/400", 11.5m, "smoke", Align.Left,
                leading: 1.5m)
                .Copy().With(t => t with { Style = t.Style with { Align = Align.Left } }),
            Lay.Barcode("barcode"),
            new CalmPattern(true),
        ]);
        edits.Add(new GroupItems([.. edits.OfType<AddItem>().Select(a => a.New.Id)
            .Where(id => id.StartsWith("cell-", StringComparison.Ordinal))],
            "Cells"));
        edits.Add(new BeginInside(Pages(), "a season’s log"));
        return edits;
    }

    /// <summary>What the blurb promises: an opening a visit, its facing page for notes, and three tables.</summary>
    private static ImmutableList<PageRun> Pages()
    {
        PageDesign design(string word, params IEnumerable<(string Field, FieldValue Value)> set) =>
            set.Aggregate(DesignShelf.Of(word), (d, s) => d.With(s.Field, s.Value, s.Field));
        static FieldValue words(string w) => new(Words: w);
        static FieldValue mm(decimal m) => new(Length: Lay.Mm(m));
        PageRun table(string id, string name, int pages, string columns) => new()
        {
            Id = id,
            Count = pages,
            Designs = [design("table", ("heading", words(name)), ("header", mm(16)), ("columns", words(columns)),
                ("pitch", mm(9)))],
        };
        return
        [
            new() { Id = "belongs", Designs = [design("this-belongs-to", ("asks", words("Stand\nSeason")))] },
            new()
            {
                Id = "openings",
                Name = "Openings",
                Goes = RunKind.Spreads,
                Count = 56,
                Designs =
                [
                    design("table", ("heading", words("Opening {n}")), ("beside",
                        words("date ____________")), ("header", mm(16)),
                        ("columns", words("weather 2 · stores 1 · brood 2 · queen tick 0.8 · temper rating 1.4")),
                            ("pitch", mm(9))),
                    design("ruled", ("heading", words("Notes")), ("header", mm(22)), ("pitch", mm(9))),
                ],
            },
            table("swarms", "Swarms", 2, "date date · hive 0.7 · where 2 · taken tick 0.7 · what became of it 2.4"),
            table("feeding", "Feeding", 2, "date date · hive 0.7 · what 1.6 · how much 1 · notes 2"),
            table("honey", "Honey taken", 1, "date date · hive 0.7 · frames 0.8 · kg 0.8 · water 0.8 · notes 1.8"),
        ];
    }
}
