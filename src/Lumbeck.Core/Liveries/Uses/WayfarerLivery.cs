using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Uses;

/// <summary>A band across mountains and their lake.</summary>
internal static class WayfarerLivery
{
    public static Livery Look { get; } = new("wayfarer", "Wayfarer", ["travel"])
    {
        Display = Face("dm-serif-display/400"),
        Text = Face("source-serif-4/400"),
        Vista = new MountainLake { Paints = [] },
        VistaTones = [LiveryTone.Ground, LiveryTone.Light, LiveryTone.Light, LiveryTone.Deep, LiveryTone.Ground, LiveryTone.Deep],
        Form = FrontForm.Head,
        Share = 0.36m,
        Largest = 15,
        Align = Align.Left,
        Dash = true,
        Colourways =
        [
            new("lake", I(48, 16, 18, 2), I(78, 46, 36, 26), I(2, 1, 4, 0), I(0, 56, 78, 0), Black),
            new("alp rose", I(16, 30, 24, 0), I(56, 60, 44, 24), I(0, 2, 3, 0), I(4, 62, 50, 0), Black),
            new("larch", I(10, 18, 48, 0), I(52, 52, 72, 30), I(0, 1, 6, 0), I(6, 60, 90, 2), Black),
        ],
    };
}
