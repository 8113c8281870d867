using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Uses;

/// <summary>A handwritten title on a scalloped label over gingham.</summary>
internal static class HearthsideLivery
{
    public static Livery Look { get; } = new("hearthside", "Hearthside", ["family recipes", "cookery"])
    {
        Display = Face("caveat/700"),
        Text = Face("source-serif-4/400"),
        Paper = new Gingham { Paints = [] },
        Tones = [LiveryTone.Deep, LiveryTone.Deep, LiveryTone.Accent],
        Form = FrontForm.Plate,
        Share = 0.4m,
        Wide = 0.74m,
        Ruled = true,
        Border = new ScallopBorder { Paints = [] },
        BorderTones = [LiveryTone.Accent, LiveryTone.Deep],
        Sign = new Sprig { Paints = [] },
        SignTones = [LiveryTone.Deep, LiveryTone.Deep, LiveryTone.Accent],
        SignWide = 15,
        Largest = 17,
        Colourways =
        [
            new("cherry", I(0, 4, 8, 0), I(0, 40, 32, 0), I(0, 0, 4, 0), I(6, 84, 70, 2), Black),
            new("mint", I(6, 0, 8, 0), I(36, 2, 34, 0), I(0, 0, 4, 0), I(70, 20, 62, 8), Black),
            new("blueberry", I(6, 2, 0, 0), I(38, 18, 4, 0), I(0, 0, 2, 0), I(80, 52, 14, 4), Black),
        ],
    };
}
