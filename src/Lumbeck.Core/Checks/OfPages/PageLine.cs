namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Rules of a page too thin to print whole.</summary>
public sealed class PageLine : PageRule
{
    public override string Id => "page.line";
    public override string Proves => "rules are heavy enough to print";

    public override IEnumerable<Finding> Find(PageLook look)
    {
        foreach (var piece in look.Scene.Pieces)
        {
            var thin = piece.Marks.SelectMany(m =>
                m switch
                {
                    LineMark l => [l],
                    RepeatedMark r => r.Symbol.OfType<LineMark>(),
                    _ => (IEnumerable<LineMark>)[],
                })
                .MinBy(l => l.Width);
            if (thin is null || thin.Width >= look.House.RuleLeast.Points - 0.005) continue;
            yield return Found(look, Severity.Caution, Length.FromDrawing(thin.Width).ShowPoints(),
                $"{look.House.RuleLeast.ShowPoints()} or more",
                "Thinner than this a line breaks up.", "Make the rules heavier.", piece.Frame.ToBox());
        }
    }
}
