namespace Lumbeck.Desk.Jobs;

/// <summary>Insides to begin from: lists of runs, which land as ordinary runs.</summary>
public static class ReadyInsides
{
    /// <summary>Their names, in the order that they are offered, with what each is, in a few words.</summary>
    public static IReadOnlyList<(string Name, string Says)> All { get; } =
    [
        ("lined", "rules from cover to cover"),
        ("dotted", "dots 5 mm apart"),
        ("gratitude journal", "three questions a page"),
        ("weekly planner", "an opening a week, the year and its months before them"),
        ("logbook", "numbered rows, an index first"),
        ("handwriting practice", "letters, figures and words to trace, then lines alone"),
        ("puzzle book", "sudokus, mazes, word searches, trails, all solved at the end"),
        ("colouring book", "scenes, patterns and ornaments, printed on one side"),
        ("sketchbook", "frames and blank leaves, printed on one side"),
        ("recipe book", "a form and its method, opening by opening"),
    ];

    private static readonly (string Name, string[] Words)[] Meant =
    [
        ("logbook", ["log", "record", "register"]), ("gratitude journal", ["journal", "gratitude", "diary"]),
        ("puzzle book", ["puzzle", "sudoku", "maze", "brain"]), ("colouring book", ["colour", "color"]),
        ("weekly planner", ["planner", "week", "agenda"]), ("recipe book", ["recipe", "cook", "kitchen"]),
        ("sketchbook", ["sketch", "draw"]), ("handwriting practice", ["handwriting", "letters", "trace"]),
            ("dotted", ["dot"]),
            ("lined", ["note"]),
    ];

    /// <summary>The same, those first that a ticket’s own words speak of.</summary>
    public static IEnumerable<(string Name, string Says)> For(Ticket t)
    {
        var said = $"{t.Title} {t.Subtitle} {t.Series}";
        return All.OrderBy(a =>
            Meant.First(m => m.Name == a.Name).Words.Any(w => said.Contains(w, StringComparison.OrdinalIgnoreCase))
                ? 0
                : 1);
    }

    /// <summary>Lays one in place of what a job's inside is; it fills the ticket's page count where it can.</summary>
    /// <exception cref="Refusal">There is none of that name.</exception>
    /// <param name="name">One of <see cref="All"/>.</param>
    /// <param name="year">What a planner is for.</param>
    /// <param name="job">Whose language its words are in, and whose trim its pages are laid for.</param>
    public static BeginInside Begin(string name, int year, Job job)
    {
        var runs = Of(name, year, job.PagesLanguage);
        var lies = job.Ticket.Trim.Width > job.Ticket.Trim.Height;
        return new(lies ? [.. runs.Select(Lying)] : runs, name) { Fills = true };
    }

    /// <summary>On a page that is wider than high more stands side by side.</summary>
    private static PageRun Lying(PageRun run) => run with
    {
        Designs = [.. run.Designs.Select(d => d switch
        {
            YearPage year => year with { Across = 4 },
            Storyboard frames => frames with { Across = 3, Down = 2, Lines = 1 },
            SolutionsPage solutions => solutions with { Across = 3, Down = 2 },
            _ => d,
        })],
    };

    /// <param name="name">One of <see cref="All"/>.</param>
    /// <param name="year">What a planner is for.</param>
    /// <param name="language">What its words are in; those that it has no words for are left out.</param>
    /// <exception cref="Refusal">There is none of that name.</exception>
    public static ImmutableList<PageRun> Of(string name, int year, string language = "en") =>
        [.. InEnglish(name, year, language).Select(r => PrintedWords.In(r, language))];

    private static ImmutableList<PageRun> InEnglish(string name, int year, string language) => name switch
    {
        "lined" => [Belongs(), Rest("ruled")],
        "dotted" => [Belongs(), Rest("dots")],
        "gratitude journal" =>
            [Belongs(), Rest("prompts", d => With(d, "heading", "{page}", 10) with { Beside = "date ______________" })],
        "weekly planner" => ReadyBooks.Planner(year),
        "logbook" => [Belongs(), Run("index", "index", d => d) with { Count = 2,
            Begins = BeginsOn.Odd }, Rest("table", d =>
            ((Table)With(d, "heading", "Entries", 12)) with
            {
                Columns =
                    [new("no.", ColumnKind.Number) { Wide = Length.FromMillimetres(12) }, new("date", ColumnKind.Date),
                    new("entry", Share: 4), new("seen", ColumnKind.Tick) { Wide = Length.FromMillimetres(14) }],
            })],
        "handwriting practice" =>
            [Belongs(), .. ReadyBooks.Traced(language), Rest("handwriting") with { Name = "On your own" }],
        "puzzle book" => ReadyBooks.Puzzles(language),
        "colouring book" => ReadyBooks.Colouring(),
        "sketchbook" => [Belongs(), Run("frames", "storyboard", d => d) with { Name = "Frames", Count = 12 },
            Rest("blank") with { Name = "Leaves" }],
        "recipe book" => [Belongs(), Run("contents", "contents", d => d) with { Begins = BeginsOn.Odd },
            Run("recipes", "form", d => d) with
            {
                Name = "Recipes", Goes = RunKind.Spreads, Count = 40,
                Designs = [Design("form", d => ((FormPage)With(d, "heading", "Recipe {n}", 14)) with
                {
                    Asks = "Name\nServes · Takes\nWhat it needs\n\n\n\n\n\n\n\n", Pitch = Length.FromMillimetres(11),
                }), Design("ruled", d => With(d, "heading", "How it is made", 14))],
            }],
        _ =>
            throw new Refusal("inside",
                $"`{LengthText.Clip(name)}` is no ready inside: take {string.Join(", ", All.Select(a => a.Name))}"),
    };

    /// <summary>
    /// A run of a design, as it is first laid; the last word is a ready table’s where that is its name.
    /// </summary>
    /// <exception cref="Refusal">There is no such design.</exception>
    public static PageRun First(string id, string word, string language = "en")
    {
        if (DesignShelf.ReadyTables.FirstOrDefault(t => t.Name == word).Design is { } ready)
            return new() { Id = id, Designs = [language == "en" ? ready : ((Table)ready).Bare()], Count = 4 };
        var design = PrintedWords.In(DesignShelf.Of(word), language);
        return ReadyBooks.Seeded(new()
        {
            Id = id,
            Designs = [design],
            Goes = design.Takes == 2
                ? RunKind.Spreads
                : design is SolutionsPage or TextPages
                ? RunKind.Needed
                : RunKind.Pages,
            Count = (design.IsDisplay && design is not ColouringPage) || design is SolutionsPage or TextPages
                || design is ContentsPage
                ? 1
                : design is IndexPage
                ? 2
                : 16,
            Backs = design is ColouringPage ? Backs.Blank : Backs.Pages,
            Begins = design is HalfTitle or TitlePage or ContentsPage or BelongsTo or Dedication
                ? BeginsOn.Odd
                : BeginsOn.Next,
        });
    }

    private static PageDesign Design(string word, Func<PageDesign, PageDesign> change) => change(DesignShelf.Of(word));

    private static PageDesign With(PageDesign design, string field, string words, decimal header) =>
        design.With(field, new(Words: words), "") with { Header = Length.FromMillimetres(header) };

    private static PageRun Run(string id, string word, Func<PageDesign, PageDesign> change) =>
        new() { Id = id, Designs = [Design(word, change)] };

    private static PageRun Rest(string word, Func<PageDesign, PageDesign>? change = null) =>
        Run("rest", word, change ?? (d => d)) with { Goes = RunKind.Rest };

    internal static PageRun Belongs() => Run("belongs", "this-belongs-to", d => d);
}
