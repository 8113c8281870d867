using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Fiction;

/// <summary>Sloping letters from the left and one flower.</summary>
internal static class StanzaLivery
{
    public static Livery Look { get; } = new("stanza", "Stanza", ["poetry", "literary novel"])
    {
        Display = Face("bodoni-moda/400i"),
        Text = Face("bodoni-moda/400"),
        Form = FrontForm.Open,
        Sign = new SingleFlower { Paints = [] },
        SignTones = [LiveryTone.Accent, LiveryTone.Deep, LiveryTone.Light, LiveryTone.Deep],
        SignWide = 52,
        Align = Align.Left,
        Largest = 15,
        Colourways =
        [
            new("white", I(4, 4, 8, 0), I(58, 38, 56, 18), I(0, 0, 3, 0), I(4, 60, 48, 0), Black),
            new("blush", I(0, 14, 12, 0), I(44, 54, 40, 20), I(0, 6, 6, 0), I(10, 72, 46, 4), Black),
            new("dew", I(16, 2, 10, 0), I(70, 32, 52, 16), I(8, 0, 6, 0), I(40, 52, 4, 0), Black),
        ],
    };
}
