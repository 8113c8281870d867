using System.Text;

namespace Lumbeck.Press.Svg;

/// <summary>Short figures and path data for SVG.</summary>
public static class SvgText
{
    /// <summary>A figure to so many places, as short as it can be written.</summary>
    public static StringBuilder Figure(this StringBuilder s, double value, int places = 2)
    {
        var r = Math.Round(value, places);
        if (r == 0) return s.Append('0');
        Span<char> buffer = stackalloc char[32];
        r.TryFormat(buffer, out var n, "0.####", CultureInfo.InvariantCulture);
        var text = buffer[..n];
        if (text.StartsWith("0.")) text = text[1..];
        else if (text.StartsWith("-0.")) return s.Append('-').Append(text[2..]);
        return s.Append(text);
    }

    /// <summary>Path data in relative strokes; rounding never adds up along the path.</summary>
    public static StringBuilder Path(this StringBuilder s, Outline o, int places, double scaleY = 1)
    {
        double x = 0, y = 0, startX = 0, startY = 0;
        var p = 0;
        foreach (var stroke in o.Strokes)
        {
            var count = stroke switch { PathVerb.Close => 0, PathVerb.Quad => 2, PathVerb.Cubic => 3, _ => 1 };
            s.Append(stroke switch
            {
                PathVerb.Move => 'M',
                PathVerb.Line => 'l',
                PathVerb.Quad => 'q',
                PathVerb.Cubic => 'c',
                _ => 'z'
            });
            if (stroke == PathVerb.Close) { (x, y) = (startX, startY); continue; }
            double nx = x, ny = y;
            for (var i = 0; i < count; i++)
            {
                nx = Math.Round(o.Points[p++], places);
                ny = Math.Round(o.Points[p++] * scaleY, places);
                var (fx, fy) = stroke == PathVerb.Move ? (nx, ny) : (nx - x, ny - y);
                if (i > 0 && !Negative(fx)) s.Append(' ');
                s.Figure(fx, places);
                if (!Negative(fy)) s.Append(' ');
                s.Figure(fy, places);
            }
            (x, y) = (nx, ny);
            if (stroke == PathVerb.Move) (startX, startY) = (x, y);
        }
        return s;
        bool Negative(double v) => Math.Round(v, places) < 0;
    }

    public static StringBuilder Matrix(this StringBuilder s, Affine m)
    {
        if (m is { A: 1, B: 0, C: 0, D: 1 })
            return s.Append("translate(").Figure(m.E, 3).Append(' ').Figure(m.F, 3).Append(')');
        s.Append("matrix(").Figure(m.A, 4).Append(' ').Figure(m.B, 4).Append(' ').Figure(m.C, 4).Append(' ')
            .Figure(m.D, 4);
        return s.Append(' ').Figure(m.E, 3).Append(' ').Figure(m.F, 3).Append(')');
    }

    /// <summary>Text made safe for markup and quoted attributes.</summary>
    public static string Escape(string text) => System.Net.WebUtility.HtmlEncode(text);
}
