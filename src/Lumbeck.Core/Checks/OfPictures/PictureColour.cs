namespace Lumbeck.Core.Checks.OfPictures;

/// <summary>CMYK pictures made for another printing condition than the house's, whose numbers are kept.</summary>
public sealed class PictureColour : Rule
{
    public override string Id => "picture.colour";
    public override string Proves => "pictures’ inks are mixed for this press";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
            if (item is PictureItem
                {
                    Convert: false,
                    Picture: { Space: PictureSpace.Cmyk, Profile: { Length: > 0 } profile }
                }
                && !profile.Contains(look.House.OutputCondition, StringComparison.OrdinalIgnoreCase))
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = profile,
                    Limit = look.House.OutputCondition,
                    Why = "Its inks were mixed for another press; kept as they are, they print otherwise than meant.",
                    Mend = "Convert it in its settings, or ask the printer.",
                    Of = item,
                    Place = drawn.Frame.ToBox(),
                    Fix = item.Locked ? null : new ConvertPicture(item.Id, true),
                };
    }
}
