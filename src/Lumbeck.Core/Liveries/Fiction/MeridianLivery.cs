using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Fiction;

/// <summary>Contours of a land under a calm head.</summary>
internal static class MeridianLivery
{
    public static Livery Look { get; } = new("meridian", "Meridian", ["history", "memoir"])
    {
        Display = Face("cinzel/600"),
        Text = Face("eb-garamond/400"),
        Paper = new ContourLines { Paints = [] },
        Tones = [LiveryTone.Deep],
        Form = FrontForm.Head,
        Share = 0.5m,
        Ruled = true,
        Dash = true,
        Tracking = 40,
        Largest = 11,
        Colourways =
        [
            new("sepia", I(10, 20, 36, 0), I(26, 44, 62, 16), I(0, 2, 8, 0), I(12, 72, 80, 6), Black),
            new("sea", I(30, 10, 16, 0), I(66, 32, 34, 12), I(0, 0, 4, 0), I(0, 56, 78, 0), Black),
            new("heath", I(20, 22, 10, 0), I(46, 52, 26, 14), I(0, 0, 4, 0), I(6, 44, 76, 0), Black),
        ],
    };
}
