using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Pictures;

/// <summary>
/// How a picture is made to go on past its edge: its mirror image, its last strip stretched, that and ever softer, or
/// synthesis from its own patches.
/// </summary>
public enum GrowWay { Mirror, Stretch, Soft, Synthesis }

/// <summary>
/// How far a picture grows: to the edge that belongs to its panel (bleed or turn-in), or over the whole sheet.
/// </summary>
public enum GrowTo { Edge, Sheet }

/// <param name="Way">How.</param>
/// <param name="To">How far.</param>
/// <param name="Seed">Another seed gives another synthesis, the same one every time.</param>
public sealed record Growth(GrowWay Way, GrowTo To = GrowTo.Edge, int Seed = 1)
{
    [JsonIgnore]
    public bool IsSound => Enum.IsDefined(Way) && Enum.IsDefined(To);
}

/// <summary>How a picture fills its frame: all of the frame, or all of the picture.</summary>
public enum Fit { Cover, Contain }

/// <summary>How a picture is mirrored.</summary>
[Flags]
public enum Flip { None = 0, Across = 1, Down = 2, Both = 3 }

/// <summary>What a picture's numbers are.</summary>
public enum PictureSpace { Rgb, Gray, Cmyk }

/// <summary>
/// A kept picture: the SHA-256 of its file in small letters, the file's own name, its size in pixels as it is shown (of
/// a drawing, in hundredths of its own unit), and whether nothing shows through it.
/// </summary>
public sealed record Picture(string Hash, string Name, int Wide, int High, bool Opaque)
{
    public PictureSpace Space { get; init; }
    /// <summary>
    /// The name of the printing condition that a CMYK picture carries within; empty where it carries none.
    /// </summary>
    public string Profile { get; init; } = "";
    /// <summary>Pixels an inch that the file says it has; null where it says none.</summary>
    public decimal? PerInch { get; init; }
    /// <summary>Paths instead of pixels: sharp at any size.</summary>
    public bool IsDrawing { get; init; }

    /// <summary>Whether it can be a picture that was kept: by its hash, with a name and a size.</summary>
    [JsonIgnore]
    public bool IsSound =>
        Hash is { Length: 64 } && Hash.All(char.IsAsciiHexDigitLower) && Name is not null && Profile is not null
            && Wide > 0 && High > 0 && Enum.IsDefined(Space) && PerInch is null or > 0 and <= 10_000;
}
