namespace Lumbeck.Core.Drawing;

/// <summary>
/// A set text as marks, in points from its box's corner: its plates, its shadow, its edge, and over them its letters.
/// </summary>
public static class TextDrawing
{
    public static ImmutableArray<Mark> Draw(TextItem item, TextLayout setting, Job job, IType type)
    {
        var letters = Letters(setting, job).ToList();
        if (letters.Count == 0) return [];
        var inked = Inked(letters, type);
        letters = [.. letters.Select(g =>
            g.Paint is GradientPaint p && !inked.IsEmpty
                ? g.Mark with { Gradient = PaintedMarks.Shaded(p, job.Swatches, inked) }
                : g.Mark)
            .Zip(letters, (m, g) => (m, g.Paint))];
        var marks = ImmutableArray.CreateBuilder<Mark>();
        if (item.Backing is { } backing && Backed(backing, setting, job) is { } plate) marks.Add(plate);
        if (item.Shadow is { } shadow)
        {
            var shape = Shape(letters.Select(l => l.Mark), type)
                .Under(Affine.Move(shadow.Right.Points, shadow.Down.Points));
            marks.Add(shadow.Soft.Units > 0
                ? PaintedMarks.Soft(shape, shadow.Soft.Points / 2, (double)shadow.Strength / 100, shadow.Paint,
                    job.Swatches)
                : PaintedMarks.Filled(shape, shadow.Paint, job.Swatches, 1, 1));
        }
        if (item.Edge is { } edge)
            marks.Add(PaintedMarks.Lined(Shape(letters.Select(l => l.Mark), type), 2 * edge.Width.Points, edge.Paint,
                job.Swatches));
        marks.AddRange(letters.Select(l => l.Mark));
        return marks.ToImmutable();
    }

    private static IEnumerable<(GlyphMark Mark, Paint Paint)> Letters(TextLayout setting, Job job)
    {
        foreach (var line in setting.Lines)
            foreach (var run in line.Runs)
            {
                if (run.Glyphs.Length == 0) continue;
                yield return (PaintedMarks.Letters(line, run, job.Swatches, job.Ticket.House.BlackOverprintUpTo),
                    run.Paint);
            }
    }

    /// <summary>
    /// Plates as high as capitals and descenders with room round them; those of lines that touch run into one; none
    /// behind lines that are bent.
    /// </summary>
    private static Mark? Backed(TextBacking backing, TextLayout setting, Job job)
    {
        var pen = new Pen();
        var room = backing.Room.Points;
        var whole = Bounds.None;
        foreach (var line in setting.Lines)
        {
            if (line.Width <= 0 || line.Glyphs.Any(g => g.Turn != 0)) continue;
            var (x, y, w, h) = (line.X - room, line.Baseline - (line.Ascent * 0.78) - room, line.Width + (2 * room),
                (line.Ascent * 0.78) + (line.Descent * 0.8) + (2 * room));
            pen.Add(Outline.Rounded(x, y, w, h, backing.Corner.Points));
            whole = whole.Union(new(x, y, x + w, y + h));
        }
        return whole.IsEmpty
            ? null
            : PaintedMarks.Filled(pen.Done(), backing.Paint, job.Swatches, whole.Right, whole.Bottom);
    }

    /// <summary>All letters as one shape.</summary>
    public static Outline Shape(IEnumerable<GlyphMark> marks, IType type)
    {
        var pen = new Pen();
        foreach (var mark in marks)
        {
            var upem = type.Metrics(mark.Face).UnitsPerEm;
            foreach (var glyph in mark.Glyphs)
                if (type.Glyph(mark.Face, glyph.Id) is { IsEmpty: false } outline)
                    pen.Add(outline.Under(mark.Place(glyph, upem)));
        }
        return pen.Done();
    }

    /// <summary>What the letters cover.</summary>
    public static Bounds Inked(IEnumerable<Mark> marks, IType type)
    {
        var all = Bounds.None;
        foreach (var mark in marks)
        {
            if (mark is not GlyphMark g) continue;
            var upem = type.Metrics(g.Face).UnitsPerEm;
            foreach (var glyph in g.Glyphs)
                if (type.Glyph(g.Face, glyph.Id).Bounds is { IsEmpty: false } b)
                    all = all.Union(g.Place(glyph, upem).Of(b));
        }
        return all;
    }

    private static Bounds Inked(List<(GlyphMark Mark, Paint Paint)> letters, IType type) =>
        Inked(letters.Select(l => l.Mark), type);
}
