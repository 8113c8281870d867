using System.Text;

namespace Lumbeck.Core.Type;

/// <summary>
/// One shaped glyph: its id in the face, where the letter that it is a part of begins in the text, its advance along
/// the line and its offset, in font units, and where what it draws itself begins: of a letter and its points each has a
/// glyph of its own.
/// </summary>
public readonly record struct ShapedGlyph(ushort Id, int Cluster, int Advance, int Dx, int Dy, int At)
{
    public ShapedGlyph(ushort id, int cluster, int advance, int dx, int dy)
        : this(id, cluster, advance, dx, dy, cluster) { }
}

/// <summary>A run as shaped: glyphs from left to right as printed, or from the head down.</summary>
public sealed record ShapedRun(ImmutableArray<ShapedGlyph> Glyphs, bool RightToLeft);

/// <summary>A face's vertical measures in font units; descent is positive downward.</summary>
public sealed record FaceMetrics(int UnitsPerEm, int Ascent, int Descent, int CapHeight);

/// <summary>How a run is shaped.</summary>
/// <param name="RightToLeft">Which way it runs.</param>
/// <param name="Script">ISO 15924.</param>
/// <param name="Language">BCP 47.</param>
/// <param name="Features">As <see cref="TextStyle.Features"/> has them.</param>
/// <param name="Vertical">From the head down, with the shapes for vertical text.</param>
public readonly record struct ShapingProperties(bool RightToLeft, string Script, string Language, string Features,
    bool Vertical = false);

/// <summary>The port through which type is set: what a face makes of a run of text. Font units, y up.</summary>
public interface IType
{
    /// <summary>Every face that can be set, in order.</summary>
    IReadOnlyList<FaceId> Faces { get; }

    /// <summary>A face's name as people read it, such as “Cormorant Garamond SemiBold”.</summary>
    string NameOf(FaceId face);

    /// <summary>
    /// Shapes a part of a text; what stands beside it is seen, as joined scripts want it. Clusters are places in the
    /// whole text.
    /// </summary>
    ShapedRun Shape(FaceId face, string text, int from, int length, ShapingProperties how);

    FaceMetrics Metrics(FaceId face);

    Outline Glyph(FaceId face, ushort glyph);

    /// <summary>Whether a face has a drawing of a character.</summary>
    bool Has(FaceId face, Rune letter);

    /// <summary>
    /// The face that stands in for one that lacks a character: that of its script that ships for it, else the first
    /// that has it, in the weight and slope nearest to the one asked for; null where none has it.
    /// </summary>
    FaceId? Instead(FaceId face, Rune letter);
}

public static class Shaping
{
    /// <summary>Shapes a short text of plain letters from left to right.</summary>
    public static ShapedRun Shape(this IType type, FaceId face, string text, bool ligatures) =>
        type.Shape(face, text, 0, text.Length, new(false, "Latn", "en", ligatures ? "" : "-clig -liga"));
}
