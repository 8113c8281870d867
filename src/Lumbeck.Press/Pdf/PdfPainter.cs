using System.Text;

namespace Lumbeck.Press.Pdf;

/// <summary>
/// A scene as a page's content (ISO 32000-1, 8 and 9): the same marks as the screen's, in the press's own colours.
/// </summary>
/// <param name="scene">The sheet.</param>
/// <param name="has">What content names: faces, pictures, patterns, states.</param>
/// <param name="ink">How inks are written.</param>
/// <param name="page">Where the sheet lies on its page: from its own points, y down, to the page's, y up.</param>
/// <param name="shapes">The shape of a run of type, where type leaves as shapes; null where it stays type.</param>
internal sealed partial class PdfPainter(Scene scene, IPageResources has, ColorOperators ink, Affine page,
    Func<GlyphMark, Outline>? shapes = null)
{
    /// <summary>
    /// Scenes are y down from the upper left corner, pages y up from the lower left; so many points of the page lie
    /// left of the sheet and below it.
    /// </summary>
    public static Affine OnPage(Scene scene, double left = 0, double below = 0) =>
        new(1, 0, 0, -1, left, scene.Height + below);

    private StringBuilder _s = new();
    private bool _overprinting;
    private Ink? _fill;
    private readonly Dictionary<GlyphMark, ImmutableArray<PlacedGlyph>> _read = new(ReferenceEqualityComparer.Instance);

    public string Paint()
    {
        if (ink.OnScreen) ink.Know([.. scene.Items.SelectMany(p => p.Marks).SelectMany(Inks).Distinct()]);
        if (shapes is null)
            foreach (var drawn in scene.Items)
            {
                GlyphMark? before = null;
                foreach (var g in drawn.Marks.SelectMany(m =>
                    m switch
                    {
                        GlyphMark own => [own],
                        Plates.FlatMark { Letters: { } seen } => [seen],
                        Plates.FlatMark f => f.Hidden,
                        _ => (IEnumerable<GlyphMark>)[],
                    }))
                {
                    var read = ReadingOrder.Of(g, before);
                    foreach (var glyph in read) has.Face(g.Face).Use(glyph);
                    if (read != g.Glyphs) _read[g] = read;
                    before = g;
                }
            }
        // A page begins as nothing, and what is mixed or overprinted with nothing is all there (11.4.5, 11.6.6,
        // 11.7.4.3): paper lies under it first.
        if (scene.Items.Any(p => !p.IsEmpty && (p.Mixes || p.Softens || p.SeesThrough)))
        {
            _s.Append("/Gk gs ").Append(ink.Filled(Ink.White)).Append('\n');
            Shape(Outline.Rectangle(0, 0, scene.Width, scene.Height), page);
            _s.Append("f\n");
        }
        foreach (var drawn in scene.Items)
        {
            if (drawn.IsEmpty) continue;
            var toPage = drawn.Place.Then(page);
            var overprinting = _overprinting;
            if (drawn.Mixes) { Mixed(drawn, toPage); continue; }
            if (drawn.Clipped)
                _s.Append("q ").Append(PdfSyntax.Figure(page.E)).Append(' ').Append(PdfSyntax.Figure(page.F - scene.Height))
                    .Append(' ').Append(PdfSyntax.Figure(scene.Width)).Append(' ').Append(PdfSyntax.Figure(scene.Height))
                    .Append(" re W n\n");
            foreach (var mark in drawn.Marks) Mark(mark, toPage);
            if (drawn.Clipped) { _s.Append("Q\n"); _fill = null; _overprinting = overprinting; }
        }
        return _s.ToString();
    }

    private IEnumerable<Ink> Inks(Mark mark) => mark switch
    {
        FillMark f => [f.Ink],
        LineMark l => [l.Ink],
        GlyphMark g => [g.Ink],
        BlurredMark s => [s.Ink],
        DrawingMark d => d.Marks.SelectMany(Inks),
        RepeatedMark r => r.Symbol.SelectMany(Inks),
        Plates.FlatMark f => has.Flat(f.Part).Select(p => p.Ink),
        _ => [],
    };

    /// <summary>
    /// Whether finishing inks leave other plates as they are by overprinting; what multiplies leaves them anyhow, and
    /// must not overprint besides (11.7.4.3).
    /// </summary>
    private bool _finishesOverprint = true;

    private void Mark(Mark mark, Affine toPage)
    {
        switch (mark)
        {
            case FillMark f:
                Fill(f, f.Ink, f.Overprint);
                Shape(f.Shape, toPage);
                _s.Append(f.EvenOdd ? "f*\n" : "f\n");
                break;
            case GradientMark h:
                // A shading paints all that the clip lets it (8.7.4.2).
                Overprint(false);
                Clipped(h.Shape, toPage, h.EvenOdd, () => Shading(h.Gradient.Transformed(toPage)));
                break;
            case LineMark l:
                Overprint(l.Finish is not null && _finishesOverprint);
                if (l.Finish is { } finish)
                    _s.Append('/').Append(has.Finish(finish.Name)).Append(" CS ")
                        .Append(PdfSyntax.Figure(finish.Tint / 10_000.0)).Append(" SCN ");
                else _s.Append(ink.Lined(l.Ink)).Append(' ');
                PdfPath.Line(_s, l, toPage);
                break;
            case PictureMark p:
                Overprint(p.Finish is not null && _finishesOverprint);
                var placed = p.Place.Then(toPage);
                if (has.Picture(p, Wide(placed)) is { } picture)
                    Clipped(p.Clip, toPage, false, () => Image(picture, placed));
                break;
            case GrownMark w:
                Overprint(w.Finish is not null && _finishesOverprint);
                var whole = w.Place.Then(toPage);
                if (has.Grown(w) is { } grown) { _s.Append("q\n"); Image(grown, whole); _s.Append("Q\n"); }
                break;
            case TilesMark t:
                Overprint(t.Finish is not null && _finishesOverprint);
                Tiles(t, toPage);
                break;
            case DrawingMark d:
                Clipped(d.Clip, toPage, d.EvenOdd, () => { foreach (var inner in d.Marks) Mark(inner, toPage); });
                break;
            case RepeatedMark r:
                Repeated(r, toPage);
                break;
            case BlurredMark o when !o.Bounds.IsEmpty:
                // What multiplies never overprints besides (11.7.4.5).
                Overprint(false);
                _s.Append("q /").Append(has.Soft(o, toPage)).Append(" gs ").Append(Filled(o, o.Ink));
                var b = o.Bounds;
                Shape(Outline.Rectangle(b.Left, b.Top, b.Right - b.Left, b.Bottom - b.Top), toPage);
                _s.Append("f Q\n");
                break;
            case Plates.FlatMark f:
                Flat(f, toPage);
                break;
            case GlyphMark g:
                if (g.Gradient is { } run)
                {
                    Overprint(false);
                    _fill = null;
                    _s.Append("/Pattern cs /").Append(has.ShadePattern(run.Transformed(toPage))).Append(" scn\n");
                }
                else Fill(g, g.Ink, g.Overprint);
                if (shapes is null) Glyphs(g, toPage);
                else { Shape(shapes(g), toPage); _s.Append("f\n"); }
                break;
        }
    }

    private static double Wide(Affine m) => Math.Sqrt((m.A * m.A) + (m.B * m.B));

    /// <summary>A shading in the page's points, or in its own under a placing of those (8.7.4.5.1).</summary>
    private void Shading(Gradient shade)
    {
        if (shade.Transform != Affine.Identity) _s.Append(PdfSyntax.Matrix(shade.Transform)).Append(" cm ");
        _s.Append('/').Append(has.Shade(shade)).Append(" sh\n");
    }

    /// <summary>Draws within a shape; what is set meanwhile ends with it.</summary>
    private void Clipped(Outline shape, Affine toPage, bool evenOdd, Action draw)
    {
        // A clip without a path clips nothing, where it should hide all.
        if (shape.IsEmpty) return;
        var (fill, overprinting) = (_fill, _overprinting);
        _s.Append("q\n");
        Shape(shape, toPage);
        _s.Append(evenOdd ? "W* n\n" : "W n\n");
        draw();
        _s.Append("Q\n");
        (_fill, _overprinting) = (fill, overprinting);
    }

    /// <summary>
    /// Images lie in a unit square whose y runs up (8.9.5.1); scenes' pictures in one whose y runs down.
    /// </summary>
    private void Image(string name, Affine place) => _s.Append(Placed(name, place));

    /// <summary>An image's content under a placing of the scene's own unit square.</summary>
    public static string Placed(string name, Affine place)
    {
        var m = new Affine(1, 0, 0, -1, 0, 1).Then(place);
        return $"{string.Join(' ', ((double[])[m.A, m.B, m.C, m.D, m.E, m.F]).Select(PdfSyntax.Figure))} cm /{name} Do\n";
    }

    private void Fill(Mark mark, Ink own, bool overprint)
    {
        Overprint(mark.Finish is null ? overprint : _finishesOverprint);
        if (mark.Finish is null && _fill == own) return;
        _fill = mark.Finish is null ? own : null;
        _s.Append(Filled(mark, own));
    }

    /// <summary>The colour that a mark is filled with: its inks, or a finishing ink's plate (8.6.8).</summary>
    private string Filled(Mark mark, Ink own) => mark.Finish is { } finish
        ? $"/{has.Finish(finish.Name)} cs {PdfSyntax.Figure(finish.Tint / 10_000.0)} scn\n"
        : ink.Filled(own) + "\n";

    private void Overprint(bool on)
    {
        if (on == _overprinting) return;
        _overprinting = on;
        _s.Append(on ? "/Go gs\n" : "/Gk gs\n");
    }

    /// <summary>A run of type; 0 filled, 3 not seen, 7 a clip (9.3.6).</summary>
    private void Glyphs(GlyphMark g, Affine toPage, int mode = 0) =>
        new PdfLetters(_s, has, _read).Write(g, toPage, mode);

    private void Shape(Outline o, Affine m) => PdfPath.Write(_s, o, m);
}
