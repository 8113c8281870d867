using static Lumbeck.Core.Liveries.LiveryInks;

namespace Lumbeck.Core.Liveries.Fiction;

/// <summary>A framed plate in a wood in mist.</summary>
internal static class ThicketLivery
{
    public static Livery Look { get; } = new("thicket", "Thicket", ["fantasy"])
    {
        Display = Face("im-fell-english-sc/400"),
        Text = Face("eb-garamond/400"),
        Vista = new WoodInMist { Paints = [] },
        VistaTones = [LiveryTone.Ground, LiveryTone.Light, LiveryTone.Deep, LiveryTone.Deep],
        Form = FrontForm.Plate,
        Share = 0.5m,
        Wide = 0.76m,
        Ruled = true,
        Border = new LeafBorder { Paints = [] },
        BorderTones = [LiveryTone.Deep, LiveryTone.Accent],
        Largest = 13,
        Colourways =
        [
            new("fern", I(36, 14, 46, 4), I(70, 46, 74, 40), I(2, 2, 12, 0), I(14, 44, 80, 4), Black),
            new("blue hour", I(48, 26, 16, 4), I(82, 60, 36, 34), I(2, 1, 6, 0), I(6, 40, 70, 0), Black),
            new("ember", I(14, 34, 44, 4), I(44, 66, 70, 44), I(0, 3, 10, 0), I(4, 62, 76, 2), Black),
        ],
    };
}
