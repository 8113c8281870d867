using Lumbeck.Press.Colour;
using Lumbeck.Press.Svg;

namespace Lumbeck.Web.Screens;

/// <summary>The addresses of pictures in a house's colours.</summary>
public sealed class PictureLinks(PrintingCondition condition) : IPictureLinks
{
    public string Of(Picture picture, bool convert) =>
        Address(picture.Hash, PictureDesk.Widths[^1], condition, convert);

    public string Of(GrownMark mark) =>
        string.Create(CultureInfo.InvariantCulture,
            $"/grown/{mark.How.Recipe}/{mark.Wide}/{Named(condition, mark.Convert)}");

    /// <summary>
    /// A printing condition in an address: its profile, how colours are brought into it, and whether CMYK is converted.
    /// </summary>
    public static string Named(PrintingCondition condition, bool convert) =>
        $"{condition.Profile}~{condition.Intent}{(convert ? "~converted" : "")}";

    /// <summary>The address of a preview in a house's colours.</summary>
    public static string Address(string hash, int wide, PrintingCondition condition, bool convert) =>
        string.Create(CultureInfo.InvariantCulture, $"/pictures/{hash}/{wide}/{Named(condition, convert)}");
}
