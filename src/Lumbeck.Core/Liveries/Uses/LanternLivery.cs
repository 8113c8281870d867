using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Uses;

/// <summary>Round letters under bright scattered shapes.</summary>
internal static class LanternLivery
{
    public static Livery Look { get; } = new("lantern", "Lantern", ["children’s picture book"])
    {
        Display = Face("baloo-2/700"),
        Text = Face("baloo-2/500"),
        Paper = new ScatteredShapes { Paints = [] },
        Tones = [LiveryTone.Deep, LiveryTone.Accent, LiveryTone.Light],
        Form = FrontForm.Base,
        Share = 0.42m,
        Largest = 19,
        Colourways =
        [
            new("sunny", I(0, 14, 70, 0), I(66, 12, 20, 0), I(0, 0, 0, 0), I(0, 64, 58, 0), Black),
            new("berry", I(6, 40, 6, 0), I(44, 70, 6, 0), I(0, 0, 0, 0), I(0, 18, 76, 0), Black),
            new("lake", I(44, 4, 12, 0), I(80, 36, 12, 0), I(0, 0, 0, 0), I(0, 30, 84, 0), Black),
        ],
    };
}
