namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>How heavy the lines of a colouring page are.</summary>
public enum ColouringWeight { Adults, Children }

/// <summary>
/// A pattern, a vista or an ornament as its visible edges, each region closed and large enough to colour: another seed, or
/// another of them, on every page.
/// </summary>
public sealed record ColouringPage : PageDesign
{
    public Seed Seed { get; init; } = 1;

    /// <summary>A pattern’s, vista’s or ornament’s word, or a sort of them in turn.</summary>
    public string Of { get; init; } = Vistas;

    public ColouringWeight Lines { get; init; }

    /// <summary>All of a sort, one after the other.</summary>
    public const string PatternsInTurn = "patterns in turn", Vistas = "vistas in turn", Ornaments = "ornaments in turn";

    /// <summary>What <see cref="PatternsInTurn"/> was stored as before.</summary>
    private const string PapersInTurn = "papers in turn";

    public override string Kind => "colouring page";
    public override bool Varies => true;
    public override bool TakesHeading => false;
    public override bool IsDisplay => true;
    protected override ImmutableArray<string> OwnSlots => ["Lines"];

    private static readonly (string, ColouringWeight)[] Weights =
        [("1.25 pt, adults", ColouringWeight.Adults), ("2.5 pt, children", ColouringWeight.Children)];

    /// <summary>Those whose regions can be coloured, by their words; the rest are lines, or too fine.</summary>
    public static ImmutableArray<(string Word, Sketch First)> Kinds { get; } =
    [
        .. PatternShelf.All.Where(p => Coloured.Contains(p.Word)).Select(p => (p.Word, (Sketch)p.First)),
        .. VistaShelf.All.Where(v => Scenes.Contains(v.Word)).Select(v => (v.Word, (Sketch)v.First)),
        .. OrnamentShelf.All.Where(o => o.First.Sort is OrnamentSort.Nature or OrnamentSort.Thing && o.Word != "feather")
            .Select(o => (o.Word, (Sketch)o.First)),
    ];

    private static ImmutableArray<string> Scenes =>
        ["hills", "wood-in-mist", "town-by-night", "snow-and-tree", "desert-and-sun", "mountain-lake"];

    private static ImmutableArray<string> Coloured =>
        ["waves", "tossed-leaves", "wild-flowers", "trellis-vine", "stone-chips", "crackle", "scales", "quarter-circles",
            "strapwork", "hexagons", "scattered-shapes"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        new Field<ColouringPage, Seed>("seed", "Seed", Values.Seeds, d => d.Seed, (d, s) => d with { Seed = s }),
        new Field<ColouringPage, string>("of", "Of", Values.Line, d => d.Of, (d, s) => d with { Of = s })
        {
            Choices = [(Vistas, Vistas), (PatternsInTurn, PatternsInTurn), (Ornaments, Ornaments),
                .. Kinds.Select(k => (k.Word, k.First.Kind))],
            Fault = (s, _) => s is Vistas or PatternsInTurn or PapersInTurn or Ornaments || Kinds.Any(k => k.Word == s) ? null
                : $"`{LengthText.Clip(s)}` can't be coloured: {Vistas}, {PatternsInTurn}, {Ornaments}, or one of " +
                    string.Join(", ", Kinds.Select(k => k.Word)),
        },
        new Field<ColouringPage, ColouringWeight>("lines", "Lines", Values.OneOf(Weights), d => d.Lines,
            (d, w) => d with { Lines = w }) { Choices = [.. Weights.Select(w => (w.Item1, w.Item1))] },
    ];

    /// <summary>
    /// A region that is large enough to be coloured, in mm²; who is given lines as wide as a child's pen needs room for one.
    /// </summary>
    public static double RegionAt(Length weight) => weight >= Length.FromPoints(2) ? 25 : 9;

    private Length Weight => Length.FromPoints(Lines == ColouringWeight.Adults ? 1.25m : 2.5m);

    /// <summary>What is on the so-manieth page of its run, from 0.</summary>
    public Sketch On(int n)
    {
        (string Word, Sketch First)[] all = Of switch
        {
            Vistas => [.. Kinds.Where(k => k.First is Vista)],
            PatternsInTurn or PapersInTurn => [.. Kinds.Where(k => k.First is Pattern)],
            Ornaments => [.. Kinds.Where(k => k.First is Ornament)],
            _ => [.. Kinds.Where(k => k.Word == Of)],
        };
        var kind = all[(int)(((Seed.Value % 1000) + (ulong)n) % (ulong)all.Length)].First;
        // A child's pages are drawn larger.
        if (kind is Pattern pattern && Lines == ColouringWeight.Children)
            kind = pattern with { Scale = Math.Min(Pattern.ScaleMost, 1.6m * pattern.Scale) };
        return kind with { Seed = Seed.Next(n), Outlined = Weight };
    }

    protected override string Sum(Surface page, Unit unit) =>
        $"{page.Safe.Size.Show(unit)} within the margins; lines of {Weight.ShowPoints()}, regions of " +
            $"{RegionAt(Weight)} mm² and more";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (safe, half) = (page.Safe, Weight.Points / 2);
        var box = new Bounds(safe.X.Points + half, safe.Y.Points + half, safe.Right.Points - half, safe.Bottom.Points - half);
        var sketch = On(at.Time - 1);
        yield return new ToColour(sketch, box, Weight, 0);
        // What runs out of the frame is closed by it.
        if (sketch is not Ornament) yield return new Line(Shapes.Box(box.Left, box.Top, box.Right, box.Bottom), Weight.Points, 0);
    }
}
