namespace Lumbeck.Core.Drawing.Sketched;

/// <summary>
/// A paper as it is laid: moved, mirrored, faded toward an edge, calm under words. What fades goes step by step toward
/// what it lies on, each step in inks of its own, clipped to its band; bands overlap by 0.05 mm, so that no hair of the
/// ground shows between.
/// </summary>
/// <param name="paper">The paper.</param>
/// <param name="under">What it lies on; null for bare paper or what lies under a shape.</param>
/// <param name="swatches">The job's.</param>
/// <param name="whole">All that it covers, in points: the sheet, or a shape.</param>
/// <param name="origin">The front's face, or the shape's own bounds, in points.</param>
/// <param name="run">What a gradient that it lies on runs over, in points: the sheet, the page, or a shape's own box.</param>
/// <param name="drawings">Keeps what was drawn of late.</param>
public sealed class LaidPaper(Pattern paper, Paint? under, IReadOnlyList<Swatch> swatches, Bounds whole, Bounds origin,
    Bounds run, IDrawings? drawings)
{
    /// <summary>Steps of a fade over all that is covered, and of a calm box's edge.</summary>
    private const int Steps = 12, Rings = 6;

    private static readonly double Mm = Length.FromMillimetres(1).Points;
    private static readonly double Overlap = 0.05 * Mm;

    /// <summary>The pattern as marks, in points of what it is laid on, the lowest first.</summary>
    public IEnumerable<Mark> Marks()
    {
        foreach (var mark in Bands()) yield return mark;
        foreach (var calm in paper.Calm)
            foreach (var mark in Calmed(calm)) yield return mark;
    }

    private IEnumerable<Mark> Bands()
    {
        if (paper.Fade == PatternFade.None) return Mirrored(whole, 0);
        return Enumerable.Range(0, Steps).SelectMany(n =>
        {
            // The last step has gone all but out.
            var share = (n + 0.5) / Steps;
            var band = Band(n);
            return Clipped(Mirrored(band, share), Box(band));
        });
    }

    /// <summary>One step of the fade, the first the farthest from its edge.</summary>
    private Bounds Band(int n)
    {
        var (from, to) = ((double)n / Steps, (n + 1.0) / Steps);
        if (paper.Fade is PatternFade.Left or PatternFade.Head) (from, to) = (1 - to, 1 - from);
        var (w, h) = (whole.Right - whole.Left, whole.Bottom - whole.Top);
        return paper.Fade is PatternFade.Left or PatternFade.Right
            ? new(whole.Left + (w * from), whole.Top, whole.Left + (w * to) + Overlap, whole.Bottom)
            : new(whole.Left, whole.Top + (h * from), whole.Right, whole.Top + (h * to) + Overlap);
    }

    /// <summary>How far it has faded in the middle of a box.</summary>
    private double Faded(Bounds box)
    {
        var x = (((box.Left + box.Right) / 2) - whole.Left) / (whole.Right - whole.Left);
        var y = (((box.Top + box.Bottom) / 2) - whole.Top) / (whole.Bottom - whole.Top);
        return Math.Clamp(paper.Fade switch
        {
            PatternFade.Left => 1 - x,
            PatternFade.Right => x,
            PatternFade.Head => 1 - y,
            PatternFade.Foot => y,
            _ => 0,
        }, 0, 1);
    }

    private IEnumerable<Mark> Calmed(CalmBox calm)
    {
        for (var ring = 1; ring <= Rings; ring++)
        {
            var beyond = CalmBox.Edge * Mm * (Rings - ring) / (Rings - 1);
            var box = new Bounds(
                origin.Left + ((double)calm.X * Mm) - beyond, origin.Top + ((double)calm.Y * Mm) - beyond,
                origin.Left + ((double)(calm.X + calm.Wide) * Mm) + beyond,
                origin.Top + ((double)(calm.Y + calm.High) * Mm) + beyond);
            var shape = Outline.Rounded(box.Left, box.Top, box.Right - box.Left, box.Bottom - box.Top, beyond + (2 * Mm));
            // Where it has faded already it is no livelier.
            var share = 1 - ((1 - (calm.Share / 100.0 * ring / Rings)) * (1 - Faded(box)));
            var marks = Mirrored(box, share);
            // What it lies on goes on under the calm as it is beside it.
            var ground = PaintedMarks.Filled(shape, under ?? new InkPaint(Ink.White), swatches, run);
            foreach (var mark in Clipped(marks.Prepend(ground), shape)) yield return mark;
        }
    }

    /// <summary>What lies in a window, both sides of the mirror.</summary>
    private IEnumerable<Mark> Mirrored(Bounds window, double share)
    {
        if (!paper.Mirrored) return Laid(window, share);
        var middle = origin.Left > whole.Left + 1 || origin.Right < whole.Right - 1
            ? (whole.Left + whole.Right) / 2 : (origin.Left + origin.Right) / 2;
        var frontIsRight = (origin.Left + origin.Right) / 2 >= middle;
        Bounds near(Bounds b) => frontIsRight
            ? b with { Left = Math.Max(b.Left, middle) }
            : b with { Right = Math.Min(b.Right, middle) };
        var own = near(window);
        var seen = new Bounds((2 * middle) - window.Right, window.Top, (2 * middle) - window.Left, window.Bottom);
        seen = near(seen);
        var mirror = new Affine(-1, 0, 0, 1, 2 * middle, 0);
        return Side(own, share, Affine.Identity).Concat(Side(seen, share, mirror));
    }

    private IEnumerable<Mark> Side(Bounds window, double share, Affine place) =>
        window.Right <= window.Left ? []
            : Clipped(Moved.All(Laid(window, share), place),
                Box(window).Under(place));

    private static Outline Box(Bounds b) => Outline.Rectangle(b.Left, b.Top, b.Right - b.Left, b.Bottom - b.Top);

    private IEnumerable<Mark> Laid(Bounds window, double share)
    {
        var (x, y) = paper.Start == PatternStart.Middle
            ? ((origin.Left + origin.Right) / 2, (origin.Top + origin.Bottom) / 2)
            : (origin.Left, origin.Top);
        var toned = share <= 0
            ? paper
            : paper with { Paints = [.. paper.Paints.Select(p => Mixing.Toward(p, under, share, swatches))] };
        (x, y) = (x + ((double)paper.MovedRight * Mm), y + ((double)paper.MovedDown * Mm));
        return PatternDrawing.Draw(toned, swatches, x, y, window, drawings);
    }

    private static IEnumerable<Mark> Clipped(IEnumerable<Mark> marks, Outline shape) =>
        PatternDrawing.ByFinish(marks).Select(m => new DrawingMark(m, shape) { Finish = m[0].Finish });
}
