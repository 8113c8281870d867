namespace Lumbeck.Core.Checks.OfPages;

/// <summary>
/// Rules of a page too thin to print whole: thinner than the house's, and in a tint under 0.75 pt, or 1 pt where the
/// tint is below 30 %, since a screen breaks them.
/// </summary>
public sealed class PageLine : PageRule
{
    public override string Id => "page.line";
    public override string Proves => "rules are heavy enough to print";

    protected override IEnumerable<Finding> Look(PageLook look)
    {
        var least = look.House.Inside.RuleLeast.Points;
        foreach (var drawn in look.Scene.Items.Where(p => p.Item is PageScene.Body))
        {
            List<LineMark> lines = [.. drawn.Marks.SelectMany(m =>
                m is RepeatedMark r ? r.Symbol.OfType<LineMark>() : m is LineMark l ? [l] : [])];
            var thin = lines.MinBy(l => l.Width);
            if (thin is not null && thin.Width < least - 0.005)
            {
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = Length.FromDrawing(thin.Width).ShowPoints(),
                    Limit = $"{look.House.Inside.RuleLeast.ShowPoints()} or more",
                    Why = "Thinner than this a line breaks up.",
                    Mend = "Make the rules heavier.",
                    Place = drawn.Frame.ToBox(),
                };
                continue;
            }
            var broken = lines.Where(l => l.Finish is null && l.Width < Least(l.Ink) - 0.005).MinBy(l => l.Width);
            if (broken is not null)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = $"{Length.FromDrawing(broken.Width).ShowPoints()} in a " +
                        $"tint of {Typed.Show(Tint(broken.Ink), " %")}",
                    Limit = $"{Least(broken.Ink).ToString("0.##", CultureInfo.InvariantCulture)} pt or more, or solid",
                    Why = "A tint is a screen of dots, which breaks a thin line.",
                    Mend = "Make the rules heavier, or solid.",
                    Place = drawn.Frame.ToBox(),
                };
        }
    }

    /// <summary>The darkest of an ink's plates, in percent: a plate that is solid holds the line.</summary>
    private static decimal Tint(Ink ink) => Math.Max(Math.Max(ink.C, ink.M), Math.Max(ink.Y, ink.K)) / 100m;

    private static double Least(Ink ink) => Tint(ink) switch { 0 or >= 100 => 0, < 30 => 1, _ => 0.75 };
}
