using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Uses;

/// <summary>A band across tossed leaves.</summary>
internal static class OrchardLivery
{
    public static Livery Look { get; } = new("orchard", "Orchard", ["cookery", "gardening"])
    {
        Display = Face("fraunces/700"),
        Text = Face("work-sans/400"),
        Paper = new TossedLeaves { Scale = 160, Paints = [] },
        Tones = [LiveryTone.Deep, LiveryTone.Accent, LiveryTone.Light],
        Form = FrontForm.Band,
        Share = 0.38m,
        Ruled = true,
        Largest = 15,
        Colourways =
        [
            new("pear", I(22, 4, 52, 0), I(52, 24, 78, 10), I(0, 0, 6, 0), I(4, 58, 78, 0), Black),
            new("plum", I(18, 30, 8, 0), I(52, 74, 34, 14), I(0, 2, 4, 0), I(12, 20, 72, 0), Black),
            new("tomato", I(2, 18, 26, 0), I(8, 78, 80, 4), I(0, 0, 4, 0), I(50, 16, 76, 0), Black),
        ],
    };
}
