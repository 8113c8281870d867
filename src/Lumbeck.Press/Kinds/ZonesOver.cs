using Lumbeck.Press.Pdf;

namespace Lumbeck.Press.Kinds;

/// <summary>A sheet's zones and folds drawn over it, for proofs.</summary>
internal static class ZonesOver
{
    public static Scene Of(Scene scene)
    {
        var ink = Ink.Percent(0, 80, 60, 20);
        List<Mark> marks = [Boxed(scene.Surface.Trim, ink, [])];
        foreach (var zone in scene.Surface.Zones.Where(z =>
            z.Kind is ZoneKind.FoldSafe or ZoneKind.TrimSafe or ZoneKind.SpineSafe or ZoneKind.Barcode
            or ZoneKind.Hinge or ZoneKind.Score or ZoneKind.Punch))
            marks.Add(Boxed(zone.Box, ink, [1.5, 2]));
        foreach (var fold in scene.Surface.Folds)
        {
            var pen = new Pen();
            pen.Move(fold.Points, 0);
            pen.Line(fold.Points, scene.Height);
            marks.Add(new LineMark(pen.Done(), 0.5, ink) { Dash = [6, 2, 1, 2] });
        }
        var whole = new Bounds(0, 0, scene.Width, scene.Height);
        return scene with
        {
            Items = scene.Items.Add(new("zones", Part.Sheet, Affine.Identity, [.. marks], whole, whole)),
        };
    }

    private static LineMark Boxed(Box b, Ink ink, ImmutableArray<double> dash) =>
        new(Outline.Rectangle(b.X.Points, b.Y.Points, b.Width.Points, b.Height.Points), 0.5, ink) { Dash = dash };
}
