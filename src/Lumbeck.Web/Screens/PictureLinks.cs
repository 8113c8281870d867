using Lumbeck.Press.Colour;
using Lumbeck.Press.Svg;

namespace Lumbeck.Web.Screens;

/// <summary>The addresses of pictures in a house's colours.</summary>
public sealed class PictureLinks(PressCondition condition) : IPictureLinks
{
    public string Of(Picture picture, bool convert) => PictureRoutes.Address(picture.Hash, PictureDesk.Widths[^1], condition, convert);

    public string Of(GrownMark mark) => string.Create(CultureInfo.InvariantCulture, $"/grown/{mark.How.Recipe}/{mark.Wide}/{PictureRoutes.Named(condition, mark.Convert)}");
}
