using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Intake.Opening;

/// <summary>A picture as it is placed: its pixels, how many an inch both ways, and what it is made of.</summary>
internal sealed record PlacedImage(int Wide, int High, double PerInch, string Space, int Bits,
    IReadOnlyList<string> Filters, bool Mask, StreamToken? Stream, DictionaryToken? Entries,
    (double L, double B, double R, double T) Box);

/// <summary>A straight stroke: its ends, its weight, and whether it is in the colour of all plates.</summary>
internal readonly record struct Stroked(double X1, double Y1, double X2, double Y2, double Width, bool Registration);

/// <summary>What a page's content does, found by walking through it and all that it draws.</summary>
internal sealed class PageUse
{
    /// <summary>Colour spaces that something is painted in.</summary>
    public SortedSet<string> Spaces { get; } = new(StringComparer.Ordinal);
    /// <summary>Separations and DeviceN colorants by name.</summary>
    public SortedSet<string> Plates { get; } = new(StringComparer.Ordinal);
    /// <summary>What lets something through, in words.</summary>
    public SortedSet<string> Transparent { get; } = new(StringComparer.Ordinal);
    public List<PlacedImage> Images { get; } = [];
    public List<Stroked> Strokes { get; } = [];
    /// <summary>Faces that words are set in, with their dictionaries.</summary>
    public Dictionary<string, DictionaryToken> Faces { get; } = new(StringComparer.Ordinal);
    /// <summary>What states forbid: transfer curves, halftones and the like.</summary>
    public SortedSet<string> States { get; } = new(StringComparer.Ordinal);
    /// <summary>The most ink that is filled with, in percent, within the bleed.</summary>
    public double MostInk { get; set; }
    /// <summary>White that overprints.</summary>
    public bool WhiteOverprints { get; set; }
    /// <summary>Whether anything is set to overprint.</summary>
    public bool Overprints { get; set; }
    /// <summary>Whether anything is painted by a shading.</summary>
    public bool Shades { get; set; }
    /// <summary>Whether an ink but black is filled or lined with.</summary>
    public bool Coloured { get; set; }
    /// <summary>Whether anything is painted at all.</summary>
    public bool Paints { get; set; }
    public bool Layers { get; set; }
    /// <summary>Whether anything is painted outside the bleed.</summary>
    public bool PaintsOutside { get; set; }
    public bool Words { get; set; }
    public bool PostScript { get; set; }
    public int Operators { get; set; }
}
