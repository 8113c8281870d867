namespace Lumbeck.Core.Checks.OfDrawn;

/// <summary>A drawing on a sheet: on the ground, in a shape, or a thing of its own.</summary>
/// <param name="Art">What is drawn.</param>
/// <param name="Item">The item; null for the ground.</param>
/// <param name="Drawn">Its drawn item.</param>
/// <param name="Under">What it lies on: its shape's own paint, or the ground's.</param>
internal sealed record DrawnHere(Sketch Art, Item? Item, DrawnItem Drawn, Paint? Under)
{
    /// <summary>All drawn art of a sheet.</summary>
    public static IEnumerable<DrawnHere> On(CheckContext look)
    {
        var ground = look.Take.Ground;
        if (ground.Pattern is { } paper && look.Scene.Items.Length > 0)
            yield return new(paper, null, look.Scene.Items[0], ground.Paint);
        foreach (var (item, drawn) in look.Drawn())
            switch (item)
            {
                case ShapeItem { Fill: { Pattern: { } pattern } fill }:
                    yield return new(pattern, item, drawn,
                    fill.Paint ?? ground.Paint); break;
                case SketchedItem s: yield return new(s.Sketch, item, drawn, s.Under ?? ground.Paint); break;
            }
    }

    /// <summary>The edit that gives its scale another value; null where it has none or is locked.</summary>
    public Edit? Scaled(CheckContext look, decimal scale) => Art is not Pattern ? null
        : scale > Pattern.ScaleMost ? null
        : Item is null ? new SetGroundPattern("scale", new(Number: scale), look.On.Wrap)
        : Item.Locked ? null
        : new SetPattern(Item.Id, "scale", new(Number: scale));

    /// <summary>The lines of the drawing itself: those of a shape that it fills are the shape's.</summary>
    public IEnumerable<LineMark> OwnLines() =>
        Lines(Item is ShapeItem ? Drawn.Marks.OfType<DrawingMark>() : Drawn.Marks);

    /// <summary>Every line of marks, wherever it is nested.</summary>
    public static IEnumerable<LineMark> Lines(IEnumerable<Mark> marks) => MarkLeaves.Of(marks).OfType<LineMark>();
}
