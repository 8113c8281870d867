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
        var plain = pattern.Bare;
        IReadOnlyList<Drawn> draw() => InPoints(plain, x, y, window);
        var drawn = drawings is null ? draw() : drawings.Kept(plain, x, y, window, draw);
        return drawn.SelectMany(d => Marks(d, pattern.Paints, swatches));
    }

    /// <summary>What is drawn, in points, as marks.</summary>
    public static IEnumerable<Mark> Marks(Drawn drawn, IReadOnlyList<Paint> paints, IReadOnlyList<Swatch> swatches)
    {
        switch (drawn)
        {
            case Area a:
                yield return PaintedMarks.Filled(a.Shape, paints[a.Slot], swatches, 0, 0);
                break;
            case Line l:
                yield return PaintedMarks.Lined(l.Shape, l.Width, paints[l.Slot], swatches) with { Dash = l.Dash };
                break;
            case Repeated r:
                // What is in a finishing ink is repeated by itself.
                foreach (var marks in ByFinish(r.Symbol.SelectMany(s => Marks(s, paints, swatches))))
                    yield return new RepeatedMark(marks, r.Places) { Finish = marks[0].Finish };
                break;
        }
    }

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

    private static Drawn InPoints(Drawn drawn, double mm, double x, double y) => drawn switch
    {
        Area a => a with { Shape = Scaled(a.Shape, mm, x, y) },
        Line l => l with { Shape = Scaled(l.Shape, mm, x, y) },
        Repeated r => new Repeated(
            [.. r.Symbol.Select(s => InPoints(s, mm, 0, 0))],
            [.. r.Places.Select(p => p with { E = (p.E * mm) + x, F = (p.F * mm) + y })]),
        _ => drawn,
    };

    private static Outline Scaled(Outline shape, double mm, double x, double y) =>
        new(shape.Strokes, [.. shape.Points.Select((p, i) => (p * mm) + (i % 2 == 0 ? x : y))]);
}
