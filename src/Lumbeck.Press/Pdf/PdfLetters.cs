using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Writing;

namespace Lumbeck.Press.Pdf;

/// <summary>
/// Runs of type as a page's content (ISO 32000-1, 9): glyphs where they were set, and the letters they stand for where
/// the face's own map does not give them.
/// </summary>
/// <param name="s">What is written to.</param>
/// <param name="has">Where faces are.</param>
/// <param name="read">Runs whose glyphs carry other letters, so that words are read in their order.</param>
internal sealed class PdfLetters(ContentWriter s, IPageResources has, IReadOnlyDictionary<GlyphMark,
    ImmutableArray<PlacedGlyph>> read)
{
    /// <param name="g">The run.</param>
    /// <param name="toPage">Where its drawn item lies.</param>
    /// <param name="mode">0 filled, 3 not seen, 7 a clip (9.3.6).</param>
    public void Write(GlyphMark g, Affine toPage, int mode = 0)
    {
        var face = has.Face(g.Face);
        var glyphs = read.TryGetValue(g, out var carried) ? carried : g.Glyphs;
        // Letters spaced so widely that they would be taken for words carry those themselves (14.9.4).
        var spelled = !g.RightToLeft && IsSpaced(g, face);
        if (spelled) s.BeginActualText(g.Text).Break();
        s.Op(Operator.BeginText).Font(face.Name, g.Size);
        if (mode != 0) s.Op(Operator.RenderingMode, mode);
        s.Break();
        for (var from = 0; from < glyphs.Length;)
        {
            var to = from + 1;
            while (to < glyphs.Length && glyphs[to].Y == glyphs[from].Y && glyphs[to].Turn == 0
                && glyphs[from].Turn == 0)
                to++;
            Run(g, glyphs, from, to, face, toPage, spelled);
            from = to;
        }
        s.Op(Operator.EndText).Break();
        if (spelled) s.EndMarked().Break();
    }

    /// <summary>
    /// Letters spaced so widely that readers would take every one for a word: from about a tenth of the size on they
    /// do.
    /// </summary>
    private static bool IsSpaced(GlyphMark g, EmbeddedFont face)
    {
        for (var i = 1; i < g.Glyphs.Length; i++)
        {
            var (before, glyph) = (g.Glyphs[i - 1], g.Glyphs[i]);
            if (glyph.X - before.X - (face.Advance(before.Id) * g.Size / face.UnitsPerEm) > 0.06 * g.Size) return true;
        }
        return false;
    }

    private void Run(GlyphMark g, ImmutableArray<PlacedGlyph> glyphs, int from, int to, EmbeddedFont face,
        Affine toPage, bool spelled)
    {
        var first = glyphs[from];
        var m = new Affine(1, 0, 0, -1, 0, 0).Then(Affine.Rotate(first.Turn))
            .Then(Affine.Move(g.X + first.X, g.Y + first.Y)).Then(toPage);
        s.Op(Operator.TextMatrix, m.A, m.B, m.C, m.D, m.E, m.F).Break();
        var pen = first.X;
        var run = new GlyphRun();
        for (var i = from; i < to; i++)
        {
            var glyph = glyphs[i];
            // Where the map would not give a glyph's letters back, it carries them itself (14.9.4).
            var told = spelled || face.Tells(glyph);
            if (!told && !run.IsEmpty) { run.Show(s); s.Break(); }
            if (!told) s.BeginActualText(glyph.Letters).Break();
            // What the face's own advance leaves short or over, in thousandths of the size; the pen keeps what rounding
            // drops.
            var gap = Math.Round((glyph.X - pen) * 1000 / g.Size, 2);
            if (gap != 0)
            {
                run.Adjust(-gap);
                pen += gap * g.Size / 1000;
            }
            run.Add(glyph.Id);
            pen += face.Advance(glyph.Id) * g.Size / face.UnitsPerEm;
            if (!told) { run.Show(s); s.EndMarked().Break(); }
        }
        if (!run.IsEmpty) { run.Show(s); s.Break(); }
    }
}
