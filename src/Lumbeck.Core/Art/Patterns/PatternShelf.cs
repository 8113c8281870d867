using System.Text.Json.Serialization.Metadata;

namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// Every kind of pattern: the word it is stored by, and how it is first laid. A kind is added by its file and its line.
/// </summary>
public static class PatternShelf
{
    private static ImmutableList<Paint> Grays(params decimal[] percent) =>
        [.. percent.Select(p => (Paint)new InkPaint(Ink.Percent(0, 0, 0, p)))];

    /// <summary>Word by word, in the order that they are offered.</summary>
    public static ImmutableArray<(string Word, Pattern First)> All { get; } =
    [
        ("contour-lines", new ContourLines { Version = 2, Seed = 1, Paints = Grays(70, 100, 45) }),
        ("waves", new Waves { Seed = 3, Paints = Grays(20, 70, 40) }),
        ("ridges", new Ridges { Seed = 5, Paints = Grays(0, 90, 60) }),
        ("rays", new Rays { Seed = 2, Paints = Grays(15, 30, 60) }),
        ("night-sky", new NightSky { Seed = 4, Paints = Grays(60, 90, 50) }),
        ("rain", new Rain { Seed = 6, Paints = Grays(60, 35, 80) }),
        ("tossed-leaves", new TossedLeaves { Seed = 7, Paints = Grays(40, 65, 0) }),
        ("wild-flowers", new WildFlowers { Seed = 2, Paints = Grays(35, 80, 60) }),
        ("trellis-vine", new TrellisVine { Seed = 9, Paints = Grays(15, 60, 85) }),
        ("stone-chips", new StoneChips { Seed = 8, Paints = Grays(25, 50, 80) }),
        ("crackle", new Crackle { Seed = 5, Paints = Grays(70, 45, 10) }),
        ("wood-grain", new WoodGrain { Seed = 3, Paints = Grays(40, 65, 20) }),
        ("dry-brush", new DryBrush { Seed = 4, Paints = Grays(35, 60, 20) }),
        ("stripes", new Stripes { Seed = 1, Paints = Grays(30, 60, 50) }),
        ("gingham", new Gingham { Seed = 1, Paints = Grays(25, 25, 60) }),
        ("tartan", new Tartan { Seed = 12, Paints = Grays(35, 70, 100) }),
        ("weave", new Weave { Seed = 2, Paints = Grays(10, 16, 30) }),
        ("ribbons", new Ribbons { Seed = 1, Paints = Grays(25, 45, 80) }),
        ("herringbone", new Herringbone { Seed = 5, Paints = Grays(25, 45, 75) }),
        ("dots", new Dots { Seed = 6, Paints = Grays(50, 80, 25) }),
        ("scales", new Scales { Seed = 1, Paints = Grays(15, 70, 45) }),
        ("quarter-circles", new QuarterCircles { Seed = 11, Paints = Grays(20, 55, 90) }),
        ("stitches", new Stitches { Seed = 8, Paints = Grays(70, 70, 100) }),
        ("strapwork", new Strapwork { Seed = 1, Paints = Grays(20, 45, 90) }),
        ("hexagons", new Hexagons { Seed = 3, Paints = Grays(40, 70, 60) }),
        ("guilloche", new Guilloche { Seed = 2, Paints = Grays(70, 45, 90) }),
        ("scrolls", new Scrolls { Seed = 1, Paints = Grays(70, 40, 60) }),
        ("own-motif", new OwnMotif { Seed = 1, Paints = Grays(90, 60, 25) }),
        ("scattered-shapes", new ScatteredShapes { Seed = 10, Paints = Grays(35, 65, 90) }),
    ];

    /// <summary>Every kind, as it is when it is first laid.</summary>
    public static ImmutableArray<Pattern> Kinds { get; } = [.. All.Select(p => p.First)];

    /// <summary>
    /// A kind in a job's own swatches, each slot in another as far as they go; as it is at first where there are none.
    /// </summary>
    public static Pattern In(this Pattern kind, IReadOnlyList<Swatch> swatches) => swatches.Count == 0
        ? kind
        // A cloth is one colour in shades.
        : kind is Weave ? kind with
        {
            Paints = [.. kind.Paints.Select((_, n) => (Paint)new SwatchPaint(swatches[^1].Id, 10_000 - (1_500 * n)))],
        }
        : kind with
        {
            Paints = [.. kind.Paints.Select((_, n) => (Paint)new SwatchPaint(swatches[(n + 1) % swatches.Count].Id))],
        };

    /// <summary>The seeds that are shown beside a sketch's own: those that follow it.</summary>
    public static IEnumerable<Seed> OtherSeeds(this Sketch sketch, int many) =>
        Enumerable.Range(1, many).Select(sketch.Seed.Next);

    /// <summary>Tells JSON the kinds by their words.</summary>
    public static void Told(JsonTypeInfo type) => KindRegistration.Tell(type, All);
}
