using System.Xml.Linq;
using SkiaSharp;

namespace Lumbeck.Press.Drawn;

// What is drawn along a shape: its stroke and its markers.
public sealed partial class SvgReading
{
    /// <summary>A line: a stroke where it keeps its width, else the shape it covers.</summary>
    private Mark? Stroke(Outline path, Affine at, SvgLook look, SvgShapes viewport)
    {
        var width = viewport.Any(look["stroke-width"]);
        if (width <= 0) return null;
        double[] dash = look["stroke-dasharray"] is "none" or ""
            ? []
            : [.. SvgUnits.Words(look["stroke-dasharray"], commas: true).Select(d => viewport.Any(d))];
        if (dash.Any(d => d < 0) || dash.Sum() <= 0) dash = [];
        if (dash.Length > 0 && dash.Sum() < width / 200) throw No("a line of it is broken finer than can be printed");
        if (dash.Length % 2 == 1) dash = [.. dash, .. dash];
        var like = new LineMark(path, width, Ink.Black)
        {
            Dash = [.. dash],
            DashFrom = dash.Length > 0 ? viewport.Any(look["stroke-dashoffset"]) : 0,
            Cap = look["stroke-linecap"] switch
            {
                "round" => LineCap.Round,
                "square" => LineCap.Square,
                _ => LineCap.Butt,
            },
            Join = look["stroke-linejoin"] switch
            {
                "round" => LineJoin.Round,
                "bevel" => LineJoin.Bevel,
                "miter" => LineJoin.Miter,
                var join => throw No($"corners of a line joined by `{join}` are not read: take miter, round or bevel"),
            },
            MiterLimit = Math.Max(1, SvgUnits.Number(look["stroke-miterlimit"])),
        };
        if (!Stretches(at) && _paints.Plain(look["stroke"], look) is { } plain)
            return plain.Ink is { } ink ? Moved.All([like with { Ink = ink }], at).Single() : null;
        return _paints.Filled(look["stroke"], look, SvgShapes.Stroked(path, like), path.Bounds, at, false, viewport);
    }

    /// <summary>
    /// Whether a placing makes what runs one way longer than what runs another, so that a line has no one width.
    /// </summary>
    private static bool Stretches(Affine at)
    {
        var (across, down) = (double.Hypot(at.A, at.B), double.Hypot(at.C, at.D));
        var leans = Math.Abs((at.A * at.C) + (at.B * at.D)) > 1e-6 * Math.Abs((at.A * at.D) - (at.B * at.C));
        return leans || Math.Abs(across - down) > 1e-4 * across;
    }

    private void Markers(Outline path, Affine at, SvgLook look, SvgShapes viewport, List<Mark> marks, int depth)
    {
        if (look["marker-start"] == "none" && look["marker-mid"] == "none" && look["marker-end"] == "none") return;
        if (depth > Deepest) throw No("its markers refer to each other without end");
        foreach (var corner in SvgMarkers.Corners(path))
        {
            if (look[corner.Place] == "none"
                || _document.Named(SvgPaints.Reference(look[corner.Place])
                    .Id) is not { Name.LocalName: "marker" } marker)
                continue;
            if (++_markers > SvgMarkers.Most)
                throw No($"it has more than {SvgMarkers.Most} markers: turn them to shapes");
            var (place, window) = SvgMarkers.Placed(marker, corner, viewport.Any(look["stroke-width"]), viewport);
            // A marker is styled where it stands in the file, not by the line it stands on.
            var style = SvgLook.Standing(marker, _sheet);
            var (wide, high) = (window.Right - window.Left, window.Bottom - window.Top);
            var drawn = new List<Mark>();
            Children(marker, place.Then(at), style, new((wide, high)), drawn, depth + 1);
            if (drawn.Count == 0) continue;
            if (style.Said("overflow") is "visible" or "auto") marks.AddRange(drawn);
            else marks.Add(new DrawingMark([.. drawn],
                Outline.Rectangle(window.Left, window.Top, wide, high).Under(place.Then(at))));
        }
    }
}
