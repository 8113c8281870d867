namespace Lumbeck.Core.Edits.OfItems;

/// <summary>Rebuilding an earlier cover over its picture: letter space found from where words begin and end.</summary>
public static class Matching
{
    /// <summary>
    /// The edit that spaces a text's letters so that the ink of its longest line begins at one mark and ends at
    /// another.
    /// </summary>
    /// <param name="job">The job.</param>
    /// <param name="id">The text.</param>
    /// <param name="marks">Two points of its sheet, in points; how far apart they are along the line counts.</param>
    /// <param name="type">Faces.</param>
    /// <exception cref="Refusal">The words can't be spaced so; how far they would have to be is said.</exception>
    public static Edit Span(Job job, string id, ((double X, double Y) From, (double X, double Y) To) marks, IType type)
    {
        var text = job.Item(id) as TextItem ?? throw new Refusal($"item/{id}", "only a text can be spaced to marks");
        var at = Hanging.At(text, job.SheetOf(text, job.WrapOf(id)));
        if (text.Upright || text.Bend != 0 || text.Fit is Fitting.FillWidth or Fitting.Shrink)
            throw new Refusal($"item/{id}/tracking",
                "a text that is upright, on an arc or made to fit its box can’t be spaced to marks: set it plainly first");
        var back = at.ToSheet.Inverse();
        var (a, b) = (back.At(marks.From.X, marks.From.Y).X, back.At(marks.To.X, marks.To.Y).X);
        if (a > b) (a, b) = (b, a);
        if (b - a < 2)
            throw new Refusal($"item/{id}/tracking",
                "the two marks lie over each other along the line: set them where the words begin and end");
        // Letters that were one while they stood close part when they are spaced: a few rounds find what holds.
        var tracking = text.Style.Tracking;
        for (var round = 0; ; round++)
        {
            var (left, right, gaps, size) = Ink(text with
            {
                Style = text.Style with { Tracking = tracking },
                Runs = [.. text.Runs.Select(r => r with { Style = r.Style with { Tracking = null } })]
            },
                job.Ticket, at, type);
            if (gaps < 1) throw new Refusal($"item/{id}/tracking", "one letter can’t be spaced: two are wanted");
            var short_ = b - a - (right - left);
            if (Math.Abs(short_) < 0.005 || round == 6) return Placed(text, tracking, a - left, right, at);
            tracking = Math.Round(tracking + (decimal)(short_ / gaps / size * 1000), 2);
            if (tracking is < -300 or > 2000)
                throw new Refusal($"item/{id}/tracking",
                    $"the words would have to be spaced by {tracking:0} ‰ of their size: from -300 to 2000 ‰; change the size first");
        }
    }

    /// <summary>
    /// Where the longest line's ink begins and ends in an endless box, how many letter spaces it has, and its size.
    /// </summary>
    private static (double Left, double Right, int Gaps, double Size) Ink(TextItem text, Ticket ticket, Placement at,
        IType type)
    {
        var set = Typesetter.Set((text with
        {
            Style = text.Style with
            {
                Align = Align.Left,
                Indent = Length.Zero
            }
        }).ToSet(ticket, at.Panel.Turn),
            100_000, 100_000, type);
        if (set.Lines.IsEmpty) return (0, 0, 0, 1);
        var line = set.Lines.MaxBy(l => l.Width)!;
        var inked = TextDrawing.Inked(line.Runs.Select(r =>
            (Mark)new GlyphMark(r.Face, r.Size, line.X, line.Baseline, r.Glyphs, r.Text, Colour.Ink.Black, false)),
            type);
        return (inked.Left, inked.Right, line.Glyphs.Select(g => g.X).Distinct().Count() - 1, set.Size);
    }

    private static Together Placed(TextItem text, decimal tracking, double x, double right, Placement at)
    {
        var wide = Length.FromPoints((decimal)Math.Ceiling((right + 1) * 100) / 100);
        var align = new StyleText(text.Id, Tracking: tracking, Align: Align.Left);
        // Hung by its left side, so that where it begins is what is kept.
        var hold = text.Hold with
        {
            Anchor = (Anchor)((int)text.Hold.Anchor / 3 * 3),
            Dx = Length.FromPoints((decimal)Math.Round(at.Box.X.Points + x, 3)),
        };
        return new Together([align, new SizeItem(text.Id, Width: new(wide)), new HoldItem(text.Id, Anchor: hold.Anchor),
            new HoldItem(text.Id, Dx: hold.Dx)],
            "letter space between two marks");
    }
}
