namespace Lumbeck.Core.Measures;

/// <summary>Width by height.</summary>
public readonly record struct Size(Length Width, Length Height)
{
    public static Size FromMillimetres(decimal width, decimal height) =>
        new(Length.FromMillimetres(width), Length.FromMillimetres(height));
    public static Size FromInches(decimal width, decimal height) =>
        new(Length.FromInches(width), Length.FromInches(height));
}

/// <summary>An upright rectangle on a sheet, measured from its upper left corner, y downward.</summary>
public readonly record struct Box(Length X, Length Y, Length Width, Length Height)
{
    public Length Right => X + Width;
    public Length Bottom => Y + Height;
    public Size Size => new(Width, Height);
    public bool IsEmpty => Width.Units <= 0 || Height.Units <= 0;

    public static Box FromEdges(Length left, Length top, Length right, Length bottom) =>
        new(left, top, right - left, bottom - top);

    /// <summary>
    /// Drawn in by these insets; where they meet it comes out empty, never inside out, and parted as they are.
    /// </summary>
    public Box Inset(Length left, Length top, Length right, Length bottom)
    {
        var (x, w) = Drawn(X, Width, left, right);
        var (y, h) = Drawn(Y, Height, top, bottom);
        return new(x, y, w, h);
    }

    private static (Length At, Length Size) Drawn(Length at, Length size, Length before,
        Length after) => before + after <= size
        ? (at + before, size - before - after)
        : before + after == Length.Zero ? (at, Length.Zero)
        : (at + ((decimal)before.Units / (before.Units + after.Units) * size), Length.Zero);

    public Box Inset(Length all) => Inset(all, all, all, all);

    public Box Intersect(Box other)
    {
        var left = Length.Max(X, other.X);
        var top = Length.Max(Y, other.Y);
        return FromEdges(left, top, Length.Max(left, Length.Min(Right, other.Right)),
            Length.Max(top, Length.Min(Bottom, other.Bottom)));
    }

    public bool Contains(Box other) => other.X >= X && other.Y >= Y && other.Right <= Right && other.Bottom <= Bottom;

    /// <summary>What remains of this box when another is taken out: none to four boxes that do not overlap.</summary>
    public IEnumerable<Box> Without(Box other)
    {
        var cut = Intersect(other);
        if (cut.IsEmpty) { yield return this; yield break; }
        if (cut.Y > Y) yield return FromEdges(X, Y, Right, cut.Y);
        if (cut.Bottom < Bottom) yield return FromEdges(X, cut.Bottom, Right, Bottom);
        if (cut.X > X) yield return FromEdges(X, cut.Y, cut.X, cut.Bottom);
        if (cut.Right < Right) yield return FromEdges(cut.Right, cut.Y, Right, cut.Bottom);
    }
}
