using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Fiction;

/// <summary>Loud stone chips over a white foot; the title in capitals, from the left.</summary>
internal static class SignalLivery
{
    public static Livery Look { get; } = new("signal", "Signal", ["thriller", "true crime"])
    {
        Display = Face("oswald/600"),
        Text = Face("work-sans/400"),
        Paper = new StoneChips { Paints = [] },
        Tones = [LiveryTone.Deep, LiveryTone.Accent, LiveryTone.Ground],
        Form = FrontForm.Base,
        Share = 0.46m,
        Align = Align.Left,
        Case = LetterCase.Upper,
        Largest = 17,
        Colourways =
        [
            new("red", I(0, 84, 76, 0), I(10, 92, 86, 10), I(0, 0, 0, 0), I(0, 40, 60, 0), Black),
            new("ice", I(60, 10, 10, 0), I(78, 26, 18, 6), I(0, 0, 0, 0), I(20, 0, 10, 0), Black),
            new("sulphur", I(2, 6, 84, 0), I(10, 20, 96, 6), I(0, 0, 0, 0), I(0, 60, 90, 0), Black),
        ],
    };
}
