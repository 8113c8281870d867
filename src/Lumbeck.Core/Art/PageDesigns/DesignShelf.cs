using System.Text.Json.Serialization.Metadata;

namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// Every design of a page: the word it is stored by, and how it is first laid. A design is added by its file and its
/// line.
/// </summary>
public static class DesignShelf
{
    private static ImmutableList<Paint> Grays(params decimal[] percent) =>
        // The last is that of words.
        [.. percent.Append(100).Select(p => (Paint)new InkPaint(Ink.Percent(0, 0, 0, p)))];

    /// <summary>Word by word, by groups, in the order that they are offered.</summary>
    public static ImmutableArray<(string Word, string Group, PageDesign First)> All { get; } =
    [
        ("ruled", "lines", new Ruled { Paints = Grays(60, 100, 60) }),
        ("two-columns", "lines", new TwoColumns { Paints = Grays(60, 60) }),
        ("checklist", "lines", new Checklist { Paints = Grays(60, 100) }),
        ("handwriting", "lines", new Handwriting { Paints = Grays(100, 60, 60) }),
        ("music-staves", "lines", new MusicStaves { Paints = Grays(100, 100) }),
        ("tablature", "lines", new Tablature { Paints = Grays(100, 100) }),
        ("ledger", "lines", new Ledger { Paints = Grays(60, 100) }),
        ("dots", "grids", new DotGrid { Paints = Grays(100) }),
        ("squares", "grids", new SquareGrid { Paints = Grays(100, 100) }),
        ("isometric", "grids", new IsometricGrid { Paints = Grays(100) }),
        ("hexagon-grid", "grids", new HexagonGrid { Paints = Grays(100) }),
        ("millimetre-paper", "grids", new MillimetrePaper { Paints = Grays(100, 100, 100) }),
        ("polar", "grids", new PolarGrid { Paints = Grays(100, 100) }),
        ("storyboard", "grids", new Storyboard { Paints = Grays(100, 60) }),
        ("year", "planning", new YearPage { Header = Length.FromMillimetres(14), Paints = Grays(70, 100) }),
        ("month", "planning", new MonthPage { Header = Length.FromMillimetres(14), Paints = Grays(70, 100) }),
        ("week", "planning", new WeekPage { Header = Length.FromMillimetres(12), Paints = Grays(60, 100) }),
        ("week-spread", "planning", new WeekSpread { Header = Length.FromMillimetres(12), Paints = Grays(60, 100) }),
        ("day", "planning", new DayPage { Header = Length.FromMillimetres(13), Paints = Grays(60, 100) }),
        ("habit-month", "planning", new HabitMonth { Header = Length.FromMillimetres(14), Paints = Grays(70, 100) }),
        ("meal-week", "planning", new MealWeek { Header = Length.FromMillimetres(12), Paints = Grays(70, 100) }),
        ("table", "records", new Table { Paints = Grays(70, 70) }),
        ("table-spread", "records", new SpreadTable { Paints = Grays(70, 70) }),
        ("form", "records", new FormPage { Paints = Grays(70) }),
        ("contents", "records",
            new ContentsPage { Heading = "Contents", Header = Length.FromMillimetres(18), Paints = Grays(50) }),
        ("index", "records",
            new IndexPage { Heading = "Index", Header = Length.FromMillimetres(18), Paints = Grays(60) }),
        ("score-sheet", "records", new ScoreSheet { Paints = Grays(70, 100) }),
        ("prompts", "words", new Prompts { Paints = Grays(60) }),
        ("letters-to-trace", "words", new LettersToTrace { Paints = Grays(100, 60, 60, 60, 0, 100) }),
        ("text", "words", new TextPages { Paints = Grays() }),
        ("quotation", "words", new Quotation { Paints = Grays() }),
        ("sudoku", "puzzles",
            new SudokuPage { Heading = "Sudoku {n}", Header = Length.FromMillimetres(12), Paints = Grays(70, 100) }),
        ("maze", "puzzles",
            new MazePage { Heading = "Maze {n}", Header = Length.FromMillimetres(12), Paints = Grays(100, 20) }),
        ("word-search", "puzzles",
            new WordSearchPage { Heading = "Word search {n}", Header = Length.FromMillimetres(12), Paints = Grays(100, 20) }),
        ("number-trail", "puzzles",
            new NumberTrailPage { Heading = "Trail {n}", Header = Length.FromMillimetres(12), Paints = Grays(100, 100) }),
        ("colouring", "puzzles", new ColouringPage { Paints = Grays(100) }),
        ("solutions", "puzzles",
            new SolutionsPage { Heading = "Solutions", Header = Length.FromMillimetres(12), Paints = Grays(100, 20) }),
        ("this-belongs-to", "book", new BelongsTo { Paints = Grays(0, 100, 70) }),
        ("half-title", "book", new HalfTitle { Paints = Grays() }),
        ("title", "book", new TitlePage { Paints = Grays() }),
        ("imprint", "book", new ImprintPage { Paints = Grays() }),
        ("dedication", "book", new Dedication { Paints = Grays() }),
        ("picture", "book", new PicturePage { Paints = [] }),
        ("picture-with-words", "book", new PictureWithWords { Paints = Grays() }),
        ("blank", "book", new BlankPage { Paints = [] }),
    ];

    /// <summary>Tables that are used so often that they stand ready, by what people call them.</summary>
    public static ImmutableArray<(string Name, PageDesign Design)> ReadyTables { get; } =
    [
        ("reading", Ready("Books read", "title 3 · author 2 · begun date 1.4 · read date 1.4 · stars rating 1.6")),
        ("garden",
            Ready("Garden", "plant 2 · bed · sown date 1.3 · planted out date 1.3 · first picked date 1.3 · notes 2")),
        ("vehicle", Ready("Vehicle", "date date 1.3 · km 1 · what was done 3 · litres 1 · cost 1 · due 1")),
        ("expenses", Ready("Expenses", "no number 10 mm · date date 1.2 · what for 3 · to whom 2 · in 1 · out 1")),
        ("health",
            Ready("Health",
                "date date 1.3 · slept 1 · pulse 1 · pressure 1 · weight 1 · taken tick 1 · felt rating 1.7")),
    ];

    private static PageDesign Ready(string heading, string columns) =>
        (Of("table") with { Heading = heading, Header = Length.FromMillimetres(14) })
            .With("columns", new(Words: columns), "");

    /// <summary>The design of this word, as it is first laid.</summary>
    /// <exception cref="Refusal">There is none.</exception>
    public static PageDesign Of(string word) => All.FirstOrDefault(d => d.Word == word).First
        ?? throw new Refusal("design",
            $"`{LengthText.Clip(word)}` is no page design: take {string.Join(", ", All.Select(d => d.Word))}");

    public static string WordOf(PageDesign design) => All.First(d => d.First.GetType() == design.GetType()).Word;

    /// <summary>Tells JSON the designs by their words.</summary>
    public static void Told(JsonTypeInfo type) => KindRegistration.Tell(type, All.Select(d => (d.Word, d.First)));
}
