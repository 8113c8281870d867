using System.Xml;
using System.Xml.Linq;
using Lumbeck.Core.Jobs;
using SkiaSharp;
using static Lumbeck.Press.Drawn.SvgColours;

namespace Lumbeck.Press.Drawn;

/// <summary>A drawing's marks in its own hundredths, and how large it is in them.</summary>
public sealed record ReadDrawing(int Wide, int High, ImmutableArray<Mark> Marks);

/// <summary>
/// Reads SVG drawings into marks: shapes and paths with plain or graded fills and lines, groups, placings and references within the file. What would print otherwise than
/// it looks, or reaches outside the file, is refused and named.
/// </summary>
public sealed class SvgReading
{
    /// <summary>Largest file, in bytes, and most shapes once references are followed.</summary>
    public const int MostBytes = 8_000_000, MostShapes = 20_000;
    private const int Deepest = 24;

    private readonly Func<AskedRgb, Ink> _ink;
    private readonly Dictionary<string, XElement> _named = [];
    private readonly Dictionary<string, string> _sheet = [];
    private int _shapes, _visits;

    private SvgReading(Func<AskedRgb, Ink> ink) => _ink = ink;

    internal static Core.Refusal No(string why) => new("picture", why);

    /// <summary>Whether a file begins as one.</summary>
    public static bool Looks(ReadOnlySpan<byte> head)
    {
        var text = System.Text.Encoding.UTF8.GetString(head).TrimStart('\uFEFF', ' ', '\t', '\r', '\n');
        return text.StartsWith("<svg", StringComparison.OrdinalIgnoreCase) || (text.StartsWith("<?xml", StringComparison.Ordinal) || text.StartsWith("<!--", StringComparison.Ordinal));
    }

    /// <param name="file">The file's bytes.</param>
    /// <param name="name">What it is called in sentences.</param>
    /// <param name="ink">The mix that a screen's colour becomes.</param>
    /// <exception cref="Core.Refusal">It is no drawing that can be read; what is in the way is named.</exception>
    public static ReadDrawing Read(byte[] file, string name, Func<AskedRgb, Ink> ink)
    {
        if (file.Length > MostBytes) throw No($"{name} is over {MostBytes / 1_000_000} MB of drawing: simplify it, or save it as a PNG");
        XElement root;
        try
        {
            using var reader = XmlReader.Create(new MemoryStream(file), new XmlReaderSettings { DtdProcessing = DtdProcessing.Ignore, XmlResolver = null, MaxCharactersInDocument = MostBytes, IgnoreComments = true, IgnoreProcessingInstructions = true });
            root = XElement.Load(reader);
        }
        catch (XmlException) { throw No($"{name} is no sound SVG: save it anew"); }
        if (root.Name.LocalName != "svg") throw No($"{name} is no picture that can be taken in: JPEG, PNG, WebP, TIFF and SVG can");
        try { return new SvgReading(ink).Root(root); }
        catch (Core.Refusal r) { throw No($"{name}: {r.Message}"); }
    }

    private ReadDrawing Root(XElement root)
    {
        foreach (var e in root.DescendantsAndSelf())
        {
            var kind = e.Name.LocalName;
            if (kind is "script" or "foreignObject" or "iframe" or "object" || e.Attributes().Any(a => a.Name.LocalName.StartsWith("on", StringComparison.OrdinalIgnoreCase))) throw No("it holds a script, which no drawing for print needs");
            if (kind is "text" or "textPath" or "tspan") throw No("it holds text: turn that to paths first, so that it needs no face");
            if (kind is "image" or "video" or "filter" or "mask" or "pattern" or "animate" or "animateTransform") throw No($"it holds a `{kind}`, which is not read: save it as a PNG instead");
            if (e.Attributes().FirstOrDefault(a => a.Name.LocalName is "href" or "src" && !a.Value.StartsWith('#')) is { } outside) throw No($"it reaches outside its own file, for `{Core.Measures.LengthText.Clip(outside.Value)}`");
            if (kind == "style") Style(e.Value);
            if ((string?)e.Attribute("id") is { Length: > 0 } id) _named.TryAdd(id, e);
        }
        var box = ((string?)root.Attribute("viewBox")) is { Length: > 0 } v ? Numbers(v) : [];
        if (box.Length is not (0 or 4)) throw No("its viewBox has not four figures");
        double[] window = box.Length == 4 ? box : [0, 0, Length((string?)root.Attribute("width"), 0), Length((string?)root.Attribute("height"), 0)];
        if (window[2] <= 0 || window[3] <= 0) throw No("it does not say how large it is: give it a viewBox");
        // Hundredths of a unit, and of a drawing whose unit is large or small as many as make it some thousands across.
        var k = 4000 / Math.Max(window[2], window[3]);
        var (wide, high) = ((int)Math.Max(1, Math.Round(window[2] * k)), (int)Math.Max(1, Math.Round(window[3] * k)));
        var marks = new List<Mark>();
        Children(root, new(k, 0, 0, k, -window[0] * k, -window[1] * k), new(), marks, 0);
        if (marks.Count == 0) throw No("nothing in it is drawn");
        return new(wide, high, [.. marks]);
    }

    private void Style(string css)
    {
        if (css.Contains("@import", StringComparison.OrdinalIgnoreCase) || css.Contains("url(http", StringComparison.OrdinalIgnoreCase)) throw No("its style sheet reaches outside its own file");
        foreach (var rule in css.Split('}').Select(r => r.Split('{', 2)).Where(r => r.Length == 2))
            foreach (var name in rule[0].Split(',')) _sheet[name.Trim()] = (_sheet.TryGetValue(name.Trim(), out var before) ? before + ";" : "") + rule[1];
    }

    /// <summary>How what lies within is painted, unless it says otherwise itself.</summary>
    private sealed record Manner
    {
        public string Fill { get; init; } = "#000000";
        public string Line { get; init; } = "none";
        public string Width { get; init; } = "1";
        public string Rule { get; init; } = "nonzero";
    }

    private void Children(XElement of, Affine place, Manner manner, List<Mark> marks, int depth)
    {
        if (depth > Deepest) throw No($"its parts lie more than {Deepest} deep in each other");
        foreach (var e in of.Elements()) One(e, place, manner, marks, depth);
    }

    private void One(XElement e, Affine place, Manner manner, List<Mark> marks, int depth)
    {
        // References to references could be followed without end, and draw nothing.
        if (++_visits > 10 * MostShapes) throw No($"its references lead to more than {MostShapes} shapes: simplify it");
        string? says(string name) => Says(e, name, _sheet);
        if (says("display") == "none" || says("visibility") == "hidden") return;
        foreach (var see in (string[])["opacity", "fill-opacity", "stroke-opacity"])
            if (says(see) is { } o && Length(o, 1, 1) < 0.999) throw No($"it has see-through parts (`{see}`), which a drawing here can’t have: mix their colours, or save it as a PNG");
        if (says("mix-blend-mode") is { } blend && blend != "normal") throw No("it blends its parts, which is not read: save it as a PNG instead");
        var own = manner with { Fill = says("fill") ?? manner.Fill, Line = says("stroke") ?? manner.Line, Width = says("stroke-width") ?? manner.Width, Rule = says("fill-rule") ?? manner.Rule };
        var at = Placing((string?)e.Attribute("transform")).Then(place);
        var into = says("clip-path") is { } clip && clip != "none" ? [] : marks;
        switch (e.Name.LocalName)
        {
            case "g" or "a" or "svg" or "switch":
                Children(e, e.Name.LocalName == "svg" ? Affine.Move(Length((string?)e.Attribute("x"), 0), Length((string?)e.Attribute("y"), 0)).Then(at) : at, own, into, depth + 1);
                break;
            case "use":
                if (_named.GetValueOrDefault(((string?)e.Attributes().FirstOrDefault(a => a.Name.LocalName == "href"))?[1..] ?? "") is not { } used) break;
                if (depth > Deepest) throw No("it refers to itself");
                var moved = Affine.Move(Length((string?)e.Attribute("x"), 0), Length((string?)e.Attribute("y"), 0)).Then(at);
                if (used.Name.LocalName == "symbol") Children(used, moved, own, into, depth + 1);
                else One(used, moved, own, into, depth + 1);
                break;
            default:
                if (Path(e) is { } path) Shape(path, at, own, into);
                break;
        }
        if (!ReferenceEquals(into, marks) && into.Count > 0) marks.Add(new DrawingMark([.. into], Clip(says("clip-path")!, at)));
    }

    private void Shape(Outline path, Affine at, Manner manner, List<Mark> marks)
    {
        if (++_shapes > MostShapes) throw No($"it has more than {MostShapes} shapes: simplify it");
        var shape = path.Under(at);
        if (shape.Points.Any(p => !double.IsFinite(p) || Math.Abs(p) > 1e7)) throw No("a shape of it lies out of all range");
        if (manner.Fill != "none" && manner.Fill != "transparent") marks.Add(Painted(manner.Fill, path, shape, at, manner.Rule == "evenodd"));
        if (manner.Line is "none" or "transparent") return;
        var width = Length(manner.Width, 1) * Math.Sqrt(Math.Abs((at.A * at.D) - (at.B * at.C)));
        if (width > 0) marks.Add(new LineMark(shape, width, manner.Line.StartsWith("url(", StringComparison.Ordinal) ? throw No("a line of it is painted with a gradient, which is not read: turn lines to shapes") : _ink(SvgColours.Read(manner.Line))));
    }

    private Mark Painted(string fill, Outline path, Outline shape, Affine at, bool evenOdd)
    {
        if (!fill.StartsWith("url(", StringComparison.Ordinal)) return new FillMark(shape, _ink(SvgColours.Read(fill))) { EvenOdd = evenOdd };
        var id = fill[4..].Split(')')[0].Trim(' ', '\'', '"').TrimStart('#');
        if (!_named.TryGetValue(id, out var g) || g.Name.LocalName is not ("linearGradient" or "radialGradient")) throw No($"what it is painted with, `{Core.Measures.LengthText.Clip(id)}`, is not in it");
        return new ShadeMark(shape, Graded(g, path, at)) { EvenOdd = evenOdd };
    }

    private Shade Graded(XElement g, Outline path, Affine at)
    {
        // What a gradient does not say, the one it refers to may.
        var chain = new List<XElement> { g };
        while (chain.Count < 8 && chain[^1].Attributes().FirstOrDefault(a => a.Name.LocalName == "href") is { Value: ['#', .. var id] } && _named.TryGetValue(id, out var next)) chain.Add(next);
        string? says(string name) => chain.Select(c => (string?)c.Attribute(name)).FirstOrDefault(v => v is not null);
        var stops = chain.Select(c => c.Elements().Where(s => s.Name.LocalName == "stop").ToList()).FirstOrDefault(s => s.Count > 0) ?? throw No("a gradient of it has no colours");
        var before = 0.0;
        ImmutableArray<(double, Ink)> inks = [.. stops.Take(60).Select(s =>
        {
            if (Says(s, "stop-opacity", _sheet) is { } o && Length(o, 1, 1) < 0.999) throw No("a gradient of it is see-through: mix its colours, or save it as a PNG");
            before = Math.Clamp(Length((string?)s.Attribute("offset"), 0, 1), before, 1);
            return (before, _ink(SvgColours.Read(Says(s, "stop-color", _sheet) ?? "black")));
        })];
        var user = says("gradientUnits") == "userSpaceOnUse";
        var b = path.Bounds;
        var unit = user ? Affine.Identity : new Affine(Math.Max(1e-6, b.Right - b.Left), 0, 0, Math.Max(1e-6, b.Bottom - b.Top), b.Left, b.Top);
        var m = Placing(says("gradientTransform")).Then(unit).Then(at);
        double length(string name, double otherwise) => Length(says(name), otherwise, 1);
        var ((x0, y0), (x1, y1)) = g.Name.LocalName == "linearGradient"
            ? (m.At(length("x1", 0), length("y1", 0)), m.At(length("x2", user ? b.Right : 1), length("y2", 0)))
            : (m.At(length("cx", 0.5), length("cy", 0.5)), m.At(length("cx", 0.5) + length("r", 0.5), length("cy", 0.5)));
        return new(g.Name.LocalName == "radialGradient", x0, y0, x1, y1, inks);
    }

    private Outline Clip(string url, Affine at)
    {
        var id = url.Split('(')[^1].Split(')')[0].Trim(' ', '\'', '"').TrimStart('#');
        if (!_named.TryGetValue(id, out var clip) || clip.Name.LocalName != "clipPath") throw No("it is clipped by what is not in it");
        if ((string?)clip.Attribute("clipPathUnits") == "objectBoundingBox") throw No("it is clipped by shares of a box, which is not read");
        var all = (Strokes: ImmutableArray.CreateBuilder<Stroke>(), Points: ImmutableArray.CreateBuilder<double>());
        foreach (var e in clip.Elements())
            if (Path(e) is { } p)
            {
                var placed = p.Under(Placing((string?)e.Attribute("transform")).Then(at));
                all.Strokes.AddRange(placed.Strokes);
                all.Points.AddRange(placed.Points);
            }
        return new(all.Strokes.ToImmutable(), all.Points.ToImmutable());
    }

    /// <summary>A shape as a path in its own points; null where it is none.</summary>
    private static Outline? Path(XElement e)
    {
        double n(string name) => Length((string?)e.Attribute(name), 0);
        switch (e.Name.LocalName)
        {
            case "path": return Data((string?)e.Attribute("d") ?? "");
            case "rect":
                var (rx, ry) = (n("rx"), n("ry"));
                return n("width") <= 0 || n("height") <= 0 ? null : Outline.Rounded(n("x"), n("y"), n("width"), n("height"), Math.Max(rx, ry));
            case "circle": return n("r") <= 0 ? null : ShapeDrawing.Ellipse(2 * n("r"), 2 * n("r")).Under(Affine.Move(n("cx") - n("r"), n("cy") - n("r")));
            case "ellipse": return n("rx") <= 0 || n("ry") <= 0 ? null : ShapeDrawing.Ellipse(2 * n("rx"), 2 * n("ry")).Under(Affine.Move(n("cx") - n("rx"), n("cy") - n("ry")));
            case "line":
                return Joined([n("x1"), n("y1"), n("x2"), n("y2")], closed: false);
            case "polyline": return Joined(Numbers((string?)e.Attribute("points") ?? ""), closed: false);
            case "polygon": return Joined(Numbers((string?)e.Attribute("points") ?? ""), closed: true);
            default: return null;
        }
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
        if (string.IsNullOrWhiteSpace(d)) return null;
        using var path = SKPath.ParseSvgPathData(d) ?? throw No("a path of it can’t be read");
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
                    for (var i = 1; i + 1 < quads.Length; i += 2) pen.Quad(quads[i].X, quads[i].Y, quads[i + 1].X, quads[i + 1].Y);
                    break;
                case SKPathVerb.Close: pen.Close(); break;
            }
        return pen.Done();
    }
}
