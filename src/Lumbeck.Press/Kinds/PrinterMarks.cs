using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Kinds;

/// <summary>
/// Printer's marks (docs/press-files.md), all of them outside the bleed: crop marks of 0.25 pt in the colour of all
/// plates, dashed fold marks,
/// bleed marks, an ink bar and a slug line, as the house asks.
/// </summary>
/// <param name="page">The page.</param>
/// <param name="house">Whose marks.</param>
/// <param name="note">For the slug line.</param>
/// <param name="has">The page's resources.</param>
/// <param name="shelf">Faces.</param>
/// <param name="ink">How inks are written.</param>
/// <param name="plan">What is asked.</param>
/// <param name="shapes">The shape of a run of type, where type leaves as shapes: the slug line too.</param>
internal sealed class PrinterMarks(PageBoxes page, House house, DocumentInfo note, PageResources has, FaceShelf shelf,
    ColorOperators ink, PressPlan plan, Func<GlyphMark, Outline>? shapes = null)
{
    private const double Gap = 3, Long = 17, Weight = 0.25;
    private readonly ContentWriter _s = new();

    public ContentWriter Draw()
    {
        if (plan.Kind.Beside > 0)
        {
            Slug(page.Margin, 5, page.Wide - (2 * page.Margin), $"Proof, not for printing · {note.Slug}");
            return _s;
        }
        var (left, foot, right, head) = (page.Margin, page.Margin, page.Wide - page.Margin, page.High - page.Margin);
        var (tl, tf, tr, th) = Trim();
        _s.Save().State("Gk");
        if (plan.InRgb) _s.Op(Operator.StrokeRgb, 0, 0, 0);
        else _s.Tint(has.Registration(), stroke: true, 1);
        _s.Op(Operator.LineWidth, Weight).Break();
        foreach (var x in (double[])[tl, tr])
        {
            Line(x, foot - Gap, x, foot - Gap - Long);
            Line(x, head + Gap, x, head + Gap + Long);
        }
        foreach (var y in (double[])[tf, th])
        {
            Line(left - Gap, y, left - Gap - Long, y);
            Line(right + Gap, y, right + Gap + Long, y);
        }
        if (house.Marks == Marks.CropAndBleed)
        {
            const double half = Long / 2;
            foreach (var x in (double[])[left, right])
            {
                Line(x, foot - Gap, x, foot - Gap - half);
                Line(x, head + Gap, x, head + Gap + half);
            }
            foreach (var y in (double[])[foot, head])
            {
                Line(left - Gap, y, left - Gap - half, y);
                Line(right + Gap, y, right + Gap + half, y);
            }
        }
        if (house.FoldMarks && page.Trim == page.Sheet.Trim)
        {
            _s.Dash([2, 1.5]).Break();
            foreach (var fold in page.Sheet.Folds)
            {
                var x = X(fold.Points);
                Line(x, foot - Gap, x, foot - Gap - Long);
                Line(x, head + Gap, x, head + Gap + Long);
            }
            foreach (var fold in page.Sheet.FoldsAcross)
            {
                var y = Y(fold.Points);
                Line(left - Gap, y, left - Gap - Long, y);
                Line(right + Gap, y, right + Gap + Long, y);
            }
            _s.Dash([]).Break();
        }
        if (house.InkBar && !plan.InRgb) Bar(tl + 12, head + Gap + 5);
        _s.Restore().Break();
        if (house.Slug && note.Slug.Length > 0) Slug(tl + 6, foot - Gap - Long - 6, tr - tl - 12, note.Slug);
        return _s;
    }

    private double X(double x) => x - page.Window.X.Points + page.Margin;
    private double Y(double y) => page.Window.Bottom.Points + page.Margin - y;

    private (double, double, double, double) Trim() =>
        (X(page.Trim.X.Points), Y(page.Trim.Bottom.Points), X(page.Trim.Right.Points), Y(page.Trim.Y.Points));

    private void Line(double x1, double y1, double x2, double y2) =>
        _s.Line(x1, y1, x2, y2).Break();

    /// <summary>Each ink whole and at half, and the three overprints of two.</summary>
    private void Bar(double x, double y)
    {
        const double side = 9;
        Ink[] patches = [.. ((Ink[])[new(10_000, 0, 0, 0), new(0, 10_000, 0, 0), new(0, 0, 10_000, 0),
            Ink.Black]).SelectMany(i => (Ink[])[i, i.Tint(5000)]),
            new(10_000, 10_000, 0, 0), new(10_000, 0, 10_000, 0), new(0, 10_000, 10_000, 0)];
        foreach (var patch in patches)
        {
            ink.Fill(_s, patch).Rectangle(x, y, side, side).Fill().Break();
            x += side;
        }
    }

    /// <summary>Who and what this is, in black.</summary>
    private void Slug(double x, double y, double wide, string words)
    {
        var id = new FaceId("work-sans", 400, false);
        var marks = SlugLine.Of(shelf, id, words, 7, wide);
        if (shapes is null) foreach (var glyph in marks.Glyphs) has.Face(id).Use(glyph);
        var line = new Scene(page.Sheet, [new("slug", Part.Sheet, Affine.Identity, [marks], Bounds.None, Bounds.None)]);
        _s.Save().Break().Append(new PdfPainter(Plates.Flattened.None(line), has, ink, new(1, 0, 0, -1, x, y), shapes).Paint())
            .Restore().Break();
    }
}

/// <summary>A line of small type for marks and mock-ups.</summary>
internal static class SlugLine
{
    /// <summary>The words that a width holds, the last of them left away where there is no room.</summary>
    public static GlyphMark Of(FaceShelf shelf, FaceId face, string words, double size, double wide)
    {
        var scale = size / shelf.Metrics(face).UnitsPerEm;
        words = string.Concat(words.EnumerateRunes().Select(r => shelf.Has(face, r) ? r.ToString() : "·"));
        for (; ; words = words[..^1])
        {
            var run = Shaping.Shape(shelf, face, words, ligatures: false);
            var width = run.Glyphs.Sum(g => g.Advance) * scale;
            if (width > wide && words.Length > 1) continue;
            double x = 0;
            var glyphs = ImmutableArray.CreateBuilder<PlacedGlyph>();
            foreach (var g in run.Glyphs)
            {
                glyphs.Add(new(g.Id, x, 0, words.Substring(g.Cluster, 1)));
                x += g.Advance * scale;
            }
            return new(face, size, 0, 0, glyphs.ToImmutable(), words, Ink.Black, Overprint: false);
        }
    }
}
