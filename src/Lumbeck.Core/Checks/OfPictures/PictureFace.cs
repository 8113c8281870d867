namespace Lumbeck.Core.Checks.OfPictures;

/// <summary>
/// Drawings whose words ask for a face that does not ship: they are set in another, which may not be meant.
/// </summary>
public sealed class PictureFace : Rule
{
    public override string Id => "picture.face";
    public override string Proves => "a drawing’s words are in the face it asks for";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        if (look.Kept is not { } kept) yield break;
        foreach (var (item, picture) in look.PicturesShown())
            foreach (var (asked, face) in picture.IsDrawing ? kept.FacesOf(picture) : [])
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = face,
                    Limit = asked,
                    Why = $"{picture.Name} asks for {asked}, which a drawing can’t bring: its words are set in {face}.",
                    Mend = "Look at its words; if the face matters, turn them to paths where it was drawn.",
                    Of = item,
                    Place = item is null ? null : look.Scene.Item(item.Id)?.Frame.ToBox(),
                };
    }
}
