using Size = Lumbeck.Core.Measures.Size;

namespace Lumbeck.Desk.Demo;

/// <summary>Puzzles for a long crossing: a paperback whose title is found among other words of the sea.</summary>
internal static class Crossing
{
    /// <summary>The front's grid; the title stands in its second and third row.</summary>
    private static readonly string[] Letters = ["TIDEWAKE", "FALONGRS", "CROSSING", "HARBOURM", "BELLBUOY", "LANTERNS"];

    public static IEnumerable<Edit> Edits()
    {
        List<Edit> edits =
        [
            new SetTrim(Size.FromInches(6, 9)), new SetPages(96),
            new SetFact(TicketFact.Subtitle, "puzzles for the ferry, the train and the rain"),
            new SetFact(TicketFact.Author, "Skerry & Vane"), new SetFact(TicketFact.Imprint, "Skerry & Vane"),
            new SetIsbn("9780000000071"), new SetPrice(new(9, "GBP")), new SetFact(TicketFact.Finish, "matt"),
            .. Lay.Swatches(("deep", "Deep", 92, 64, 34,
                28), ("sea", "Sea", 78, 40, 26, 6), ("foam", "Foam", 14, 2, 8, 0),
                ("lamp", "Lamp", 2, 30, 86, 0)),
            new PaintGround(new SwatchPaint("deep")),
            new LayPattern(new Waves
            {
                Seed = 12,
                Length = 44,
                Paints = [new SwatchPaint("deep"), new SwatchPaint("sea"), new SwatchPaint("sea")],
            }),
            Lay.Rect("found-1", Lay.At(Part.Front, Anchor.TopLeft, 14 + 15.5m + 0.75m, 26 + 15.5m + 1.75m,
                HoldBox.Face), 76, 12,
                "lamp", corner: 6),
            Lay.Rect("found-2", Lay.At(Part.Front, Anchor.TopLeft, 14 + 0.75m, 26 + 31 + 1.75m,
                HoldBox.Face), 122.5m, 12,
                "lamp", corner: 6),
        ];
        for (var row = 0; row < Letters.Length; row++)
            for (var column = 0; column < Letters[row].Length; column++)
                edits.Add(Lay.Text($"letter-{row + 1}-{column + 1}", TextRole.Free, Letters[row][column..(column + 1)],
                    Lay.At(Part.Front, Anchor.TopLeft, 14 + (column * 15.5m), 26 + (row * 15.5m), HoldBox.Face), 15.5m,
                        15.5m,
                    "zilla-slab/600", 29, row == 2 || (row == 1 && column is > 0 and < 6) ? "deep" : "foam",
                    stand: Stand.Middle, leading: 1));
        edits.AddRange(
        [
            Lay.Text("title", TextRole.Title, "A Long Crossing", Lay.At(Part.Front, Anchor.Top, down: 134,
                box: HoldBox.Face), 122,
                16, "zilla-slab/600", 33, "lamp", leading: 1),
            Lay.Text("subtitle", TextRole.Subtitle, "puzzles for the ferry, the train and the rain",
                Lay.At(Part.Front, Anchor.Top, down: 151, box: HoldBox.Face), 122, 9, "zilla-slab/400", 15, "foam",
                    leading: 1),
            Lay.Text("author", TextRole.Author, "Skerry & Vane", Lay.At(Part.Front, Anchor.Bottom, down: -6), 0, 8,
                "zilla-slab/400", 13, "foam", leading: 1),
            Lay.Spine("spine-title", TextRole.Title, "A Long Crossing", "zilla-slab/600", "lamp", 20),
            Lay.Text("blurb", TextRole.Blurb,
                "Forty-eight sudokus, none of which needs a guess. Eighteen mazes with one way through. Word " +
                    "searches, trails " +
                    "from dot to dot, and something to colour when the horizon will not keep still.\n\nEvery " +
                        "puzzle is " +
                    "solved at the back, and says on which page.",
                Lay.At(Part.Back, Anchor.Top, down: 30), 110, 70, "zilla-slab/400", 14, "foam", Align.Left,
                    leading: 1.4m)
                .With(t => t with { Style = t.Style with { Align = Align.Left } }),
            Lay.Barcode("barcode"),
            new CalmPattern(true),
            new BeginInside(Pages(), "puzzles for a crossing"),
        ]);
        edits.Add(new GroupItems([.. edits.OfType<AddItem>().Select(a => a.New.Id)
            .Where(id => id.StartsWith("letter-", StringComparison.Ordinal)
                || id.StartsWith("found-", StringComparison.Ordinal))], "Grid of letters"));
        return edits;
    }

    private const string Words = """
        anchor, buoy, compass, fender, halyard, keel, lantern, mooring, rudder, sextant, tiller, windlass

        breaker, current, eddy, flood, ground swell, neap, ripple, spindrift, spring, surge, undertow, wake

        cormorant, curlew, eider, fulmar, gannet, guillemot, kittiwake, oystercatcher, petrel, puffin, tern, turnstone

        blanket, cushion, flask, gangway, lounge, porthole, purser, railing, saloon, tannoy, ticket, timetable
        """;

    private static ImmutableList<PageRun> Pages()
    {
        static PageRun run(string id, string name, PageDesign design, int pages = 1) =>
            new() { Id = id, Name = name, Designs = [design], Count = pages };
        static PageRun sudokus(string id, string name, int seed, Grade grade) =>
            run(id, name, ((SudokuPage)DesignShelf.Of("sudoku")) with { Seed = seed, Grade = grade }, 16);
        static PageRun mazes(string id, string name, int seed, MazeShape shape) =>
            run(id, name, ((MazePage)DesignShelf.Of("maze")) with { Seed = seed, Shape = shape }, 6);
        return
        [
            run("title", "Title", DesignShelf.Of("title")),
            run("imprint", "Imprint", DesignShelf.Of("imprint")),
            run("about", "Before you sail", ((TextPages)DesignShelf.Of("text")) with { Text = About })
                with { Goes = RunKind.Needed },
            sudokus("calm", "Calm: sudokus", 11, Grade.Easy),
            mazes("rooms", "Below deck: mazes", 21, MazeShape.Square),
            sudokus("breeze", "Breeze: sudokus", 12, Grade.Medium),
            run("words", "Overheard: word searches",
                ((WordSearchPage)DesignShelf.Of("word-search")) with { Seed = 31, Hidden = Words, Across = 14,
                    Down = 14 },
                    8),
            mazes("rounds", "Round the buoy: mazes", 22, MazeShape.Round),
            sudokus("gale", "Gale: sudokus", 13, Grade.Hard),
            mazes("hexagons", "Honeycomb: mazes", 23, MazeShape.Hexagonal),
            run("trails", "By dead reckoning: trails",
                ((NumberTrailPage)DesignShelf.Of("number-trail")) with { Seed = 41 }, 6),
            run("colour", "When it will not keep still",
                ((ColouringPage)DesignShelf.Of("colouring")) with { Seed = 51 }, 6)
                with { Backs = Backs.Note, BackNote = "The other side is to be coloured." },
            run("solutions", "Solutions",
                DesignShelf.Of("solutions")) with { Goes = RunKind.Needed, Begins = BeginsOn.Odd },
            run("last", "The printer’s", DesignShelf.Of("blank")),
        ];
    }

    private const string About = """
        # Before you sail

        A crossing is a room that nobody can leave. This book is for the hours between the breakwater that goes small
        and the one that grows.

        ## Sudokus
        Each row, each column and each box has every digit once. *Calm* asks only where a digit still has a place;
        *Breeze* also what a cell has left, and how a box leans on a line; for *Gale* you will want a pencil, since pairs
        and trios come into it. None needs a guess, ever.

        ## Mazes
        From one opening to the other there is one way. The round ones are for when the floor turns.

        ## Words, dots, colours
        - Words run in all eight directions, and each is there once.
        - Dots are joined in their order.
        - Pages to colour are printed on one side, so that ink may come through.

        Under each puzzle stands the page that solves it.
        """;
}
