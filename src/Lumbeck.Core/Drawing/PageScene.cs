namespace Lumbeck.Core.Drawing;

/// <summary>A page of an inside as a scene.</summary>
public static class PageScene
{
    /// <param name="design">What is on it.</param>
    /// <param name="page">The page.</param>
    /// <param name="swatches">The job's.</param>
    /// <exception cref="Refusal">The design does not fit the page.</exception>
    public static Scene Of(PageDesign design, Surface page, IReadOnlyList<Swatch> swatches)
    {
        ImmutableArray<Mark> marks = [.. design.Draw(page)
            .SelectMany(d => PatternDrawing.Marks(d, design.Paints, swatches))];
        var reach = marks.Aggregate(Bounds.None, (all, m) => all.Union(Reach(m)));
        var whole = new Bounds(0, 0, page.Size.Width.Points, page.Size.Height.Points);
        return new(page, [new(Piece.Ground, Part.Page, Affine.Identity, marks, whole, reach, Clipped: true)]);
    }

    private static Bounds Reach(Mark mark) => mark switch
    {
        FillMark f => f.Shape.Bounds,
        LineMark l when l.Shape.Bounds is var b => new(b.Left, b.Top - (l.Width / 2), b.Right,
            b.Bottom + (l.Width / 2)),
        RepeatedMark r => r.Each().Aggregate(Bounds.None, (all, m) => all.Union(Reach(m))),
        _ => Bounds.None,
    };
}
