using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Plates;

namespace Lumbeck.Press.Pdf;

/// <summary>
/// A scene as a page's content (ISO 32000-1, 8 and 9): the same marks as the screen's, in the press's own colours.
/// </summary>
/// <param name="sheet">The sheet, flattened or not.</param>
/// <param name="has">What content names: faces, pictures, patterns, states.</param>
/// <param name="ink">How inks are written.</param>
/// <param name="page">Where the sheet lies on its page: from its own points, y down, to the page's, y up.</param>
/// <param name="shapes">The shape of a run of type, where type leaves as shapes; null where it stays type.</param>
internal sealed partial class PdfPainter(Flattened sheet, IPageResources has, ColorOperators ink, Affine page,
    Func<GlyphMark, Outline>? shapes = null)
{
    /// <summary>
    /// Scenes are y down from the upper left corner, pages y up from the lower left; so many points of the page lie
    /// left of the sheet and below it.
    /// </summary>
    public static Affine OnPage(Scene scene, double left = 0, double below = 0) =>
        new(1, 0, 0, -1, left, scene.Height + below);

    private readonly Scene _scene = sheet.Scene;
    private ContentWriter _s = new(4096);
    private bool _overprinting;
    private Ink? _fill;
    private readonly Dictionary<GlyphMark, ImmutableArray<PlacedGlyph>> _read = new(ReferenceEqualityComparer.Instance);

    public ContentWriter Paint()
    {
        if (ink.OnScreen) ink.Know([.. sheet.Items.SelectMany(p => p.Marks).SelectMany(Inks).Distinct()]);
        if (shapes is null) foreach (var drawn in sheet.Items) Read(drawn.Marks.SelectMany(Letters));
        // A page begins as nothing, and what is mixed or overprinted with nothing is all there (11.4.5, 11.6.6,
        // 11.7.4.3): paper lies under it first.
        if (sheet.Items.Any(p => p.Of.Mixes || p.Of.Softens || p.Of.SeesThrough))
        {
            ink.Fill(_s.State("Gk"), Ink.White).Break();
            Shape(Outline.Rectangle(0, 0, _scene.Width, _scene.Height), page);
            _s.Fill().Break();
        }
        foreach (var (drawn, marks) in sheet.Items)
        {
            if (marks.IsEmpty) continue;
            var toPage = drawn.Place.Then(page);
            var overprinting = _overprinting;
            if (drawn.Mixes) { Mixed(drawn, toPage); continue; }
            if (drawn.Clipped)
                _s.Save().Rectangle(page.E, page.F - _scene.Height, _scene.Width, _scene.Height).ClipToPath().Break();
            foreach (var mark in marks)
                if (mark is FlatMark flat) Flat(flat, toPage);
                else if (mark is KeptMark kept) Mark(kept.Mark, toPage);
            if (drawn.Clipped) { _s.Restore().Break(); _fill = null; _overprinting = overprinting; }
        }
        return _s;
    }

    /// <summary>Runs of type in the order they are read, each glyph with the letters it carries.</summary>
    private void Read(IEnumerable<GlyphMark> runs)
    {
        GlyphMark? before = null;
        foreach (var g in runs)
        {
            var read = ReadingOrder.Of(g, before);
            foreach (var glyph in read) has.Face(g.Face).Use(glyph);
            if (read != g.Glyphs) _read[g] = read;
            before = g;
        }
    }

    private static IEnumerable<GlyphMark> Letters(PressMark mark) => mark switch
    {
        KeptMark { Mark: GlyphMark own } => [own],
        FlatMark { Letters: { } seen } => [seen],
        FlatMark flat => flat.Hidden,
        _ => [],
    };

    private IEnumerable<Ink> Inks(PressMark mark) => mark is FlatMark flat ? has.Flat(flat.Part).Select(p => p.Ink)
        : MarkInks.Of(((KeptMark)mark).Mark);

    /// <summary>
    /// Whether finishing inks leave other plates as they are by overprinting; what multiplies leaves them anyhow, and
    /// must not overprint besides (11.7.4.3).
    /// </summary>
    private bool _finishesOverprint = true;

    private void Mark(Mark mark, Affine toPage) => mark.Accept(new Painting(this, toPage));

    private static double Wide(Affine m) => Math.Sqrt((m.A * m.A) + (m.B * m.B));

    /// <summary>A shading in the page's points, or in its own under a placing of those (8.7.4.5.1).</summary>
    private void Shading(Gradient shade)
    {
        if (shade.Transform != Affine.Identity) _s.Concat(shade.Transform.AsMatrix());
        _s.Op(Operator.Shading, has.Shade(shade)).Break();
    }

    /// <summary>Draws within a shape; what is set meanwhile ends with it.</summary>
    private void Clipped(Outline shape, Affine toPage, bool evenOdd, Action draw)
    {
        // A clip without a path clips nothing, where it should hide all.
        if (shape.IsEmpty) return;
        var (fill, overprinting) = (_fill, _overprinting);
        _s.Save().Break();
        Shape(shape, toPage);
        _s.ClipToPath(evenOdd).Break();
        draw();
        _s.Restore().Break();
        (_fill, _overprinting) = (fill, overprinting);
    }

    /// <summary>
    /// Images lie in a unit square whose y runs up (8.9.5.1); scenes' pictures in one whose y runs down.
    /// </summary>
    private void Image(string name, Affine place) => Placed(_s, name, place);

    /// <summary>An image's content under a placing of the scene's own unit square.</summary>
    public static ContentWriter Placed(ContentWriter to, string name, Affine place) =>
        to.Concat(new Affine(1, 0, 0, -1, 0, 1).Then(place).AsMatrix(), places: 4).XObject(name).Break();

    private void Fill(Mark mark, Ink own, bool overprint)
    {
        Overprint(mark.Finish is null ? overprint : _finishesOverprint);
        if (mark.Finish is null && _fill == own) return;
        _fill = mark.Finish is null ? own : null;
        Filled(_s, mark, own).Break();
    }

    /// <summary>The colour that a mark is filled with: its inks, or a finishing ink's plate (8.6.8).</summary>
    private ContentWriter Filled(ContentWriter to, Mark mark, Ink own) => mark.Finish is { } finish
        ? to.Tint(has.Finish(finish.Name), stroke: false, finish.Tint / 10_000.0) : ink.Fill(to, own);

    private void Overprint(bool on)
    {
        if (on == _overprinting) return;
        _overprinting = on;
        _s.State(on ? "Go" : "Gk").Break();
    }

    /// <summary>A run of type; 0 filled, 3 not seen, 7 a clip (9.3.6).</summary>
    private void Glyphs(GlyphMark g, Affine toPage, int mode = 0) =>
        new PdfLetters(_s, has, _read).Write(g, toPage, mode);

    private void Shape(Outline o, Affine m) => PdfPath.Write(_s, o, m);
}
