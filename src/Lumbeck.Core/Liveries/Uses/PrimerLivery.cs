using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Uses;

/// <summary>A white column beside a strip of dots.</summary>
internal static class PrimerLivery
{
    public static Livery Look { get; } = new("primer", "Primer", ["textbook", "workbook"])
    {
        Display = Face("zilla-slab/600"),
        Text = Face("zilla-slab/400"),
        Paper = new Dots { Paints = [] },
        Tones = [LiveryTone.Deep, LiveryTone.Accent, LiveryTone.Light],
        Form = FrontForm.Column,
        Wide = 0.74m,
        Align = Align.Left,
        Ruled = true,
        Largest = 13,
        Colourways =
        [
            new("green", I(56, 8, 40, 0), I(80, 30, 62, 14), I(0, 0, 0, 0), I(0, 40, 86, 0), Black),
            new("violet", I(46, 50, 0, 0), I(70, 76, 6, 4), I(0, 0, 0, 0), I(0, 36, 70, 0), Black),
            new("orange", I(0, 46, 80, 0), I(8, 66, 92, 4), I(0, 0, 0, 0), I(70, 20, 30, 6), Black),
        ],
    };
}
