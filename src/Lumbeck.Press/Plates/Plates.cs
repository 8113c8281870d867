using Lumbeck.Press.Colour;
using NetVips;

namespace Lumbeck.Press.Plates;

/// <summary>
/// A part of a sheet as the press lays it down: cyan, magenta, yellow and black side by side, 255 for all of an ink;
/// and what lies on plates of finishing inks.
/// </summary>
public sealed class Plates
{
    internal Plates(int wide, int high)
    {
        (Wide, High) = (wide, high);
        Inks = new byte[wide * high * 4];
    }

    public int Wide { get; }
    public int High { get; }
    /// <summary>Row by row, four bytes a pixel.</summary>
    public byte[] Inks { get; }
    /// <summary>Plates of finishing inks by name, one byte a pixel.</summary>
    public SortedDictionary<string, byte[]> Finishes { get; } = new(StringComparer.Ordinal);

    /// <summary>As the screen shows it, through the press profile.</summary>
    public Image ToScreen(PrintingCondition condition)
    {
        using var raw = Image.NewFromMemory(ScreenTable.Of(condition.Profile).ToRgb(Inks), Wide, High, 3,
            Enums.BandFormat.Uchar);
        return raw.Copy(interpretation: Enums.Interpretation.Srgb);
    }

    /// <summary>The same as a PNG file.</summary>
    public byte[] ToPng(PrintingCondition condition)
    {
        using var screen = ToScreen(condition);
        return screen.PngsaveBuffer(keep: Enums.ForeignKeep.None);
    }

    /// <summary>The black plate alone as a PNG file in gray.</summary>
    public byte[] ToBlackPng()
    {
        var gray = new byte[Wide * High];
        for (var n = 0; n < gray.Length; n++) gray[n] = (byte)(255 - Inks[(4 * n) + 3]);
        using var image = Image.NewFromMemory(gray, Wide, High, 1, Enums.BandFormat.Uchar);
        return image.PngsaveBuffer(keep: Enums.ForeignKeep.None);
    }

    /// <summary>The same as a JPEG file, its colours as sharp as its lightness.</summary>
    public byte[] ToJpeg(PrintingCondition condition, int quality)
    {
        using var screen = ToScreen(condition);
        return screen.JpegsaveBuffer(q: quality, keep: Enums.ForeignKeep.None,
            subsampleMode: Enums.ForeignSubsample.Off);
    }
}
