namespace Lumbeck.Core.Document;

/// <summary>The drawn art of a job.</summary>
public static class DrawnArt
{
    /// <summary>Papers, ornaments and vistas on the covers that are shown: those on the grounds first.</summary>
    public static IEnumerable<Sketch> On(Job job) =>
        job.Wraps.Select(w => w.Take.Ground.Pattern).OfType<Sketch>()
            .Concat(job.Items.Where(i => !i.Hidden).Select(i => i switch
            {
                SketchedItem s => s.Sketch,
                ShapeItem { Fill.Pattern: { } p } => p,
                _ => null,
            }).OfType<Sketch>());
}
