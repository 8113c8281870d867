using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Uses;

/// <summary>Typed letters and a feather on plain board.</summary>
internal static class FieldnoteLivery
{
    public static Livery Look { get; } = new("fieldnote", "Fieldnote", ["journal", "notebook", "logbook"])
    {
        Display = Face("special-elite/400"),
        Text = Face("special-elite/400"),
        Form = FrontForm.Open,
        Sign = new Feather { Paints = [] },
        SignTones = [LiveryTone.Deep, LiveryTone.Deep, LiveryTone.Ground],
        SignWide = 22,
        On = LiveryTone.Ground,
        Ruled = true,
        Largest = 10,
        Smallest = 40,
        Colourways =
        [
            new("board", I(14, 22, 36, 0), I(40, 52, 66, 30), I(0, 0, 4, 0), I(30, 44, 58, 16), Black),
            new("grey", I(18, 12, 14, 0), I(60, 48, 46, 26), I(0, 0, 0, 0), I(44, 32, 32, 10), Black),
            new("pine", I(30, 10, 30, 2), I(72, 42, 68, 34), I(0, 0, 2, 0), I(56, 26, 52, 14), Black),
        ],
    };
}
