using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Uses;

/// <summary>A white head over strapwork; plain letters from the left.</summary>
internal static class WorkbenchLivery
{
    public static Livery Look { get; } = new("bench", "Workbench", ["workbook", "business and self-help"])
    {
        Display = Face("league-spartan/700"),
        Text = Face("work-sans/400"),
        Paper = new Strapwork { Paints = [] },
        Tones = [LiveryTone.Deep, LiveryTone.Accent, LiveryTone.Light],
        Form = FrontForm.Head,
        Share = 0.54m,
        Align = Align.Left,
        Largest = 16,
        Dash = true,
        Colourways =
        [
            new("blue", I(60, 24, 8, 0), I(84, 46, 16, 6), I(4, 2, 0, 0), I(0, 48, 84, 0), Black),
            new("green", I(48, 8, 44, 0), I(76, 24, 68, 8), I(3, 0, 3, 0), I(0, 24, 84, 0), Black),
            new("sand", I(8, 16, 30, 0), I(22, 36, 54, 8), I(1, 2, 4, 0), I(66, 28, 34, 4), Black),
        ],
    };
}
