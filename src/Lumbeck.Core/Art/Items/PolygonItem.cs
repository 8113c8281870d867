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

    public static Field<PolygonItem, int> CornersField { get; } =
        CornersOf<PolygonItem>(p => p.Corners, (p, corners) => p with { Corners = corners });

    public static Field<PolygonItem, decimal> WaistField { get; } =
        WaistOf<PolygonItem>(p => p.Waist, (p, waist) => p with { Waist = waist });

    protected override IReadOnlyList<Field> OwnFields => [CornersField, WaistField];

    /// <summary>How many corners; a picture's frame has them too.</summary>
    internal static Field<T, int> CornersOf<T>(Func<T, int> of, Func<T, int, T> to) where T : class =>
        new("corners", "Corners", Values.Counts("5"), of, to)
        {
            Fault = (n, _) => n is < Least or > Most ? $"{n} corners can't be drawn: from {Least} to {Most}" : null,
        };

    /// <summary>How far a star is drawn in between its corners.</summary>
    internal static Field<T, decimal> WaistOf<T>(Func<T, decimal> of, Func<T, decimal, T> to) where T : class =>
        new("waist", "Waist", Values.Numbers(" %", "waist", "45 %"), of, to)
        {
            Fault = (w, _) => w is < 0 or > 100
                ? $"a waist of {Typed.Show(w, " %")} can't be drawn: from 0 for a polygon to 100 %"
                : null,
        };
}
