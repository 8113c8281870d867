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

    /// <summary>A column from head to foot along the fore-edge; the paper lies beside it.</summary>
    Column,

    /// <summary>No field: words stand on the plain ground, a sign with room about it under them.</summary>
    Open,
}

/// <summary>
/// A whole look that can be put on any job: faces, colours, a paper or a vista, and where the words of a book stand. It
/// is data, in a file of its own; one function composes it (<see cref="LiveryComposing"/>).
/// </summary>
/// <param name="Id">Its word.</param>
/// <param name="Name">What people read.</param>
/// <param name="Shelves">What sort of books it is for.</param>
public sealed record Livery(string Id, string Name, ImmutableArray<string> Shelves)
{
    private static readonly string[] Uses =
        ["notebook", "journal", "logbook", "workbook", "puzzle or colouring book", "family recipes"];

    /// <summary>Whether it is for books that are written in: their backs show what is in them.</summary>
    public bool IsForUse => Shelves.Any(Uses.Contains);

    /// <summary>Of the title, and of all else.</summary>
    public required FaceId Display { get; init; }
    public required FaceId Text { get; init; }

    public required ImmutableArray<Colourway> Colourways { get; init; }

    /// <summary>What lies over the ground, its paints in order, and how large it is drawn, in percent.</summary>
    public Pattern? Paper { get; init; }
    public ImmutableArray<LiveryTone> Tones { get; init; } = [];

    /// <summary>A picture over the whole sheet in place of a paper, its paints in order.</summary>
    public Vista? Vista { get; init; }
    public ImmutableArray<LiveryTone> VistaTones { get; init; } = [];

    /// <summary>
    /// An ornament over the title, or under it where the front is open; and alone where a back is bare.
    /// </summary>
    public Ornament? Sign { get; init; }
    public ImmutableArray<LiveryTone> SignTones { get; init; } = [];

    /// <summary>How wide it is, in hundredths of the front's shorter side; its height follows.</summary>
    public decimal SignWide { get; init; } = 16;

    /// <summary>A border round the plate, or round the safe part of an open front.</summary>
    public Ornament? Border { get; init; }
    public ImmutableArray<LiveryTone> BorderTones { get; init; } = [];

    /// <summary>What words stand on, and what they are in.</summary>
    public LiveryTone On { get; init; } = LiveryTone.Light;
    public LiveryTone Words { get; init; } = LiveryTone.Ink;

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

    /// <summary>The title's size at least, in thousandths of the front's longer side: thin letters need more.</summary>
    public int Smallest { get; init; } = 34;

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
