namespace Lumbeck.Core.Art.Items;

/// <summary>A drawn shape. Its line runs along its edge, half within and half without.</summary>
public abstract record ShapeItem : Item
{
    public Paint? Fill { get; init; }
    public Paint? Line { get; init; }
    public Length LineWidth { get; init; }
}

/// <summary>A shape whose corners can be rounded; a radius is drawn no larger than half its shorter side.</summary>
public interface ICornered
{
    Length Corner { get; init; }
}

public sealed record RectItem : ShapeItem, ICornered
{
    public Length Corner { get; init; }
    public override string Kind => Height.Share == 0 && Height.Own < Length.FromMillimetres(1.5m) ? "Rule" : "Rectangle";
}

public sealed record EllipseItem : ShapeItem
{
    public override string Kind => "Ellipse";
}

/// <summary>How a line is broken.</summary>
public enum Dash { Whole, Dashed, Dotted }

/// <summary>A straight line as long as its box is wide; its box is as high as the line is heavy.</summary>
public sealed record LineItem : ShapeItem
{
    public Dash Dash { get; init; }
    public override string Kind => "Line";
}

/// <summary>A polygon of equal sides, its first corner up, stretched to its box; drawn in between its corners, it is a star.</summary>
public sealed record PolygonItem : ShapeItem
{
    public const int Least = 3, Most = 60;

    public int Corners { get; init; } = 5;
    /// <summary>How far a star's inner corners lie from its middle, in percent of its outer ones; 0 for a polygon.</summary>
    public decimal Waist { get; init; }
    public override string Kind => Waist == 0 ? "Polygon" : "Star";
}

/// <summary>
/// A border along the edge of the box it hangs in. Hung by a panel's edge it runs out over the bleed, and still shows
/// <see cref="Thickness"/> on the trimmed face.
/// </summary>
public sealed record FrameItem : ShapeItem, ICornered
{
    public Length Thickness { get; init; }
    /// <summary>Radius of its inner corners.</summary>
    public Length Corner { get; init; }
    public override string Kind => "Frame";
}

/// <summary>A plate to write on or to set a title on: a ground, an inner line, and rules for a hand.</summary>
public sealed record PlateItem : ShapeItem, ICornered
{
    public const int MostRules = 12;

    public Length Corner { get; init; }
    /// <summary>How far within its edge a second, finer line runs; 0 for none.</summary>
    public Length Inner { get; init; }
    /// <summary>Rules to write on, spread over its lower half.</summary>
    public int Rules { get; init; }
    public override string Kind => "Label plate";
}

/// <summary>A frame with a picture in it. Until it has one it prints its fill and line alone.</summary>
public sealed record PictureItem : ShapeItem, ICornered
{
    public Length Corner { get; init; }
    public Outlined Shape { get; init; }
    /// <summary>Of a polygon, as <see cref="PolygonItem"/> has them.</summary>
    public int Corners { get; init; } = 6;
    public decimal Waist { get; init; }
    public Picture? Picture { get; init; }
    public Fit Fit { get; init; }
    /// <summary>How much larger than its fit it is shown, in percent.</summary>
    public decimal Zoom { get; init; } = 100;
    /// <summary>How far it is pushed within its frame, in percent of what it has to spare on either side: −100 for its left edge, 0 for its middle, 100 for its right.</summary>
    public decimal PanX { get; init; }
    public decimal PanY { get; init; }
    public Flip Flip { get; init; }
    /// <summary>Laid again and again instead of fitted once.</summary>
    public Tiling? Tiling { get; init; }
    /// <summary>Grown beyond the frame's edges, to where the cover is cut or turned in.</summary>
    public Growth? Growth { get; init; }
    /// <summary>A CMYK picture made for another printing condition is converted to the house's instead of keeping its numbers.</summary>
    public bool Convert { get; init; }
    public override string Kind => Picture is { IsDrawing: true } ? "Drawing" : "Picture";
}

/// <summary>What shape a picture's frame has.</summary>
public enum Outlined { Rectangle, Ellipse, Polygon }

/// <summary>How tiles lie: in rows and columns, each second row by half a tile aside, or each beside its mirror image.</summary>
public enum TileLay { Straight, Brick, Mirrored }

/// <summary>A picture as a pattern: how wide one tile is, and how far the first is pushed from the frame's corner, in percent of a tile.</summary>
public sealed record Tiling(TileLay Lay, Length Wide, decimal OffsetX = 0, decimal OffsetY = 0);

/// <summary>How a picture is made to go on past its edge: its mirror image, its last strip stretched, that and ever softer, or synthesis from its own patches.</summary>
public enum GrowWay { Mirror, Stretch, Soft, Synthesis }

/// <summary>How far a picture grows: to the edge that belongs to its panel (bleed or turn-in), or over the whole sheet.</summary>
public enum GrowTo { Edge, Sheet }

/// <param name="Way">How.</param>
/// <param name="To">How far.</param>
/// <param name="Seed">Another seed gives another synthesis, the same one every time.</param>
public sealed record Growth(GrowWay Way, GrowTo To = GrowTo.Edge, int Seed = 1);

/// <summary>How a picture fills its frame: all of the frame, or all of the picture.</summary>
public enum Fit { Cover, Contain }

/// <summary>How a picture is mirrored.</summary>
[Flags]
public enum Flip { None = 0, Across = 1, Down = 2, Both = 3 }

/// <summary>What a picture's numbers are.</summary>
public enum PictureSpace { Rgb, Gray, Cmyk }

/// <summary>
/// A kept picture: the SHA-256 of its file in small letters, the file's own name, its size in pixels as it is shown (of a drawing, in hundredths of its own unit), and whether nothing shows through it.
/// </summary>
public sealed record Picture(string Hash, string Name, int Wide, int High, bool Opaque)
{
    public PictureSpace Space { get; init; }
    /// <summary>The name of the printing condition that a CMYK picture carries within; empty where it carries none.</summary>
    public string Profile { get; init; } = "";
    /// <summary>Paths instead of pixels: sharp at any size.</summary>
    public bool IsDrawing { get; init; }
}
