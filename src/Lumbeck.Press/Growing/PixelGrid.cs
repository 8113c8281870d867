namespace Lumbeck.Press.Growing;

/// <summary>Pixels of four bytes each (red, green, blue and nothing; one gray; or four inks), row by row.</summary>
internal sealed class PixelGrid(int wide, int high, byte[] bytes)
{
    public PixelGrid(int wide, int high) : this(wide, high, new byte[wide * high * 4]) { }

    public int Wide { get; } = wide;
    public int High { get; } = high;
    public byte[] Bytes { get; } = bytes;

    public Span<byte> Pixel(int x, int y) => Bytes.AsSpan(((y * Wide) + x) * 4, 4);
}

/// <summary>
/// A picture in the midst of what it grows to: what is known, and how many pixels are wanted on each side.
/// </summary>
internal readonly record struct Margins(int Left, int Top, int Right, int Bottom)
{
    /// <summary>
    /// How far a column or row lies outside what is known (under 0 before it, over 0 after it), and the known one that
    /// mirrors it.
    /// </summary>
    public static (int Out, int Mirror) Beyond(int at, int before, int size)
    {
        var inside = at - before;
        if (inside >= 0 && inside < size) return (0, inside);
        var away = inside < 0 ? inside : inside - size + 1;
        if (size == 1) return (away, 0);
        // There and back again, for margins wider than the picture itself.
        var period = 2 * (size - 1);
        var m = ((inside % period) + period) % period;
        return (away, m < size ? m : period - m);
    }
}
