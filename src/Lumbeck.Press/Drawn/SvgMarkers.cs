using System.Xml.Linq;

namespace Lumbeck.Press.Drawn;

/// <summary>
/// A corner of a shape, and which way the line runs there, in degrees: as it comes in, as it goes out, or between both.
/// </summary>
internal readonly record struct SvgCorner(double X, double Y, double Angle, string Place);

/// <summary>Where markers stand on a shape (SVG 2, 13.7).</summary>
internal static class SvgMarkers
{
    public const int Most = 2000;

    public static IEnumerable<SvgCorner> Corners(Outline shape)
    {
        var points = new List<(double X, double Y, double InX, double InY, double OutX, double OutY, bool Closes)>();
        double x = 0, y = 0, startX = 0, startY = 0;
        var (p, first) = (0, 0);
        (double X, double Y) next() => (shape.Points[p++], shape.Points[p++]);
        void out_(double tx, double ty)
        {
            if (points.Count == 0) return;
            var last = points[^1];
            points[^1] = last with { OutX = tx - last.X, OutY = ty - last.Y };
        }
        void to(double nx, double ny, double fromX, double fromY, bool closes = false)
        {
            points.Add((nx, ny, nx - fromX, ny - fromY, 0, 0, closes));
            (x, y) = (nx, ny);
        }
        foreach (var stroke in shape.Strokes)
            switch (stroke)
            {
                case PathVerb.Move:
                    (x, y) = next();
                    (startX, startY, first) = (x, y, points.Count);
                    points.Add((x, y, 0, 0, 0, 0, false));
                    break;
                case PathVerb.Line: { var (nx, ny) = next(); out_(nx, ny); to(nx, ny, x, y); break; }
                case PathVerb.Quad:
                    {
                        var (cx, cy) = next(); var (nx, ny) = next(); out_(cx, cy); to(nx, ny, cx, cy);
                        break;
                    }
                case PathVerb.Cubic:
                    var (a, b, n) = (next(), next(), next());
                    // A handle that lies on its own end says nothing of the way; the other one does.
                    var (away, into) = (a == (x, y) ? b : a, b == n ? a : b);
                    out_(away.X, away.Y);
                    to(n.X, n.Y, into.X, into.Y);
                    break;
                default:
                    out_(startX, startY);
                    to(startX, startY, x, y, closes: true);
                    // A closed part runs on at its end as it began.
                    points[^1] = points[^1] with { OutX = points[first].OutX, OutY = points[first].OutY };
                    points[first] = points[first] with { InX = points[^1].InX, InY = points[^1].InY };
                    break;
            }
        for (var i = 0; i < points.Count; i++)
        {
            var c = points[i];
            var place = i == 0 ? "marker-start" : i == points.Count - 1 ? "marker-end" : "marker-mid";
            yield return new(c.X, c.Y, Between(c.InX, c.InY, c.OutX, c.OutY), place);
        }
    }

    private static double Between(double inX, double inY, double outX, double outY)
    {
        var (into, away) = (Math.Atan2(inY, inX), Math.Atan2(outY, outX));
        if (inX == 0 && inY == 0) return away * 180 / Math.PI;
        if (outX == 0 && outY == 0) return into * 180 / Math.PI;
        var turn = away - into;
        if (turn > Math.PI) turn -= 2 * Math.PI;
        if (turn < -Math.PI) turn += 2 * Math.PI;
        return (into + (turn / 2)) * 180 / Math.PI;
    }

    /// <summary>A marker's own viewport, from its points to those of the shape it stands on.</summary>
    /// <param name="marker">The marker.</param>
    /// <param name="corner">Where it stands.</param>
    /// <param name="width">Of the line.</param>
    /// <param name="viewport">What lengths in percent are of.</param>
    public static (Affine Place, Bounds Window) Placed(XElement marker, SvgCorner corner, double width,
        SvgShapes viewport)
    {
        var orient = (string?)marker.Attribute("orient") ?? "0";
        var angle = orient switch
        {
            "auto" => corner.Angle,
            "auto-start-reverse" => corner.Angle + (corner.Place == "marker-start" ? 180 : 0),
            _ => SvgUnits.Number(orient.Replace("deg", "", StringComparison.Ordinal)),
        };
        var scale = (string?)marker.Attribute("markerUnits") == "userSpaceOnUse" ? 1 : width;
        var (w, h) = (viewport.Across((string?)marker.Attribute("markerWidth"), 3),
            viewport.Down((string?)marker.Attribute("markerHeight"), 3));
        var box = SvgUnits.ViewBox(marker);
        var fitted = box is { } b
            ? SvgUnits.Fitted(b, w, h, (string?)marker.Attribute("preserveAspectRatio"))
            : Affine.Identity;
        var window = box is { } shown ? Shown(shown, fitted, w, h) : new(0, 0, w, h);
        double reference(string name, double least, double most) => (string?)marker.Attribute(name) switch
        {
            null => 0,
            "left" or "top" => least,
            "center" => (least + most) / 2,
            "right" or "bottom" => most,
            var text => viewport.Any(text),
        };
        var (rx, ry) = fitted.At(reference("refX", window.Left, window.Right),
            reference("refY", window.Top, window.Bottom));
        var own = fitted.Then(Affine.Move(-rx, -ry)).Then(new Affine(scale, 0, 0, scale, 0, 0));
        return (own.Then(Affine.Rotate(angle)).Then(Affine.Move(corner.X, corner.Y)), window);
    }

    /// <summary>What of a viewBox's points lies in the viewport.</summary>
    private static Bounds Shown(Bounds box, Affine fitted, double w, double h)
    {
        var shown = fitted.Inverse().Of(new(0, 0, w, h));
        return shown.IsEmpty ? box : shown;
    }
}
