namespace Lumbeck.Press.Import.Resources;

/// <summary>What was met and done while pages were rewritten.</summary>
internal sealed class ImportCounts
{
    /// <summary>Colours of a screen, or of another space, brought to inks.</summary>
    public int Colours { get; set; }

    /// <summary>How many of these were a screen’s: red, green and blue, or by light.</summary>
    public int ByLight { get; set; }
    public int ThinLines { get; set; }

    /// <summary>Lines thinner than the house prints, though of some width.</summary>
    public int Hairlines { get; set; }

    /// <summary>White that is set to overprint.</summary>
    public int WhiteOver { get; set; }
    public int RichWords { get; set; }
    public int Overprints { get; set; }
    public int TooMuchInk { get; set; }

    /// <summary>Whether something lets through what lies under it.</summary>
    public bool Transparent { get; set; }

    /// <summary>Spots that became process inks.</summary>
    public SortedSet<string> LostSpots { get; } = new(StringComparer.Ordinal);

    /// <summary>Faces that the file has not, and what stands for each.</summary>
    public SortedDictionary<string, string> StoodIn { get; } = new(StringComparer.Ordinal);

    /// <summary>Spots that have several colours standing for them.</summary>
    public SortedSet<string> SpotsTwice { get; } = new(StringComparer.Ordinal);

    /// <summary>Spots that overprinted and are mixed as process inks.</summary>
    public int Multiplied { get; set; }
}
