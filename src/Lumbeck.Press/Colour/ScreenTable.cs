using Lumbeck.Caching;
using NetVips;

namespace Lumbeck.Press.Colour;

/// <summary>
/// A press profile's way to the screen as a table of 17 steps an ink, made once by Little CMS and read between its
/// points: converting a picture of plates takes a few
/// milliseconds instead of what setting a transform up takes each time.
/// </summary>
public sealed class ScreenTable
{
    private const int Steps = 17;
    private static readonly ByteCache<string, ScreenTable> Made = new(8_000_000, table => table._rgb.Length);
    private readonly byte[] _rgb;

    private ScreenTable(string profile)
    {
        var inks = new byte[Steps * Steps * Steps * Steps * 4];
        var at = 0;
        static byte level(int step) => (byte)Math.Round(step * 255.0 / (Steps - 1));
        for (var c = 0; c < Steps; c++)
            for (var m = 0; m < Steps; m++)
                for (var y = 0; y < Steps; y++)
                    for (var k = 0; k < Steps; k++)
                    {
                        (inks[at], inks[at + 1], inks[at + 2], inks[at + 3]) = (level(c), level(m), level(y), level(k));
                        at += 4;
                    }
        using var raw = Image.NewFromMemory(inks, Steps * Steps, Steps * Steps, 4, Enums.BandFormat.Uchar);
        using var press = raw.Copy(interpretation: Enums.Interpretation.Cmyk);
        using var screen = ScreenView.Of(press, new(profile));
        _rgb = screen.WriteToMemory<byte>();
    }

    /// <exception cref="Refusal">No such profile is here.</exception>
    public static ScreenTable Of(string profile)
    {
        return Made.GetOrAdd(profile, p => new(p));
    }

    /// <summary>Four bytes of ink a pixel as three of sRGB.</summary>
    public byte[] ToRgb(byte[] inks)
    {
        var rgb = new byte[inks.Length / 4 * 3];
        const int part = 16_384;
        Parallel.For(0, ((inks.Length / 4) + part - 1) / part, p =>
        {
            var pixels = System.Runtime.InteropServices.MemoryMarshal.Cast<byte, uint>(inks.AsSpan());
            var (before, to) = (uint.MaxValue, 0);
            var known = false;
            for (var i = p * part; i < Math.Min(pixels.Length, (p + 1) * part); i++)
            {
                to = i * 3;
                // Much of a cover is one ink beside itself.
                if (known && pixels[i] == before) { rgb.AsSpan(to - 3, 3).CopyTo(rgb.AsSpan(to, 3)); continue; }
                (before, known) = (pixels[i], true);
                One(inks.AsSpan(i * 4, 4), rgb.AsSpan(to, 3));
            }
        });
        return rgb;
    }

    /// <summary>Between the sixteen points about a mix.</summary>
    internal void One(ReadOnlySpan<byte> ink, Span<byte> rgb)
    {
        Span<int> low = stackalloc int[4], part = stackalloc int[4];
        for (var i = 0; i < 4; i++)
        {
            var at = ink[i] * (Steps - 1) * 256 / 255;
            low[i] = Math.Min(at >> 8, Steps - 2);
            part[i] = at - (low[i] << 8);
        }
        long r = 0, g = 0, b = 0;
        for (var corner = 0; corner < 16; corner++)
        {
            long weight = 1;
            var index = 0;
            for (var i = 0; i < 4; i++)
            {
                var up = (corner >> i) & 1;
                weight *= up == 1 ? part[i] : 256 - part[i];
                index = (index * Steps) + low[i] + up;
            }
            if (weight == 0) continue;
            index *= 3;
            (r, g, b) = (r + (weight * _rgb[index]), g + (weight * _rgb[index + 1]), b + (weight * _rgb[index + 2]));
        }
        const long half = 1L << 31;
        (rgb[0], rgb[1], rgb[2]) = ((byte)((r + half) >> 32), (byte)((g + half) >> 32), (byte)((b + half) >> 32));
    }
}
