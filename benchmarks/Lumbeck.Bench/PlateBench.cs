using Lumbeck.Press.Colour;

namespace Lumbeck.Bench;

/// <summary>
/// What the plate painter takes for a list's small picture, beside the drawing that a browser was given before.
/// </summary>
internal static class PlateBench
{
    public static void Run(string folder)
    {
        var desk = new Desk.AppServices(Path.Combine(folder, "plates"), TimeProvider.System, DemoBench.Load);
        foreach (var slug in (string[])["tidewatcher", "calder"])
        {
            var c = desk.Jobs.Job(slug).Composed;
            var (scene, house) = (c.Sheets[0].Scene, c.Job.Ticket.House);
            var condition = PrintingCondition.Of(house);
            var bytes = 0;
            Benches.Time($"{slug}: a small picture of the plates", 40, 1,
                () => bytes = desk.Drawer.PlatesOf(house)
                    .Paint(scene, new(0, 0, scene.Width, scene.Height), 600 / scene.Width * 72, likeness: true)
                    .ToJpeg(condition, 82).Length);
            var painter = new Press.Svg.SvgPainter(desk.Drawer.Shelf, desk.Drawer.ColourOf(house), null,
                new PictureData(desk.Drawer.Pictures, condition));
            var drawn = 0;
            Benches.Time("  peer: the whole sheet as SVG", 40, 1, () => drawn = painter.Picture(scene).Length);
            Console.WriteLine($"  weight: {bytes / 1000.0:0} kB against {drawn / 1000.0:0} kB before compression");
        }
    }
}
