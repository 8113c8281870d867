using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Uses;

/// <summary>A narrow plate in capitals on hexagons.</summary>
internal static class LedgerLivery
{
    public static Livery Look { get; } = new("ledger", "Ledger", ["logbook", "notebook", "journal"])
    {
        Display = Face("barlow-condensed/600"),
        Text = Face("barlow-condensed/400"),
        Paper = new Hexagons { Paints = [] },
        Tones = [LiveryTone.Deep, LiveryTone.Deep, LiveryTone.Accent],
        Form = FrontForm.Plate,
        Share = 0.34m,
        Wide = 0.7m,
        Ruled = true,
        Case = LetterCase.Upper,
        Tracking = 60,
        Largest = 13,
        Colourways =
        [
            new("ochre", I(4, 26, 76, 0), I(8, 36, 88, 4), I(0, 0, 6, 0), I(10, 60, 90, 0), Black),
            new("slate", I(40, 24, 20, 6), I(52, 34, 28, 12), I(0, 0, 2, 0), I(0, 40, 80, 0), Black),
            new("brick", I(8, 58, 56, 4), I(14, 68, 66, 10), I(0, 2, 6, 0), I(0, 30, 70, 0), Black),
        ],
    };
}
