using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Fiction;

/// <summary>Sloping letters over a meadow at the day’s end.</summary>
internal static class AfterglowLivery
{
    public static Livery Look { get; } = new("afterglow", "Afterglow", ["romance"])
    {
        Display = Face("playfair-display/400i"),
        Text = Face("playfair-display/400"),
        Vista = new Meadow { Haze = 30, Paints = [] },
        VistaTones = [LiveryTone.Ground, LiveryTone.Light, LiveryTone.Deep, LiveryTone.Ground, LiveryTone.Deep, LiveryTone.Accent],
        Form = FrontForm.Head,
        Share = 0.46m,
        Largest = 14,
        Colourways =
        [
            new("rose", I(4, 26, 22, 0), I(28, 60, 44, 8), I(0, 3, 4, 0), I(0, 62, 34, 0), Black),
            new("lilac", I(22, 26, 4, 0), I(52, 58, 20, 6), I(0, 2, 0, 0), I(4, 54, 6, 0), Black),
            new("wheat", I(4, 16, 44, 0), I(30, 40, 74, 10), I(0, 1, 6, 0), I(0, 56, 70, 0), Black),
        ],
    };
}
