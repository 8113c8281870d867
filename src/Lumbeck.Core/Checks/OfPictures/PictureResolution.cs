namespace Lumbeck.Core.Checks.OfPictures;

/// <summary>Pictures with too few pixels an inch as they are placed, and those with far more than print.</summary>
public sealed class PictureResolution : Rule
{
    public override string Id => "picture.resolution";
    public override string Proves => "pictures have the pixels they need";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
        {
            if (item is not PictureItem pictured || PicturePlacing.Resolution(pictured, look.Sheet) is not { } exact)
                continue;
            var perInch = (int)Math.Floor(exact + 0.0001);
            var (least, place) = (look.House.PictureCaution, drawn.Frame.ToBox());
            if (perInch < least)
                yield return new()
                {
                    Severity = perInch < look.House.PictureStop ? Severity.Stop : Severity.Caution,
                    Measured = $"{perInch} pixels an inch",
                    Limit = $"{least} or more",
                    Why = "Pixels this large show as softness or steps in print.",
                    Mend = $"Make its frame no larger than " +
                        $"{PicturePlacing.SharpUpTo(pictured, look.Sheet, least)!.Value.Show(look.Unit)}, or take a " +
                        $"larger picture.",
                    Of = item,
                    Place = place,
                    Fix = Smaller(pictured, look, least),
                };
            else if (perInch > look.House.PictureNote)
                yield return new()
                {
                    Severity = Severity.Note,
                    Measured = $"{perInch} pixels an inch",
                    Limit = $"up to {look.House.PictureNote}",
                    Why = "More pixels than print shows; the file is made with fewer.",
                    Of = item,
                    Place = place,
                };
        }
    }

    /// <summary>
    /// Its frame drawn in about its middle, to where it has the pixels it needs; what grows beyond it grows on.
    /// </summary>
    private static LayItem? Smaller(PictureItem item, CheckContext look, int least)
    {
        if (item.Locked || item.Turned != 0 || item.Tiling is not null
            || PicturePlacing.SharpUpTo(item, look.Sheet, least + 1) is not { } size
            || Placement.Of(item, look.Sheet) is not { } at)
            return null;
        var box = at.OnSheet(item);
        var level = at.Panel.Turn == Turn.None ? size : new Size(size.Height, size.Width);
        return new(item.Id, box.X + (0.5m * box.Width), box.Y + (0.5m * box.Height), level.Width, level.Height);
    }
}
