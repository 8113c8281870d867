using Lumbeck.Press.Colour;
using Lumbeck.Press.Svg;

namespace Lumbeck.Desk.Assets;

/// <summary>Pictures as data, for drawings that stand alone.</summary>
/// <param name="pictures">The Drawer's.</param>
/// <param name="condition">The press that they are shown by.</param>
/// <param name="black">What makes them black alone; null where they keep their inks.</param>
public sealed class PictureData(PictureDesk pictures, PrintingCondition condition, BlackAlone? black = null) : IPictureLinks
{
    public string Of(Picture picture, bool convert) =>
        Data(() => pictures.Preview(picture.Hash, PictureDesk.Widths[0], condition, convert, black));

    public string Of(GrownMark mark) =>
        Data(() => pictures.GrownPreview(mark.How, mark.Wide, condition, mark.Convert));

    private static string Data(Func<byte[]> webp)
    {
        try { return "data:image/webp;base64," + Convert.ToBase64String(webp()); }
        catch (FileNotFoundException) { return ""; }
    }
}
