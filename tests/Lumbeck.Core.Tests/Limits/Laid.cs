namespace Lumbeck.Core.Tests.Limits;

/// <summary>Plates of a job at a resolution, of one ink all over, and what lays one of the four on some pixels.</summary>
internal sealed class Laid
{
    public Laid(Job job, double perInch, byte black = 0)
    {
        Look = new(job, job.Sheets()[0], Sample.Scene(job));
        (Wide, High) = ((int)(Look.Scene.Width * perInch / 72), (int)(Look.Scene.Height * perInch / 72));
        Plates = new(Wide, High, perInch, new byte[Wide * High * 4])
        {
            // Brightness is what the black leaves.
            Luminance = inks => 1 - ((inks >> 24) / 255.0),
            Decode = _ => [],
        };
        Lay(0, 0, Wide, High, 3, black);
    }

    public CheckContext Look { get; init; }
    public int Wide { get; }
    public int High { get; }
    public PlateContext Plates { get; init; }

    public void Lay(int left, int top, int wide, int high, int ink, int level)
    {
        for (var y = top; y < top + high; y++)
            for (var x = left; x < left + wide; x++) Plates.Inks[(((y * Wide) + x) * 4) + ink] = (byte)level;
    }

    public void Lay(Box box, int ink, int level)
    {
        var (left, top, right, bottom) = Plates.Pixels(box);
        Lay(left, top, right - left, bottom - top, ink, level);
    }
}
