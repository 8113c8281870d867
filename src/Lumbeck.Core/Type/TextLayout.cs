using System.Text;

namespace Lumbeck.Core.Type;

/// <summary>What is set: words, how, and in which box's ways.</summary>
public sealed record TextToSet(string Words, TextStyle Style)
{
    public ImmutableList<TextRun> Runs { get; init; } = [];
    public Fitting Fit { get; init; }
    /// <summary>Side by side; 1 and up.</summary>
    public int Columns { get; init; } = 1;
    /// <summary>Between columns, in points.</summary>
    public double Gutter { get; init; }
    /// <summary>From the head down, lines from right to left, letters upright where their script stands so.</summary>
    public bool Upright { get; init; }
    /// <summary>How the panel it lies on is turned, for text that stands upright on the sheet all the same.</summary>
    public Turn Turned { get; init; }
    /// <summary>
    /// The arc that a line as wide as the box takes, in degrees: above zero its middle is the highest, below the
    /// lowest.
    /// </summary>
    public double Bend { get; init; }
    /// <summary>BCP 47.</summary>
    public string Language { get; init; } = "en";
    /// <summary>How paragraphs run that have no letter to tell by.</summary>
    public bool RightToLeft { get; init; }
    /// <summary>Whether left and right are the box's own, whichever way a paragraph runs.</summary>
    public bool SidesOfBox { get; init; }
}

/// <summary>
/// Glyphs of one line in one face, size and paint, from left to right, from the line's own beginning.
/// </summary>
/// <param name="Text">The letters they stand for, in reading order.</param>
/// <param name="RightToLeft">Which way those run.</param>
/// <param name="From">Where they begin in the words.</param>
public sealed record LaidRun(FaceId Face, double Size, Paint Paint, ImmutableArray<PlacedGlyph> Glyphs, string Text,
    bool RightToLeft, int From);

/// <summary>
/// One set line: where its baseline begins, how wide it is, its runs in reading order, and the words it is made of.
/// </summary>
/// <param name="Ascent">How far its letters may reach above the baseline, in points.</param>
/// <param name="Descent">And below it.</param>
/// <param name="From">Where it begins in the words.</param>
/// <param name="To">Where it ends in them.</param>
public sealed record LaidLine(double X, double Baseline, double Width, ImmutableArray<LaidRun> Runs, string Text,
    double Ascent, double Descent, int From, int To)
{
    /// <summary>Whether it ends in a hyphen that was not typed.</summary>
    public bool Hyphenated { get; init; }
    /// <summary>How much wider its word spaces are than the face's own; 1 where it is not justified.</summary>
    public double Spacing { get; init; } = 1;

    public IEnumerable<PlacedGlyph> Glyphs => Runs.SelectMany(r => r.Glyphs);
}

/// <summary>
/// Where a caret stands before a letter: on the baseline, how that is turned there, in degrees clockwise, and how far
/// along it the letter reaches; below zero where it is read to the left.
/// </summary>
public readonly record struct CaretStop(int At, int Line, double X, double Y, double Turn, double Wide);

/// <summary>
/// A text as set in its box, in points. Lines that do not fit are not among <paramref name="Lines"/>.
/// </summary>
/// <param name="Overset">The words that do not fit, null where all do.</param>
/// <param name="Missing">Characters that no face has, each once.</param>
/// <param name="Size">Type size in points, of what has none of its own, after fitting.</param>
public sealed record TextLayout(ImmutableArray<LaidLine> Lines, double Size, string? Overset,
    ImmutableArray<Rune> Missing)
{
    /// <summary>Characters that the face they were to be set in lacks, with the face that stands in for it.</summary>
    public ImmutableArray<(Rune Letter, FaceId Face)> Instead { get; init; } = [];
    /// <summary>A word that was broken where its line ended, for no line holds it; null where none was.</summary>
    public string? Forced { get; init; }
    /// <summary>How much of the asked size is left after fitting; 1 for all.</summary>
    public double Scale { get; init; } = 1;
    /// <summary>From the box's head to the foot of the last line.</summary>
    public double Height { get; init; }
    /// <summary>Where the caret can stand, in reading order; only made where asked for.</summary>
    public ImmutableArray<CaretStop> Stops { get; init; } = [];
}
