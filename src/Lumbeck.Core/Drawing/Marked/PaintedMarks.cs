namespace Lumbeck.Core.Drawing.Marked;

/// <summary>
/// Where a paint becomes a mark, for every kind of mark: a mix or a swatch lays its inks, a gradient runs over what it
/// fills, a finishing ink goes on a plate of its own.
/// Nothing else makes a mark of a paint, so that no paint prints otherwise on one kind than on another.
/// </summary>
public static class PaintedMarks
{
    /// <summary>
    /// A shape filled with any paint; a gradient runs over a box of this width and height, in points.
    /// </summary>
    public static Mark Filled(Outline shape, Paint paint, IReadOnlyList<Swatch> swatches, double w,
        double h) => Filled(shape, paint, swatches, new Bounds(0, 0, w, h));

    /// <summary>The same; a gradient runs over a box, in points, and is its last ink where that box is none.</summary>
    public static Mark Filled(Outline shape, Paint paint, IReadOnlyList<Swatch> swatches, Bounds run)
    {
        if (paint is not GradientPaint g) return new FillMark(shape, paint.Resolve(swatches)) { Finish = Plate(paint) };
        var shade = Shaded(g, swatches, run);
        // A gradient without a length paints nothing in print (ISO 32000-1, 8.7.4.5.3).
        return shade.X0 == shade.X1 && shade.Y0 == shade.Y1
            ? new FillMark(shape, shade.Stops[^1].Ink) : new GradientMark(shape, shade);
    }

    /// <summary>A line of any paint but a gradient, so many points wide.</summary>
    public static LineMark Lined(Outline shape, double weight, Paint paint, IReadOnlyList<Swatch> swatches) =>
        new(shape, weight, paint.Resolve(swatches)) { Finish = Plate(paint) };

    /// <summary>A shape that fades at its edge, in any paint but a gradient.</summary>
    /// <param name="shape">The shape.</param>
    /// <param name="sigma">Of its edge, in points.</param>
    /// <param name="strength">From 0 to 1.</param>
    /// <param name="paint">The paint.</param>
    /// <param name="swatches">The job's.</param>
    public static BlurredMark Soft(Outline shape, double sigma, double strength, Paint paint,
        IReadOnlyList<Swatch> swatches) =>
        new(shape, sigma, paint.Resolve(swatches), strength) { Finish = Plate(paint) };

    /// <summary>
    /// A run of type in a paint; a gradient's inks are laid over all letters once they are known
    /// (<see cref="Shaded(GradientPaint, IReadOnlyList{Swatch}, Bounds)"/>).
    /// </summary>
    public static GlyphMark Letters(LaidLine line, LaidRun run, IReadOnlyList<Swatch> swatches,
        Length blackOverprintUpTo)
    {
        var ink = run.Paint.Resolve(swatches);
        // Black text overprints up to the house's size, so that the other plates need not fit it (docs/press-files.md).
        var overprint = run.Paint is (InkPaint or SwatchPaint) && ink == Ink.Black
            && run.Size <= blackOverprintUpTo.Points;
        return new(run.Face, run.Size, line.X, line.Baseline, run.Glyphs, run.Text, ink, overprint)
        {
            Finish = Plate(run.Paint),
            RightToLeft = run.RightToLeft,
        };
    }

    /// <summary>
    /// A gradient over a box in points: a straight run reaches from corner to corner as its angle has it, a round one
    /// from the middle to the corners.
    /// </summary>
    public static Gradient Shaded(GradientPaint g, IReadOnlyList<Swatch> swatches, double w, double h)
    {
        ImmutableArray<(double, Ink)> stops = [.. g.Stops.Select(s => (s.At / 10_000.0, s.Paint.Resolve(swatches)))];
        if (g.Run == Run.Round) return new(true, w / 2, h / 2, w, h, stops);
        var way = Affine.Rotate((double)g.Angle);
        var half = ((Math.Abs(way.A) * w) + (Math.Abs(way.B) * h)) / 2;
        return new(false, (w / 2) - (way.A * half), (h / 2) - (way.B * half), (w / 2) + (way.A * half),
            (h / 2) + (way.B * half), stops);
    }

    /// <summary>A gradient over what letters cover.</summary>
    public static Gradient Shaded(GradientPaint paint, IReadOnlyList<Swatch> swatches, Bounds over)
    {
        var s = Shaded(paint, swatches, over.Right - over.Left, over.Bottom - over.Top);
        return s with { X0 = s.X0 + over.Left, X1 = s.X1 + over.Left, Y0 = s.Y0 + over.Top, Y1 = s.Y1 + over.Top };
    }

    private static (string Name, int Tint)? Plate(Paint paint) => paint is FinishPaint f ? (f.Finish, f.Tint) : null;
}
