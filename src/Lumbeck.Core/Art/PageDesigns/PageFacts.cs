using System.Text.RegularExpressions;

namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>What a page is told of where it stands, for the words that are filled in page by page.</summary>
public sealed partial record PageFacts
{
    public static PageFacts None { get; } = new();

    /// <summary>Its number as it is printed; empty where none is.</summary>
    public string Folio { get; init; } = "";

    /// <summary>Which time its design comes in its run, from 1, and of how many times.</summary>
    public int Time { get; init; } = 1;

    public int Times { get; init; } = 1;

    /// <summary>Whether it is the second page of an opening.</summary>
    public bool Facing { get; init; }

    /// <summary>Whether one design goes over both pages of an opening.</summary>
    public bool Opens { get; init; }

    /// <summary>The day that the page is for, or the first of its week or month; null where it is for none.</summary>
    public DateOnly? Day { get; init; }

    /// <summary>How its calendars are printed.</summary>
    public BookCalendar Calendar { get; init; } = BookCalendar.Plain;

    /// <summary>Whether the book is read from right to left: columns and margin rules change sides.</summary>
    public bool Mirrored { get; init; }

    /// <summary>What stands for a word in braces: facts of the book, of the day, of a table's row.</summary>
    public ImmutableDictionary<string, string> Fields { get; init; } =
        ImmutableDictionary.Create<string, string>(StringComparer.OrdinalIgnoreCase);

    /// <summary>The label that the cover has; null where it has none.</summary>
    public Ornament? Label { get; init; }

    /// <summary>What a list of contents names, each with its folio.</summary>
    public ImmutableArray<PageEntry> Contents { get; init; } = [];

    /// <summary>
    /// The puzzles of its run as they are written; default while they are being made, or where none are.
    /// </summary>
    public ImmutableArray<string> Made { get; init; }

    /// <summary>Where a puzzle stands on its own page, for pages that show it smaller.</summary>
    public Bounds? Room { get; init; }

    /// <summary>The puzzles of the book in their order, for pages that solve them.</summary>
    public ImmutableArray<ToSolve> ToSolve { get; init; } = [];

    /// <summary>What an index names.</summary>
    public ImmutableArray<PageEntry> Index { get; init; } = [];

    [GeneratedRegex(@"\{([^{}\n]{1,60})\}", RegexOptions.CultureInvariant)]
    private static partial Regex Brace();

    /// <summary>Words with what stands in braces filled in; what nothing is known of stays as it is.</summary>
    public string Fill(string words) => words.Contains('{')
        ? Brace().Replace(words, m => Of(m.Groups[1].Value) ?? m.Value)
        : words;

    /// <summary>What stands in braces and is nowhere told.</summary>
    public IEnumerable<string> Unknown(string words) =>
        words.Contains('{') ? Brace().Matches(words).Select(m => m.Groups[1].Value).Where(f => Of(f) is null) : [];

    /// <summary>What stands in braces and is told as nothing.</summary>
    public IEnumerable<string> Empty(string words) =>
        words.Contains('{') ? Brace().Matches(words).Select(m => m.Groups[1].Value).Where(f => Of(f)?.Length == 0) : [];

    private string? Of(string field) => Fields.GetValueOrDefault(field.Trim()) ?? field.Trim().ToLowerInvariant() switch
    {
        "n" => Time.ToString(CultureInfo.InvariantCulture),
        "of" => Times.ToString(CultureInfo.InvariantCulture),
        "page" => Folio,
        _ => null,
    };
}

/// <summary>A line of a list of contents or an index.</summary>
public sealed record PageEntry(string Words, string Folio);

/// <summary>A puzzle that a page of solutions solves.</summary>
/// <param name="Design">What it is on.</param>
/// <param name="N">Which of its run, from 0.</param>
/// <param name="At">The page that it stands on.</param>
/// <param name="Says">What stands over it, such as “Sudoku 12”.</param>
public sealed record ToSolve(PuzzlePage Design, int N, PageFacts At, string Says);

/// <summary>Art that a design shows as its visible edges, to be coloured.</summary>
/// <param name="Sketch">The paper, vista or ornament.</param>
/// <param name="Box">What it fills, in points.</param>
/// <param name="Weight">Of its lines.</param>
/// <param name="Slot">Its paint’s place among the paints.</param>
public sealed record ToColour(Sketch Sketch, Bounds Box, Length Weight, int Slot) : Drawn
{
    public override Drawn Under(Affine place, double scale) => this with { Box = place.Of(Box) };
}

/// <summary>Words that a design prints, in one of its paint slots.</summary>
/// <param name="Words">As they are printed.</param>
/// <param name="Box">Where they are set, in points.</param>
/// <param name="Size">Of the type, in points.</param>
/// <param name="Slot">Its paint's place among the paints.</param>
public sealed record Written(string Words, Bounds Box, double Size, int Slot) : Drawn
{
    public Align Align { get; init; }
    public Stand Stand { get; init; }

    /// <summary>In the face of headings instead of that of text.</summary>
    public bool Heads { get; init; }

    /// <summary>
    /// Whether it is set smaller, to <see cref="Smallest"/> of its size, where its box is too small for it.
    /// </summary>
    public bool Fits { get; init; }

    /// <summary>How small words that fit their box become, as a share of their size.</summary>
    public const double Smallest = 0.6;

    /// <summary>From baseline to baseline, as a multiple of the size.</summary>
    public decimal Leading { get; init; } = 1.2m;

    public override Drawn Under(Affine place, double scale) =>
        this with { Box = place.Of(Box), Size = Size * scale };
}

/// <summary>A picture that a design shows.</summary>
/// <param name="Picture">The picture.</param>
/// <param name="Box">What it fills, in points; what is over is cut away.</param>
/// <param name="Whole">Whether it is shown whole instead, in the box's middle.</param>
public sealed record Hung(Picture Picture, Bounds Box, bool Whole) : Drawn
{
    public override Drawn Under(Affine place, double scale) => this with { Box = place.Of(Box) };
}
