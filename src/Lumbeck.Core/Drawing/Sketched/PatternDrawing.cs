namespace Lumbeck.Core.Drawing.Sketched;

/// <summary>Patterns, and all that is drawn in paint slots, as marks.</summary>
public static class PatternDrawing
{
    /// <summary>A pattern over a window.</summary>
    /// <param name="pattern">The pattern.</param>
    /// <param name="swatches">The job's.</param>
    /// <param name="x">Its origin, in points.</param>
    /// <param name="y">Its origin, in points.</param>
    /// <param name="window">What is to be covered, in points.</param>
    /// <param name="drawings">Keeps what was drawn of late; null draws it anew.</param>
    public static IEnumerable<Mark> Draw(Pattern pattern, IReadOnlyList<Swatch> swatches, double x, double y,
        Bounds window, IDrawings? drawings = null)
    {
        var mm = Length.FromMillimetres(1).Points;
        var plain = pattern.Bare();
        if (plain.Outlined is { } weight)
        {
            var edges = Outlining.Of(pattern, weight, (plain, x, y, window), () => InPoints(plain, x, y, window),
                Outlining.Region * mm * mm, swatches, drawings);
            return edges.SelectMany(d => Marks(d, pattern.Paints, swatches));
        }
        IReadOnlyList<Drawn> draw() => InPoints(plain, x, y, window);
        var drawn = drawings is null ? draw() : drawings.Kept(plain, x, y, window, draw);
        return drawn.SelectMany(d => d is Motifs motifs
            ? MotifDrawing.Marks((OwnMotif)pattern, motifs, swatches, drawings)
            : Marks(d, pattern.Paints, swatches));
    }

    /// <summary>What is drawn, in points, as marks.</summary>
    public static IEnumerable<Mark> Marks(Drawn drawn, IReadOnlyList<Paint> paints, IReadOnlyList<Swatch> swatches)
    {
        switch (drawn)
        {
            case Area a:
                yield return PaintedMarks.Filled(a.Shape, Toned(a.Slot, a.Toward, paints, swatches), swatches, 0, 0);
                break;
            case Line l:
                yield return PaintedMarks.Lined(l.Shape, l.Width, Toned(l.Slot, l.Toward, paints, swatches),
                    swatches) with
                { Dash = l.Dash, Cap = l.Round ? LineCap.Round : LineCap.Butt };
                break;
            case Graded g:
                var (from, to) = (Toned(g.From, paints, swatches), Toned(g.To, paints, swatches));
                // A finishing ink has no runs of ink: the tone it begins with stands for all.
                yield return from is FinishPaint || to is FinishPaint
                    ? PaintedMarks.Filled(g.Shape, from, swatches, 0, 0)
                    : new GradientMark(g.Shape, new(g.Round, g.X1, g.Y1, g.X2, g.Y2,
                        [(0, from.Resolve(swatches)), (1, to.Resolve(swatches))]));
                break;
            case Repeated r:
                // What is in a finishing ink is repeated by itself.
                foreach (var marks in ByFinish(r.Symbol.SelectMany(s => Marks(s, paints, swatches))))
                    yield return new RepeatedMark(marks, r.Places) { Finish = marks[0].Finish };
                break;
        }
    }

    private static Paint Toned(Tone tone, IReadOnlyList<Paint> paints, IReadOnlyList<Swatch> swatches) =>
        Toned(tone.Slot, (tone.Toward, tone.Share), paints, swatches) is var plain && tone.Lit.Share > 0
            ? Mixing.Toward(plain, paints[tone.Lit.Slot], tone.Lit.Share, swatches)
            : plain;

    private static Paint Toned(int slot, (int Slot, double Share) toward, IReadOnlyList<Paint> paints,
        IReadOnlyList<Swatch> swatches) => toward.Share <= 0
        ? paints[slot]
        : Mixing.Toward(paints[slot], paints[toward.Slot], toward.Share, swatches);

    /// <summary>Marks in stretches that are all in one finishing ink, or all in none.</summary>
    public static IEnumerable<ImmutableArray<Mark>> ByFinish(IEnumerable<Mark> marks)
    {
        var stretch = ImmutableArray.CreateBuilder<Mark>();
        foreach (var mark in marks)
        {
            if (stretch.Count > 0 && stretch[0].Finish != mark.Finish)
            {
                yield return stretch.ToImmutable();
                stretch.Clear();
            }
            stretch.Add(mark);
        }
        if (stretch.Count > 0) yield return stretch.ToImmutable();
    }

    private static IReadOnlyList<Drawn> InPoints(Pattern pattern, double x, double y, Bounds window)
    {
        var mm = Length.FromMillimetres(1).Points;
        var asked = new Bounds((window.Left - x) / mm, (window.Top - y) / mm, (window.Right - x) / mm,
            (window.Bottom - y) / mm);
        return [.. pattern.Over(asked).Select(d => InPoints(d, mm, x, y))];
    }

    internal static Drawn InPoints(Drawn drawn, double mm, double x, double y) => drawn switch
    {
        Area a => a with { Shape = Scaled(a.Shape, mm, x, y) },
        Line l => l with { Shape = Scaled(l.Shape, mm, x, y) },
        Graded g => g with
        {
            Shape = Scaled(g.Shape, mm, x, y),
            X1 = (g.X1 * mm) + x,
            Y1 = (g.Y1 * mm) + y,
            X2 = (g.X2 * mm) + x,
            Y2 = (g.Y2 * mm) + y,
        },
        Motifs m => new Motifs(m.Side * mm, [.. m.Places.Select(p => p with { E = (p.E * mm) + x, F = (p.F * mm) + y })]),
        Repeated r => new Repeated(
            [.. r.Symbol.Select(s => InPoints(s, mm, 0, 0))],
            [.. r.Places.Select(p => p with { E = (p.E * mm) + x, F = (p.F * mm) + y })]),
        _ => drawn,
    };

    private static Outline Scaled(Outline shape, double mm, double x, double y) =>
        new(shape.Strokes, [.. shape.Points.Select((p, i) => (p * mm) + (i % 2 == 0 ? x : y))]);
}
