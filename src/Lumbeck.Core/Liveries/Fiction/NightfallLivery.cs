using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Fiction;

/// <summary>White capitals over a town’s lit windows.</summary>
internal static class NightfallLivery
{
    public static Livery Look { get; } = new("nightfall", "Nightfall", ["thriller"])
    {
        Display = Face("bebas-neue/400"),
        Text = Face("barlow-condensed/400"),
        Vista = new TownByNight { Paints = [] },
        VistaTones = [LiveryTone.Deep, LiveryTone.Ground, LiveryTone.Accent, LiveryTone.Ground, LiveryTone.Deep],
        Form = FrontForm.Head,
        Share = 0.5m,
        On = LiveryTone.Deep,
        Words = LiveryTone.Light,
        Tracking = 40,
        Largest = 22,
        Colourways =
        [
            new("blue", I(78, 58, 30, 24), I(94, 76, 48, 56), I(0, 0, 0, 0), I(0, 20, 72, 0), Black),
            new("wine", I(36, 82, 56, 34), I(54, 84, 62, 70), I(0, 0, 0, 0), I(0, 26, 60, 0), Black),
            new("petrol", I(80, 44, 44, 34), I(92, 62, 58, 62), I(0, 0, 0, 0), I(0, 56, 60, 0), Black),
        ],
    };
}
