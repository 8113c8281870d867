namespace Lumbeck.Core.Drawing.Sketched;

/// <summary>What is drawn from a seed in its box, as marks in points.</summary>
public static class SketchDrawing
{
    private static readonly double Mm = Length.FromMillimetres(1).Points;

    /// <summary>An item's drawing; a scene is cut off at its box's edge.</summary>
    /// <param name="item">The item.</param>
    /// <param name="swatches">The job's swatches.</param>
    /// <param name="stage">Its box and the panels in it, in millimetres; an empty one draws nothing.</param>
    /// <param name="drawings">Tells visible edges from hidden ones.</param>
    public static IEnumerable<Mark> Draw(SketchedItem item, IReadOnlyList<Swatch> swatches, Stage stage,
        IDrawings? drawings = null)
    {
        if (stage.Whole.IsEmpty || stage.Wide <= 0 || stage.High <= 0) return [];
        var drawn = item.Sketch.Outlined is { } weight
            ? Outlining.Of(item.Sketch, weight, (item.Painted(_ => Outlining.Plain), stage), () => item.Draw(stage),
                Outlining.LeastIn(stage.Wide, stage.High), swatches, drawings)
            : item.Draw(stage);
        var marks = drawn
            .SelectMany(d => PatternDrawing.Marks(PatternDrawing.InPoints(d, Mm, 0, 0), item.Sketch.Paints, swatches));
        if (!item.IsScene) return marks;
        var box = Outline.Rectangle(0, 0, stage.Wide * Mm, stage.High * Mm);
        return PatternDrawing.ByFinish(marks).Select(m => new DrawingMark(m, box) { Finish = m[0].Finish });
    }

    internal static Bounds InMillimetres(Bounds points) =>
        new(points.Left / Mm, points.Top / Mm, points.Right / Mm, points.Bottom / Mm);
}
