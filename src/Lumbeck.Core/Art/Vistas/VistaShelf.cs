using System.Text.Json.Serialization.Metadata;

namespace Lumbeck.Core.Art.Vistas;

/// <summary>
/// Every vista: the word it is stored by, and how it is at first. A vista is added by its file and its line.
/// </summary>
public static class VistaShelf
{
    private static ImmutableList<Paint> Inks(params (decimal C, decimal M, decimal Y, decimal K)[] inks) =>
        [.. inks.Select(i => (Paint)new InkPaint(Ink.Percent(i.C, i.M, i.Y, i.K)))];

    /// <summary>Word by word, in the order that they are offered; each in the colours of its own hour.</summary>
    public static ImmutableArray<(string Word, Vista First)> All { get; } =
    [
        ("hills",
            new Hills
            {
                Seed = 3,
                Paints = Inks((30, 12, 8, 0), (4, 14, 32, 0), (0, 4, 24, 0), (44, 34, 26, 4), (78, 58, 58, 44)),
            }),
        ("sea-and-moon",
            new SeaAndMoon
            {
                Seed = 2,
                Paints = Inks((92, 74, 38, 40), (68, 48, 28, 14), (2, 2, 14, 0), (72, 54, 34, 22), (86, 62, 40, 32)),
            }),
        ("wood-in-mist",
            new WoodInMist
            {
                Seed = 5,
                Paints = Inks((26, 12, 24, 2), (4, 2, 20, 0), (66, 54, 66, 52), (62, 46, 74, 40)),
            }),
        ("town-by-night",
            new TownByNight
            {
                Seed = 4,
                Paints = Inks((94, 82, 42, 44), (58, 52, 28, 8), (2, 18, 68, 0), (84, 72, 44, 42), (80, 72, 56, 70)),
            }),
        ("snow-and-tree",
            new SnowAndTree
            {
                Seed = 7,
                Paints = Inks((28, 16, 10, 2), (6, 10, 14, 0), (2, 1, 1, 0), (36, 22, 12, 4), (60, 54, 56, 60)),
            }),
        ("desert-and-sun",
            new DesertSun
            {
                Seed = 6,
                Paints = Inks((22, 24, 22, 0), (2, 18, 38, 0), (0, 10, 46, 0), (6, 30, 56, 2), (34, 62, 74, 30)),
            }),
        ("meadow",
            new Meadow
            {
                Seed = 1,
                Paints = Inks((46, 14, 6, 0), (4, 2, 4, 0), (62, 40, 58, 26), (38, 14, 72, 4), (66, 34, 84, 32),
                    (2, 44, 42, 0)),
            }),
        ("mountain-lake",
            new MountainLake
            {
                Seed = 8,
                Paints = Inks((44, 20, 12, 2), (8, 12, 18, 0), (8, 12, 16, 2), (58, 42, 30, 22), (62, 34, 28, 14),
                    (72, 54, 66, 52)),
            }),
        ("rain-on-window",
            new RainOnWindow
            {
                Seed = 9,
                Paints = Inks((82, 62, 44, 44), (56, 44, 38, 26), (2, 26, 70, 0), (10, 60, 56, 2), (16, 8, 8, 0)),
            }),
        ("orbit",
            new Orbit
            {
                Seed = 12,
                Paints = Inks((92, 82, 50, 64), (70, 62, 22, 12), (2, 2, 10, 0), (8, 34, 56, 2), (20, 56, 66, 12),
                    (14, 22, 40, 2)),
            }),
        ("harbour",
            new Harbour
            {
                Seed = 11,
                Paints = Inks((52, 32, 24, 6), (2, 30, 46, 0), (0, 8, 46, 0), (52, 44, 36, 16), (62, 40, 32, 16),
                    (66, 60, 58, 56), (4, 8, 18, 0)),
            }),
    ];

    /// <summary>With fewer swatches than this there is nothing to choose from.</summary>
    public const int LeastSwatches = 4;

    /// <summary>
    /// A vista in a job's own swatches: each role in the swatch that is as light as its own colour is, nearly; as it is
    /// at first where there are fewer than four.
    /// </summary>
    public static Vista In(this Vista vista, IReadOnlyList<Swatch> swatches)
    {
        if (swatches.Count < LeastSwatches) return vista;
        return vista with
        {
            Paints =
            [
                .. vista.Paints.Select(p => (Paint)new SwatchPaint(
                    swatches.MinBy(s => Math.Abs(Lightness(s.Ink) - Lightness(p.Resolve(swatches))))!.Id)),
            ],
        };
    }

    private static double Lightness(Ink ink) => Seen.Lab(ink).L;

    /// <summary>Tells JSON the kinds by their words.</summary>
    public static void Told(JsonTypeInfo type) => KindRegistration.Tell(type, All);
}
