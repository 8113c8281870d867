using System.Text.Json.Serialization;

namespace Lumbeck.Core.Art.Items;

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
    /// <summary>
    /// How far it is pushed within its frame, in percent of what it has to spare on either side: −100 for its left
    /// edge, 0 for its middle, 100 for its right.
    /// </summary>
    public decimal PanX { get; init; }
    public decimal PanY { get; init; }
    public Flip Flip { get; init; }
    /// <summary>Laid again and again instead of fitted once.</summary>
    public Tiling? Tiling { get; init; }
    /// <summary>Grown beyond the frame's edges, to where the cover is cut or turned in.</summary>
    public Growth? Growth { get; init; }
    /// <summary>
    /// A CMYK picture made for another printing condition is converted to the house's instead of keeping its numbers.
    /// </summary>
    public bool Convert { get; init; }
    /// <summary>A drawing in the job's swatches instead of its own colours.</summary>
    public bool InSwatches { get; init; }
    public override string Kind => Picture is { IsDrawing: true } ? "Drawing" : "Picture";

    [JsonIgnore]
    public override IEnumerable<Picture> Pictures => Picture is { } own ? base.Pictures.Prepend(own) : base.Pictures;

    public override string Says(ItemContext told) => Picture?.Name ?? base.Says(told);

    public override Item Mirrored() => (PictureItem)base.Mirrored() with
    {
        Flip = Flip ^ Flip.Across,
        PanX = -PanX,
        Tiling = Tiling is { } t ? t with { OffsetX = -t.OffsetX } : null,
    };

    public static Field<PictureItem, Length> CornerField { get; } =
        CornerOf<PictureItem>((s, corner) => s with { Corner = corner });

    public static Field<PictureItem, int> CornersField { get; } =
        PolygonItem.CornersOf<PictureItem>(p => p.Corners, (p, corners) => p with { Corners = corners });

    public static Field<PictureItem, decimal> WaistField { get; } =
        PolygonItem.WaistOf<PictureItem>(p => p.Waist, (p, waist) => p with { Waist = waist });

    /// <summary>Which colours a drawing has.</summary>
    public static Field<PictureItem, bool> ColoursField { get; } =
        new("colours", "In the job’s swatches", Values.Switch, p => p.InSwatches, (p, yes) => p with { InSwatches = yes });

    protected override IReadOnlyList<Field> OwnFields => [CornerField, CornersField, WaistField, ColoursField];

    // Only a polygon has corners to count, only a drawing other colours.
    public override bool Hides(Field field) => field == ColoursField ? Picture is not { IsDrawing: true }
        : Shape != Outlined.Polygon && (field == CornersField || field == WaistField);

    protected override string? UnsoundShape =>
        Zoom is < 10 or > 2000 || PanX is < -100 or > 100 || PanY is < -100 or > 100 || !Enum.IsDefined(Shape)
        || Growth is { IsSound: false } || Tiling is { IsSound: false } || Picture is { IsSound: false }
            ? "a picture"
            : null;
}

/// <summary>What shape a picture's frame has.</summary>
public enum Outlined { Rectangle, Ellipse, Polygon }

/// <summary>
/// How tiles lie: in rows and columns, each second row by half a tile aside, or each beside its mirror image.
/// </summary>
public enum TilingMode { Straight, Brick, Mirrored }

/// <summary>
/// A picture as a pattern: how wide one tile is, and how far the first is pushed from the frame's corner, in percent of
/// a tile.
/// </summary>
public sealed record Tiling(TilingMode Lay, Length Wide, decimal OffsetX = 0, decimal OffsetY = 0)
{
    /// <summary>The narrowest and the widest tile.</summary>
    public static readonly Length Least = Length.FromMillimetres(2), Most = Length.FromMillimetres(2000);

    [JsonIgnore]
    public bool IsSound =>
        Enum.IsDefined(Lay) && Wide >= Least && Wide <= Most && OffsetX is >= -100 and <= 100
            && OffsetY is >= -100 and <= 100;
}
