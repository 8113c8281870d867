namespace Lumbeck.Press.Plates;

/// <summary>Shares of the four inks, from 0 to 255.</summary>
internal readonly record struct Four(int C, int M, int Y, int K);

/// <summary>
/// Where marks are laid down: the sheet itself, which is paper where nothing lies, or a group that is mixed as one (ISO 32000-1, 11.4).
/// All in ink: 255 is all of it, and mixing works on what paper is left, as 11.7.4.3 has it for subtractive colour.
/// </summary>
internal sealed class Layer(int wide, int high, byte[] inks, byte[]? alpha, Layer? under)
{
    public byte[] Inks { get; } = inks;

    public static Layer Sheet(Plates plates) => new(plates.Wide, plates.High, plates.Inks, null, null);

    public Layer Group() => new(wide, high, new byte[Inks.Length], new byte[wide * high], this);

    /// <summary>Lays one ink along a row, from a pixel on, as far as it is covered; an overprinting ink leaves plates it has no share in as they are.</summary>
    public void Row(int first, ReadOnlySpan<byte> cover, Four ink, int strength, bool overprint)
    {
        var whole = alpha is null && !overprint && strength == 256;
        var packed = (uint)(ink.C | (ink.M << 8) | (ink.Y << 16) | (ink.K << 24));
        var pixels = System.Runtime.InteropServices.MemoryMarshal.Cast<byte, uint>(Inks.AsSpan(first * 4, cover.Length * 4));
        for (var i = 0; i < cover.Length; i++)
        {
            if (cover[i] == 0)
            {
                var next = cover[i..].IndexOfAnyExcept((byte)0);
                if (next < 0) return;
                i += next;
            }
            if (whole && cover[i] == 255) pixels[i] = packed;
            else Lay(first + i, ink, cover[i] * strength >> 8, overprint);
        }
    }

    /// <summary>Lays four inks on a pixel with a coverage from 0 to 255.</summary>
    public void Lay(int pixel, Four ink, int coverage, bool overprint)
    {
        if (coverage == 0) return;
        var at = pixel * 4;
        if (alpha is null)
        {
            One(at, ink.C, coverage, overprint);
            One(at + 1, ink.M, coverage, overprint);
            One(at + 2, ink.Y, coverage, overprint);
            One(at + 3, ink.K, coverage, overprint);
            return;
        }
        int before = alpha[pixel];
        var after = before + coverage - Div(before * coverage);
        Mixed(at, ink.C, coverage, overprint, before, after);
        Mixed(at + 1, ink.M, coverage, overprint, before, after);
        Mixed(at + 2, ink.Y, coverage, overprint, before, after);
        Mixed(at + 3, ink.K, coverage, overprint, before, after);
        alpha[pixel] = (byte)after;
    }

    /// <summary>Lays four inks multiplied with what is seen there (11.3.5.2).</summary>
    public void Multiply(int pixel, Four ink, int coverage)
    {
        if (coverage == 0) return;
        var at = pixel * 4;
        int both(int i, int s)
        {
            var b = alpha is null ? Inks[at + i] : Div((alpha[pixel] * Inks[at + i]) + ((255 - alpha[pixel]) * under!.Inks[at + i]));
            return b + s - Div(b * s);
        }
        Lay(pixel, new(both(0, ink.C), both(1, ink.M), both(2, ink.Y), both(3, ink.K)), coverage, false);
    }

    private void One(int at, int source, int coverage, bool overprint)
    {
        if (!overprint || source > 0) Inks[at] = (byte)Div(((255 - coverage) * Inks[at]) + (coverage * source));
    }

    private void Mixed(int at, int source, int coverage, bool overprint, int before, int after)
    {
        // What lies under a group is seen through what it has not covered yet.
        var s = overprint && source == 0 ? Div((before * Inks[at]) + ((255 - before) * under!.Inks[at])) : source;
        Inks[at] = (byte)Math.Clamp(((s * coverage * 255) + (Inks[at] * before * (255 - coverage)) + (after * 127)) / (after * 255), 0, 255);
    }

    /// <summary>Lays this group on what is under it.</summary>
    public void Mix(double opacity, Core.Jobs.Blend blend, SkiaSharp.SKRectI within)
    {
        var share = (int)Math.Round(opacity * 256);
        for (var row = within.Top; row < within.Bottom; row++)
            for (var column = within.Left; column < within.Right; column++)
            {
                var pixel = (row * wide) + column;
                var a = alpha![pixel] * share >> 8;
                if (a == 0) continue;
                var at = pixel * 4;
                for (var i = 0; i < 4; i++)
                {
                    int b = under!.Inks[at + i], s = Inks[at + i];
                    var mixed = blend switch { Core.Jobs.Blend.Multiply => b + s - Div(b * s), Core.Jobs.Blend.Screen => Div(b * s), _ => s };
                    under.Inks[at + i] = (byte)Div(((255 - a) * b) + (a * mixed));
                }
            }
    }

    private static int Div(int of255) => (of255 + 127) / 255;
}
