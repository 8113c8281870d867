using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Uses;

/// <summary>Rays rising behind a broad white foot.</summary>
internal static class BandstandLivery
{
    public static Livery Look { get; } = new("bandstand", "Bandstand", ["puzzle or colouring book", "children’s picture book"])
    {
        Display = Face("bebas-neue/400"),
        Text = Face("work-sans/600"),
        Paper = new Rays { Many = 32, Down = 62, Across = 50, Paints = [] },
        Tones = [LiveryTone.Deep, LiveryTone.Ground, LiveryTone.Ground],
        Form = FrontForm.Band,
        Share = 0.44m,
        Ruled = true,
        Tracking = 20,
        Largest = 20,
        Colourways =
        [
            new("coral", I(0, 46, 46, 0), I(0, 66, 60, 0), I(0, 0, 0, 0), I(70, 10, 30, 0), Black),
            new("lime", I(30, 0, 78, 0), I(46, 4, 90, 0), I(0, 0, 0, 0), I(10, 80, 20, 0), Black),
            new("sky", I(46, 6, 4, 0), I(64, 20, 6, 0), I(0, 0, 0, 0), I(0, 46, 86, 0), Black),
        ],
    };
}
