namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Art that reaches a cut in a book that does not bleed.</summary>
public sealed class PageEdge : PageRule
{
    public override string Id => "page.edge";
    public override string Proves => "what reaches an edge runs past the cut";

    protected override IEnumerable<Finding> Look(PageLook look)
    {
        if (look.Plan is not { Bleed: PageBleed.None } plan) yield break;
        foreach (var drawn in look.Scene.Items.Where(p => !p.Inked.IsEmpty))
        {
            var (ink, trim) = (drawn.Inked.ToBox(), look.Page.Trim);
            var near = new[] { ink.X - trim.X, ink.Y - trim.Y, trim.Right - ink.Right,
                trim.Bottom - ink.Bottom }.Min(l => l.Units);
            if (near > CheckContext.Tolerance.Units) continue;
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = drawn.Item == PageScene.Tab ? "a thumb tab at the cut" : "art at the cut",
                Limit = $"bleed of {plan.Rules.BleedWidth.Show(look.Unit)}, or nothing at the edge",
                Why = "Where the knife wanders, white paper shows beside art that stops at the cut.",
                Mend = plan.Rules.Bleed == PageBleed.None
                    ? $"{look.House.Name} prints no pages that bleed: keep it within the margins."
                    : "Let the book bleed, or keep it within the margins.",
                Place = ink,
            };
        }
    }
}
