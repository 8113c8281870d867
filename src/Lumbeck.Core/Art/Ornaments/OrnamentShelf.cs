using System.Text.Json.Serialization.Metadata;

namespace Lumbeck.Core.Art.Ornaments;

/// <summary>
/// Every kind of ornament: the word it is stored by, and how it is at first. A kind is added by its file and its line.
/// </summary>
public static class OrnamentShelf
{
    private static ImmutableList<Paint> Grays(params decimal[] percent) =>
        [.. percent.Select(p => (Paint)new InkPaint(Ink.Percent(0, 0, 0, p)))];

    /// <summary>Word by word, in the order that they are offered.</summary>
    public static ImmutableArray<(string Word, Ornament First)> All { get; } =
    [
        ("swell-rule", new SwellRule { Paints = Grays(100, 100) }),
        ("diamond-rule", new DiamondRule { Paints = Grays(100, 100) }),
        ("wave-rule", new WaveRule { Paints = Grays(100, 45) }),
        ("leaf-rule", new LeafRule { Paints = Grays(80, 100, 100) }),
        ("star-rule", new StarRule { Paints = Grays(100, 60) }),
        ("scroll-rule", new ScrollRule { Paints = Grays(100, 60) }),
        ("scroll-corner", new ScrollCorner { Paints = Grays(100, 60, 100) }),
        ("fan-corner", new FanCorner { Paints = Grays(70, 100, 100) }),
        ("leaf-corner", new LeafCorner { Paints = Grays(70, 100, 100) }),
        ("step-corner", new StepCorner { Paints = Grays(100, 60, 100) }),
        ("double-border", new DoubleBorder { Paints = Grays(100, 100, 100) }),
        ("bead-border", new BeadBorder { Paints = Grays(100, 60, 100) }),
        ("key-border", new KeyBorder { Paints = Grays(100, 60) }),
        ("rope-border", new RopeBorder { Paints = Grays(100, 20) }),
        ("scallop-border", new ScallopBorder { Paints = Grays(70, 20, 100) }),
        ("leaf-border", new LeafBorder { Paints = Grays(75, 100, 100) }),
        ("notebook-label", new NotebookLabel { Paints = Grays(0, 100, 60) }),
        ("ticket-label", new TicketLabel { Paints = Grays(0, 100, 60) }),
        ("cartouche", new Cartouche { Paints = Grays(0, 100, 70) }),
        ("ribbon", new Ribbon { Paints = Grays(60, 80, 100) }),
        ("bent-ribbon", new BentRibbon { Paints = Grays(60, 80, 100) }),
        ("round-seal", new RoundSeal { Paints = Grays(85, 0, 0) }),
        ("burst-badge", new BurstBadge { Paints = Grays(85, 0, 100) }),
        ("rosette", new Rosette { Paints = Grays(70, 90, 0) }),
        ("initial-frame", new InitialFrame { Paints = Grays(85, 50, 0) }),
        ("sun", new Sun { Paints = Grays(100, 75, 0) }),
        ("moon", new Moon { Paints = Grays(100, 70) }),
        ("heart", new Heart { Paints = Grays(90, 0) }),
        ("compass-star", new CompassStar { Paints = Grays(40, 100, 100) }),
        ("arrow", new Arrow { Paints = Grays(100, 100, 70) }),
        ("speech-shape", new SpeechShape { Paints = Grays(0, 100) }),
        ("sprig", new Sprig { Paints = Grays(70, 100, 100) }),
        ("wreath", new Wreath { Paints = Grays(70, 100, 100) }),
        ("single-flower", new SingleFlower { Paints = Grays(45, 70, 100, 85) }),
        ("feather", new Feather { Paints = Grays(60, 100, 0) }),
        ("shell", new Shell { Paints = Grays(35, 80, 80) }),
        ("bird", new Bird { Paints = Grays(80, 40, 100) }),
        ("key", new Key { Paints = Grays(100, 70) }),
        ("lantern", new Lantern { Paints = Grays(100, 20, 55) }),
        ("compass", new Compass { Paints = Grays(80, 5, 60, 100) }),
        ("book", new Book { Paints = Grays(80, 0, 60) }),
    ];

    /// <summary>
    /// A kind in a job's own swatches: each slot in one of them, in their order, as dark or light as it is at first
    /// where
    /// there is but one.
    /// </summary>
    public static Ornament In(this Ornament kind, IReadOnlyList<Swatch> swatches) => swatches.Count < 2
        ? kind
        : kind with
        {
            Paints =
            [
                .. kind.Paints.Select((p, n) => p is InkPaint { Ink: var ink } && ink == Ink.White
                    ? p
                    : (Paint)new SwatchPaint(swatches[n % swatches.Count].Id)),
            ],
        };

    /// <summary>Tells JSON the kinds by their words.</summary>
    public static void Told(JsonTypeInfo type) => KindRegistration.Tell(type, All);
}
