using System.Text;

namespace Lumbeck.Press.Pdf;

/// <summary>
/// Runs of type as a page's content (ISO 32000-1, 9): glyphs where they were set, and the letters they stand for where
/// the face's own map does not give them.
/// </summary>
/// <param name="s">What is written to.</param>
/// <param name="has">Where faces are.</param>
/// <param name="read">Runs whose glyphs carry other letters, so that words are read in their order.</param>
internal sealed class PdfLetters(StringBuilder s, IPageResources has, IReadOnlyDictionary<GlyphMark,
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
        if (spelled) Span(g.Text);
        s.Append("BT /").Append(face.Name).Append(' ').Append(PdfSyntax.Figure(g.Size))
            .Append(mode == 0 ? " Tf\n" : $" Tf {mode} Tr\n");
        for (var from = 0; from < glyphs.Length;)
        {
            var to = from + 1;
            while (to < glyphs.Length && glyphs[to].Y == glyphs[from].Y && glyphs[to].Turn == 0
                && glyphs[from].Turn == 0)
                to++;
            Run(g, glyphs, from, to, face, toPage, spelled);
            from = to;
        }
        s.Append("ET\n");
        if (spelled) s.Append("EMC\n");
    }

    private void Span(string letters) =>
        s.Append("/Span << /ActualText ").Append(PdfSyntax.String(letters)).Append(" >> BDC\n");

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
        s.Append(PdfSyntax.Figure(m.A)).Append(' ').Append(PdfSyntax.Figure(m.B)).Append(' ').Append(PdfSyntax.Figure(m.C))
            .Append(' ').Append(PdfSyntax.Figure(m.D)).Append(' ')
            .Append(PdfSyntax.Figure(m.E)).Append(' ').Append(PdfSyntax.Figure(m.F)).Append(" Tm\n");
        var pen = first.X;
        var open = false;
        for (var i = from; i < to; i++)
        {
            var glyph = glyphs[i];
            // Where the map would not give a glyph's letters back, it carries them itself (14.9.4).
            var told = spelled || face.Tells(glyph);
            if (!told && open) { s.Append(">] TJ\n"); open = false; }
            if (!told) Span(glyph.Letters);
            if (!open) { s.Append("[<"); open = true; }
            // What the face's own advance leaves short or over, in thousandths of the size; the pen keeps what rounding
            // drops.
            var gap = Math.Round((glyph.X - pen) * 1000 / g.Size, 2);
            if (gap != 0)
            {
                s.Append("> ").Append(PdfSyntax.Figure(-gap)).Append(" <");
                pen += gap * g.Size / 1000;
            }
            s.Append(glyph.Id.ToString("X4", CultureInfo.InvariantCulture));
            pen += face.Advance(glyph.Id) * g.Size / face.UnitsPerEm;
            if (!told) { s.Append(">] TJ EMC\n"); open = false; }
        }
        if (open) s.Append(">] TJ\n");
    }
}
