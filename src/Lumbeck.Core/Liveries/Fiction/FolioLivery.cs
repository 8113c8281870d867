using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Fiction;

/// <summary>A tall plate on quarter circles.</summary>
internal static class FolioLivery
{
    public static Livery Look { get; } = new("folio", "Folio", ["poetry", "essays"])
    {
        Display = Face("cormorant-garamond/600"),
        Text = Face("cormorant-garamond/600"),
        Paper = new QuarterCircles { Square = 22, Paints = [] },
        Tones = [LiveryTone.Deep, LiveryTone.Ground, LiveryTone.Accent],
        Form = FrontForm.Plate,
        Share = 0.56m,
        Wide = 0.66m,
        Dash = true,
        Largest = 12,
        Colourways =
        [
            new("paper", I(6, 8, 14, 0), I(20, 22, 32, 4), I(0, 0, 4, 0), I(8, 66, 70, 4), Black),
            new("mist", I(18, 8, 8, 0), I(38, 22, 18, 4), I(0, 0, 0, 0), I(52, 24, 20, 6), Black),
            new("rose", I(2, 20, 14, 0), I(8, 42, 30, 2), I(0, 0, 2, 0), I(16, 70, 44, 6), Black),
        ],
    };
}
