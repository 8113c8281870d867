using System.Text;
using Lumbeck.Press.Colour;

namespace Lumbeck.Press.Svg;

/// <summary>
/// Zones as patterns in one ink: bleed a fine 45° hatch, folds dash-dot, safe limits corner ticks joined by sparse
/// dots,
/// barcode room dotted with a bar glyph, score cross-hatched, trim a hairline. Never part of a cover.
/// </summary>
public static class ZoneSvg
{
    /// <summary>
    /// The patterns, once a drawing; <paramref name="prefix"/> keeps several drawings on one page apart.
    /// </summary>
    public static string Patterns(string prefix) =>
        InkPatterns(prefix, "light", LightInk) + InkPatterns(prefix, "dark", DarkInk);

    private const string LightInk = "#f6f2e4", DarkInk = "#1d2a25";

    // A pattern takes its colour where it is defined, not where it is used: hence one for each ink.
    private static string InkPatterns(string prefix, string ink, string colour) =>
        $"""<pattern id="{prefix}-hatch-{ink}" width="4" height="4" {Aslant}>""" +
        $"""<path d="M0 0v4" stroke="{colour}"/></pattern>""" +
        $"""<pattern id="{prefix}-cross-{ink}" width="5" height="5" {Aslant}>""" +
        $"""<path d="M0 0v5M0 0h5" stroke="{colour}" stroke-width=".7"/></pattern>""";

    private const string Aslant = "patternUnits=\"userSpaceOnUse\" patternTransform=\"rotate(45)\"";

    /// <summary>A rectangle of fine hatch, for what is cut away.</summary>
    public static StringBuilder Hatch(this StringBuilder s, string prefix, bool light) =>
        s.Append("<rect fill-opacity=\".6\" fill=\"url(#").Append(prefix)
            .Append(light ? "-hatch-light)\"" : "-hatch-dark)\"");

    /// <summary>All zones of a sheet.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="prefix">As given to the patterns.</param>
    /// <param name="light">Whether a panel's zones want light ink, by what lies under them.</param>
    public static string Zones(Surface sheet, string prefix, Func<Part, bool> light)
    {
        var s = new StringBuilder();
        s.Append(Group(light(Part.Sheet)));
        foreach (var bleed in sheet.Zones.Where(z => z.Kind == ZoneKind.Bleed))
            s.Hatch(prefix, light(Part.Sheet)).Append(" class=\"z-bleed\"").Rect(bleed.Box).Append("/>");
        s.Append("<rect class=\"z-trim\" fill=\"none\" stroke=\"currentColor\" stroke-width=\".8\" " +
            "vector-effect=\"non-scaling-stroke\"")
            .Rect(sheet.Trim).Append("/>");
        foreach (var fold in sheet.Folds)
            s.Append("<path class=\"z-fold\" fill=\"none\" stroke=\"currentColor\" stroke-width=\"1\" " +
                "stroke-dasharray=\"9 3 1.5 3\" vector-effect=\"non-scaling-stroke\" d=\"M")
                .Figure(fold.Points).Append(" 0V").Figure(sheet.Size.Height.Points).Append("\"/>");
        s.Append("</g>");
        foreach (var panel in sheet.Panels)
        {
            s.Append(Group(light(panel.Part)));
            if (panel.Part != Part.Spine || panel.CarriesText) Safe(s, panel.Safe);
            foreach (var zone in sheet.Zones.Where(z => z.Panel == panel.Part))
                if (zone.Kind == ZoneKind.Barcode) Barcode(s, zone.Box);
                else if (zone.Kind is ZoneKind.Score or ZoneKind.Hinge or ZoneKind.Punch)
                    s.Append("<rect class=\"z-worked\" fill=\"url(#").Append(prefix)
                        .Append(light(panel.Part) ? "-cross-light)\"" : "-cross-dark)\"").Rect(zone.Box).Append("/>");
            s.Append("</g>");
        }
        return s.ToString();
    }

    /// <summary>Corner ticks joined by sparse dots.</summary>
    public static void Safe(StringBuilder s, Box box)
    {
        var (l, t, r, b) = (box.X.Points, box.Y.Points, box.Right.Points, box.Bottom.Points);
        var tick = Math.Min(14, Math.Min(r - l, b - t) / 3);
        s.Append("<path class=\"z-safe\" fill=\"none\" stroke=\"currentColor\" stroke-width=\"1\" " +
            "stroke-opacity=\".75\" stroke-dasharray=\"1 5\" vector-effect=\"non-scaling-stroke\" d=\"M")
            .Figure(l).Append(' ').Figure(t).Append('H').Figure(r).Append('V').Figure(b).Append('H').Figure(l)
            .Append("z\"/>");
        s.Append("<path class=\"z-safe\" fill=\"none\" stroke=\"currentColor\" stroke-width=\"1.4\" " +
            "vector-effect=\"non-scaling-stroke\" d=\"");
        foreach (var (x, y, dx, dy) in (ReadOnlySpan<(double, double, double, double)>)[(l, t, tick, tick),
            (r, t, -tick, tick), (r, b, -tick, -tick), (l, b, tick, -tick)])
            s.Append('M').Figure(x + dx).Append(' ').Figure(y).Append('H').Figure(x).Append('V').Figure(y + dy);
        s.Append("\"/>");
    }

    /// <summary>
    /// Whether what lies under a box is dark, so that zones on it want light ink: judged on the ground and filled
    /// rectangles, at points round its edge.
    /// </summary>
    public static bool WantsLight(Scene scene, Box box, IScreenColour colour)
    {
        var (l, t, r, b) = (box.X.Points, box.Y.Points, box.Right.Points, box.Bottom.Points);
        var (cx, cy) = ((l + r) / 2, (t + b) / 2);
        var sum = 0.0;
        ReadOnlySpan<(double X, double Y)> points = [(l, t), (cx, t), (r, t), (l, cy), (r, cy), (l, b), (cx, b),
            (r, b)];
        foreach (var (x, y) in points) sum += Luminance(colour.Hex(Under(scene, x, y)));
        return sum / points.Length < 0.3;
    }

    private static Ink Under(Scene scene, double x, double y)
    {
        for (var i = scene.Items.Length - 1; i >= 0; i--)
        {
            var f = scene.Items[i].Frame;
            if (x < f.Left || x > f.Right || y < f.Top || y > f.Bottom) continue;
            if (scene.Items[i].Mixes) continue;
            foreach (var mark in scene.Items[i].Marks) if (mark is FillMark fill) return fill.Ink;
        }
        return Ink.White;
    }

    /// <summary>Relative luminance of an sRGB colour (WCAG 2.2).</summary>
    private static double Luminance(string hex)
    {
        double Channel(int at)
        {
            var v = int.Parse(hex.AsSpan(at, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture) / 255.0;
            return v <= 0.04045 ? v / 12.92 : Math.Pow((v + 0.055) / 1.055, 2.4);
        }
        return (0.2126 * Channel(1)) + (0.7152 * Channel(3)) + (0.0722 * Channel(5));
    }

    private static void Barcode(StringBuilder s, Box box)
    {
        s.Append("<rect class=\"z-room\" fill=\"none\" stroke=\"currentColor\" stroke-width=\"1.2\" " +
            "stroke-dasharray=\"2 3\" vector-effect=\"non-scaling-stroke\"")
            .Rect(box).Append("/>");
        s.Append("<path class=\"z-room\" stroke=\"currentColor\" stroke-width=\"1.2\" d=\"");
        for (var i = 0; i < 4; i++)
            s.Append('M').Figure(box.X.Points - 13 + (i * 2.8)).Append(' ').Figure(box.Y.Points).Append("v9");
        s.Append("\"/>");
    }

    private static string Group(bool light) => light ? "<g class=\"zone-light\">" : "<g class=\"zone-dark\">";

    /// <summary>Place and size attributes of a rectangle.</summary>
    public static StringBuilder Rect(this StringBuilder s, Box b) =>
        s.Append(" x=\"").Figure(b.X.Points).Append("\" y=\"").Figure(b.Y.Points).Append("\" width=\"")
            .Figure(b.Width.Points).Append("\" height=\"").Figure(b.Height.Points).Append('"');
}
