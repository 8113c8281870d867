namespace Lumbeck.Core.Drawing;

/// <summary>Job and geometry in, scene out: every item placed, set and drawn once.</summary>
public static class SceneBuilder
{
    /// <param name="job">The job.</param>
    /// <param name="on">The sheet.</param>
    /// <param name="type">Faces.</param>
    /// <param name="drawings">What drawn pictures hold; null where there are none.</param>
    /// <param name="before">What was built before an edit: drawn items that it left alone are those of then.</param>
    public static Scene Build(Job job, PrintedSheet on, IType type, IDrawings? drawings = null,
        BuiltBefore? before = null)
    {
        var (sheet, take) = (on.Sheet, job.Wraps[on.Wrap].Take);
        var known = before?.For(job, on);
        var drawnItems = ImmutableArray.CreateBuilder<DrawnItem>(take.Items.Count + 1);
        drawnItems.Add(known is { } k && k.Take.Ground == take.Ground
            ? k.Scene.Items[0]
            : Ground(job, take.Ground, sheet, drawings));
        foreach (var item in take.Items)
            drawnItems.Add(known?.DrawnOf(item) ?? Item(job, item, sheet, type, drawings));
        return new(sheet, drawnItems.ToImmutable());
    }

    /// <summary>One item's drawn item; empty where it is hidden or its panel is not on this sheet.</summary>
    public static DrawnItem Item(Job job, Item item, Surface sheet, IType type, IDrawings? drawings = null) =>
        Drawn(job, item, sheet, type, drawings) with { Opacity = (double)item.Opacity / 100, Blend = item.Blend };

    private static DrawnItem Drawn(Job job, Item item, Surface sheet, IType type, IDrawings? drawings)
    {
        var at = Placement.Of(item, sheet);
        if (at is null) return new(item.Id, item.Hold.Panel, Affine.Identity, [], Bounds.None, Bounds.None);
        var (w, h) = (at.Box.Width.Points, at.Box.Height.Points);
        var frame = at.ToSheet.Of(new(0, 0, w, h));
        if (item.Hidden || w < 0 || h < 0 || item.Opacity == 0)
            return new(item.Id, item.Hold.Panel, at.ToSheet, [], frame, Bounds.None);
        switch (item)
        {
            case TextItem text:
                var setting = Typesetter.Set(text.ToSet(job.Ticket, at.Panel.Turn), w, h, type);
                var marks = TextDrawing.Draw(text, setting, job, type);
                return new(item.Id, item.Hold.Panel, at.ToSheet, marks, frame,
                    at.ToSheet.Of(Edged(TextDrawing.Inked(marks, type), text.Edge)), setting);
            case ShapeItem shape:
                var drawn = ShapeDrawing.Draw(shape, at, sheet, job, drawings).ToImmutableArray();
                // What a picture grows lies beyond its frame.
                var inked = drawn.OfType<GrownMark>()
                    .Aggregate(frame, (b, g) => b.Union(g.Place.Then(at.ToSheet).Of(new(0, 0, 1, 1))));
                return new(item.Id, item.Hold.Panel, at.ToSheet, drawn, frame, inked);
            case BarcodeItem code:
                return new(item.Id, item.Hold.Panel, at.ToSheet, [.. BarcodeDrawing.Draw(code, job.Ticket, type)],
                    frame, frame);
            case CodeItem code:
                return new(item.Id, item.Hold.Panel, at.ToSheet,
                    [.. CodeDrawing.Draw(code, job.Swatches, drawings?.Squares(code.Link, code.Level))], frame, frame);
            case SketchedItem sketched:
                return new(item.Id, item.Hold.Panel, at.ToSheet,
                    [.. SketchDrawing.Draw(sketched, job.Swatches, StageOf(sheet, at, w, h), drawings)], frame, frame);
            default:
                throw new NotSupportedException($"An item of kind {item.Kind} has no drawing.");
        }
    }

    /// <summary>What a sketch is composed to: its own box, and the panels as they lie in it, in millimetres.</summary>
    private static Stage StageOf(Surface sheet, Placement at, double w, double h)
    {
        var toBox = at.ToSheet.Inverse();
        Bounds? face(Part part) => sheet.Panel(part)?.Face is { } f
            ? SketchDrawing.InMillimetres(toBox.Of(Bounds.Of(f)))
            : null;
        var whole = SketchDrawing.InMillimetres(new(0, 0, w, h));
        return new(whole, face(Part.Front) ?? whole, face(Part.Back));
    }

    private static DrawnItem Ground(Job job, Fill ground, Surface sheet, IDrawings? drawings)
    {
        var marks = ImmutableArray.CreateBuilder<Mark>();
        var whole = new Bounds(0, 0, sheet.Size.Width.Points, sheet.Size.Height.Points);
        if (ground.Paint is { } paint)
            marks.Add(PaintedMarks.Filled(Outline.Rectangle(0, 0, whole.Right, whole.Bottom), paint, job.Swatches,
                whole.Right, whole.Bottom));
        if (ground.Pattern is { } pattern)
        {
            // A paper is anchored on the front, so that the front stays as it is when the spine grows.
            var face = sheet.Panel(Part.Front)?.Face ?? sheet.Trim;
            var front = Bounds.Of(face);
            marks.AddRange(new LaidPaper(pattern, ground.Paint, job.Swatches, whole, front, whole, drawings).Marks());
        }
        return new(DrawnItem.Ground, Part.Sheet, Affine.Identity, marks.ToImmutable(), whole, whole, Clipped: true);
    }

    private static Bounds Edged(Bounds b, TextEdge? edge) =>
        edge is null || b.IsEmpty
            ? b
            : new(b.Left - edge.Width.Points, b.Top - edge.Width.Points, b.Right + edge.Width.Points,
                b.Bottom + edge.Width.Points);
}

/// <summary>
/// A job's scenes as they were built before an edit. A drawn item follows from its item, the ticket, the swatches and its
/// sheet; where all four are the very same, so is the drawn item.
/// </summary>
/// <param name="Job">The job as it was.</param>
/// <param name="Sheets">Its sheets and their scenes.</param>
public sealed record BuiltBefore(Job Job, IReadOnlyList<(PrintedSheet On, Scene Scene)> Sheets)
{
    /// <summary>What was built of a sheet; null where the ticket, the swatches or the sheet are others now.</summary>
    public Known? For(Job now, PrintedSheet on)
    {
        if (!ReferenceEquals(now.Ticket, Job.Ticket) || !ReferenceEquals(now.Swatches, Job.Swatches)) return null;
        foreach (var (was, scene) in Sheets)
            if (was.Number == on.Number && was.Wrap == on.Wrap && ReferenceEquals(was.Sheet, on.Sheet)
                && on.Wrap < Job.Wraps.Count)
                return new(Job.Wraps[on.Wrap].Take, scene);
        return null;
    }

    /// <summary>One sheet as it was.</summary>
    public sealed class Known
    {
        private readonly Dictionary<Item, DrawnItem> _drawn = new(ReferenceEqualityComparer.Instance);

        internal Known(Take take, Scene scene)
        {
            (Take, Scene) = (take, scene);
            // The ground comes first, then a drawn item for each item.
            for (var i = 0; i < take.Items.Count && i + 1 < scene.Items.Length; i++)
                _drawn[take.Items[i]] = scene.Items[i + 1];
        }

        public Take Take { get; }
        public Scene Scene { get; }

        public DrawnItem? DrawnOf(Item item) => _drawn.GetValueOrDefault(item);
    }
}
