using System.Runtime.CompilerServices;
using System.Text;
using Lumbeck.Press.Colour;

namespace Lumbeck.Press.Svg;

/// <summary>Where a drawing finds its pictures.</summary>
public interface IPictureLinks
{
    string Of(Picture picture, bool convert);

    /// <summary>A picture grown beyond its edges.</summary>
    string Of(GrownMark mark);
}

/// <summary>
/// A scene as SVG in points: one group a drawn item, flat, and every glyph outline once in the definitions.
/// The outlines and their places are those of the press file; nothing is left to a browser's own text.
/// </summary>
/// <param name="type">Faces.</param>
/// <param name="colour">Screen colour.</param>
/// <param name="linked">Where a page finds a picture; none are drawn where null.</param>
/// <param name="within">A picture as data, for drawings that stand alone; none are drawn where null.</param>
public sealed partial class SvgPainter(IType type, IScreenColour colour, IPictureLinks? linked = null,
    IPictureLinks? within = null)
{
    // Path data of outlines that outlive a scene: glyphs and papers. Writing them out is what a drawing costs most.
    private readonly ConditionalWeakTable<Outline, string> _paths = [];
    private static readonly System.Collections.Concurrent.ConcurrentDictionary<FaceId, string> Faces = new();

    /// <summary>The id of a drawn item's group.</summary>
    public static string IdOf(string item) => "s-" + item;

    /// <summary>
    /// One drawn item as a group with its own id; an empty drawn item is an empty group, so that it can be morphed
    /// later.
    /// </summary>
    public string Item(DrawnItem drawn) => Item(drawn, linked);

    /// <summary>
    /// One drawn item with, over it, what the plates have where it lies: a picture of all that is under it and
    /// itself. What is carried by hand shows without it.
    /// </summary>
    public string Plated(DrawnItem drawn, Bounds window, string picture)
    {
        var s = new StringBuilder("<g id=\"").Append(IdOf(drawn.Item)).Append("\"><g class=\"by-browser")
            .Append(drawn.Blend == Blend.Normal ? "" : drawn.Blend == Blend.Multiply ? " mix-multiply" : " mix-screen")
            .Append('"');
        if (drawn.Opacity < 1) s.Append(" opacity=\"").Figure(drawn.Opacity, 4).Append('"');
        if (drawn.Place != Affine.Identity) s.Append(" transform=\"").Matrix(drawn.Place).Append('"');
        s.Append('>');
        Marks(s, drawn, linked);
        return s.Append("</g><image class=\"by-plates\" preserveAspectRatio=\"none\" x=\"").Figure(window.Left, 3)
            .Append("\" y=\"").Figure(window.Top, 3).Append("\" width=\"").Figure(window.Right - window.Left, 3)
            .Append("\" height=\"").Figure(window.Bottom - window.Top, 3).Append("\" href=\"")
            .Append(SvgText.Escape(picture)).Append("\"/></g>").ToString();
    }

    /// <summary>
    /// One drawn item with its marks at an address of their own, over a window in the drawn item's own points.
    /// </summary>
    public static string Elsewhere(DrawnItem drawn, Bounds window, string address) =>
        Opened(drawn).Append("<image preserveAspectRatio=\"none\" x=\"").Figure(window.Left, 3)
            .Append("\" y=\"").Figure(window.Top, 3).Append("\" width=\"").Figure(window.Right - window.Left, 3)
            .Append("\" height=\"").Figure(window.Bottom - window.Top, 3).Append("\" href=\"")
            .Append(SvgText.Escape(address)).Append("\"/></g>").ToString();

    private string Item(DrawnItem drawn, IPictureLinks? pictures)
    {
        var s = Opened(drawn);
        Marks(s, drawn, pictures);
        return s.Append("</g>").ToString();
    }

    private static StringBuilder Opened(DrawnItem drawn)
    {
        var s = new StringBuilder("<g id=\"").Append(IdOf(drawn.Item)).Append('"');
        if (drawn.Clipped) s.Append(" clip-path=\"url(#sheet-edge)\"");
        if (drawn.Opacity < 1) s.Append(" opacity=\"").Figure(drawn.Opacity, 4).Append('"');
        if (drawn.Blend != Blend.Normal)
            s.Append(" class=\"").Append(drawn.Blend == Blend.Multiply ? "mix-multiply" : "mix-screen").Append('"');
        if (drawn.Place != Affine.Identity && !drawn.IsEmpty) s.Append(" transform=\"").Matrix(drawn.Place).Append('"');
        return s.Append('>');
    }

    private void Marks(StringBuilder s, DrawnItem drawn, IPictureLinks? pictures)
    {
        var drawing = new Painting(this, s, drawn.Item, pictures);
        foreach (var mark in drawn.Marks) mark.Accept(drawing);
    }

    /// <summary>
    /// How drawn items blend, for style sheets: browsers do it in screen colours, which comes near to the press but
    /// is not it.
    /// </summary>
    public const string Mixing = ".mix-multiply{mix-blend-mode:multiply}.mix-screen{mix-blend-mode:screen}";

    /// <summary>What clips the ground to the sheet; stands in the definitions of every drawing that shows it.</summary>
    public static string Edge(Scene scene) =>
        new StringBuilder("<clipPath id=\"sheet-edge\"><path d=\"M0 0H").Figure(scene.Width).Append('V')
            .Figure(scene.Height).Append("H0z\"/></clipPath>").ToString();

    private static StringBuilder Clip(StringBuilder s, Outline clip, string item, int n, bool evenOdd = false) =>
        s.Append("<clipPath id=\"clip-").Append(item).Append('-').Append(n)
            .Append(evenOdd ? "\"><path clip-rule=\"evenodd\" d=\"" : "\"><path d=\"").Path(clip, 2)
            .Append("\"/></clipPath><g clip-path=\"url(#clip-").Append(item).Append('-').Append(n).Append(")\">");

    private static void Tiles(StringBuilder s, TilesMark mark, string item, int n, IPictureLinks pictures)
    {
        var (across, down, tiles) = Pdf.TilingPattern.Of(mark.Tiling);
        s.Append("<pattern id=\"tiles-").Append(item).Append('-').Append(n)
            .Append("\" patternUnits=\"userSpaceOnUse\" width=\"").Append(across).Append("\" height=\"").Append(down)
            .Append("\" patternTransform=\"").Matrix(mark.PatternMatrix).Append("\">");
        foreach (var tile in tiles)
            s.Append("<image width=\"1\" height=\"1\" preserveAspectRatio=\"none\" href=\"")
                .Append(SvgText.Escape(pictures.Of(mark.Picture, mark.Convert))).Append("\" transform=\"").Matrix(tile)
                .Append("\"/>");
        s.Append("</pattern><path fill=\"url(#tiles-").Append(item).Append('-').Append(n).Append(")\" d=\"")
            .Path(mark.Clip, 2).Append("\"/>");
    }

    /// <summary>
    /// Steps between two stops: mixed in ink, shown in screen colours, so that a browser's own mixing has nothing to
    /// add.
    /// </summary>
    private const int Steps = 12;

    private void Shade(StringBuilder s, GradientMark mark, string item, int n)
    {
        var h = mark.Gradient;
        s.Append(h.IsRadial ? "<radialGradient" : "<linearGradient").Append(" id=\"run-").Append(item).Append('-')
            .Append(n).Append("\" gradientUnits=\"userSpaceOnUse\"");
        if (h.Transform != Affine.Identity) s.Append(" gradientTransform=\"").Matrix(h.Transform).Append('"');
        if (h.Focus is { } focus)
            s.Append(" fx=\"").Figure(focus.X, 2).Append("\" fy=\"").Figure(focus.Y, 2).Append('"');
        if (h.IsRadial)
            s.Append(" cx=\"").Figure(h.X0, 2).Append("\" cy=\"").Figure(h.Y0, 2).Append("\" r=\"")
                .Figure(Math.Sqrt(((h.X1 - h.X0) * (h.X1 - h.X0)) + ((h.Y1 - h.Y0) * (h.Y1 - h.Y0))), 2).Append("\">");
        else s.Append(" x1=\"").Figure(h.X0, 2).Append("\" y1=\"").Figure(h.Y0, 2).Append("\" x2=\"").Figure(h.X1, 2)
            .Append("\" y2=\"").Figure(h.Y1, 2).Append("\">");
        var stops = new List<(double At, Ink Ink)>();
        for (var i = 0; i < h.Stops.Length; i++)
        {
            var (from, to) = (h.Stops[i].At, i + 1 < h.Stops.Length ? h.Stops[i + 1].At : h.Stops[i].At);
            stops.Add(h.Stops[i]);
            for (var step = 1; step < Steps && to > from; step++)
            {
                var at = from + ((to - from) * step / Steps);
                var (c, m, y, k) = h.At(at);
                stops.Add((at, new((int)Math.Round(c), (int)Math.Round(m), (int)Math.Round(y), (int)Math.Round(k))));
            }
        }
        foreach (var ((at, _), seen) in stops.Zip(colour.Hex([.. stops.Select(x => x.Ink)])))
            s.Append("<stop offset=\"").Figure(at, 4).Append("\" stop-color=\"").Append(seen).Append("\"/>");
        s.Append(h.IsRadial ? "</radialGradient>" : "</linearGradient>").Append("<path fill=\"url(#run-").Append(item)
            .Append('-').Append(n).Append(")\"").Append(mark.EvenOdd ? " fill-rule=\"evenodd\"" : "").Append(" d=\"")
            .Path(mark.Shape, 2).Append("\"/>");
    }

    /// <summary>How much of a finishing ink's likeness shows.</summary>
    private static void Likeness(StringBuilder s, Mark mark, string attribute)
    {
        if (mark.Finish is { } f && Finishes.Strength(f.Name) is < 1 and var strength)
            s.Append(' ').Append(attribute).Append("=\"").Figure(strength, 2).Append('"');
    }

    /// <summary>A line's corners, ends and dashes; what SVG has by itself is not said.</summary>
    private static void Drawn(StringBuilder s, LineMark l)
    {
        if (l.Join != LineJoin.Miter)
            s.Append(l.Join == LineJoin.Round ? " stroke-linejoin=\"round\"" : " stroke-linejoin=\"bevel\"");
        else if (l.MiterLimit != 4) s.Append(" stroke-miterlimit=\"").Figure(l.MiterLimit).Append('"');
        if (l.Cap != LineCap.Butt)
            s.Append(l.Cap == LineCap.Round ? " stroke-linecap=\"round\"" : " stroke-linecap=\"square\"");
        if (l.Dash.Length > 0)
            s.Append(" stroke-dasharray=\"")
                .AppendJoin(' ', l.Dash.Select(d => d.ToString("0.##", CultureInfo.InvariantCulture))).Append('"');
        if (l.DashFrom != 0) s.Append(" stroke-dashoffset=\"").Figure(l.DashFrom).Append('"');
    }

    /// <summary>Marks by themselves, over a box of this width and height.</summary>
    public string Alone(ImmutableArray<Mark> marks, double wide, double high) => Alone(marks, new Bounds(0, 0, wide, high));

    /// <summary>Marks by themselves, over a window.</summary>
    public string Alone(ImmutableArray<Mark> marks, Bounds window)
    {
        var s = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" preserveAspectRatio=\"none\" viewBox=\"")
            .Figure(window.Left, 3).Append(' ').Figure(window.Top, 3).Append(' ')
            .Figure(window.Right - window.Left, 3).Append(' ').Figure(window.Bottom - window.Top, 3).Append("\">");
        var painting = new Painting(this, s, "own", null);
        foreach (var mark in marks) mark.Accept(painting);
        return s.Append("</svg>").ToString();
    }

    /// <summary>The whole sheet as a picture that stands alone.</summary>
    /// <param name="scene">The sheet.</param>
    /// <param name="window">The part to show, in points; the whole sheet where null.</param>
    public string Picture(Scene scene, Bounds? window = null)
    {
        var w = window ?? new(0, 0, scene.Width, scene.Height);
        var s = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"").Figure(w.Left).Append(' ')
            .Figure(w.Top).Append(' ').Figure(w.Right - w.Left).Append(' ').Figure(w.Bottom - w.Top)
            .Append("\" width=\"").Figure(w.Right - w.Left).Append("\" height=\"").Figure(w.Bottom - w.Top)
                .Append("\"><defs>");
        foreach (var (_, path) in Glyphs(scene)) s.Append(path);
        s.Append(Edge(scene)).Append("</defs>");
        if (scene.Items.Any(p => p.Mixes || p.Softens)) s.Append("<style>").Append(Mixing).Append("</style>");
        foreach (var drawn in scene.Items) s.Append(Item(drawn, within));
        return s.Append("</svg>").ToString();
    }
}
