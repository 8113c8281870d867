namespace Lumbeck.Core.Art.Items;

/// <summary>
/// A polygon of equal sides, its first corner up, stretched to its box; drawn in between its corners, it is a star.
/// </summary>
public sealed record PolygonItem : ShapeItem
{
    public const int Least = 3, Most = 60;

    public int Corners { get; init; } = 5;
    /// <summary>
    /// How far a star's inner corners lie from its middle, in percent of its outer ones; 0 for a polygon.
    /// </summary>
    public decimal Waist { get; init; }
    public override string Kind => Waist == 0 ? "Polygon" : "Star";
    protected override string? UnsoundShape =>
        Corners is < Least or > Most || Waist is < 0 or > 100 ? "a polygon" : null;
}
