using System.Collections.Concurrent;
using System.Text;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Svg;

namespace Lumbeck.Web.Screens;

/// <summary>
/// The drawings of the screens: the art, its zones, dimension chains, what can be picked, and the spine lens. Strings,
/// built in one go.
/// </summary>
public sealed class Drawings(Desk.AppServices desk)
{
    private readonly ConcurrentDictionary<(PrintingCondition On, bool Black), SvgPainter> _painters = new();

    /// <summary>The painter in the colours of the job's own house.</summary>
    public SvgPainter Painter(Composed c) =>
        Painter(c.Job.Ticket.House, black: false);

    private SvgPainter Painter(House house, bool black) =>
        _painters.GetOrAdd((PrintingCondition.Of(house), black), key => new(desk.Drawer.Shelf, desk.Drawer.ColourOf(house),
            new PictureLinks(key.On), new PictureData(desk.Drawer.Pictures, key.On,
                black ? desk.Drawer.BlackOf(house) : null)));

    /// <summary>One page of an inside as SVG by itself; what does not fit it says so on it.</summary>
    public string Page(Composed c, int number)
    {
        var (plan, house) = (c.Pages!, c.Job.Ticket.House.ForPages());
        var page = plan.Page(number);
        var painter = Painter(house, c.Job.Ticket.InsideColour == InsideColour.Black);
        var art = desk.Drawer.PageArtOf(c.Job);
        return painter.Picture(Attempt.Or(() => PageScene.Of(plan, page, art), r => PageScene.Of(
            new Dedication { For = r.Message, Paints = [new InkPaint(Ink.Percent(0, 0, 0, 100))] }, page.Surface, art)));
    }

    /// <summary>Room for the chains round a sheet, in points.</summary>
    public static double Margin(Sheet sheet) => TextSize(sheet) * 3.4;

    internal static double TextSize(Sheet sheet) =>
        Math.Max(sheet.Size.Width.Points, sheet.Size.Height.Points * 1.35) / 76;

    /// <summary>The view box of a sheet with chains above and left.</summary>
    public static string ViewBox(Sheet sheet)
    {
        var m = Margin(sheet);
        return new StringBuilder().Figure(-m).Append(' ').Figure(-m).Append(' ').Figure(sheet.Size.Width.Points + m + 4)
            .Append(' ').Figure(sheet.Size.Height.Points + m + 4).ToString();
    }

    public string Zones(ComposedSheet s, House house) => ZoneSvg.Zones(s.Sheet, "z", part => Light(s, house, part));

    private bool Light(ComposedSheet s, House house, Part part) =>
        ZoneSvg.WantsLight(s.Scene, part == Part.Sheet ? s.Sheet.Trim : s.Sheet.Panel(part)?.Safe ?? s.Sheet.Trim,
            desk.Drawer.ColourOf(house));

    /// <summary>
    /// Dimension chains above and left of the sheet, in the job's unit; each figure leads to its sum.
    /// </summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="unit">The job's unit.</param>
    /// <param name="sums">The address of the page that shows the sums; empty on that page itself.</param>
    public static string Chains(Sheet sheet, Unit unit, string sums)
    {
        var size = TextSize(sheet);
        var at = -size * 1.55;
        var s = new StringBuilder();
        foreach (var region in sheet.Regions)
            Chain(s, region.X.Points, region.Width.Points, at, size, upright: false, region.Width, unit, Named(region),
                SumOf(region.Kind), sums);
        // Down the side: what is cut or turned at the head, the faces, and the same at the foot.
        var (head, foot) = sheet.FoldsAcross is [var first, var last]
            ? (first, last)
            : (sheet.Trim.Y, sheet.Trim.Bottom);
        var edge = sheet.FoldsAcross.IsEmpty ? "bleed" : "turn-in";
        foreach (var (y, h, name) in (ReadOnlySpan<(double, Length, string)>)[(0, head, edge),
            (head.Points, foot - head, "height"), (foot.Points, sheet.Size.Height - foot, edge)])
            Chain(s, y, h.Points, at, size, upright: true, h, unit, name,
                name == "height" ? "height" : sheet.FoldsAcross.IsEmpty ? "bleed" : "turn-in", sums);
        return s.ToString();
    }

    private static string Named(Region r) => r.Part?.Say() ?? (r.Kind == RegionKind.TurnIn ? "turn-in" : "bleed");

    /// <summary>The sum that says how a region came to its width.</summary>
    private static string SumOf(RegionKind kind) =>
        kind switch
        {
            RegionKind.Spine => "spine",
            RegionKind.Flap => "flap",
            RegionKind.ForeEdge => "fore-edge",
            RegionKind.TurnIn => "turn-in",
            RegionKind.Bleed => "bleed",
            _ => "panel",
        };

    internal static void Chain(StringBuilder s, double from, double length, double at, double size, bool upright,
        Length measured, Unit unit, string name, string sum, string sums)
    {
        var figure = measured.Show(unit);
        var tick = size * 0.32;
        var wide = figure.Length * size * 0.62;
        var fits = length > wide + (size * 1.2);
        s.Append(upright ? "<g transform=\"matrix(0 1 1 0 0 0)\">" : "<g>");
        s.Append("<path fill=\"none\" stroke=\"currentColor\" stroke-width=\".8\" " +
            "vector-effect=\"non-scaling-stroke\" d=\"");
        var middle = from + (length / 2);
        if (fits)
            s.Append('M').Figure(from).Append(' ').Figure(at).Append('H').Figure(middle - (wide / 2) - tick).Append('M')
                .Figure(middle + (wide / 2) + tick).Append(' ').Figure(at).Append('H').Figure(from + length);
        else s.Append('M').Figure(from).Append(' ').Figure(at).Append('h').Figure(length);
        foreach (var x in (ReadOnlySpan<double>)[from, from + length])
            s.Append('M').Figure(x - tick).Append(' ').Figure(at + tick).Append('l').Figure(2 * tick).Append(' ')
                .Figure(-2 * tick).Append('M').Figure(x).Append(' ').Figure(at - (tick * 1.6)).Append('v')
                .Figure(tick * 3.2);
        s.Append("\"/></g>");
        if (!fits && name is "bleed") return;
        // A figure too wide for its part stands above it.
        var beside = fits ? at : at - (size * 1.15);
        var (tx, ty) = upright ? (beside, middle) : (middle, beside);
        s.Append("<a href=\"").Append(sums).Append("#sum-").Append(sum).Append("\" aria-label=\"")
            .Append(SvgText.Escape(name)).Append(' ').Append(figure).Append(": show the sum\"><title>")
            .Append(measured.Exact(unit)).Append("</title><text font-size=\"").Figure(size)
            .Append("\" text-anchor=\"middle\" dominant-baseline=\"central\" transform=\"translate(").Figure(tx)
            .Append(' ').Figure(ty).Append(')').Append(upright ? "rotate(-90)" : "").Append("\">").Append(figure)
            .Append("</text></a>");
    }

    /// <summary>
    /// The spine turned level: the art itself seen through its frame, with the safe band and what can be picked there.
    /// </summary>
    public string Lens(JobView v)
    {
        if (v.Sheet.Panel(Part.Spine) is not { } spine) return "";
        var light = Light(v.Shown, v.Ticket.House, Part.Spine);
        var edge = spine.Edge;
        var level = new { Long = edge.Height.Points, High = edge.Width.Points };
        // From the sheet to the level frame: the spine's own frame, the other way round.
        var m = spine.Turn == Turn.Clockwise
            ? new Affine(0, -1, 1, 0, -edge.Y.Points, edge.Right.Points)
            : new Affine(0, 1, -1, 0, edge.Bottom.Points, -edge.X.Points);
        var pad = level.High * 0.06;
        // The whole spine; nearer, as large as its height allows, up to four times the width there is, to be rolled
        // along.
        var s = new StringBuilder("<svg id=\"lens-drawing\" class=\"block w-full max-h-full m-auto\" role=\"group\" " +
            "aria-label=\"The spine, turned level\" viewBox=\"")
            .Figure(-2).Append(' ').Figure(-pad).Append(' ').Figure(level.Long + 4).Append(' ')
            .Figure(level.High + (2 * pad)).Append("\"><defs><clipPath id=\"lens-edge\"><rect").Rect(edge)
            .Append("/></clipPath>").Append(ZoneSvg.Patterns("l")).Append("</defs><g transform=\"").Matrix(m)
            .Append("\"><use href=\"#art\" clip-path=\"url(#lens-edge)\"/></g>");
        s.Append(light ? "<g class=\"zones zone-light\">" : "<g class=\"zones zone-dark\">");
        foreach (var bleed in v.Sheet.Zones.Where(z => z.Kind == ZoneKind.Bleed && !z.Box.Intersect(edge).IsEmpty))
            s.Hatch("l", light).Box(m.Of(In(bleed.Box.Intersect(edge)))).Append("/>");
        if (spine.CarriesText) ZoneSvg.Safe(s, m.Of(In(spine.Safe)).ToBox());
        s.Append("</g><g class=\"zones zone-dark\"><path fill=\"none\" stroke=\"currentColor\" stroke-dasharray=\"9 " +
            "3 1.5 3\" vector-effect=\"non-scaling-stroke\" d=\"M-2 0H")
            .Figure(level.Long + 2).Append("M-2 ").Figure(level.High).Append('H').Figure(level.Long + 2)
            .Append("\"/></g>");
        s.Append("<g id=\"lens-hits\" transform=\"").Matrix(m).Append("\">");
        foreach (var item in v.Take.Items.Where(i => i.Hold.Panel == Part.Spine)) HandDrawing.Hit(s, item, v.Sheet);
        s.Append("</g>");
        return s.Append("</svg>").ToString();
    }

    private static Bounds In(Box b) => Bounds.Of(b);
}

internal static class BoundsSvg
{
    public static StringBuilder Box(this StringBuilder s, Bounds b) =>
        s.Append(" x=\"").Figure(b.Left).Append("\" y=\"").Figure(b.Top).Append("\" width=\"").Figure(b.Right - b.Left)
            .Append("\" height=\"").Figure(b.Bottom - b.Top).Append('"');
}
