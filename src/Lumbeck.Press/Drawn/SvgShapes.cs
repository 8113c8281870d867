using System.Xml.Linq;
using Lumbeck.Press.Plates;
using SkiaSharp;

namespace Lumbeck.Press.Drawn;

/// <summary>The basic shapes and paths of SVG 2 (9 and 10) as outlines in their own points.</summary>
/// <param name="viewport">What shares in percent are of.</param>
internal sealed class SvgShapes((double Wide, double High) viewport)
{
    public double Across(string? text, double otherwise = 0) => SvgUnits.Length(text, otherwise, viewport.Wide);
    public double Down(string? text, double otherwise = 0) => SvgUnits.Length(text, otherwise, viewport.High);
    /// <summary>A length that runs neither across nor down: a share is of the viewport's diagonal over √2.</summary>
    public double Any(string? text, double otherwise = 0) =>
        SvgUnits.Length(text, otherwise,
            Math.Sqrt(((viewport.Wide * viewport.Wide) + (viewport.High * viewport.High)) / 2));

    /// <summary>A shape's outline; null where it draws nothing or is none.</summary>
    public Outline? Of(XElement e, SvgLook look)
    {
        string? own(string name) => look.Said(name) ?? (string?)e.Attribute(name);
        switch (e.Name.LocalName)
        {
            case "path": return Data((string?)e.Attribute("d") ?? "");
            case "rect":
                return Rectangle(Across(own("x")), Down(own("y")), Across(own("width")), Down(own("height")),
                own("rx"), own("ry"));
            case "circle":
                return Any(own("r")) is > 0 and var r
                ? Ellipse(Across(own("cx")), Down(own("cy")), r, r)
                : null;
            case "ellipse":
                var (rx, ry) = (Across(own("rx"), double.NaN), Down(own("ry"), double.NaN));
                (rx, ry) = (double.IsNaN(rx) ? ry : rx, double.IsNaN(ry) ? rx : ry);
                return rx > 0 && ry > 0 ? Ellipse(Across(own("cx")), Down(own("cy")), rx, ry) : null;
            case "line":
                return Joined([Across(own("x1")), Down(own("y1")), Across(own("x2")), Down(own("y2"))],
                closed: false);
            case "polyline": return Joined(SvgUnits.Numbers((string?)e.Attribute("points") ?? ""), closed: false);
            case "polygon": return Joined(SvgUnits.Numbers((string?)e.Attribute("points") ?? ""), closed: true);
            default: return null;
        }
    }

    private static Outline Ellipse(double cx, double cy, double rx, double ry) =>
        ShapeDrawing.Ellipse(2 * rx, 2 * ry).Under(Affine.Move(cx - rx, cy - ry));

    private Outline? Rectangle(double x, double y, double w, double h, string? across, string? down)
    {
        if (w <= 0 || h <= 0) return null;
        // A radius that is not said is the other's; none is larger than half its side (SVG 2, 10.2).
        var (rx, ry) = (Across(across, double.NaN), Down(down, double.NaN));
        (rx, ry) = (double.IsNaN(rx) ? ry : rx, double.IsNaN(ry) ? rx : ry);
        if (!(rx > 0 && ry > 0)) return Outline.Rectangle(x, y, w, h);
        (rx, ry) = (Math.Min(rx, w / 2), Math.Min(ry, h / 2));
        const double k = 1 - 0.5522847498307936;
        var pen = new Pen();
        pen.Move(x + rx, y);
        pen.Line(x + w - rx, y);
        pen.Cubic(x + w - (k * rx), y, x + w, y + (k * ry), x + w, y + ry);
        pen.Line(x + w, y + h - ry);
        pen.Cubic(x + w, y + h - (k * ry), x + w - (k * rx), y + h, x + w - rx, y + h);
        pen.Line(x + rx, y + h);
        pen.Cubic(x + (k * rx), y + h, x, y + h - (k * ry), x, y + h - ry);
        pen.Line(x, y + ry);
        pen.Cubic(x, y + (k * ry), x + (k * rx), y, x + rx, y);
        pen.Close();
        return pen.Done();
    }

    private static Outline? Joined(double[] points, bool closed)
    {
        if (points.Length < 4) return null;
        var pen = new Pen();
        pen.Move(points[0], points[1]);
        for (var i = 2; i + 1 < points.Length; i += 2) pen.Line(points[i], points[i + 1]);
        if (closed) pen.Close();
        return pen.Done();
    }

    /// <summary>Path data; arcs come as the curves that draw them.</summary>
    private static Outline? Data(string d)
    {
        if (string.IsNullOrWhiteSpace(d) || d.Trim() == "none") return null;
        using var path = SKPath.ParseSvgPathData(d) ?? throw SvgReading.No("a path of it can’t be read");
        return Of(path);
    }

    /// <summary>A path of Skia's as an outline.</summary>
    public static Outline Of(SKPath path)
    {
        var pen = new Pen();
        using var walk = path.CreateRawIterator();
        var p = new SKPoint[4];
        for (var verb = walk.Next(p); verb != SKPathVerb.Done; verb = walk.Next(p))
            switch (verb)
            {
                case SKPathVerb.Move: pen.Move(p[0].X, p[0].Y); break;
                case SKPathVerb.Line: pen.Line(p[1].X, p[1].Y); break;
                case SKPathVerb.Quad: pen.Quad(p[1].X, p[1].Y, p[2].X, p[2].Y); break;
                case SKPathVerb.Cubic: pen.Cubic(p[1].X, p[1].Y, p[2].X, p[2].Y, p[3].X, p[3].Y); break;
                case SKPathVerb.Conic:
                    var quads = SKPath.ConvertConicToQuads(p[0], p[1], p[2], walk.ConicWeight(), 2);
                    for (var i = 1; i + 1 < quads.Length; i += 2)
                        pen.Quad(quads[i].X, quads[i].Y, quads[i + 1].X, quads[i + 1].Y);
                    break;
                case SKPathVerb.Close: pen.Close(); break;
            }
        return pen.Done();
    }

    /// <summary>What a line of this width and manner covers, in the shape's own points.</summary>
    public static Outline Stroked(Outline shape, LineMark like)
    {
        // Finer than the line is wide, so that its curves stay curves once they are carried far.
        var fine = (float)Math.Clamp(2000 / Math.Max(1e-6,
            Math.Max(shape.Bounds.Right - shape.Bounds.Left, shape.Bounds.Bottom - shape.Bounds.Top)),
            1, 1000);
        using var path = SkiaPath.Of(shape, Affine.Identity);
        using var paint = SkiaPath.Stroked(like, 1);
        using var covered = paint.GetFillPath(path, fine);
        return covered is null ? new([], []) : Of(covered);
    }
}
