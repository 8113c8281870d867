using Size = Lumbeck.Core.Measures.Size;

namespace Lumbeck.Desk.Demo;

/// <summary>
/// A weekly planner: a printed case in quarter circles, its title on a plate, a week over each opening.
/// </summary>
internal static class Monday
{
    public static IEnumerable<Edit> Edits(Drawer drawer) =>
    [
        new SetTrim(Size.FromMillimetres(156, 234)), new SetPages(160),
        new SetFact(TicketFact.Subtitle, "a planner for 2027"), new SetFact(TicketFact.Author, "Skerry & Vane"),
        new SetFact(TicketFact.Imprint, "Skerry & Vane"), new SetIsbn("9780000000064"), new SetPrice(new(18, "GBP")),
        new SetFact(TicketFact.Finish, "matt laminate"),
        .. Lay.Swatches(("cream", "Cream", 2, 4, 12, 0), ("moss", "Moss", 58, 32, 62, 22),
            ("clay", "Clay", 14, 58, 62, 4), ("sand", "Sand", 8, 18, 36, 0), ("ink", "Ink", 64, 0, 0, 84)),
        new PaintGround(new SwatchPaint("sand")),
        new LayPattern(new QuarterCircles
        {
            Seed = 27,
            Scale = 140,
            Square = 14,
            Paints = [new SwatchPaint("moss"), new SwatchPaint("clay"), new SwatchPaint("cream")],
        }),
        Lay.Rect("plate", Lay.At(Part.Front, Anchor.Middle, 0, -18, HoldBox.Face), 104, 64, "cream", line: "ink",
            weight: 1),
        Lay.Text("title", TextRole.Title, "Half Past\nMonday", Lay.At(Part.Front, Anchor.Middle, 0, -23,
            HoldBox.Face), 92, 36,
            "fraunces/700", 42, "ink", leading: 0.98m),
        Lay.Text("subtitle", TextRole.Subtitle, "a planner for 2027",
            Lay.At(Part.Front, Anchor.Middle, 0, 3, HoldBox.Face), 92, 8, "work-sans/400", 13, "ink", leading: 1),
        Lay.Rect("foot-plate", Lay.At(Part.Front, Anchor.Bottom, 0, -12, HoldBox.Face), 46, 11, "cream"),
        Lay.Text("author", TextRole.Author, "Skerry & Vane", Lay.At(Part.Front, Anchor.Bottom, 0, -14,
            HoldBox.Face), 42, 7,
            "work-sans/400", 12, "ink", leading: 1),
        Lay.Spine("spine-title", TextRole.Title, "Half Past Monday", "fraunces/700", "ink", 20),
        Lay.Rect("back-plate", Lay.At(Part.Back, Anchor.Top, 0, 22, HoldBox.Face), 104, 72, "cream", line: "ink",
            weight: 1),
        Lay.Text("blurb", TextRole.Blurb,
            "Fifty-three weeks, an opening each, with rows enough for what is due and room for what comes in " +
                "between. " +
                "The year on a page, every month on one of its own, habits and meals beside them.\n\nIt lies open " +
                "from January on.",
            Lay.At(Part.Back, Anchor.Top, 0, 28, HoldBox.Face), 92, 60, "work-sans/400", 12, "ink", Align.Left,
            leading: 1.5m)
            .With(t => t with { Style = t.Style with { Align = Align.Left } }),
        Lay.Barcode("barcode"),
        new CalmPattern(true),
        new SetInside(new()
        {
            Bleeds = true,
            Calendar = new()
            {
                Notes = drawer.Tables.TakeIn(new MemoryStream(System.Text.Encoding.UTF8.GetBytes(Dates)),
                    "shop-days.csv"),
            },
        }, "margins, bleed and dates"),
        new BeginInside(Pages(), "a year of weeks"),
    ];

    /// <summary>Days of the house that had it made.</summary>
    private const string Dates = """
        date,note
        01-06,Stock-taking
        2027-02-12,Kiln day
        2027-03-19,Spring list goes out
        2027-04-23,Kiln day
        05-02,The shop is twelve
        2027-06-18,Harbour fair
        2027-06-19,Harbour fair
        2027-07-09,Kiln day
        2027-09-24,Autumn list goes out
        2027-10-15,Kiln day
        2027-11-27,Open house
        12-24,Shut from noon

        """;

    private static ImmutableList<PageRun> Pages()
    {
        static PageRun run(string id, string name, PageDesign design, int pages = 1) =>
            new() { Id = id, Name = name, Designs = [design], Count = pages, Tab = pages > 1 };
        static PageRun year(string id, string name, RunKind goes, params string[] words) => new()
        {
            Id = id,
            Name = name,
            Designs = [.. words.Select(DesignShelf.Of)],
            Goes = goes,
            From = new(2027, 1, 1),
            To = new(2027, 12, 31),
            Tab = true,
        };
        return
        [
            run("belongs", "", DesignShelf.Of("this-belongs-to")),
            run("year", "The year", ((YearPage)DesignShelf.Of("year")) with { Year = 2027 }),
            run("next", "The year after", ((YearPage)DesignShelf.Of("year")) with { Year = 2028 }),
            year("months", "Months and habits", RunKind.Months, "month", "habit-month"),
            year("weeks", "Weeks", RunKind.Weeks, "week-spread"),
            run("meals", "Meals", DesignShelf.Of("meal-week"), 8),
            run("notes", "Notes", DesignShelf.Of("dots"), 11),
        ];
    }
}
