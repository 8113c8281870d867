namespace Lumbeck.Core.Checks.OfPictures;

/// <summary>Pictures whose source or licence nobody stated, or whose licence forbids a cover that is sold.</summary>
public sealed class PictureLicence : Rule
{
    private static readonly string[] Forbids = ["non-commercial", "noncommercial", "not for sale", "editorial", "by-nc",
        "personal use", "no derivatives", "by-nd"];

    public override string Id => "picture.licence";
    public override string Proves => "pictures may be used on a cover";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        if (look.Kept is not { } kept) yield break;
        foreach (var (item, picture) in look.PicturesShown())
        {
            if (kept.Stated(picture) is not { } stated) continue;
            var place = item is null ? null : look.Scene.Item(item.Id)?.Frame.ToBox();
            if (stated.Source.Length == 0 || stated.Licence.Length == 0)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = stated.Source.Length == 0 ? "no source stated" : "no licence stated",
                    Limit = "source and licence",
                    Why = $"Nobody said whose {picture.Name} is: a picture used without leave can stop a book that is on sale.",
                    Mend = "Say in the Drawer where it is from and what it may be used for.",
                    Of = item,
                    Place = place,
                };
            else if (Forbids.FirstOrDefault(f =>
                stated.Licence.Contains(f, StringComparison.OrdinalIgnoreCase)) is { } no)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = stated.Licence,
                    Limit = "leave to sell and to crop",
                    Why = $"A cover is sold and cropped, which “{no}” forbids.",
                    Mend = "Take another picture, or its maker’s leave.",
                    Of = item,
                    Place = place,
                };
        }
    }
}
