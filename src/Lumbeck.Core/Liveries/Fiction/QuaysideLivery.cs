using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Fiction;

/// <summary>A ruled plate on quiet waves.</summary>
internal static class QuaysideLivery
{
    public static Livery Look { get; } = new("quayside", "Quayside", ["literary novel", "memoir"])
    {
        Display = Face("libre-caslon-text/400"),
        Text = Face("libre-caslon-text/400"),
        Paper = new Waves { Length = 52, Paints = [] },
        Tones = [LiveryTone.Ground, LiveryTone.Deep, LiveryTone.Accent],
        Form = FrontForm.Plate,
        Share = 0.46m,
        Ruled = true,
        Dash = true,
        Largest = 12,
        Colourways =
        [
            new("harbour", I(38, 14, 14, 0), I(70, 34, 28, 8), I(0, 0, 4, 0), I(0, 62, 74, 0), Black),
            new("dusk", I(26, 34, 10, 0), I(56, 62, 22, 10), I(0, 2, 6, 0), I(8, 40, 80, 0), Black),
            new("moss", I(34, 16, 42, 0), I(62, 34, 68, 14), I(0, 0, 8, 0), I(0, 50, 84, 4), Black),
        ],
    };
}
