namespace Lumbeck.Core.Checks.OfPages;

/// <summary>A folio that art lies under, so that it can't be read.</summary>
public sealed class PageFolio : PageRule
{
    public override string Id => "page.folio";
    public override string Proves => "folios stand on plain paper";

    protected override IEnumerable<Finding> Look(PageLook look)
    {
        if (look.Scene.Items.FirstOrDefault(p => p.Item == PageScene.Folio) is not { Inked.IsEmpty: false } folio)
            yield break;
        var box = folio.Inked.ToBox();
        var under = look.Scene.Items.FirstOrDefault(p => p.Item != PageScene.Folio && !p.Inked.IsEmpty
            && !p.Inked.ToBox().Intersect(box).IsEmpty
            && (p.Item != PageScene.Behind || p.Marks.Any(m => m is DrawingMark
                || m is PictureMark { Strength: > Backdrop.Legible / 100.0 })
                || p.Marks.OfType<FillMark>().Any(f => f.Ink.Total > Backdrop.Legible)));
        if (under is not null)
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = under.Item == PageScene.Tab ? "a thumb tab over the folio" : "art under the folio",
                Limit = "plain paper under it",
                Why = "A folio on art can’t be read.",
                Mend = "Leave the folio away on this run, move it, or keep the art within the margins.",
                Place = box,
            };
    }
}
