using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Drawing;

/// <summary>Shapes as marks, in points from their box's corner.</summary>
public static class ShapeDrawing
{
    /// <param name="item">The shape.</param>
    /// <param name="w">Width of its box in points.</param>
    /// <param name="h">Height of its box in points.</param>
    /// <param name="beyond">How far its box lies outside the face on each side, in points: a frame is measured from the face.</param>
    /// <param name="swatches">The job's.</param>
    public static IEnumerable<Mark> Draw(ShapeItem item, double w, double h, Bounds beyond, IReadOnlyList<Swatch> swatches)
    {
        var line = item.Line is { } l && item.LineWidth > Length.Zero ? l.Resolve(swatches) : (Ink?)null;
        var weight = item.LineWidth.Points;
        if (item is LineItem straight)
        {
            if (line is { } ink) yield return new LineMark(Straight(0, h / 2, w, h / 2), weight, ink) { Dash = Broken(straight.Dash, weight) };
            yield break;
        }
        var shape = Of(item, w, h, beyond);
        if (item.Fill is { } fill) yield return new FillMark(shape, fill.Resolve(swatches));
        if (item is PictureItem pictured && PicturePlacing.Of(pictured, w, h) is { } place) yield return new PictureMark(pictured.Picture!, place, shape);
        if (line is { } edge) yield return new LineMark(shape, weight, edge);
        if (item is PlateItem plate && line is { } fine)
        {
            var inner = plate.Inner.Points;
            if (inner > 0 && 2 * inner < Math.Min(w, h)) yield return new LineMark(Outline.Rounded(inner, inner, w - (2 * inner), h - (2 * inner), Math.Max(0, plate.Corner.Points - inner)), weight / 2, fine);
            for (var n = 1; n <= plate.Rules; n++)
                yield return new LineMark(Straight(w * 0.1, h * (0.5 + (0.42 * n / plate.Rules)), w * 0.9, h * (0.5 + (0.42 * n / plate.Rules))), weight / 2, fine);
        }
    }

    /// <summary>A shape's edge. Of a frame it is two: the outer, and the inner the other way round, so that what lies between is filled by either rule.</summary>
    public static Outline Of(ShapeItem item, double w, double h, Bounds beyond) => item switch
    {
        EllipseItem => Ellipse(w, h),
        PolygonItem p => Polygon(p, w, h),
        FrameItem f => Frame(f, w, h, beyond),
        ICornered c => Outline.Rounded(0, 0, w, h, c.Corner.Points),
        _ => Outline.Rectangle(0, 0, w, h),
    };

    private static Outline Straight(double x1, double y1, double x2, double y2)
    {
        var pen = new Pen();
        pen.Move(x1, y1);
        pen.Line(x2, y2);
        return pen.Done();
    }

    private static ImmutableArray<double> Broken(Dash dash, double weight) => dash switch
    {
        Dash.Dashed => [4 * weight, 3 * weight],
        Dash.Dotted => [weight, 2 * weight],
        _ => [],
    };

    /// <summary>Four cubics, 0.03 % off an ellipse.</summary>
    private static Outline Ellipse(double w, double h)
    {
        const double k = 0.5522847498307936;
        var (x, y) = (w / 2, h / 2);
        var pen = new Pen();
        pen.Move(w, y);
        pen.Cubic(w, y + (k * y), x + (k * x), h, x, h);
        pen.Cubic(x - (k * x), h, 0, y + (k * y), 0, y);
        pen.Cubic(0, y - (k * y), x - (k * x), 0, x, 0);
        pen.Cubic(x + (k * x), 0, w, y - (k * y), w, y);
        pen.Close();
        return pen.Done();
    }

    private static Outline Polygon(PolygonItem item, double w, double h)
    {
        var star = item.Waist > 0;
        var count = star ? 2 * item.Corners : item.Corners;
        var pen = new Pen();
        for (var i = 0; i < count; i++)
        {
            var (sin, cos) = Math.SinCos(2 * Math.PI * i / count);
            var out_ = star && i % 2 == 1 ? (double)item.Waist / 100 : 1;
            var (x, y) = ((w / 2) + (w / 2 * sin * out_), (h / 2) - (h / 2 * cos * out_));
            if (i == 0) pen.Move(x, y); else pen.Line(x, y);
        }
        pen.Close();
        return pen.Done();
    }

    private static Outline Frame(FrameItem item, double w, double h, Bounds beyond)
    {
        var t = item.Thickness.Points;
        var (l, u, r, d) = (beyond.Left + t, beyond.Top + t, w - beyond.Right - t, h - beyond.Bottom - t);
        var outer = Outline.Rectangle(0, 0, w, h);
        if (r <= l || d <= u) return outer;
        var inner = Outline.Rounded(0, 0, r - l, d - u, item.Corner.Points);
        // The inner edge is drawn in a mirror, so that it runs against the outer.
        return new([.. outer.Strokes, .. inner.Strokes], [.. outer.Points, .. inner.Points.Select((p, i) => i % 2 == 0 ? r - p : u + p)]);
    }
}
