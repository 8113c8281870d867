using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Fiction;

/// <summary>Wide white capitals under a world with rings.</summary>
internal static class FarlightLivery
{
    public static Livery Look { get; } = new("farlight", "Farlight", ["science fiction"])
    {
        Display = Face("league-spartan/400"),
        Text = Face("work-sans/400"),
        Vista = new Orbit { Paints = [] },
        VistaTones = [LiveryTone.Deep, LiveryTone.Ground, LiveryTone.Light, LiveryTone.Accent, LiveryTone.Ground, LiveryTone.Light],
        Form = FrontForm.Base,
        Share = 0.34m,
        On = LiveryTone.Deep,
        Words = LiveryTone.Light,
        Case = LetterCase.Upper,
        Tracking = 90,
        Largest = 9,
        Colourways =
        [
            new("indigo", I(80, 66, 14, 10), I(96, 86, 34, 40), I(0, 0, 0, 0), I(6, 40, 66, 0), Black),
            new("teal", I(74, 30, 34, 10), I(92, 60, 52, 50), I(0, 0, 0, 0), I(2, 30, 78, 0), Black),
            new("ember", I(40, 74, 60, 24), I(60, 78, 66, 66), I(0, 0, 0, 0), I(0, 52, 84, 0), Black),
        ],
    };
}
