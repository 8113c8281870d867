using System.Xml.Linq;

namespace Lumbeck.Press.Drawn;

/// <summary>What shapes are painted with: a colour, or a gradient of the file (SVG 2, 13 and 14).</summary>
/// <param name="document">The file.</param>
/// <param name="sheet">Its style sheets.</param>
/// <param name="ink">The mix that a screen's colour becomes.</param>
internal sealed class SvgPaints(SvgDocument document, SvgSheet sheet, Func<AskedRgb, Ink> ink)
{
    private const int MostStops = 60, MostRounds = 120;

    /// <summary>A covered shape in a paint; null where that leaves nothing.</summary>
    /// <param name="paint">As it was written.</param>
    /// <param name="look">What it was written in, for the current colour.</param>
    /// <param name="covered">What is painted, in the shape's own points.</param>
    /// <param name="box">The shape's own box, which a gradient's shares are of.</param>
    /// <param name="at">From the shape's points to the drawing's.</param>
    /// <param name="evenOdd">How it is filled.</param>
    /// <param name="viewport">What lengths in percent are of.</param>
    public Mark? Filled(string paint, SvgLook look, Outline covered, Bounds box, Affine at, bool evenOdd,
        SvgShapes viewport)
    {
        if (Plain(paint, look) is { } plain)
            return plain.Ink is { } own ? new FillMark(covered.Under(at), own) { EvenOdd = evenOdd } : null;
        var (id, otherwise) = Reference(paint);
        if (document.Named(id) is not { Name.LocalName: "linearGradient" or "radialGradient" } g)
        {
            if (otherwise.Length == 0)
                throw SvgReading.No($"what it is painted with, `{LengthText.Clip(id)}`, is not in it");
            return Filled(otherwise, look, covered, box, at, evenOdd, viewport);
        }
        return Graded(g, box, covered.Bounds, viewport) switch
        {
            Gradient shade => new GradientMark(covered.Under(at), shade.Transformed(at)) { EvenOdd = evenOdd },
            Ink one => new FillMark(covered.Under(at), one) { EvenOdd = evenOdd },
            _ => null,
        };
    }

    /// <summary>
    /// One ink that is laid everywhere; null where a gradient is asked for, and none where nothing is painted.
    /// </summary>
    public (Ink? Ink, bool Any)? Plain(string paint, SvgLook look)
    {
        if (paint is "none") return (null, false);
        if (paint.StartsWith("url(", StringComparison.Ordinal)) return null;
        if (paint is "context-fill" or "context-stroke")
            throw SvgReading.No($"`{paint}` is not read: paint its markers themselves");
        var colour = SvgColours.Read(paint.Equals("currentcolor", StringComparison.OrdinalIgnoreCase) ? look["color"]
            : paint);
        return colour is null ? (null, false) : (ink(colour), true);
    }

    /// <summary>The name within <c>url(#…)</c>, and what is taken where nothing has it.</summary>
    public static (string Id, string Otherwise) Reference(string url)
    {
        var end = url.IndexOf(')', StringComparison.Ordinal);
        if (!url.StartsWith("url(", StringComparison.Ordinal) || end < 0)
            throw SvgReading.No($"`{LengthText.Clip(url)}` can’t be read");
        var id = url[4..end].Trim(' ', '\'', '"');
        if (!id.StartsWith('#')) throw SvgReading.No($"it reaches outside its own file, for `{LengthText.Clip(id)}`");
        return (id, url[(end + 1)..].Trim());
    }

    /// <summary>A gradient over a box: a run, one ink, or null where it paints nothing.</summary>
    private object? Graded(XElement g, Bounds box, Bounds covered, SvgShapes viewport)
    {
        // What a gradient does not say, the one it refers to may.
        var chain = new List<XElement> { g };
        while (chain.Count < 8
            && document.Referred(chain[^1]) is { Name.LocalName: "linearGradient" or "radialGradient" } next
            && !chain.Contains(next))
            chain.Add(next);
        string? says(string name) => chain.Select(c => (string?)c.Attribute(name)).FirstOrDefault(v => v is not null);
        var stops = Stops(chain);
        if (stops.Length == 0) return null;
        if (stops.Length == 1) return stops[0].Ink;
        var user = says("gradientUnits") == "userSpaceOnUse";
        if (!user && (box.Right <= box.Left || box.Bottom <= box.Top)) return null;
        var unit = user
            ? Affine.Identity
            : new Affine(box.Right - box.Left, 0, 0, box.Bottom - box.Top, box.Left, box.Top);
        var way = SvgUnits.Placing(says("gradientTransform")).Then(unit);
        double across(string name, string otherwise) =>
            user ? viewport.Across(says(name) ?? otherwise) : SvgUnits.Length(says(name) ?? otherwise, 0, 1);
        double down(string name, string otherwise) =>
            user ? viewport.Down(says(name) ?? otherwise) : SvgUnits.Length(says(name) ?? otherwise, 0, 1);
        Gradient shade;
        if (g.Name.LocalName == "linearGradient")
        {
            shade = new(false, across("x1", "0%"), down("y1", "0%"), across("x2", "100%"), down("y2", "0%"), stops);
            if (shade.X0 == shade.X1 && shade.Y0 == shade.Y1) return stops[^1].Ink;
        }
        else
        {
            var (cx, cy, r) = (across("cx", "50%"), down("cy", "50%"),
                user ? viewport.Any(says("r") ?? "50%") : SvgUnits.Length(says("r") ?? "50%", 0, 1));
            if (r <= 0) return stops[^1].Ink;
            var (fx, fy) = (says("fx") is null ? cx : across("fx", "50%"), says("fy") is null ? cy : down("fy", "50%"));
            if (says("fr") is { } fr && SvgUnits.Length(fr, 0, 1) > 0)
                throw SvgReading.No("a round gradient of it begins at a circle (`fr`), which is not read");
            if (((fx - cx) * (fx - cx)) + ((fy - cy) * (fy - cy)) >= r * r * 0.999)
                throw SvgReading.No("a round gradient of it begins outside its own circle, which is not read");
            shade = new(true, cx, cy, cx + r, cy, stops) { Focus = fx == cx && fy == cy ? null : (fx, fy) };
        }
        shade = Spread(shade, says("spreadMethod") ?? "pad", covered, way);
        return shade.Transformed(way);
    }

    private ImmutableArray<(double At, Ink Ink)> Stops(List<XElement> chain)
    {
        var stops = chain.Select(c => c.Elements().Where(s => s.Name.LocalName == "stop").ToList())
            .FirstOrDefault(s => s.Count > 0)
            ?? [];
        if (stops.Count > MostStops)
            throw SvgReading.No($"a gradient of it has {stops.Count} colours: up to {MostStops}");
        var before = 0.0;
        return
        [
            .. stops.Select(s =>
            {
                var look = SvgLook.Standing(s, sheet);
                if (SvgUnits.Share(look.Said("stop-opacity"), 1) < 0.999) throw SeeThrough();
                before = Math.Clamp(SvgUnits.Share((string?)s.Attribute("offset"), 0), before, 1);
                var said = look.Said("stop-color") ?? "black";
                var own = said.Equals("currentcolor", StringComparison.OrdinalIgnoreCase) ? look["color"] : said;
                return (before, ink(SvgColours.Read(own) ?? throw SeeThrough()));
            }),
        ];
    }

    private static Refusal SeeThrough() =>
        SvgReading.No("a gradient of it is see-through: mix its colours, or save it as a PNG");

    /// <summary>
    /// A gradient that goes on past its ends, by its mirror image or again from its start (SVG 2, 14.2.4), as one run
    /// over all that is covered.
    /// </summary>
    private static Gradient Spread(Gradient shade, string how, Bounds covered, Affine way)
    {
        if (how is not ("reflect" or "repeat")) return shade;
        var back = way.Inverse();
        var (least, most) = (0.0, 1.0);
        foreach (var x in (double[])[covered.Left, covered.Right])
            foreach (var y in (double[])[covered.Top, covered.Bottom])
            {
                var (px, py) = back.At(x, y);
                var t = shade.Along(px, py);
                (least, most) = (Math.Min(least, t), Math.Max(most, t));
            }
        var (from, to) = (shade.IsRadial ? 0 : (int)Math.Floor(least - 1e-9), (int)Math.Ceiling(most + 1e-9));
        if (to - from > MostRounds)
            throw SvgReading.No("a gradient of it is laid again more often than can be printed: make it longer");
        var stops = ImmutableArray.CreateBuilder<(double, Ink)>();
        for (var round = from; round < to; round++)
        {
            var mirrored = how == "reflect" && (round & 1) != 0;
            // Its ends belong to it: before the first stop and after the last nothing changes.
            List<(double At, Ink Ink)> own = [(0, shade.Stops[0].Ink), .. shade.Stops, (1, shade.Stops[^1].Ink)];
            if (mirrored) own = [.. own.AsEnumerable().Reverse().Select(s => (1 - s.At, s.Ink))];
            foreach (var (at, ink) in own) stops.Add(((round + at - from) / (to - from), ink));
        }
        if (!shade.IsRadial)
        {
            var (dx, dy) = (shade.X1 - shade.X0, shade.Y1 - shade.Y0);
            return shade with
            {
                X0 = shade.X0 + (from * dx),
                Y0 = shade.Y0 + (from * dy),
                X1 = shade.X0 + (to * dx),
                Y1 = shade.Y0 + (to * dy),
                Stops = stops.ToImmutable(),
            };
        }
        // Circles go on growing from the focus as they grew to the first.
        var (fx, fy) = shade.Focus ?? (shade.X0, shade.Y0);
        var (cx, cy) = (fx + (to * (shade.X0 - fx)), fy + (to * (shade.Y0 - fy)));
        var r = to * double.Hypot(shade.X1 - shade.X0, shade.Y1 - shade.Y0);
        return shade with { X0 = cx, Y0 = cy, X1 = cx + r, Y1 = cy, Stops = stops.ToImmutable() };
    }
}
