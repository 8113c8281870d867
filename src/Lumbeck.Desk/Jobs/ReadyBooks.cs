using System.Text.Json;

namespace Lumbeck.Desk.Jobs;

/// <summary>Ready insides whose pages are worked out: a planner, puzzles, colouring pages, letters to trace.</summary>
internal static class ReadyBooks
{
    /// <summary>The year on a page, each month on one, each week over an opening.</summary>
    public static ImmutableList<PageRun> Planner(int year) =>
    [
        ReadyInsides.Belongs(),
        One("year", "The year", ((YearPage)DesignShelf.Of("year")) with { Year = year }),
        Stretch("months", "Months", "month", RunKind.Months, year),
        Stretch("weeks", "Weeks", "week-spread", RunKind.Weeks, year),
        One("notes", "Notes", DesignShelf.Of("dots"), 6) with { Goes = RunKind.Rest },
    ];

    /// <summary>
    /// Three grades of sudokus, mazes of three kinds, word searches and trails, and what solves them. In a language that
    /// nothing is written in here there is no page on how they go, and no words are hidden.
    /// </summary>
    public static ImmutableList<PageRun> Puzzles(string language)
    {
        PageRun sudokus(string id, string name, Grade grade, int pages) =>
            Seeded(One(id, name, ((SudokuPage)DesignShelf.Of("sudoku")) with { Grade = grade }, pages));
        PageRun mazes(string id, string name, MazeShape shape, int pages) =>
            Seeded(One(id, name, ((MazePage)DesignShelf.Of("maze")) with { Shape = shape }, pages));
        var words = InWords.GetValueOrDefault(language);
        return
        [
            One("title", "Title", DesignShelf.Of("title")) with { Begins = BeginsOn.Odd },
            .. words is null ? (ReadOnlySpan<PageRun>)[]
                : [One("about", "Before you begin", ((TextPages)DesignShelf.Of("text")) with { Text = words.How })
                    with { Goes = RunKind.Needed, Begins = BeginsOn.Odd }],
            sudokus("easy", "Sudokus, easy", Grade.Easy, 10),
            mazes("mazes", "Mazes", MazeShape.Square, 5),
            sudokus("medium", "Sudokus, medium", Grade.Medium, 10),
            .. words is null ? (ReadOnlySpan<PageRun>)[] : [Seeded(One("words", "Word searches",
                ((WordSearchPage)DesignShelf.Of("word-search")) with { Hidden = string.Join("\n\n", words.Lists) },
                words.Lists.Length))],
            sudokus("hard", "Sudokus, hard", Grade.Hard, 10),
            mazes("rounds", "Round mazes", MazeShape.Round, 5),
            Seeded(One("trails", "Trails", DesignShelf.Of("number-trail"), 6)),
            One("solutions", "Solutions", DesignShelf.Of("solutions"))
                with { Goes = RunKind.Needed, Begins = BeginsOn.Odd },
        ];
    }

    /// <summary>Scenes, patterns and ornaments, each on a leaf whose back may soak through.</summary>
    public static ImmutableList<PageRun> Colouring()
    {
        PageRun of(string id, string name, string what, int pages) => Seeded(One(id, name,
            ((ColouringPage)DesignShelf.Of("colouring")) with { Of = what }, pages)) with
        { Backs = Backs.Blank };
        return
        [
            ReadyInsides.Belongs(), of("scenes", "Scenes", ColouringPage.Vistas, 6),
            of("patterns", "Patterns", ColouringPage.PatternsInTurn, 11),
            of("ornaments", "Ornaments", ColouringPage.Ornaments, 8) with { Goes = RunKind.Rest },
        ];
    }

    /// <summary>Letters with their strokes' order, figures, then words; none where a hand writes other strokes.</summary>
    public static ImmutableList<PageRun> Traced(string language)
    {
        IEnumerable<PageRun> of(string id, string name, string rows, bool arrows) => PrintedWords.Say(rows, language).Length == 0
            ? []
            : [One(id, name, ((LettersToTrace)DesignShelf.Of("letters-to-trace")) with { Text = rows, Arrows = arrows })
                with { Goes = RunKind.Needed }];
        return
        [
            .. of("letters", "Letters", new LettersToTrace { Paints = [] }.Text, true),
            .. of("figures", "Figures", "0 1 2\n3 4 5\n6 7 8\n9 0 1", true),
            .. of("words", "Words", "one\ntwo\nthree\nfour\nfive\nsix\nseven\neight\nnine\nten", false),
        ];
    }

    /// <summary>How puzzles go, and words to hide, a list a page: written anew in each language that has them.</summary>
    private sealed record PuzzleWords(string How, ImmutableArray<string> Lists);

    private static readonly Dictionary<string, PuzzleWords> InWords = Load();

    private static Dictionary<string, PuzzleWords> Load()
    {
        using var data = typeof(ReadyBooks).Assembly.GetManifestResourceStream("jobs/puzzle-words")!;
        return JsonSerializer.Deserialize<Dictionary<string, PuzzleWords>>(data, JsonSerializerOptions.Web)!;
    }

    private static PageRun One(string id, string name, PageDesign design, int pages = 1) =>
        new() { Id = id, Name = name, Designs = [design], Count = pages };

    private static PageRun Stretch(string id, string name, string design, RunKind goes, int year) =>
        One(id, name, DesignShelf.Of(design)) with { Goes = goes, From = new(year, 1, 1), To = new(year, 12, 31) };

    /// <summary>Two runs of puzzles are never the same ones.</summary>
    public static PageRun Seeded(PageRun run) => run with
    {
        Designs = [.. run.Designs.Select(d => d switch
        {
            PuzzlePage puzzles => puzzles with { Seed = Seed.Of(run.Id) },
            ColouringPage page => page with { Seed = Seed.Of(run.Id) },
            var other => other,
        })],
    };
}
