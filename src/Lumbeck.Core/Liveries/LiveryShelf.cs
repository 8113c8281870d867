namespace Lumbeck.Core.Liveries;

/// <summary>The liveries that ship. One is added by its lines here.</summary>
public static class LiveryShelf
{
    private static FaceId Face(string id) => FaceId.TryParse(id, out var face) ? face : throw new ArgumentException(id);

    private static Ink I(decimal c, decimal m, decimal y, decimal k) => Ink.Percent(c, m, y, k);

    /// <summary>Black alone: small words then come from one plate.</summary>
    private static readonly Ink Black = Ink.Percent(0, 0, 0, 100);

    /// <summary>Letters of a title that every livery has room for on a front of 129 × 198 mm and more.</summary>
    public const int LongestTitle = 120;

    public static ImmutableArray<Livery> All { get; } =
    [
        new("quayside", "Quayside", ["literary novel", "memoir"])
        {
            Display = Face("libre-caslon-text/400"), Text = Face("libre-caslon-text/400"),
            Paper = new Waves { Length = 52, Paints = [] },
                Tones = [LiveryTone.Ground, LiveryTone.Deep, LiveryTone.Accent],
            Form = FrontForm.Plate, Share = 0.46m, Ruled = true, Dash = true, Largest = 12,
            Colourways =
            [
                new("harbour", I(38, 14, 14, 0), I(70, 34, 28, 8), I(0, 0, 4, 0), I(0, 62, 74, 0), Black),
                new("dusk", I(26, 34, 10, 0), I(56, 62, 22, 10), I(0, 2, 6, 0), I(8, 40, 80, 0), Black),
                new("moss", I(34, 16, 42, 0), I(62, 34, 68, 14), I(0, 0, 8, 0), I(0, 50, 84, 4), Black),
            ],
        },
        new("ledger", "Ledger", ["logbook", "notebook", "journal"])
        {
            Display = Face("barlow-condensed/600"), Text = Face("barlow-condensed/400"),
            Paper = new Hexagons { Paints = [] }, Tones = [LiveryTone.Deep, LiveryTone.Deep, LiveryTone.Accent],
            Form = FrontForm.Plate, Share = 0.34m, Wide = 0.7m, Ruled = true, Case = LetterCase.Upper, Tracking = 60,
                Largest = 13,
            Colourways =
            [
                new("ochre", I(4, 26, 76, 0), I(8, 36, 88, 4), I(0, 0, 6, 0), I(10, 60, 90, 0), Black),
                new("slate", I(40, 24, 20, 6), I(52, 34, 28, 12), I(0, 0, 2, 0), I(0, 40, 80, 0), Black),
                new("brick", I(8, 58, 56, 4), I(14, 68, 66, 10), I(0, 2, 6, 0), I(0, 30, 70, 0), Black),
            ],
        },
        new("signal", "Signal", ["thriller", "science fiction"])
        {
            Display = Face("oswald/600"), Text = Face("work-sans/400"),
            Paper = new StoneChips { Paints = [] }, Tones = [LiveryTone.Deep, LiveryTone.Accent, LiveryTone.Ground],
            Form = FrontForm.Base, Share = 0.46m,  Align = Align.Left, Case = LetterCase.Upper,
                Largest = 17,
            Colourways =
            [
                new("red", I(0, 84, 76, 0), I(10, 92, 86, 10), I(0, 0, 0, 0), I(0, 40, 60, 0), Black),
                new("ice", I(60, 10, 10, 0), I(78, 26, 18, 6), I(0, 0, 0, 0), I(20, 0, 10, 0), Black),
                new("sulphur", I(2, 6, 84, 0), I(10, 20, 96, 6), I(0, 0, 0, 0), I(0, 60, 90, 0), Black),
            ],
        },
        new("orchard", "Orchard", ["cookery", "family recipes"])
        {
            Display = Face("fraunces/700"), Text = Face("work-sans/400"),
            Paper = new TossedLeaves { Scale = 160, Paints = [] },
                Tones = [LiveryTone.Deep, LiveryTone.Accent, LiveryTone.Light],
            Form = FrontForm.Band, Share = 0.38m, Ruled = true, Largest = 15,
            Colourways =
            [
                new("pear", I(22, 4, 52, 0), I(52, 24, 78, 10), I(0, 0, 6, 0), I(4, 58, 78, 0), Black),
                new("plum", I(18, 30, 8, 0), I(52, 74, 34, 14), I(0, 2, 4, 0), I(12, 20, 72, 0), Black),
                new("tomato", I(2, 18, 26, 0), I(8, 78, 80, 4), I(0, 0, 4, 0), I(50, 16, 76, 0), Black),
            ],
        },
        new("meridian", "Meridian", ["history", "travel"])
        {
            Display = Face("cinzel/600"), Text = Face("eb-garamond/400"),
            Paper = new ContourLines { Paints = [] }, Tones = [LiveryTone.Deep],
            Form = FrontForm.Head, Share = 0.5m, Ruled = true, Dash = true, Tracking = 40, Largest = 11,
            Colourways =
            [
                new("sepia", I(10, 20, 36, 0), I(26, 44, 62, 16), I(0, 2, 8, 0), I(12, 72, 80, 6), Black),
                new("sea", I(30, 10, 16, 0), I(66, 32, 34, 12), I(0, 0, 4, 0), I(0, 56, 78, 0), Black),
                new("heath", I(20, 22, 10, 0), I(46, 52, 26, 14), I(0, 0, 4, 0), I(6, 44, 76, 0), Black),
            ],
        },
        new("lantern", "Lantern", ["children’s picture book", "puzzle book"])
        {
            Display = Face("baloo-2/700"), Text = Face("baloo-2/500"),
            Paper = new ScatteredShapes { Paints = [] }, Tones = [LiveryTone.Deep, LiveryTone.Accent, LiveryTone.Light],
            Form = FrontForm.Base, Share = 0.42m, Largest = 19,
            Colourways =
            [
                new("sunny", I(0, 14, 70, 0), I(66, 12, 20, 0), I(0, 0, 0, 0), I(0, 64, 58, 0), Black),
                new("berry", I(6, 40, 6, 0), I(44, 70, 6, 0), I(0, 0, 0, 0), I(0, 18, 76, 0), Black),
                new("lake", I(44, 4, 12, 0), I(80, 36, 12, 0), I(0, 0, 0, 0), I(0, 30, 84, 0), Black),
            ],
        },
        new("folio", "Folio", ["poetry", "essays"])
        {
            Display = Face("cormorant-garamond/600"), Text = Face("cormorant-garamond/600"),
            Paper = new QuarterCircles { Square = 22, Paints = [] },
                Tones = [LiveryTone.Deep, LiveryTone.Light, LiveryTone.Accent],
            Form = FrontForm.Plate, Share = 0.56m, Wide = 0.66m, Dash = true, Largest = 12,
            Colourways =
            [
                new("paper", I(6, 8, 14, 0), I(20, 22, 32, 4), I(0, 0, 4, 0), I(8, 66, 70, 4), Black),
                new("mist", I(18, 8, 8, 0), I(38, 22, 18, 4), I(0, 0, 0, 0), I(52, 24, 20, 6), Black),
                new("rose", I(2, 20, 14, 0), I(8, 42, 30, 2), I(0, 0, 2, 0), I(16, 70, 44, 6), Black),
            ],
        },
        new("bench", "Workbench", ["workbook", "business"])
        {
            Display = Face("league-spartan/700"), Text = Face("work-sans/400"),
            Paper = new Strapwork { Paints = [] }, Tones = [LiveryTone.Deep, LiveryTone.Accent, LiveryTone.Light],
            Form = FrontForm.Head, Share = 0.54m, Align = Align.Left, Largest = 16, Dash = true,
            Colourways =
            [
                new("blue", I(60, 24, 8, 0), I(84, 46, 16, 6), I(0, 0, 0, 0), I(0, 48, 84, 0), Black),
                new("green", I(48, 8, 44, 0), I(76, 24, 68, 8), I(0, 0, 0, 0), I(0, 24, 84, 0), Black),
                new("sand", I(8, 16, 30, 0), I(22, 36, 54, 8), I(0, 0, 0, 0), I(66, 28, 34, 4), Black),
            ],
        },
    ];

    /// <exception cref="Refusal">There is none of that name.</exception>
    public static Livery Of(string id) => All.FirstOrDefault(l =>
        l.Id == id || l.Name.Equals(id, StringComparison.OrdinalIgnoreCase))
        ?? throw new Refusal("livery",
            $"`{LengthText.Clip(id)}` is no livery: take {string.Join(", ", All.Select(l => l.Id))}");
}
