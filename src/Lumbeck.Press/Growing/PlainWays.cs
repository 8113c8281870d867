namespace Lumbeck.Press.Growing;

/// <summary>Growing without a search: by the mirror image, by the last strip stretched, and ever softer.</summary>
internal static class PlainWays
{
    /// <summary>How much of the picture's shorter side its last strip is, which is stretched.</summary>
    private const double Strip = 0.03;

    /// <summary>The known picture in the midst, its mirror image beyond it on every side.</summary>
    public static PixelGrid Mirror(PixelGrid known, Margins m) => Reach(known, m, static (_, mirror, _, _) => mirror);

    /// <summary>Beyond each side its last strip is stretched over all that is wanted there.</summary>
    public static PixelGrid Stretch(PixelGrid known, Margins m)
    {
        var strip = Math.Max(1, (int)(Math.Min(known.Wide, known.High) * Strip));
        return Reach(known, m, (away, mirror, margin, size) =>
        {
            if (away == 0) return mirror;
            var inward = Math.Min(size - 1, (int)((Math.Abs(away) - 0.5) * Math.Min(strip, margin) / margin));
            return away < 0 ? inward : size - 1 - inward;
        });
    }

    private static PixelGrid Reach(PixelGrid known, Margins m, Func<int, int, int, int, int> from)
    {
        var whole = new PixelGrid(known.Wide + m.Left + m.Right, known.High + m.Top + m.Bottom);
        var columns = new int[whole.Wide];
        for (var x = 0; x < whole.Wide; x++)
        {
            var (away, mirror) = Margins.Beyond(x, m.Left, known.Wide);
            columns[x] = from(away, mirror, x < m.Left ? m.Left : m.Right, known.Wide);
        }
        Parallel.For(0, whole.High, y =>
        {
            var (away, mirror) = Margins.Beyond(y, m.Top, known.High);
            var row = from(away, mirror, y < m.Top ? m.Top : m.Bottom, known.High);
            for (var x = 0; x < whole.Wide; x++) known.Pixel(columns[x], row).CopyTo(whole.Pixel(x, y));
        });
        return whole;
    }

    /// <summary>The mirror image, the softer the farther out: mixed from ever more blurred ones.</summary>
    /// <param name="known">The picture.</param>
    /// <param name="m">What is wanted beyond it.</param>
    /// <param name="blur">Blurs pixels by so many of them.</param>
    public static PixelGrid Soft(PixelGrid known, Margins m, Func<PixelGrid, double, PixelGrid> blur)
    {
        var whole = Mirror(known, m);
        var most = Math.Max(Math.Max(m.Left, m.Right), Math.Max(m.Top, m.Bottom));
        double[] steps = [most / 24.0, most / 10.0, most / 4.0];
        PixelGrid[] blurred = [whole, .. steps.Where(s => s >= 0.5).Select(s => blur(whole, s))];
        var soft = new PixelGrid(whole.Wide, whole.High);
        Parallel.For(0, whole.High, y =>
        {
            var (down, _) = Margins.Beyond(y, m.Top, known.High);
            for (var x = 0; x < whole.Wide; x++)
            {
                var (across, _) = Margins.Beyond(x, m.Left, known.Wide);
                var at = Math.Min(1,
                    Math.Sqrt(((double)across * across) + ((double)down * down)) / most) * (blurred.Length - 1);
                var (low, part) = ((int)at, at - (int)at);
                var a = blurred[low].Pixel(x, y);
                var b = blurred[Math.Min(low + 1, blurred.Length - 1)].Pixel(x, y);
                var to = soft.Pixel(x, y);
                for (var i = 0; i < 4; i++) to[i] = (byte)Math.Round(a[i] + (part * (b[i] - a[i])));
            }
        });
        return soft;
    }
}
