using System.Xml.Linq;
using Lumbeck.Press.Faces;
using SkiaSharp;

namespace Lumbeck.Press.Drawn;

/// <summary>A drawing's marks in its own hundredths, and how large it is in them.</summary>
public sealed record ReadDrawing(int Wide, int High, ImmutableArray<Mark> Marks)
{
    /// <summary>
    /// How wide it says that it is, in points; of a drawing that says nothing, a unit is a pixel of 96 an inch.
    /// </summary>
    public double Points { get; init; }
    /// <summary>The face that each family its words ask for is set in, where that is another.</summary>
    public ImmutableArray<(string Asked, FaceId Face)> Faces { get; init; } = [];
}

/// <summary>
/// Reads SVG drawings into marks, as SVG 2 has them: shapes, strokes, gradients, clips, markers, viewports and
/// references within the file, styled by attributes and by CSS.
/// What would print otherwise than it looks, or reaches outside the file, is refused and named.
/// </summary>
public sealed partial class SvgReading
{
    /// <summary>Largest file, in bytes, and most shapes once references are followed.</summary>
    public const int MostBytes = SvgDocument.MostBytes, MostShapes = 20_000;
    private const int Deepest = 80;

    private readonly SvgDocument _document;
    private readonly SvgSheet _sheet;
    private readonly SvgPaints _paints;
    private readonly SvgClips _clips;
    private readonly SvgTexts _texts;
    private readonly CancellationToken _cancel;
    private int _shapes, _visits, _markers;

    private SvgReading(SvgDocument document, Func<AskedRgb, Ink> ink, FaceShelf shelf, CancellationToken cancel)
    {
        (_document, _cancel, _sheet) = (document, cancel, SvgSheet.Read(document.Css));
        (_paints, _clips) = (new(document, _sheet, ink), new(document, _sheet));
        _texts = new(_sheet, shelf);
    }

    internal static Refusal No(string why) => new("picture", why);

    /// <summary>Whether a file begins as one.</summary>
    public static bool Looks(ReadOnlySpan<byte> head)
    {
        var text = System.Text.Encoding.UTF8.GetString(head).TrimStart('\uFEFF', ' ', '\t', '\r', '\n');
        return ((string[])["<svg", "<?xml", "<!--", "<!DOCTYPE svg"])
            .Any(begin => text.StartsWith(begin, StringComparison.OrdinalIgnoreCase));
    }

    /// <param name="file">The file's bytes.</param>
    /// <param name="name">What it is called in sentences.</param>
    /// <param name="ink">The mix that a screen's colour becomes.</param>
    /// <param name="shelf">What its words are set in: faces that ship, so that they are the same on every machine.</param>
    /// <param name="cancel">Ends the work.</param>
    /// <exception cref="Refusal">It is no drawing that can be read; what is in the way is named.</exception>
    public static ReadDrawing Read(byte[] file, string name, Func<AskedRgb, Ink> ink, FaceShelf shelf,
        CancellationToken cancel = default) => Attempt.Telling(
            r => r.Message.StartsWith(name, StringComparison.Ordinal) ? r : No($"{name}: {r.Message}"),
            () => new SvgReading(SvgDocument.Load(file, name, cancel), ink, shelf, cancel).Root());

    private ReadDrawing Root()
    {
        var root = _document.Root;
        var box = SvgUnits.ViewBox(root);
        var look = SvgLook.Initial.Of(root, _sheet);
        // A share of whatever it is put in says nothing of how large it is.
        double side(string name) =>
            look.Said(name) is { } text && !text.Contains('%', StringComparison.Ordinal)
                ? SvgUnits.Length(text, 0, 0)
                : 0;
        var (w, h) = (side("width"), side("height"));
        if (box is { } b)
        {
            var (bw, bh) = (b.Right - b.Left, b.Bottom - b.Top);
            (w, h) = (w > 0, h > 0) switch
            {
                (true, true) => (w, h),
                (true, false) => (w, w * bh / bw),
                (false, true) => (h * bw / bh, h),
                _ => (bw, bh),
            };
        }
        if (w <= 0 || h <= 0) throw No("it does not say how large it is: give it a viewBox");
        // Hundredths of a unit, and of a drawing whose unit is large or small as many as make it some thousands across.
        var k = 4000 / Math.Max(w, h);
        var (wide, high) = ((int)Math.Max(1, Math.Round(w * k)), (int)Math.Max(1, Math.Round(h * k)));
        var within = box is { } own
            ? SvgUnits.Fitted(own, w, h, (string?)root.Attribute("preserveAspectRatio"))
            : Affine.Identity;
        var viewport = new SvgShapes(box is { } v ? (v.Right - v.Left, v.Bottom - v.Top) : (w, h));
        var marks = new List<Mark>();
        var at = within.Then(new Affine(k, 0, 0, k, 0, 0));
        if (look["display"] != "none")
            Styled(root, at, look, viewport, marks, into => Children(root, at, look, viewport, into, 0));
        if (marks.Count == 0) throw No("nothing in it is drawn");
        // What lies outside its own edges does not show (SVG 2, 3.4.3).
        bool over(Bounds r) => r.Left < -1 || r.Top < -1 || r.Right > wide + 1 || r.Bottom > high + 1;
        if (marks.Any(m => over(Reach(m)))) marks = [new DrawingMark([.. marks], Outline.Rectangle(0, 0, wide, high))];
        return new(wide, high, [.. marks]) { Points = w * 0.75, Faces = _texts.Faces };
    }

    private static Bounds Reach(Mark mark) => mark is DrawingMark d ? d.Clip.Bounds : MarkReach.Of(mark);

    private void Children(XElement of, Affine place, SvgLook look, SvgShapes viewport, List<Mark> marks, int depth)
    {
        if (depth > Deepest) throw No("its parts refer to each other without end");
        foreach (var e in of.Elements()) One(e, place, look, viewport, marks, depth);
    }

    private static readonly HashSet<string> NeverDrawn =
        ["defs", "clipPath", "marker", "linearGradient", "radialGradient", "stop", "style", "title", "desc", "metadata",
            "view"];

    private void One(XElement e, Affine place, SvgLook parent, SvgShapes viewport, List<Mark> marks, int depth,
        (string? W, string? H)? asUsed = null)
    {
        if (!SvgDocument.IsSvg(e)) return;
        // References to references could be followed without end, and draw nothing.
        if (++_visits > 10 * MostShapes) throw No($"its references lead to more than {MostShapes} shapes: simplify it");
        if ((_visits & 255) == 0) _cancel.ThrowIfCancellationRequested();
        var kind = e.Name.LocalName;
        if (NeverDrawn.Contains(kind) || (kind == "symbol" && asUsed is null)) return;
        var look = parent.Of(e, _sheet);
        if (look["display"] == "none") return;
        var at = SvgUnits.Placing(look.Said("transform")).Then(place);
        Styled(e, at, look, viewport, marks, into =>
        {
            switch (kind)
            {
                case "g" or "a":
                    Children(e, at, look, viewport, into, depth + 1);
                    break;
                case "switch":
                    if (e.Elements().Where(SvgDocument.IsSvg).FirstOrDefault(Suits) is { } chosen)
                        One(chosen, at, look, viewport, into, depth + 1);
                    break;
                case "svg" or "symbol":
                    Viewport(e, at, look, viewport, into, depth, asUsed);
                    break;
                case "use":
                    if (_document.Referred(e) is not { } used) break;
                    if (depth > Deepest) throw No("it refers to itself");
                    var moved = Affine.Move(viewport.Across(look.Said("x")), viewport.Down(look.Said("y"))).Then(at);
                    One(used, moved, look, viewport, into, depth + 1, (look.Said("width"), look.Said("height")));
                    break;
                case "text":
                    foreach (var (letters, style) in _texts.Set(e, look, viewport))
                        Shape(letters, at, style, viewport, into, depth, marked: false);
                    break;
                default:
                    if (viewport.Of(e, look) is { } shape)
                        Shape(shape, at, look, viewport, into, depth,
                            marked: kind is "path" or "line" or "polyline" or "polygon");
                    break;
            }
        });
    }

    /// <summary>Draws an element as far as its clip lets it, and refuses what would have to be mixed.</summary>
    private void Styled(XElement e, Affine at, SvgLook look, SvgShapes viewport, List<Mark> marks,
        Action<List<Mark>> draw)
    {
        var opacity = SvgUnits.Share(look.Said("opacity"), 1);
        if (opacity == 0) return;
        if (opacity < 0.999) throw SeeThrough("opacity");
        if (look.Said("clip-path") is not { } clip || clip == "none") { draw(marks); return; }
        var own = new List<Mark>();
        draw(own);
        if (own.Count == 0) return;
        using var path = _clips.Of(clip, Box(e, look, viewport), at, viewport);
        marks.Add(new DrawingMark([.. own], SvgShapes.Of(path)) { EvenOdd = path.FillType is SKPathFillType.EvenOdd });
    }

    /// <summary>A shape's own box, which shares of its clip are of; null of a group.</summary>
    private static Bounds? Box(XElement e, SvgLook look, SvgShapes viewport) => viewport.Of(e, look)?.Bounds;

    private static Refusal SeeThrough(string how) => No($"it has see-through parts (`{how}`), which a drawing here " +
        $"can’t have: mix their colours, or save it as a PNG");

    /// <summary>A choice between languages is made as for an English reader.</summary>
    private static bool Suits(XElement e) => e.Attribute("requiredExtensions") is null
        && ((string?)e.Attribute("systemLanguage"))?.Split(',', StringSplitOptions.TrimEntries)
            .Any(l => l == "en" || l.StartsWith("en-", StringComparison.OrdinalIgnoreCase)) != false;

    /// <summary>A viewport within the drawing (SVG 2, 8.2): an inner drawing, or a symbol where it is used.</summary>
    private void Viewport(XElement e, Affine at, SvgLook look, SvgShapes viewport, List<Mark> marks, int depth,
        (string? W, string? H)? asUsed)
    {
        var (x, y) = e.Name.LocalName == "svg"
            ? (viewport.Across(look.Said("x")), viewport.Down(look.Said("y")))
            : (0, 0);
        var (w, h) = (viewport.Across(asUsed?.W ?? look.Said("width") ?? "100%"),
            viewport.Down(asUsed?.H ?? look.Said("height") ?? "100%"));
        if (w <= 0 || h <= 0) return;
        var box = SvgUnits.ViewBox(e);
        var place = (box is { } b ? SvgUnits.Fitted(b, w, h, (string?)e.Attribute("preserveAspectRatio"))
            : Affine.Identity)
            .Then(Affine.Move(x, y)).Then(at);
        var inner = new SvgShapes(box is { } own ? (own.Right - own.Left, own.Bottom - own.Top) : (w, h));
        var drawn = new List<Mark>();
        Children(e, place, look, inner, drawn, depth + 1);
        if (drawn.Count == 0) return;
        if (look.Said("overflow") is "visible" or "auto") marks.AddRange(drawn);
        else marks.Add(new DrawingMark([.. drawn], Outline.Rectangle(x, y, w, h).Under(at)));
    }

    private void Shape(Outline path, Affine at, SvgLook look, SvgShapes viewport, List<Mark> marks, int depth,
        bool marked)
    {
        if (look["visibility"] != "visible") return;
        if (++_shapes > MostShapes) throw No($"it has more than {MostShapes} shapes: simplify it");
        if (path.Under(at).Points.Any(p => !double.IsFinite(p) || Math.Abs(p) > 1e7))
            throw No("a shape of it lies out of all range");
        foreach (var part in Order(look["paint-order"]))
            switch (part)
            {
                case "fill":
                    if (look["fill"] == "none" || Hidden(look, "fill-opacity")) break;
                    if (_paints.Filled(look["fill"], look, path, path.Bounds, at, look["fill-rule"] == "evenodd",
                        viewport) is { } fill)
                        marks.Add(fill);
                    break;
                case "stroke":
                    if (look["stroke"] == "none" || Hidden(look, "stroke-opacity")) break;
                    if (Stroke(path, at, look, viewport) is { } line) marks.Add(line);
                    break;
                default:
                    if (marked) Markers(path, at, look, viewport, marks, depth);
                    break;
            }
    }

    private static bool Hidden(SvgLook look, string opacity) => SvgUnits.Share(look[opacity], 1) switch
    {
        0 => true,
        < 0.999 => throw SeeThrough(opacity),
        _ => false,
    };

    private static IEnumerable<string> Order(string said)
    {
        string[] all = ["fill", "stroke", "markers"];
        var first = said == "normal" ? [] : said.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        return first.Where(all.Contains).Concat(all.Except(first));
    }
}
