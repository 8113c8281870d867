using Lumbeck.Core.Drawing;
using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Checks;

/// <summary>Pictures with too few pixels an inch as they are placed, and those with far more than print.</summary>
public sealed class PictureResolution : Rule
{
    public override string Id => "picture.resolution";
    public override string Proves => "pictures have the pixels they need";

    public override IEnumerable<Finding> Find(Look look)
    {
        foreach (var (item, piece) in look.Drawn())
        {
            if (item is not PictureItem pictured || PicturePlacing.Resolution(pictured, look.Sheet) is not { } exact) continue;
            var perInch = (int)Math.Floor(exact + 0.0001);
            var (least, place) = (look.House.PictureCaution, piece.Frame.ToBox());
            if (perInch < least)
                yield return Found(look, perInch < look.House.PictureStop ? Severity.Stop : Severity.Caution, $"{perInch} pixels an inch", $"{least} or more", "Pixels this large show as softness or steps in print.", $"Make its frame no larger than {PicturePlacing.SharpUpTo(pictured, look.Sheet, least)!.Value.Show(look.Unit)}, or take a larger picture.", item, place: place);
            else if (perInch > look.House.PictureNote)
                yield return Found(look, Severity.Note, $"{perInch} pixels an inch", $"up to {look.House.PictureNote}", "More pixels than print shows; the file is made with fewer.", null, item, place: place);
        }
    }
}
