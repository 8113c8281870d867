using NetVips;
using SkiaSharp;

namespace Lumbeck.Art;

/// <summary>
/// Paints with gradients, ridges and strokes of light; everything comes from seeds, so that a picture is the same every
/// time.
/// </summary>
internal sealed class Canvas(int wide, int high) : IDisposable
{
    private readonly SKBitmap _bitmap = new(new SKImageInfo(wide, high, SKColorType.Rgba8888, SKAlphaType.Opaque));

    public int Wide => wide;
    public int High => high;

    private SKCanvas On => field ??= new(_bitmap);

    private static SKColor Colour(uint rgb, double alpha = 1) =>
        new((byte)(rgb >> 16), (byte)(rgb >> 8), (byte)rgb, (byte)(alpha * 255));

    /// <summary>A run of colours from one height to another, over all the width.</summary>
    public void Sky(double from, double to, params (double At, uint Rgb)[] stops)
    {
        using var shader = SKShader.CreateLinearGradient(new(0, (float)(from * high)), new(0, (float)(to * high)),
            [.. stops.Select(s => Colour(s.Rgb))], [.. stops.Select(s => (float)s.At)], SKShaderTileMode.Clamp);
        using var paint = new SKPaint { Shader = shader };
        On.DrawRect(0, (float)(from * high), wide, (float)((to - from) * high), paint);
    }

    /// <summary>Light about a point, in shares of the height.</summary>
    public void Glow(double x, double y, double radius, uint rgb, double strength)
    {
        using var shader = SKShader.CreateRadialGradient(new((float)(x * wide), (float)(y * high)),
            (float)(radius * high), [Colour(rgb, strength), Colour(rgb, strength * 0.35), Colour(rgb, 0)],
            [0, 0.35f, 1], SKShaderTileMode.Clamp);
        using var paint = new SKPaint { Shader = shader };
        On.DrawRect(0, 0, wide, high, paint);
    }

    public void Disc(double x, double y, double radius, uint rgb)
    {
        using var paint = new SKPaint { Color = Colour(rgb), IsAntialias = true };
        On.DrawCircle((float)(x * wide), (float)(y * high), (float)(radius * high), paint);
    }

    /// <summary>A ridge from one edge to the other, lighter toward its foot where mist lies.</summary>
    public void Ridge(int seed, double top, double rise, double rough, uint rgb, uint mist, double depth,
        bool firs = false)
    {
        double at(double x) => top - (rise * Noise.Fractal(x * rough, seed, 6));
        using var path = new SKPathBuilder();
        path.MoveTo(0, high);
        for (var x = 0; x <= wide; x += 3) path.LineTo(x, (float)(at((double)x / high) * high));
        path.LineTo(wide, high);
        path.Close();
        using var shader = SKShader.CreateLinearGradient(new(0, (float)((top - rise) * high)),
            new(0, (float)((top + depth) * high)), [Colour(rgb), Colour(rgb), Colour(mist)], [0, 0.35f, 1],
            SKShaderTileMode.Clamp);
        using var paint = new SKPaint { Shader = shader, IsAntialias = true };
        using var ridge = path.Detach();
        On.DrawPath(ridge, paint);
        if (!firs) return;
        using var trees = new SKPathBuilder();
        for (var n = 0; n < wide / 9; n++)
        {
            var x = Noise.Hash(n, seed, 1) * wide;
            var foot = (at(x / high) * high) + 6;
            var (tall, half) = ((0.006 + (0.012 * Noise.Hash(n, seed, 2))) * high,
                (0.0014 + (0.0018 * Noise.Hash(n, seed, 3))) * high);
            trees.MoveTo((float)(x - half), (float)foot);
            trees.LineTo((float)x, (float)(foot - tall));
            trees.LineTo((float)(x + half), (float)foot);
            trees.Close();
        }
        using var all = trees.Detach();
        using var dark = new SKPaint { Color = Colour(rgb), IsAntialias = true };
        On.DrawPath(all, dark);
    }

    /// <summary>Level strokes of light or dark, as on water or in evening cloud: long far off, short near by.</summary>
    public void Streaks(int seed, int count, double from, double to, uint rgb, double strength, double length,
        double thick, double about = -1, double spread = 1)
    {
        using var paint = new SKPaint
        {
            IsAntialias = true,
            StrokeCap = SKStrokeCap.Round,
            Style = SKPaintStyle.Stroke,
        };
        for (var n = 0; n < count; n++)
        {
            var near = Math.Pow(Noise.Hash(n, seed, 1), 0.8);
            var y = from + ((to - from) * near);
            var side = Noise.Hash(n, seed, 2) + Noise.Hash(n, seed, 3) + Noise.Hash(n, seed, 4) - 1.5;
            var x = about < 0 ? Noise.Hash(n, seed, 5) : about + (side * spread * (0.25 + near) * high / wide);
            var half = length * (0.3 + Noise.Hash(n, seed, 6)) * (0.5 + (0.5 * near)) * high / 2;
            paint.Color = Colour(rgb, strength * (0.35 + (0.65 * Noise.Hash(n, seed, 7))));
            paint.StrokeWidth = (float)(thick * (0.4 + near) * high);
            On.DrawLine((float)((x * wide) - half), (float)(y * high), (float)((x * wide) + half), (float)(y * high),
                paint);
        }
    }

    public void Stars(int seed, int count, double to)
    {
        using var paint = new SKPaint { IsAntialias = true };
        for (var n = 0; n < count; n++)
        {
            var size = Noise.Hash(n, seed, 3);
            paint.Color = Colour(0xe8ecf2, 0.25 + (0.6 * size * size));
            On.DrawCircle((float)(Noise.Hash(n, seed, 1) * wide),
                (float)(Math.Pow(Noise.Hash(n, seed, 2), 1.4) * to * high),
                (float)((0.0004 + (0.0007 * size * size)) * high), paint);
        }
    }

    public void Dispose()
    {
        On.Dispose();
        _bitmap.Dispose();
    }

    /// <summary>With a fine grain, so that no gradient shows steps, as a JPEG in sRGB.</summary>
    public void Save(string path)
    {
        On.Flush();
        using var four = Image.NewFromMemory(_bitmap.GetPixelSpan().ToArray(), wide, high, 4, Enums.BandFormat.Uchar);
        using var three = four.ExtractBand(0, n: 3);
        using var grain = Image.Gaussnoise(wide, high, mean: 0, sigma: 1.7, seed: 7);
        using var both = (three + grain).Cast(Enums.BandFormat.Uchar)
            .Copy(interpretation: Enums.Interpretation.Srgb, xres: 300 / 25.4, yres: 300 / 25.4);
        both.Jpegsave(path, q: 84, optimizeCoding: true, keep: Enums.ForeignKeep.None);
    }
}

internal static class Noise
{
    public static double Fractal(double x, int seed, int octaves)
    {
        var (sum, size) = (0.0, 0.5);
        for (var o = 0; o < octaves; o++, size /= 2.1)
        {
            var at = x * (1 << o);
            var i = (int)Math.Floor(at);
            var t = at - i;
            t = t * t * (3 - (2 * t));
            sum += size * (Hash(i, seed + o, 9) + (t * (Hash(i + 1, seed + o, 9) - Hash(i, seed + o, 9))));
        }
        return sum;
    }

    public static double Hash(int x, int y, int seed)
    {
        unchecked
        {
            var h = ((uint)x * 374761393) + ((uint)y * 668265263) + ((uint)seed * 2246822519);
            h = (h ^ (h >> 13)) * 1274126177;
            return (h ^ (h >> 16)) / (double)uint.MaxValue;
        }
    }
}
