namespace Lumbeck.Core.Checks.OfTicket;

/// <summary>A file that would be larger than the house takes.</summary>
public sealed class PressSize : Rule
{
    /// <summary>
    /// What a pixel of a photograph takes in the file, in bytes: about what JPEG of four inks at high quality comes to.
    /// </summary>
    private const double BytesAPixel = 0.8;

    public override string Id => "press.size";
    public override string Proves => "the file is within the printer’s limit";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        var bytes = look.Scene.Items.SelectMany(p => p.Marks.OfType<PictureMark>().Select(m => Pixels(m, look.House)))
            .Sum() * BytesAPixel;
        var mb = bytes / 1e6;
        if (mb > look.House.FileLimit)
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = $"about {mb:0} MB",
                Limit = $"{look.House.FileLimit} MB",
                Why = $"{look.House.Name} takes no larger file.",
                Mend = "Take smaller pictures, or fewer.",
                Panel = Part.Sheet,
            };
    }

    private static double Pixels(PictureMark m, House house)
    {
        var wide = Math.Min(m.Picture.Wide,
            Math.Sqrt((m.Place.A * m.Place.A) + (m.Place.B * m.Place.B)) / 72 * house.PictureMost);
        return wide * wide * m.Picture.High / Math.Max(1, m.Picture.Wide);
    }
}
