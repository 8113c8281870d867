using System.Xml.Linq;
using Lumbeck.Press.Plates;
using SkiaSharp;

namespace Lumbeck.Press.Drawn;

/// <summary>Clipping paths (CSS Masking 1, 5): what a clipPath's shapes cover together, as one shape.</summary>
/// <param name="document">The file.</param>
/// <param name="sheet">Its style sheets.</param>
internal sealed class SvgClips(SvgDocument document, SvgSheet sheet)
{
    private const int Deepest = 8, MostShapes = 500;

    /// <summary>What a clip lets through, in the drawing's points.</summary>
    /// <param name="url">As it was written.</param>
    /// <param name="box">The box of what is clipped, in its own points; null where that is not known.</param>
    /// <param name="at">From those points to the drawing's.</param>
    /// <param name="viewport">What lengths in percent are of.</param>
    /// <param name="depth">How many clips lie in each other.</param>
    public SKPath Of(string url, Bounds? box, Affine at, SvgShapes viewport, int depth = 0)
    {
        if (depth > Deepest) throw SvgReading.No("its clips clip each other without end");
        if (!url.StartsWith("url(", StringComparison.Ordinal))
            throw SvgReading.No($"it is clipped by `{LengthText.Clip(url)}`, which is not read: clip it by a shape");
        if (document.Named(SvgPaints.Reference(url).Id) is not { Name.LocalName: "clipPath" } clip)
            throw SvgReading.No("it is clipped by what is not in it");
        var look = SvgLook.Standing(clip, sheet);
        var own = SvgUnits.Placing(look.Said("transform")).Then(at);
        if ((string?)clip.Attribute("clipPathUnits") == "objectBoundingBox")
        {
            if (box is not { IsEmpty: false } b)
                throw SvgReading.No("it is clipped by shares of a box that is not known");
            own = SvgUnits.Placing(look.Said("transform"))
                .Then(new Affine(b.Right - b.Left, 0, 0, b.Bottom - b.Top, b.Left, b.Top)).Then(at);
        }
        var all = new SKPath();
        var shapes = 0;
        foreach (var e in clip.Elements().Where(SvgDocument.IsSvg)) Add(e, own, look);
        if (look.Said("clip-path") is { } within and not "none")
        {
            using var other = Of(within, box, at, viewport, depth + 1);
            all = Both(all, other, SKPathOp.Intersect);
        }
        return all;

        void Add(XElement e, Affine place, SvgLook parent)
        {
            var style = parent.Of(e, sheet);
            if (style["display"] == "none") return;
            if (e.Name.LocalName == "text") throw SvgDocument.HasText(e, "that clips");
            var placed = SvgUnits.Placing(style.Said("transform")).Then(place);
            if (e.Name.LocalName == "use")
            {
                // A clip's use leads to a shape, not to a group (CSS Masking 1, 5.1).
                if (document.Referred(e) is not { Name.LocalName: not ("use" or "g" or "symbol" or "svg") } used)
                    return;
                Add(used, Affine.Move(viewport.Across(style.Said("x")), viewport.Down(style.Said("y"))).Then(placed),
                    style);
                return;
            }
            if (viewport.Of(e, style) is not { } shape || style["visibility"] != "visible") return;
            if (++shapes > MostShapes)
                throw SvgReading.No($"a clip of it has more than {MostShapes} shapes: simplify it");
            var path = SkiaPath.Of(shape, placed, style["clip-rule"] == "evenodd");
            if (style.Said("clip-path") is { } inner and not "none")
            {
                using var other = Of(inner, shape.Bounds, placed, viewport, depth + 1);
                path = Both(path, other, SKPathOp.Intersect);
            }
            all = shapes == 1 ? path : Both(all, path, SKPathOp.Union);
        }
    }

    /// <exception cref="Refusal">The two can't be reckoned together.</exception>
    private static SKPath Both(SKPath one, SKPath other, SKPathOp how) =>
        one.Op(other, how) ?? throw SvgReading.No("a clip of it can’t be reckoned: clip it by one plain shape");
}
