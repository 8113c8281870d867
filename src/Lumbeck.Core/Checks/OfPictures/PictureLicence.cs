namespace Lumbeck.Core.Checks.OfPictures;

/// <summary>Pictures whose source or licence nobody stated, or whose licence forbids a cover that is sold.</summary>
public sealed class PictureLicence : Rule
{
    private static readonly string[] Forbids = ["non-commercial", "noncommercial", "not for sale", "editorial", "by-nc",
        "personal use", "no derivatives", "by-nd"];

    public override string Id => "picture.licence";
    public override string Proves => "pictures may be used on a cover";
    protected override bool Limited => false;

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        if (look.Kept is not { } kept) yield break;
        foreach (var (item, picture) in look.PicturesShown())
        {
            if (kept.Stated(picture) is not { } stated) continue;
            var place = item is null ? null : look.Scene.Item(item.Id)?.Frame.ToBox();
            if (stated.Source.Length == 0 || stated.Licence.Length == 0)
                yield return Found(look, Severity.Caution,
                    stated.Source.Length == 0 ? "no source stated" : "no licence stated", "source and licence",
                    $"Nobody said whose {picture.Name} is: a picture used without leave can stop a book that is on sale.",
                    "Say in the Drawer where it is from and what it may be used for.", item, place: place);
            else if (Forbids.FirstOrDefault(f =>
                stated.Licence.Contains(f, StringComparison.OrdinalIgnoreCase)) is { } no)
                yield return Found(look, Severity.Caution, stated.Licence, "leave to sell and to crop",
                    $"A cover is sold and cropped, which “{no}” forbids.",
                    "Take another picture, or its maker’s leave.", item, place: place);
        }
    }
}
