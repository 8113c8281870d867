using SkiaSharp;

namespace Lumbeck.Press.Plates;

/// <summary>Shapes whose edges fade, in pixels: how much of each a shape covers, under a Gaussian.</summary>
public static class GaussianBlur
{
    /// <summary>Most pixels a side; what is larger is made coarser.</summary>
    private const int Most = 6000;

    /// <summary>
    /// A soft mark's coverage over its whole reach, 0 to 255, in so many pixels; the picture's unit square lies over
    /// <see cref="BlurredMark.Bounds"/>.
    /// </summary>
    /// <param name="mark">The mark.</param>
    /// <param name="perInch">Pixels an inch of its drawn item's points.</param>
    public static (int Wide, int High, byte[] Cover) Of(BlurredMark mark, double perInch)
    {
        var b = mark.Bounds;
        var k = Math.Min(perInch / 72, Most / Math.Max(b.Right - b.Left, b.Bottom - b.Top));
        var (wide, high) = (Math.Max(1, (int)Math.Ceiling((b.Right - b.Left) * k)),
            Math.Max(1, (int)Math.Ceiling((b.Bottom - b.Top) * k)));
        var (kx, ky) = (wide / (b.Right - b.Left), high / (b.Bottom - b.Top));
        using var path = SkiaPath.Of(mark.Shape, new Affine(kx, 0, 0, ky, -b.Left * kx, -b.Top * ky));
        using var mask = new CoverageMask(wide, high);
        mask.Fill(path);
        var cover = new byte[wide * high];
        for (var y = mask.Touched.Top; y < mask.Touched.Bottom; y++)
            mask.Row(y)[mask.Touched.Left..mask.Touched.Right].CopyTo(cover.AsSpan((y * wide) + mask.Touched.Left));
        Blur(cover, wide, high, mark.Sigma * kx);
        return (wide, high, cover);
    }

    private static void Blur(byte[] cover, int wide, int high, double sigma)
    {
        if (sigma < 0.2) return;
        var reach = (int)Math.Ceiling(3 * sigma);
        var kernel = new float[reach + 1];
        for (var i = 0; i <= reach; i++) kernel[i] = (float)Math.Exp(-i * i / (2 * sigma * sigma));
        var sum = kernel[0] + (2 * kernel.Skip(1).Sum());
        for (var i = 0; i <= reach; i++) kernel[i] /= sum;
        var half = new float[wide * high];
        Parallel.For(0, high, y =>
        {
            var row = new ReadOnlySpan<byte>(cover, y * wide, wide);
            var to = new Span<float>(half, y * wide, wide);
            if (row.IndexOfAnyExcept((byte)0) < 0) return;
            for (var x = 0; x < wide; x++)
            {
                var v = row[x] * kernel[0];
                for (var i = 1; i <= reach; i++)
                    v += ((x >= i ? row[x - i] : 0) + (x + i < wide ? row[x + i] : 0)) * kernel[i];
                to[x] = v;
            }
        });
        Parallel.For(0, high, y =>
        {
            var to = new Span<byte>(cover, y * wide, wide);
            var line = new float[wide];
            for (var i = -reach; i <= reach; i++)
            {
                if (y + i < 0 || y + i >= high) continue;
                var from = new ReadOnlySpan<float>(half, (y + i) * wide, wide);
                var share = kernel[Math.Abs(i)];
                for (var x = 0; x < wide; x++) line[x] += from[x] * share;
            }
            for (var x = 0; x < wide; x++) to[x] = (byte)Math.Min(255, line[x] + 0.5f);
        });
    }
}
