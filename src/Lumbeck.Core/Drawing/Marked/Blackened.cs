namespace Lumbeck.Core.Drawing.Marked;

/// <summary>
/// Marks where black is the only ink: each ink becomes one, and a finishing ink what stands for it on a screen.
/// </summary>
public static class Blackened
{
    public static Mark Of(Mark mark, Func<Ink, Ink> black) => mark switch
    {
        FillMark f => f with { Ink = Black(f, f.Ink, black), Finish = null },
        LineMark l => l with { Ink = Black(l, l.Ink, black), Finish = null },
        BlurredMark s => s with { Ink = Black(s, s.Ink, black), Finish = null },
        GlyphMark g => g with
        {
            Ink = Black(g, g.Ink, black),
            Finish = null,
            Gradient = g.Gradient is { } run ? Shaded(run, black) : null,
        },
        GradientMark s => s with { Gradient = Shaded(s.Gradient, black) },
        DrawingMark d => d with { Marks = [.. d.Marks.Select(m => Of(m, black))], Finish = null },
        RepeatedMark r => r with { Symbol = [.. r.Symbol.Select(m => Of(m, black))], Finish = null },
        _ => mark,
    };

    private static Ink Black(Mark mark, Ink ink, Func<Ink, Ink> black) =>
        black(mark.Finish is { } finish ? Finishes.Likeness(finish.Name) : ink);

    private static Gradient Shaded(Gradient shade, Func<Ink, Ink> black) =>
        shade with { Stops = [.. shade.Stops.Select(s => (s.At, black(s.Ink)))] };
}
