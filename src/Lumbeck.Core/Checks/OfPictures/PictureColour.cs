namespace Lumbeck.Core.Checks.OfPictures;

/// <summary>CMYK pictures made for another printing condition than the house's, whose numbers are kept.</summary>
public sealed class PictureColour : Rule
{
    public override string Id => "picture.colour";
    public override string Proves => "pictures’ inks are mixed for this press";

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
            if (item is PictureItem
                {
                    Convert: false,
                    Picture: { Space: PictureSpace.Cmyk, Profile: { Length: > 0 } profile }
                }
                && !profile.Contains(look.House.OutputCondition, StringComparison.OrdinalIgnoreCase))
                yield return Found(look, Severity.Caution, profile, look.House.OutputCondition,
                    "Its inks were mixed for another press; kept as they are, they print otherwise than meant.",
                    "Convert it in its settings, or ask the printer.", item, place: drawn.Frame.ToBox(),
                    by: item.Locked ? null : new ConvertPicture(item.Id, true));
    }
}
