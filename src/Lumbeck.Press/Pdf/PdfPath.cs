using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Pdf;

/// <summary>Outlines and lines as a page's content has them (ISO 32000-1, 8.4.3 and 8.5).</summary>
internal static class PdfPath
{
    /// <summary>Sets out an outline as a path; what is done with it follows.</summary>
    public static void Write(ContentWriter s, Outline o, Affine m)
    {
        var p = 0;
        double x = 0, y = 0;
        (double X, double Y) Next() => m.At(o.Points[p++], o.Points[p++]);
        foreach (var stroke in o.Strokes)
            switch (stroke)
            {
                case PathVerb.Move: (x, y) = Next(); s.Op(Operator.MoveTo, x, y).Break(); break;
                case PathVerb.Line: (x, y) = Next(); s.Op(Operator.LineTo, x, y).Break(); break;
                case PathVerb.Quad:
                    // A quad is the cubic whose handles lie two thirds of the way to its own.
                    var (qx, qy) = Next();
                    var (ex, ey) = Next();
                    s.Op(Operator.CurveTo, x + ((qx - x) * 2 / 3), y + ((qy - y) * 2 / 3), ex + ((qx - ex) * 2 / 3),
                        ey + ((qy - ey) * 2 / 3), ex, ey).Break();
                    (x, y) = (ex, ey);
                    break;
                case PathVerb.Cubic:
                    var (ax, ay) = Next();
                    var (bx, by) = Next();
                    (x, y) = Next();
                    s.Op(Operator.CurveTo, ax, ay, bx, by, x, y).Break();
                    break;
                default: s.Op(Operator.ClosePath).Break(); break;
            }
    }

    /// <summary>Draws a line with its joins, ends and dashes (8.4.3).</summary>
    public static void Line(ContentWriter s, LineMark l, Affine toPage)
    {
        var join = l.Join switch { LineJoin.Miter => 0, LineJoin.Round => 1, _ => 2 };
        s.Op(Operator.LineWidth, l.Width).Op(Operator.LineJoin, join);
        if (l.Join == LineJoin.Miter) s.Op(Operator.MiterLimit, l.MiterLimit);
        if (l.Cap != LineCap.Butt) s.Op(Operator.LineCap, l.Cap == LineCap.Round ? 1 : 2);
        s.Break();
        var dashed = l.Dash.Length > 0;
        if (dashed) s.Dash(l.Dash.AsSpan(), l.DashFrom).Break();
        Write(s, l.Shape, toPage);
        s.Op(Operator.Stroke).Break();
        if (l.Cap != LineCap.Butt) s.Op(Operator.LineCap, 0).Break();
        if (dashed) s.Dash([]).Break();
    }
}
