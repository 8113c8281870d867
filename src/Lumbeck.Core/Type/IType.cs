using Lumbeck.Core.Drawing;

namespace Lumbeck.Core.Type;

/// <summary>One shaped glyph: its id in the face, where its letters begin in the text, and its advance and offset in font units.</summary>
public readonly record struct ShapedGlyph(ushort Id, int Cluster, int Advance, int Dx, int Dy);

/// <summary>A run as shaped: glyphs from left to right as printed.</summary>
public sealed record ShapedRun(ImmutableArray<ShapedGlyph> Glyphs, bool RightToLeft);

/// <summary>A face's vertical measures in font units; descent is positive downward.</summary>
public sealed record FaceMetrics(int UnitsPerEm, int Ascent, int Descent, int CapHeight);

/// <summary>The port through which type is set: what a face makes of a run of text. Font units, y up.</summary>
public interface IType
{
    /// <summary>Every face that can be set, in order.</summary>
    IReadOnlyList<FaceId> Faces { get; }

    /// <summary>A face's name as people read it, such as “Cormorant Garamond SemiBold”.</summary>
    string NameOf(FaceId face);

    ShapedRun Shape(FaceId face, string text, bool ligatures);

    FaceMetrics Metrics(FaceId face);

    Outline Glyph(FaceId face, ushort glyph);
}
