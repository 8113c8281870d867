using System.Text;

namespace Lumbeck.Press.Pdf;

/// <summary>Outlines and lines as a page's content has them (ISO 32000-1, 8.4.3 and 8.5).</summary>
internal static class PdfPath
{
    /// <summary>Sets out an outline as a path; what is done with it follows.</summary>
    public static void Write(StringBuilder s, Outline o, Affine m)
    {
        var p = 0;
        double x = 0, y = 0;
        (double X, double Y) Next() => m.At(o.Points[p++], o.Points[p++]);
        void Put(params ReadOnlySpan<double> figures)
        {
            foreach (var f in figures) s.Append(PdfSyntax.Figure(f)).Append(' ');
        }
        foreach (var stroke in o.Strokes)
            switch (stroke)
            {
                case PathVerb.Move: (x, y) = Next(); Put(x, y); s.Append("m\n"); break;
                case PathVerb.Line: (x, y) = Next(); Put(x, y); s.Append("l\n"); break;
                case PathVerb.Quad:
                    // A quad is the cubic whose handles lie two thirds of the way to its own.
                    var (qx, qy) = Next();
                    var (ex, ey) = Next();
                    Put(x + ((qx - x) * 2 / 3), y + ((qy - y) * 2 / 3), ex + ((qx - ex) * 2 / 3),
                        ey + ((qy - ey) * 2 / 3), ex, ey);
                    s.Append("c\n");
                    (x, y) = (ex, ey);
                    break;
                case PathVerb.Cubic:
                    var (ax, ay) = Next();
                    var (bx, by) = Next();
                    (x, y) = Next();
                    Put(ax, ay, bx, by, x, y);
                    s.Append("c\n");
                    break;
                default: s.Append("h\n"); break;
            }
    }

    /// <summary>Draws a line with its joins, ends and dashes (8.4.3).</summary>
    public static void Line(StringBuilder s, LineMark l, Affine toPage)
    {
        var join = l.Join switch { LineJoin.Miter => 0, LineJoin.Round => 1, _ => 2 };
        s.Append(PdfSyntax.Figure(l.Width)).Append(" w ").Append(join).Append(" j");
        if (l.Join == LineJoin.Miter) s.Append(' ').Append(PdfSyntax.Figure(l.MiterLimit)).Append(" M");
        if (l.Cap != LineCap.Butt) s.Append(l.Cap == LineCap.Round ? " 1 J" : " 2 J");
        s.Append('\n');
        var dashed = l.Dash.Length > 0;
        if (dashed)
            s.Append('[').AppendJoin(' ',
                l.Dash.Select(PdfSyntax.Figure)).Append("] ").Append(PdfSyntax.Figure(l.DashFrom))
                .Append(" d\n");
        Write(s, l.Shape, toPage);
        s.Append("S\n");
        if (l.Cap != LineCap.Butt) s.Append("0 J\n");
        if (dashed) s.Append("[] 0 d\n");
    }
}
