using Lumbeck.Press.Plates;
using SkiaSharp;

namespace Lumbeck.Press.Drawn;

/// <summary>
/// A drawing as outlines: of each shape what no later shape hides, as closed lines; of each line the stretches that are
/// seen. Regions too small to be coloured are left to what lies round them.
/// </summary>
public static class VisibleEdges
{
    /// <summary>How finely a line's hidden stretches are told from seen ones, in the drawing's units.</summary>
    private const float Step = 0.6f;

    /// <param name="drawn">The drawing, the lowest first.</param>
    /// <param name="least">Regions smaller than this are left out, in the drawing's square units.</param>
    public static IReadOnlyList<Outline> Of(IEnumerable<Core.Art.Sketches.Drawn> drawn, double least)
    {
        var all = drawn.SelectMany(Flat).Select(Seen.Of).ToList();
        try
        {
            var edges = new List<Outline>();
            for (var n = 0; n < all.Count; n++)
            {
                var above = all.Skip(n + 1).Where(a => !a.IsLine && a.Box.IntersectsWith(all[n].Box)).ToList();
                if (all[n].IsLine) edges.AddRange(Stretches(all[n].Path, above));
                else edges.AddRange(Left(all[n].Path, above, least));
            }
            return edges;
        }
        finally
        {
            foreach (var one in all) one.Path.Dispose();
        }
    }

    private sealed record Seen(SKPath Path, SKRect Box, bool IsLine)
    {
        public static Seen Of((Outline Shape, bool IsLine) what)
        {
            var path = SkiaPath.Of(what.Shape, Affine.Identity);
            return new(path, path.Bounds, what.IsLine);
        }
    }

    /// <summary>Shapes and lines one by one.</summary>
    internal static IEnumerable<(Outline Shape, bool IsLine)> Flat(Core.Art.Sketches.Drawn drawn) => drawn switch
    {
        Area a => [(a.Shape, false)],
        Graded g => [(g.Shape, false)],
        Core.Art.Sketches.Line l => [(l.Shape, true)],
        Repeated r => r.Places.SelectMany(p => r.Symbol.SelectMany(s => Flat(s.Under(p, 1)))),
        _ => [],
    };

    /// <summary>What is left of a shape under those above it.</summary>
    private static IEnumerable<Outline> Left(SKPath path, List<Seen> above, double least)
    {
        var left = new SKPath(path);
        foreach (var one in above)
        {
            // Where two paths can't be reckoned together, the shape is drawn as if that one were not there.
            if (left.Op(one.Path, SKPathOp.Difference) is not { } rest) continue;
            left.Dispose();
            left = rest;
            if (left.IsEmpty) break;
        }
        using (left)
            foreach (var contour in Contours(left))
                if (Math.Abs(Size(contour)) >= least)
                    yield return Closed(contour);
    }

    /// <summary>Each contour of a path as points, curves in short steps.</summary>
    private static List<List<SKPoint>> Contours(SKPath path)
    {
        var contours = new List<List<SKPoint>>();
        using var measure = new SKPathMeasure(path, forceClosed: true, resScale: 8);
        do
        {
            if (measure.Length < Step) continue;
            var steps = Math.Clamp((int)(measure.Length / Step), 8, 20_000);
            var contour = new List<SKPoint>(steps);
            for (var n = 0; n < steps; n++)
                if (measure.GetPosition(measure.Length * n / steps, out var point)) contour.Add(point);
            if (contour.Count > 2) contours.Add(contour);
        }
        while (measure.NextContour());
        return contours;
    }

    private static double Size(List<SKPoint> contour)
    {
        var twice = 0.0;
        for (var n = 0; n < contour.Count; n++)
        {
            var (a, b) = (contour[n], contour[(n + 1) % contour.Count]);
            twice += ((double)a.X * b.Y) - ((double)b.X * a.Y);
        }
        return twice / 2;
    }

    private static Outline Closed(List<SKPoint> contour)
    {
        var pen = new Pen();
        var points = Fewer(contour);
        pen.Move(points[0].X, points[0].Y);
        foreach (var p in points.Skip(1)) pen.Line(p.X, p.Y);
        pen.Close();
        return pen.Done();
    }

    /// <summary>The same line without the points that lie on the way between their neighbours.</summary>
    private static List<SKPoint> Fewer(List<SKPoint> points)
    {
        const float Off = 0.02f;
        var kept = new List<SKPoint> { points[0] };
        for (var n = 1; n + 1 < points.Count; n++)
        {
            var (a, b, c) = (kept[^1], points[n], points[n + 1]);
            var (dx, dy) = (c.X - a.X, c.Y - a.Y);
            var long_ = MathF.Sqrt((dx * dx) + (dy * dy));
            var off = long_ == 0 ? 1 : Math.Abs((dx * (b.Y - a.Y)) - (dy * (b.X - a.X))) / long_;
            if (off > Off || long_ > 12 * Step) kept.Add(b);
        }
        kept.Add(points[^1]);
        return kept;
    }

    private static IEnumerable<Outline> Stretches(SKPath path, List<Seen> above)
    {
        using var measure = new SKPathMeasure(path, forceClosed: false, resScale: 8);
        do
        {
            var steps = Math.Clamp((int)(measure.Length / Step), 2, 20_000);
            var run = new List<SKPoint>();
            for (var n = 0; n <= steps; n++)
            {
                var there = measure.GetPosition(measure.Length * n / steps, out var p);
                if (there && !above.Any(a => a.Box.Contains(p) && a.Path.Contains(p.X, p.Y))) { run.Add(p); continue; }
                if (run.Count > 1) yield return Open(run);
                run = [];
            }
            if (run.Count > 1) yield return Open(run);
        }
        while (measure.NextContour());
    }

    private static Outline Open(List<SKPoint> run)
    {
        var pen = new Pen();
        var points = Fewer(run);
        pen.Move(points[0].X, points[0].Y);
        foreach (var p in points.Skip(1)) pen.Line(p.X, p.Y);
        return pen.Done();
    }
}
