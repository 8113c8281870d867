using Lumbeck.Press.Colour;
using Lumbeck.Press.Kinds;
using Lumbeck.Press.Pdf;
using Lumbeck.Press.Plates;

namespace Lumbeck.Desk.Making;

/// <summary>
/// The front for screens: what the press would show of it, cut, as a JPEG or PNG in sRGB of the asked size.
/// </summary>
internal static class ScreenFile
{
    /// <exception cref="Refusal">There is no front, or so many pixels can't be painted.</exception>
    public static void Write(Drawer drawer, OnBench on, PressPlan plan, Stream output)
    {
        var part = plan.Panel == Part.Sheet ? Part.Front : plan.Panel;
        if (on.Composed.Sheets.FirstOrDefault(s => s.Sheet.Panel(part) is not null) is not { } sheet)
            throw new Refusal("panel", $"this binding has no {part.Say()}");
        var face = sheet.Sheet.Panel(part)!.Face;
        var (w, h) = (face.Width.Points, face.Height.Points);
        var perInch = plan.Pixels * 72 / Math.Max(w, h);
        if (w * h / (72 * 72) * perInch * perInch > PlatePainter.MostPixels)
            throw new Refusal("pixels",
                $"{plan.Pixels} pixels are more than can be made: take up to " +
                    $"{(int)Math.Sqrt(PlatePainter.MostPixels * Math.Max(w, h) / Math.Min(w, h))}");
        var house = on.Job.Ticket.House;
        var plates = drawer.PlatesOf(house)
            .Paint(sheet.Scene, Bounds.Of(face), perInch,
                likeness: true);
        output.Write(plan.Png ? plates.ToPng(PrintingCondition.Of(house)) : plates.ToJpeg(PrintingCondition.Of(house),
            92));
    }
}
