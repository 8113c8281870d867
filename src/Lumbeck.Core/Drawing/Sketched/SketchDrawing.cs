namespace Lumbeck.Core.Drawing.Sketched;

/// <summary>Ornaments and vistas in their boxes, as marks in points.</summary>
public static class SketchDrawing
{
    private static readonly double Mm = Length.FromMillimetres(1).Points;

    /// <summary>An ornament that fills its box.</summary>
    public static IEnumerable<Mark> Draw(OrnamentItem item, IReadOnlyList<Swatch> swatches, double w, double h)
    {
        if (w <= 0 || h <= 0) return [];
        var (wide, high) = (w / Mm, h / Mm);
        var flip = new Affine(item.Flip.HasFlag(Flip.Across) ? -1 : 1, 0, 0, item.Flip.HasFlag(Flip.Down) ? -1 : 1,
            item.Flip.HasFlag(Flip.Across) ? wide : 0, item.Flip.HasFlag(Flip.Down) ? high : 0);
        return item.Ornament.Draw(wide, high).Select(d => item.Flip == Flip.None ? d : d.Under(flip, 1))
            .SelectMany(d =>
                PatternDrawing.Marks(PatternDrawing.InPoints(d, Mm, 0, 0), item.Ornament.Paints, swatches));
    }

    /// <summary>A vista, cut off at its box's edge; one layer of it where that is asked for.</summary>
    public static IEnumerable<Mark> Draw(VistaItem item, IReadOnlyList<Swatch> swatches, Stage stage)
    {
        if (stage.Whole.IsEmpty) return [];
        var vista = item.Vista;
        var marks = vista.Draw(stage)
            .Where(d => vista.Layer == 0 || d.Layer == vista.Layer)
            .SelectMany(d => PatternDrawing.Marks(PatternDrawing.InPoints(d.Drawn, Mm, 0, 0), vista.Paints, swatches));
        var box = Outline.Rectangle(0, 0, stage.Whole.Right * Mm, stage.Whole.Bottom * Mm);
        return PatternDrawing.ByFinish(marks).Select(m => new DrawingMark(m, box) { Finish = m[0].Finish });
    }

    internal static Bounds InMillimetres(Bounds points) =>
        new(points.Left / Mm, points.Top / Mm, points.Right / Mm, points.Bottom / Mm);
}
