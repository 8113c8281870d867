using Lumbeck.Core.Jobs;
using Lumbeck.Core.Type;

namespace Lumbeck.Core.Drawing;

/// <summary>One stroke of drawing, in points within its piece.</summary>
public abstract record Mark
{
    /// <summary>The finishing ink it is laid in, with its tint in hundredths of a percent: a plate of its own that leaves all others as they are. Its process ink is then a likeness for screens alone.</summary>
    public (string Name, int Tint)? Finish { get; init; }
}

/// <summary>A filled shape. An overprinting ink leaves the other plates as they are.</summary>
public sealed record FillMark(Outline Shape, Ink Ink, bool Overprint = false) : Mark
{
    /// <summary>Filled by the even-odd rule instead of the non-zero one.</summary>
    public bool EvenOdd { get; init; }
}

/// <summary>A shape filled with a run of inks.</summary>
public sealed record ShadeMark(Outline Shape, Shade Shade) : Mark
{
    public bool EvenOdd { get; init; }
}

/// <summary>
/// A run of inks in points: along the line from its start to its end, or outward from its start to a circle through its end. Between stops each ink runs evenly;
/// before the first and after the last nothing changes.
/// </summary>
public sealed record Shade(bool Round, double X0, double Y0, double X1, double Y1, ImmutableArray<(double At, Ink Ink)> Stops)
{
    /// <summary>How far along its run a point lies; 0 at its start, 1 at its end.</summary>
    public double Along(double x, double y)
    {
        var (dx, dy) = (X1 - X0, Y1 - Y0);
        var square = (dx * dx) + (dy * dy);
        if (square <= 0) return 0;
        return Round ? Math.Sqrt((((x - X0) * (x - X0)) + ((y - Y0) * (y - Y0))) / square) : (((x - X0) * dx) + ((y - Y0) * dy)) / square;
    }

    /// <summary>The ink there, in hundredths of a percent of each, not rounded.</summary>
    public (double C, double M, double Y, double K) At(double along)
    {
        var i = 0;
        while (i < Stops.Length && Stops[i].At < along) i++;
        if (i == 0 || i == Stops.Length) { var e = Stops[i == 0 ? 0 : ^1].Ink; return (e.C, e.M, e.Y, e.K); }
        var ((from, a), (to, b)) = (Stops[i - 1], Stops[i]);
        var t = to > from ? (along - from) / (to - from) : 1;
        return (a.C + (t * (b.C - a.C)), a.M + (t * (b.M - a.M)), a.Y + (t * (b.Y - a.Y)), a.K + (t * (b.K - a.K)));
    }
}

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
public sealed record PictureMark(Picture Picture, Affine Place, Outline Clip) : Mark
{
    /// <summary>A CMYK picture made for another condition is brought to the house's instead of keeping its numbers.</summary>
    public bool Convert { get; init; }
}

/// <summary>A picture laid again and again: <paramref name="Cell"/> carries one tile's unit square to the piece.</summary>
public sealed record TilesMark(Picture Picture, Affine Cell, TileLay Lay, Outline Clip) : Mark
{
    public bool Convert { get; init; }
}

/// <summary>
/// What a picture grows beyond its edges, with the picture itself in its midst: <paramref name="Place"/> carries the whole as a unit square to the piece;
/// <paramref name="Wide"/> is how many pixels it has across at press resolution.
/// </summary>
public sealed record GrownMark(Picture Picture, Grown How, Affine Place, int Wide) : Mark
{
    public bool Convert { get; init; }
}

/// <summary>A drawing's marks, of which only what lies within <paramref name="Clip"/> shows.</summary>
public sealed record DrawingMark(ImmutableArray<Mark> Marks, Outline Clip) : Mark;

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
