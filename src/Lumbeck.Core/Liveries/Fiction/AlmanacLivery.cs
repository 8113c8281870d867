using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Fiction;

/// <summary>A bordered page with a compass star.</summary>
internal static class AlmanacLivery
{
    public static Livery Look { get; } = new("almanac", "Almanac", ["history", "literary novel"])
    {
        Display = Face("libre-baskerville/700"),
        Text = Face("libre-baskerville/400"),
        Form = FrontForm.Open,
        Sign = new CompassStar { Paints = [] },
        SignTones = [LiveryTone.Accent, LiveryTone.Deep, LiveryTone.Deep],
        SignWide = 46,
        Border = new DoubleBorder { Paints = [] },
        BorderTones = [LiveryTone.Deep, LiveryTone.Accent],
        On = LiveryTone.Ground,
        Dash = true,
        Largest = 12,
        Colourways =
        [
            new("vellum", I(2, 6, 18, 0), I(60, 40, 34, 20), I(0, 0, 4, 0), I(10, 66, 76, 4), Black),
            new("pale blue", I(18, 4, 6, 0), I(76, 50, 26, 14), I(0, 0, 0, 0), I(6, 60, 70, 0), Black),
            new("sage", I(18, 6, 24, 0), I(64, 38, 62, 20), I(0, 0, 4, 0), I(6, 56, 74, 2), Black),
        ],
    };
}
