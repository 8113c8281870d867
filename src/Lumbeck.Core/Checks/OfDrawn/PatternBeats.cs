namespace Lumbeck.Core.Checks.OfDrawn;

/// <summary>
/// Fine lines in a tint, side by side: they beat with the screen that the tint is printed in. Apart by 0.6 mm or more,
/// or in solid inks, they don't.
/// </summary>
public sealed class PatternBeats : Rule
{
    /// <summary>
    /// Lines nearer to one another than this beat, in millimetres, and so do only lines that are finer.
    /// </summary>
    private const double Apart = 0.6;

    /// <summary>
    /// So large a part of a paper is looked at, in millimetres; a paper is endless and alike all over.
    /// </summary>
    private const double Window = 36;

    public override string Id => "paper.beats";
    public override string Proves => "fine lines of patterns don't beat with the screen";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var drawn in DrawnHere.On(look))
        {
            if (drawn.Art is not Pattern paper) continue;
            var tinted = paper.Paints.Select(p => IsTint(p, look.Job.Swatches)).ToList();
            if (!tinted.Contains(true)) continue;
            double near(Pattern p) => (look.Kept?.Gaps(p) ?? Gaps(p)).Where((_, slot) => slot < tinted.Count && tinted[slot]).Min();
            var nearest = near(paper);
            if (nearest >= Apart) continue;
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = Length.FromMillimetres((decimal)Math.Round(nearest, 2)).Show(Unit.Millimetre),
                Limit = $"{Length.FromMillimetres((decimal)Apart).Show(Unit.Millimetre)} apart, or solid inks",
                Why = "Fine lines in a tint beat with the screen it is printed in: a second pattern shows.",
                Mend = "Draw it larger.",
                Of = drawn.Item,
                Panel = Part.Sheet,
                Place = drawn.Drawn.Frame.ToBox(),
                Fix = Larger(paper, nearest, near) is { } scale ? drawn.Scaled(look, scale) : null,
            };
        }
    }

    /// <summary>The first scale at which its lines are far enough apart; null where none is.</summary>
    private static decimal? Larger(Pattern paper, double nearest, Func<Pattern, double> near)
    {
        foreach (var more in (double[])[1, 1.15, 1.35, 1.7])
        {
            var scale = Math.Ceiling(paper.Scale * (decimal)(more * Apart / nearest));
            if (scale > Pattern.ScaleMost) return null;
            if (near(paper with { Scale = scale }) >= Apart) return scale;
        }
        return null;
    }

    /// <summary>Whether an ink of it is screened: neither none nor all.</summary>
    private static bool IsTint(Paint paint, IReadOnlyList<Swatch> swatches)
    {
        if (paint is FinishPaint f) return f.Tint < 10_000;
        var ink = paint.Resolve(swatches);
        return new[] { ink.C, ink.M, ink.Y, ink.K }.Any(i => i is > 300 and < 9_700);
    }

    /// <summary>
    /// For each slot the distance that the nearest tenth of its fine lines have from another, in millimetres.
    /// </summary>
    public static double[] Gaps(Pattern pattern)
    {
        var gaps = pattern.Paints.Select(_ => double.MaxValue).ToArray();
        var lines = pattern.Bare() with { Paints = pattern.Paints };
        var drawn = Flat(lines.Over(new(0, 0, Window, Window))).Where(l => l.Width * 25.4 / 72 < Apart)
            .GroupBy(l => l.Slot);
        foreach (var slot in drawn) if (slot.Key < gaps.Length) gaps[slot.Key] = Nearest([.. slot.Take(400)]);
        return gaps;
    }

    private static IEnumerable<Art.Sketches.Line> Flat(IEnumerable<Drawn> drawn) => drawn.SelectMany(d => d switch
    {
        Art.Sketches.Line l => [l],
        Repeated r => r.Places.Take(400)
            .SelectMany(at => Flat(r.Symbol).Select(l => l with { Shape = l.Shape.Under(at) })),
        _ => (IEnumerable<Art.Sketches.Line>)[],
    });

    private static double Nearest(IReadOnlyList<Art.Sketches.Line> lines)
    {
        // Points along each line, on a grid as wide as the distance that matters.
        var grid = new Dictionary<(int, int), List<(double X, double Y, int Line)>>();
        var points = new List<(double X, double Y, int Line)>();
        for (var n = 0; n < lines.Count; n++)
        {
            foreach (var (x, y) in Along(lines[n].Shape))
            {
                if (x is < 0 or > Window || y is < 0 or > Window) continue;
                var cell = ((int)(x / Apart), (int)(y / Apart));
                if (!grid.TryGetValue(cell, out var there)) grid[cell] = there = [];
                there.Add((x, y, n));
                points.Add((x, y, n));
            }
        }
        if (points.Count == 0) return double.MaxValue;
        var near = points.Select(p =>
        {
            var best = double.MaxValue;
            // Two beside it at least: a pair of lines has no beat.
            var beside = new HashSet<int>();
            var (cx, cy) = ((int)(p.X / Apart), (int)(p.Y / Apart));
            for (var i = -2; i <= 2; i++)
                for (var j = -2; j <= 2; j++)
                    if (grid.TryGetValue((cx + i, cy + j), out var there))
                        foreach (var q in there)
                            if (q.Line != p.Line && ((q.X - p.X) * (q.X - p.X)) + ((q.Y - p.Y) * (q.Y - p.Y)) is var square
                                && square < 4 * Apart * Apart)
                            {
                                best = Math.Min(best, square);
                                beside.Add(q.Line);
                            }
            return beside.Count < 2 ? double.MaxValue : Math.Sqrt(best);
        }).Order().ToList();
        // Lines that cross or meet are near for a moment; what beats runs along.
        return near[near.Count / 4];
    }

    /// <summary>A point each third of a millimetre, curves by their chords.</summary>
    private static IEnumerable<(double X, double Y)> Along(Outline shape)
    {
        var (i, x, y) = (0, 0.0, 0.0);
        foreach (var stroke in shape.Strokes)
        {
            var take = stroke switch { PathVerb.Move or PathVerb.Line => 2, PathVerb.Quad => 4, PathVerb.Cubic => 6,
                _ => 0 };
            if (take == 0) continue;
            var (tx, ty) = (shape.Points[i + take - 2], shape.Points[i + take - 1]);
            if (stroke != PathVerb.Move)
            {
                var far = Math.Sqrt(((tx - x) * (tx - x)) + ((ty - y) * (ty - y)));
                var steps = Math.Clamp((int)(far * 3), 1, 400);
                for (var n = 0; n < steps; n++) yield return (x + ((tx - x) * n / steps), y + ((ty - y) * n / steps));
            }
            (x, y) = (tx, ty);
            i += take;
        }
    }
}
