namespace Lumbeck.Core.Checks.OfPictures;

/// <summary>Pictures whose files are gone or damaged: what is not there can't be printed.</summary>
public sealed class PictureMissing : Rule
{
    public const string Named = "picture.missing";

    public override string Id => Named;
    public override string Proves => "every picture is here and whole";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        if (look.Kept is not { } kept) yield break;
        foreach (var (item, picture) in look.PicturesShown())
        {
            if (kept.Fault(picture) is not { } fault) continue;
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"{picture.Name}: {fault}",
                Limit = "the file as it was taken in",
                Why = "Without it the file for the printer can’t be made.",
                Mend = "Put the picture in again, or remove the item.",
                Of = item,
                Place = item is null ? null : look.Scene.Item(item.Id)?.Frame.ToBox(),
            };
        }
    }
}
