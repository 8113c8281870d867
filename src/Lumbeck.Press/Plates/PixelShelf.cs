using System.Runtime.InteropServices;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Pictures;
using SkiaSharp;

namespace Lumbeck.Press.Plates;

/// <summary>
/// A part of a picture in press colours, at one resolution; <see cref="At"/> reads it by shares of the whole picture.
/// </summary>
internal sealed class PixelPart(PressPixels pixels, int wide, int high, int left, int top)
{
    public long Bytes => pixels.Inks.Length + (pixels.Alpha?.Length ?? 0);

    /// <summary>The inks at a point, between its four neighbours, and how much of it is there, from 0 to 255.</summary>
    public CmykPixel At(double u, double v, out int alpha)
    {
        var (x, y) = ((u * wide) - 0.5 - left, (v * high) - 0.5 - top);
        var (x0, y0) = (Math.Clamp((int)Math.Floor(x), 0, pixels.Wide - 1),
            Math.Clamp((int)Math.Floor(y), 0, pixels.High - 1));
        var (x1, y1) = (Math.Min(x0 + 1, pixels.Wide - 1), Math.Min(y0 + 1, pixels.High - 1));
        var (fx, fy) = ((int)(Math.Clamp(x - x0, 0, 1) * 256), (int)(Math.Clamp(y - y0, 0, 1) * 256));
        var (a, b, c, d) = ((y0 * pixels.Wide) + x0, (y0 * pixels.Wide) + x1, (y1 * pixels.Wide) + x0,
            (y1 * pixels.Wide) + x1);
        alpha = pixels.Alpha is { } see ? Between(see[a], see[b], see[c], see[d], fx, fy) : 255;
        var inks = MemoryMarshal.Cast<byte, uint>(pixels.Inks.AsSpan());
        return CmykPixel.Between(inks[a], inks[b], inks[c], inks[d], fx, fy);
    }

    private static int Between(int a, int b, int c, int d, int fx, int fy) =>
        ((((a * (256 - fx)) + (b * fx)) * (256 - fy)) + (((c * (256 - fx)) + (d * fx)) * fy) + 32768) >> 16;
}

/// <summary>
/// Pictures' pixels as they were last painted; one that is painted again with other things moved about it is not
/// decoded again.
/// </summary>
internal sealed class PixelShelf(IPictureFiles? files, PrintingCondition condition)
{
    private const long MostBytes = 60_000_000;
    private readonly Lock _lock = new();
    private readonly LinkedList<(string Key, PixelPart Part)> _kept = [];

    /// <param name="picture">The picture.</param>
    /// <param name="place">From its unit square to pixels.</param>
    /// <param name="convert">Whether CMYK is converted.</param>
    /// <param name="window">The pixels that are painted; all of the picture where null.</param>
    public PixelPart? Of(Picture picture, Affine place, bool convert, SKRectI? window)
    {
        if (files is null) return null;
        var wide = Math.Clamp((int)Math.Ceiling(Math.Sqrt((place.A * place.A) + (place.B * place.B))), 1, picture.Wide);
        var high = Math.Max(1, (int)Math.Round((double)wide * picture.High / picture.Wide));
        var (l, t, r, b) = (0, 0, wide, high);
        // Of a picture much larger than what is painted, only that part is brought to the press's colours.
        if (window is { } w && (long)wide * high > 4_000_000)
        {
            var seen = place.Inverse().Of(new(w.Left, w.Top, w.Right, w.Bottom));
            (l, t) = ((int)Math.Clamp(Math.Floor(seen.Left * wide) - 2, 0, wide - 1),
                (int)Math.Clamp(Math.Floor(seen.Top * high) - 2, 0, high - 1));
            (r, b) = ((int)Math.Clamp(Math.Ceiling(seen.Right * wide) + 2, l + 1, wide),
                (int)Math.Clamp(Math.Ceiling(seen.Bottom * high) + 2, t + 1, high));
        }
        return Kept($"{picture.Hash} {wide} {convert} {l} {t} {r} {b}", () =>
        {
            var pixels = PictureMaking.Pixels(files.PathOf(picture.Hash), wide, condition, convert,
                (l, t, r - l, b - t));
            return new(pixels, wide, high, l, t);
        });
    }

    public PixelPart? Of(GrownMark mark, Affine place)
    {
        if (files is null) return null;
        var wide = (int)Math.Ceiling(Math.Sqrt((place.A * place.A) + (place.B * place.B)));
        return Kept($"{mark.How.Recipe} {wide} {mark.Convert}", () =>
        {
            var pixels = PictureMaking.Pixels(files.GrownOf(mark, wide), wide, condition, mark.Convert);
            return new(pixels, pixels.Wide, pixels.High, 0, 0);
        });
    }

    private PixelPart Kept(string key, Func<PixelPart> make)
    {
        lock (_lock)
            for (var node = _kept.First; node is not null; node = node.Next)
                if (node.Value.Key == key)
                {
                    _kept.Remove(node);
                    _kept.AddFirst(node);
                    return node.Value.Part;
                }
        var made = make();
        lock (_lock)
        {
            _kept.AddFirst((key, made));
            while (_kept.Count > 1 && _kept.Sum(n => n.Part.Bytes) > MostBytes) _kept.RemoveLast();
        }
        return made;
    }
}
