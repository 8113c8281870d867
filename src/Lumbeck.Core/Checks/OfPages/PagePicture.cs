namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Pages meant for a picture that have none, and pictures with too few pixels for their size.</summary>
public sealed class PagePicture : PageRule
{
    public override string Id => "page.picture";
    public override string Proves => "pictures of pages are there, and sharp";

    protected override IEnumerable<Finding> Look(PageLook look)
    {
        if (look.Planned?.Design is PicturePage { Picture: null } or PictureWithWords { Picture: null })
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = "no picture",
                Limit = "one hung on the page",
                Why = "The page has room for a picture and shows none.",
                Mend = "Hang one of the Drawer in the run’s settings, or take the run out.",
            };
        foreach (var mark in look.Scene.Items.SelectMany(p => p.Marks).OfType<PictureMark>())
        {
            var perInch = mark.Picture.Wide / (Math.Abs(mark.Place.A) / 72);
            var (stop, caution) = (look.House.PictureStop, look.House.PictureCaution);
            if (perInch >= caution - 0.5) continue;
            yield return new()
            {
                Severity = perInch < stop - 0.5 ? Severity.Stop : Severity.Caution,
                Measured = $"{perInch.ToString("0", CultureInfo.InvariantCulture)} pixels an inch",
                Limit = $"{(perInch < stop - 0.5 ? stop : caution)} or more",
                Why = "Enlarged this far, its pixels show.",
                Mend = "Take a larger picture, or show it smaller.",
                Place = mark.Clip.Bounds.ToBox(),
            };
        }
    }
}
