namespace Lumbeck.Core.Checks.OfPictures;

/// <summary>Pictures whose files are gone or damaged: what is not there can't be printed.</summary>
public sealed class PictureMissing : Rule
{
    public const string Named = "picture.missing";

    public override string Id => Named;
    public override string Proves => "every picture is here and whole";
    protected override bool Limited => false;

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        if (look.Kept is not { } kept) yield break;
        foreach (var (item, picture) in look.PicturesShown())
        {
            if (kept.Fault(picture) is not { } fault) continue;
            yield return Found(
                look, Severity.Stop, $"{picture.Name}: {fault}", "the file as it was taken in",
                "Without it the file for the printer can’t be made.", "Put the picture in again, or remove the item.",
                item, place: item is null ? null : look.Scene.Item(item.Id)?.Frame.ToBox());
        }
    }
}
