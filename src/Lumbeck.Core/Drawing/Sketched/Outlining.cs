namespace Lumbeck.Core.Drawing.Sketched;

/// <summary>Drawn art as its visible edges, for colouring pages and for foil.</summary>
internal static class Outlining
{
    /// <summary>A region that is large enough to be coloured, in mm².</summary>
    public const double Region = 9;

    /// <summary>
    /// A drawing of one size has its smallest regions by its size: all of it on a page, less on a label.
    /// </summary>
    private const double PageSide = 150;

    /// <summary>What stands for any paint where paints make no difference.</summary>
    public static readonly Paint Plain = new InkPaint(Ink.Black);

    public static double LeastIn(double wide, double high) =>
        Region * Math.Min(1, Math.Pow(Math.Min(wide, high) / PageSide, 2));

    /// <summary>
    /// Its edges as one line in the one of its paints that is seen best: a finishing ink, else the darkest.
    /// </summary>
    public static IEnumerable<Drawn> Of(Sketch sketch, Length weight, object of, Func<IEnumerable<Drawn>> draw,
        double least, IReadOnlyList<Swatch> swatches, IDrawings? drawings)
    {
        var edges = drawings?.Edges(of, draw, least) ?? IDrawings.Plainly(draw());
        if (edges.Count == 0) return [];
        var pen = new Pen();
        foreach (var edge in edges) pen.Add(edge);
        return [new Line(pen.Done(), weight.Points, Darkest(sketch, swatches))];
    }

    /// <summary>A paper, a vista or an ornament within a box, in points, as the lines of a colouring page.</summary>
    public static IEnumerable<Mark> On(Bounds box, Sketch sketch, Length weight, Paint paint, IReadOnlyList<Swatch> swatches,
        IDrawings? drawings)
    {
        var mm = Length.FromMillimetres(1).Points;
        var (wide, high) = ((box.Right - box.Left) / mm, (box.Bottom - box.Top) / mm);
        var plain = sketch with { Outlined = null, Paints = [.. sketch.Slots.Select(_ => Plain)] };
        IEnumerable<Drawn> draw()
        {
            var all = new Bounds(0, 0, wide, high);
            if (plain is Pattern pattern) return pattern.Over(all);
            if (plain is Vista vista) return vista.Draw(new(all, all, null)).Select(d => d.Drawn);
            if (plain is not Ornament ornament) return [];
            var scale = 0.9 * Math.Min(wide / ornament.First.Wide, high / ornament.First.High);
            var (w, h) = (ornament.First.Wide * scale, ornament.First.High * scale);
            var middle = Affine.Move((wide - w) / 2, (high - h) / 2);
            return ornament.Draw(w, h).Select(d => d.Under(middle, 1));
        }
        var lines = drawings is null ? IDrawings.Plainly(draw())
            : drawings.Regions(plain, draw, wide, high, weight.Points / mm, ColouringPage.RegionAt(weight));
        if (lines.Count == 0) return [];
        var pen = new Pen();
        foreach (var line in lines) pen.Add(line);
        var drawn = PatternDrawing.InPoints(new Line(pen.Done(), weight.Points) { Round = true }, mm, box.Left, box.Top);
        return PatternDrawing.Marks(drawn, [paint], swatches);
    }

    private static int Darkest(Sketch sketch, IReadOnlyList<Swatch> swatches) =>
        Enumerable.Range(0, sketch.Paints.Count).MaxBy(n => sketch.Paints[n] is FinishPaint
            ? int.MaxValue
            : sketch.Paints[n].Resolve(swatches) is var ink ? ink.C + ink.M + (ink.Y / 3) + (2 * ink.K) : 0);
}
