namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Which line of a set is dashed.</summary>
public enum DashedLine { X, Outer, Base, None }

/// <summary>
/// Sets of lines to learn writing on: ascender line, x line, base line and descender line, each set parted from the
/// next
/// by a gap.
/// </summary>
public sealed record Handwriting : PageDesign
{
    /// <summary>From the base line to the x line: as high as a small letter without stems.</summary>
    public Length XHeight { get; init; } = Length.FromMillimetres(6);

    /// <summary>How high stems reach, in percent of that, above the x line.</summary>
    public int Ascender { get; init; } = 100;

    /// <summary>How low tails reach, in percent of that, under the base line.</summary>
    public int Descender { get; init; } = 70;

    /// <summary>Between one set and the next.</summary>
    public Length Gap { get; init; } = Length.FromMillimetres(4);

    /// <summary>How far guides lean to the right, in degrees; 0 for none.</summary>
    public int Slant { get; init; }

    /// <summary>Which line is dashed.</summary>
    public DashedLine Dashed { get; init; } = DashedLine.X;

    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    public override string Kind => "handwriting";
    protected override ImmutableArray<string> OwnSlots => ["Base line", "X line", "Outer lines"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Measure<Handwriting>("x-height", "X-height", 2, 40, d => d.XHeight, (d, l) => d with { XHeight = l }),
        Count<Handwriting>("ascender", "Stems, percent", 0, 200, d => d.Ascender, (d, n) => d with { Ascender = n }),
        Count<Handwriting>("descender", "Tails, percent", 0, 200, d => d.Descender, (d, n) => d with { Descender = n }),
        Measure<Handwriting>("gap", "Gap", 0, 60, d => d.Gap, (d, l) => d with { Gap = l }),
        Count<Handwriting>("slant", "Slant, degrees", 0, 45, d => d.Slant, (d, n) => d with { Slant = n }),
        new Field<Handwriting, DashedLine>("dashed", "Dashed", Values.OneOf(("x line", DashedLine.X), ("outer lines",
            DashedLine.Outer),
            ("base line", DashedLine.Base), ("none", DashedLine.None)), d => d.Dashed, (d, l) => d with { Dashed = l })
        { Choices = [("x line", "x line"), ("outer lines", "outer lines"), ("base line", "base line"),
            ("none", "none")] },
        Weighed<Handwriting>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    /// <summary>How high one set is, without the gap.</summary>
    private Length Set => XHeight + (Ascender / 100m * XHeight) + (Descender / 100m * XHeight);

    // The last set needs no gap under it.
    private Fitted Fit(Surface page) => Fitted.Of(page.Safe.Height + Gap, Set + Gap, "set");

    /// <summary>The base lines of a page, from the head, in points.</summary>
    internal IReadOnlyList<double> Bases(Surface page)
    {
        var fit = Fit(page);
        return [.. Enumerable.Range(0, fit.Count).Reverse()
            .Select(n => (page.Safe.Bottom - (Descender / 100m * XHeight) - (n * (Set + Gap))).Points)];
    }

    /// <summary>What it says of a page’s room, for designs that write on these lines.</summary>
    internal string Says(Surface page, Unit unit) => Sum(page, unit);

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var fit ? (fit.Count, null, fit.Over) : default;

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, true, unit)}; sets of {XHeight.Show(unit)} × (1 + {Ascender} % + {Descender} %) = " +
            $"{Set.Show(unit)}, {Gap.Show(unit)} apart: {Fit(page).Say("set", "the head", unit)}";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (fit, safe) = (Fit(page), page.Safe);
        var wide = safe.Width.Points;
        var (up, down, x) = ((Ascender / 100m * XHeight).Points, (Descender / 100m * XHeight).Points, XHeight.Points);
        (double X, double Y)[] bases = [.. Enumerable.Range(0, fit.Count).Reverse()
            .Select(n => (safe.X.Points, (safe.Bottom - (Descender / 100m * XHeight) - (n * (Set + Gap))).Points))];
        Drawn line(double y, decimal heavier, int slot, DashedLine which) => new Repeated(
            [new Line(PageLines.Level(0, y, wide), (heavier * Weight).Points,
                slot) { Dash = Dashed == which ? [4, 3] : [] }],
            [.. bases.Select(b => Affine.Move(b.X, b.Y))]);
        yield return line(0, 1.5m, 0, DashedLine.Base);
        yield return line(-x, 1, 1, DashedLine.X);
        if (Ascender > 0) yield return line(-x - up, 1, 2, DashedLine.Outer);
        if (Descender > 0) yield return line(down, 1, 2, DashedLine.Outer);
        if (Slant == 0) yield break;
        var (high, lean) = (x + up + down, Math.Tan(Slant * Math.PI / 180));
        var guide = PageLines.Line(0, down, high * lean, -x - up);
        for (var from = 2 * x; from + (high * lean) < wide; from += 4 * x)
            yield return PageLines.Again(guide, 0.5m * Weight, 2, bases.Select(b => (b.X + from, b.Y)));
    }
}
