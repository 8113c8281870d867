namespace Lumbeck.Press.Import;

/// <summary>What a finished file is to become.</summary>
/// <param name="House">Whose condition, kinds and limits; as it takes pages, where they are pages.</param>
/// <param name="Whole">A sheet's or a page's size with what is cut off.</param>
/// <param name="Trim">What is left of it when it is cut, from its upper left corner.</param>
public sealed record MendPlan(House House, Size Whole, Box Trim)
{
    /// <summary>The kind of file: the house's first.</summary>
    public PressKind Kind { get; init; } = House.Kinds[0];

    /// <summary>Pages of an inside instead of a cover.</summary>
    public bool Inside { get; init; }

    /// <summary>What pages of an inside are raised to a multiple of.</summary>
    public int Multiple { get; init; } = 1;

    /// <summary>How far pages of an inside bleed where they do.</summary>
    public Length Bleed { get; init; }

    /// <summary>Which way the book is read.</summary>
    public Reading Reading { get; init; }

    /// <summary>Whether black is the only ink.</summary>
    public bool Black { get; init; }

    /// <summary>Spots that the house prints; others become process inks.</summary>
    public ImmutableArray<string> Spots { get; init; } = [];

    /// <summary>
    /// The faces of a cover's panels on its sheet, from the left: back, spine, front and what lies beside.
    /// </summary>
    public ImmutableArray<(Part Part, Box Face)> Panels { get; init; } = [];

    /// <summary>The cover's sheet, which printer's marks are drawn about where the house wants them.</summary>
    public Surface? Sheet { get; init; }

    /// <summary>The book, by which a size that is none of its own is explained; null where nobody knows it.</summary>
    public BookFacts? Book { get; init; }

    /// <summary>What the maker decided.</summary>
    public MendChoices Choices { get; init; } = new();

    /// <summary>What opens a file that is closed by a password; it is not kept.</summary>
    public string Password { get; init; } = "";
}

/// <summary>What is said of a file: what was found in it, what was done, and what is left to its maker.</summary>
public enum MendState { Found, Done, Left }

/// <summary>One line of the report.</summary>
/// <param name="Id">A word for it.</param>
/// <param name="State">Found, done or left.</param>
/// <param name="Page">The page of the file it came from, from 1; null for all of it.</param>
/// <param name="Says">In words, with its figure.</param>
public sealed record MendLine(string Id, MendState State, int? Page, string Says);

/// <summary>All that is said of a mended file.</summary>
/// <param name="Pages">Pages of the file that came.</param>
/// <param name="Printed">Pages of the file that left.</param>
/// <param name="Lines">In the order of its pages; what is said of all of it first.</param>
public sealed record MendReport(int Pages, int Printed, ImmutableArray<MendLine> Lines)
{
    /// <summary>Whether nothing is left to the maker.</summary>
    public bool IsWhole => Lines.All(l => l.State != MendState.Left);
}
