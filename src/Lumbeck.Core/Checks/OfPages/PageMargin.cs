namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Marks that leave the margins and do not run out to an edge by design.</summary>
public sealed class PageMargin : PageRule
{
    public override string Id => "page.margin";
    public override string Proves => "what is written on lies within the margins";

    public override IEnumerable<Finding> Find(PageLook look)
    {
        var safe = look.Page.Safe;
        foreach (var piece in look.Scene.Pieces)
        {
            if (piece.Inked.IsEmpty) continue;
            var ink = piece.Inked.ToBox();
            // Half a rule lies beyond the line that it is drawn along.
            var tolerance = Look.Tolerance + look.House.RuleLeast;
            var past = new[] { safe.X - ink.X, safe.Y - ink.Y, ink.Right - safe.Right,
                ink.Bottom - safe.Bottom }.Max(l => l.Units);
            if (past <= tolerance.Units) continue;
            yield return Found(look, Severity.Stop, $"{Length.FromUnits(past).Show(look.Unit)} past the margin", "within the margins",
                "What reaches into the gutter is hidden in the fold, and what reaches the cut is cut.",
                    "Make the margins larger, or what lies on the page smaller.", ink);
        }
    }
}
