using System.Text;

namespace Lumbeck.Core.Liveries;

/// <summary>The five parts that colours play in a livery.</summary>
public enum LiveryTone { Ground, Deep, Light, Accent, Ink }

/// <summary>
/// A livery in one set of colours, each an ink of the press. Words are in Ink on Light.
/// </summary>
public sealed record Colourway(string Name, Ink Ground, Ink Deep, Ink Light, Ink Accent, Ink Ink)
{
    public Ink Of(LiveryTone tone) => tone switch
    {
        LiveryTone.Ground => Ground,
        LiveryTone.Deep => Deep,
        LiveryTone.Light => Light,
        LiveryTone.Accent => Accent,
        _ => Ink,
    };
}

/// <summary>What carries the words of a front.</summary>
public enum FrontForm
{
    /// <summary>A plate within the paper, all words on it.</summary>
    Plate,

    /// <summary>The lower part of the front, out to its edges; the paper lies above it.</summary>
    Base,

    /// <summary>The upper part, out to its edges; the paper lies under it.</summary>
    Head,

    /// <summary>A band across the middle, out to both edges.</summary>
    Band,
}

/// <summary>
/// A whole look that can be put on any job: faces, colours, a paper, and where the words of a book stand. It is data;
/// one
/// function composes it (<see cref="LiveryComposing"/>).
/// </summary>
/// <param name="Id">Its word.</param>
/// <param name="Name">What people read.</param>
/// <param name="Shelves">What sort of books it is for.</param>
public sealed record Livery(string Id, string Name, ImmutableArray<string> Shelves)
{
    /// <summary>Of the title, and of all else.</summary>
    public required FaceId Display { get; init; }
    public required FaceId Text { get; init; }

    public required ImmutableArray<Colourway> Colourways { get; init; }

    /// <summary>What lies over the ground, its paints in order, and how large it is drawn, in percent.</summary>
    public required Pattern Paper { get; init; }
    public required ImmutableArray<LiveryTone> Tones { get; init; }

    public FrontForm Form { get; init; }

    /// <summary>
    /// How much of the front's height its field takes at least, and of its width where it is a plate.
    /// </summary>
    public decimal Share { get; init; } = 0.4m;
    public decimal Wide { get; init; } = 0.78m;

    public Align Align { get; init; } = Align.Centre;
    public LetterCase Case { get; init; }

    /// <summary>Letter space of the title, in thousandths of its size.</summary>
    public decimal Tracking { get; init; }

    /// <summary>The title's size at most, in hundredths of the front's shorter side.</summary>
    public decimal Largest { get; init; } = 15;

    /// <summary>Whether the field has a line round it, or along the edge where it ends.</summary>
    public bool Ruled { get; init; }

    /// <summary>A small rule in the accent's colour between the title and what follows it.</summary>
    public bool Dash { get; init; }

    /// <summary>The same words in other scripts: who claims none has what stands in for it.</summary>
    public static FaceId FaceFor(FaceId wanted, string words, IType type)
    {
        foreach (var rune in words.EnumerateRunes())
        {
            if (Rune.IsWhiteSpace(rune) || !Rune.IsLetterOrDigit(rune) || type.Has(wanted, rune)) continue;
            return type.Instead(wanted, rune) ?? wanted;
        }
        return wanted;
    }
}
