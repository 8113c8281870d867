using Lumbeck.Pdf.Content;
using Lumbeck.Pdf.Writing;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Kinds;

/// <summary>
/// The wrap at its own size over pages a home printer takes (docs/press-files.md): tiles that overlap by a glue tab,
/// with lines to cut and fold by, and a ruler that proves the scale.
/// </summary>
internal sealed class Mockup(PdfWriter pdf, PdfRef tree, Sheet sheet, PressPlan plan, Func<FaceId, EmbeddedFont> faces,
    FaceShelf shelf)
{
    private static readonly FaceId Words = new("work-sans", 400, false);
    private const double Mm = 72 / 25.4;
    /// <summary>What a home printer leaves white, how far tiles overlap, and what the ruler takes.</summary>
    private const double Margin = 8 * Mm, Overlap = 10 * Mm, Foot = 14 * Mm;

    private const double LabelAt = Margin + (56 * Mm);

    private readonly double _wide = plan.Letter ? 612 : 210 * Mm, _high = plan.Letter ? 792 : 297 * Mm;

    /// <summary>Pages whose tiles together are the sheet, from its upper left, row by row.</summary>
    public IEnumerable<PdfRef> Pages(ContentWriter content, PageResources has, Func<PdfDict> fonts)
    {
        var (w, h) = (sheet.Size.Width.Points, sheet.Size.Height.Points);
        // The paper is turned where that takes fewer.
        var (upright, turned) = (Count(_wide, _high, w, h), Count(_high, _wide, w, h));
        var (pw, ph) = upright.Across * upright.Down <= turned.Across * turned.Down ? (_wide, _high) : (_high, _wide);
        var (across, down) = Count(pw, ph, w, h);
        var (tw, th) = (pw - (2 * Margin), ph - (2 * Margin) - Foot);
        var labels = Enumerable.Range(0, across * down).Select(n => Label(n, across, down)).ToList();
        foreach (var label in labels) foreach (var glyph in label.Glyphs) faces(Words).Use(glyph);
        var resources = has.Write(fonts());
        var form = pdf.Stream(PressObjects.Form(PdfArray.Of(0, 0, w, h), resources), content.Written);
        for (var n = 0; n < across * down; n++)
        {
            var (column, row) = (n % across, n / across);
            var (left, top) = (column * (tw - Overlap), row * (th - Overlap));
            var (sw, sh) = (Math.Min(tw, w - left), Math.Min(th, h - top));
            var (x, y) = (Margin, ph - Margin - sh);
            var s = new ContentWriter().Save().Rectangle(x, y, sw, sh).ClipToPath()
                .Concat(new(1, 0, 0, 1, x - left, y - (h - top - sh))).XObject("Sheet").Restore().Break();
            // From the sheet's points to this page's.
            double px(double at) => x + at - left;
            double py(double at) => y + sh - (at - top);
            void line(double x1, double y1, double x2, double y2) =>
                s.Line(x1, y1, x2, y2).Break();
            s.Save().Op(Operator.LineWidth, 0.6).Op(Operator.StrokeRgb, 0.1, 0.1, 0.1).Break();
            // Cut lines stand beside the art, fold lines dashed beside it too.
            foreach (var at in (double[])[sheet.Trim.X.Points, sheet.Trim.Right.Points])
                if (at >= left && at <= left + sw)
                {
                    line(px(at), y + sh + 2, px(at), y + sh + Margin - 4);
                    line(px(at), y - 2, px(at), y - Margin + 4);
                }
            foreach (var at in (double[])[sheet.Trim.Y.Points, sheet.Trim.Bottom.Points])
                if (at >= top && at <= top + sh)
                {
                    line(x - 2, py(at), x - Margin + 4, py(at));
                    line(x + sw + 2, py(at), x + sw + Margin - 4, py(at));
                }
            s.Dash([3, 2]).Break();
            foreach (var fold in sheet.Folds) if (fold.Points >= left && fold.Points <= left + sw)
            {
                line(px(fold.Points), y + sh + 2, px(fold.Points), y + sh + Margin - 4);
                line(px(fold.Points), y - 2, px(fold.Points), y - Margin + 4);
            }
            foreach (var fold in sheet.FoldsAcross) if (fold.Points >= top && fold.Points <= top + sh)
            {
                line(x - 2, py(fold.Points), x - Margin + 4, py(fold.Points));
                line(x + sw + 2, py(fold.Points), x + sw + Margin - 4, py(fold.Points));
            }
            s.Dash([]).Break();
            if (column < across - 1) Tab(s, x + sw - Overlap, y, Overlap, sh);
            if (row < down - 1) Tab(s, x, y, sw, Overlap);
            Ruler(s, line);
            s.Restore().Break();
            Said(s, labels[n], LabelAt, Margin + (3 * Mm));
            var stream = pdf.Stream(new(), s.Written);
            yield return pdf.Object(new PdfDict
            {
                ["Type"] = "Page",
                ["Parent"] = tree,
                ["MediaBox"] = PdfArray.Of(0, 0, pw, ph),
                ["Resources"] = new PdfDict
                {
                    ["XObject"] = new PdfDict { ["Sheet"] = form },
                    ["Font"] = fonts(),
                },
                ["Contents"] = stream,
            });
        }
    }

    private static (int Across, int Down) Count(double pw, double ph, double w, double h)
    {
        static int tiles(double room, double size) =>
            Math.Max(1, (int)Math.Ceiling((size - Overlap) / (room - Overlap)));
        return (tiles(pw - (2 * Margin), w), tiles(ph - (2 * Margin) - Foot, h));
    }

    /// <summary>Where the next tile is glued: hatched over what that tile shows again.</summary>
    private static void Tab(ContentWriter s, double x, double y, double w, double h)
    {
        s.Save().Rectangle(x, y, w, h).ClipToPath().Op(Operator.LineWidth, 0.4).Op(Operator.StrokeRgb, 1, 1, 1).Break();
        for (var at = -h; at < w; at += 6) s.Line(x + at, y, x + at + h, y + h).Break();
        s.Restore().Save().Op(Operator.LineWidth, 0.4).Op(Operator.StrokeRgb, 0.1, 0.1, 0.1).Dash([1, 1.5])
            .Rectangle(x, y, w, h).Op(Operator.Stroke).Restore().Break();
    }

    /// <summary>50 mm above, 2 inches below: measured with a rule, both prove that the printer did not scale.</summary>
    private static void Ruler(ContentWriter s, Action<double, double, double, double> line)
    {
        const double x = Margin, y = Margin + (3 * Mm);
        s.Op(Operator.StrokeRgb, 0, 0, 0).Op(Operator.LineWidth, 0.5).Break();
        line(x, y, x + (50 * Mm), y);
        for (var mm = 0; mm <= 50; mm++)
            line(x + (mm * Mm), y, x + (mm * Mm), y + (mm % 10 == 0 ? 8 : mm % 5 == 0 ? 6 : 3.5));
        line(x, y - 3, x + 144, y - 3);
        for (var eighth = 0; eighth <= 16; eighth++)
            line(x + (eighth * 9), y - 3, x + (eighth * 9), y - 3 - (eighth % 8 == 0 ? 8 : eighth % 4 == 0 ? 6 : 3.5));
    }

    private GlyphMark Label(int n, int across, int down) =>
        SlugLine.Of(shelf, Words,
            string.Create(CultureInfo.InvariantCulture,
                $"Above 50 mm, below 2 in: print at 100 %. Sheet {n + 1} of {across * down}, row {(n / across) + 1}, " +
                    $"column {(n % across) + 1}. Glue over the hatching."),
            7, Room());

    /// <summary>What is left beside the ruler on the narrower side of the paper.</summary>
    private double Room() => Math.Min(_wide, _high) - LabelAt - Margin;

    private void Said(ContentWriter s, GlyphMark label, double x, double y)
    {
        var glyphs = new byte[2 * label.Glyphs.Length];
        foreach (var (n, glyph) in label.Glyphs.Index())
            System.Buffers.Binary.BinaryPrimitives.WriteUInt16BigEndian(glyphs.AsSpan(2 * n), glyph.Id);
        s.Op(Operator.BeginText).Font(faces(Words).Name, 7).Op(Operator.FillRgb, 0, 0, 0).Op(Operator.MoveText, x, y)
            .Object(PdfString.Hex(glyphs)).Op(Operator.ShowText).Op(Operator.EndText).Break();
    }
}
