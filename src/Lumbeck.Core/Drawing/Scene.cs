using Lumbeck.Core.Jobs;
using Lumbeck.Core.Type;

namespace Lumbeck.Core.Drawing;

/// <summary>One stroke of drawing, in points within its piece.</summary>
public abstract record Mark;

/// <summary>A filled shape. An overprinting ink leaves the other plates as they are.</summary>
public sealed record FillMark(Outline Shape, Ink Ink, bool Overprint = false) : Mark;

/// <summary>A stroked shape, with round joins and butt ends.</summary>
public sealed record LineMark(Outline Shape, double Width, Ink Ink) : Mark
{
    /// <summary>Lengths of strokes and gaps in turn, in points; none for a whole line.</summary>
    public ImmutableArray<double> Dash { get; init; } = [];
}

/// <summary>A placed glyph: its id, its origin along and below the run's baseline in points, and the letters it stands for (empty where an earlier glyph of the run has them).</summary>
public readonly record struct PlacedGlyph(ushort Id, double X, double Y, string Letters);

/// <summary>One line of type from <paramref name="X"/>, <paramref name="Y"/> on its baseline; <paramref name="Text"/> in reading order.</summary>
public sealed record GlyphMark(FaceId Face, double Size, double X, double Y, ImmutableArray<PlacedGlyph> Glyphs, string Text, Ink Ink, bool Overprint) : Mark;

/// <summary>A picture: <paramref name="Place"/> carries its unit square to the piece, and only what lies within <paramref name="Clip"/> shows.</summary>
public sealed record PictureMark(Picture Picture, Affine Place, Outline Clip) : Mark;

/// <summary>
/// All that one item (or the ground) puts on the sheet. <paramref name="Place"/> carries its marks to the sheet; <paramref name="Frame"/> is its box and
/// <paramref name="Inked"/> what it truly covers, both on the sheet.
/// </summary>
public sealed record Piece(string Item, Part Panel, Affine Place, ImmutableArray<Mark> Marks, Bounds Frame, Bounds Inked, Setting? Setting = null, bool Clipped = false)
{
    /// <summary>From 0 for nothing to 1 for all of it.</summary>
    public double Opacity { get; init; } = 1;
    public Blend Blend { get; init; }

    /// <summary>Whether what lies under it shows through, so that its marks are mixed as one before they are laid down.</summary>
    public bool Mixes => !IsEmpty && (Opacity < 1 || Blend != Blend.Normal);

    public const string Ground = "ground";

    public bool IsEmpty => Marks.IsEmpty;
}

/// <summary>
/// One sheet as absolute drawing in points from its upper left corner, y down, in press colours. Built once per revision;
/// the screen, the file and the checks all read this one scene.
/// </summary>
public sealed record Scene(Sheet Sheet, ImmutableArray<Piece> Pieces)
{
    public double Width => Sheet.Size.Width.Points;
    public double Height => Sheet.Size.Height.Points;

    public Piece? Piece(string item) => Pieces.FirstOrDefault(p => p.Item == item);
}
