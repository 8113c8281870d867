using Lumbeck.Press.Colour;
using Lumbeck.Press.Svg;

namespace Lumbeck.Desk.Assets;

/// <summary>Pictures as data, for drawings that stand alone.</summary>
public sealed class PictureData(PictureDesk pictures, PrintingCondition condition) : IPictureLinks
{
    public string Of(Picture picture, bool convert) => pictures.Within(picture, condition, convert);

    public string Of(GrownMark mark)
    {
        try
        {
            return "data:image/webp;base64," + Convert.ToBase64String(pictures.GrownPreview(mark.How, mark.Wide,
                condition, mark.Convert));
        }
        catch (FileNotFoundException) { return ""; }
    }
}
