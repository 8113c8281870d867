namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Pages meant for a picture that have none, and pictures with too few pixels for their size.</summary>
public sealed class PagePicture : PageRule
{
    public override string Id => "page.picture";
    public override string Proves => "pictures of pages are there, and sharp";

    public override IEnumerable<Finding> Find(PageLook look)
    {
        if (look.Planned?.Design is PicturePage { Picture: null } or PictureWithWords { Picture: null })
            yield return Found(look, Severity.Caution, "no picture", "one hung on the page", "The page has room for " +
                "a picture and shows none.",
                "Hang one of the Drawer in the run’s settings, or take the run out.");
        foreach (var mark in look.Scene.Items.SelectMany(p => p.Marks).OfType<PictureMark>())
        {
            var perInch = mark.Picture.Wide / (Math.Abs(mark.Place.A) / 72);
            var (stop, caution) = (look.House.PictureStop, look.House.PictureCaution);
            if (perInch >= caution - 0.5) continue;
            yield return Found(look, perInch < stop - 0.5 ? Severity.Stop : Severity.Caution,
                $"{perInch.ToString("0", CultureInfo.InvariantCulture)} pixels an inch",
                    $"{(perInch < stop - 0.5 ? stop : caution)} or more",
                "Enlarged this far, its pixels show.", "Take a larger picture, or show it smaller.",
                    mark.Clip.Bounds.ToBox());
        }
    }
}
