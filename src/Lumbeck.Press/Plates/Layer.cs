namespace Lumbeck.Press.Plates;

/// <summary>
/// Where marks are laid down: the sheet itself, which is paper where nothing lies, or a group that is mixed as one (ISO 32000-1, 11.4).
/// All in ink: 255 is all of it, and mixing works on what paper is left, as 11.7.4.3 has it for subtractive colour.
/// </summary>
internal sealed class Layer(int wide, int high, byte[] inks, byte[]? alpha, Layer? under)
{
    public byte[] Inks { get; } = inks;

    public static Layer Sheet(Plates plates) => new(plates.Wide, plates.High, plates.Inks, null, null);

    public Layer Group() => new(wide, high, new byte[Inks.Length], new byte[wide * high], this);

    /// <summary>Lays four inks on a pixel with a coverage from 0 to 255; an overprinting ink leaves plates it has no share in as they are.</summary>
    public void Lay(int pixel, int c, int m, int y, int k, int coverage, bool overprint)
    {
        if (coverage == 0) return;
        var at = pixel * 4;
        Span<int> source = [c, m, y, k];
        if (alpha is null)
        {
            for (var i = 0; i < 4; i++)
                if (!overprint || source[i] > 0) Inks[at + i] = (byte)Div(((255 - coverage) * Inks[at + i]) + (coverage * source[i]));
            return;
        }
        var before = alpha[pixel];
        var after = before + coverage - Div(before * coverage);
        for (var i = 0; i < 4; i++)
        {
            // What lies under a group is seen through what it has not covered yet.
            var s = overprint && source[i] == 0 ? Div((before * Inks[at + i]) + ((255 - before) * under!.Inks[at + i])) : source[i];
            Inks[at + i] = (byte)Math.Clamp(((s * coverage * 255) + (Inks[at + i] * before * (255 - coverage)) + (after * 127)) / (after * 255), 0, 255);
        }
        alpha[pixel] = (byte)after;
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
