namespace Lumbeck.Core.Checks.OfDrawn;

/// <summary>
/// Lines of papers and other drawings too thin to print whole: at least the house's rule; light ones on a colour its
/// reversed rule; reversed through two inks or more 0.75 pt, since the plates never fit to a hair.
/// </summary>
public sealed class PatternLine : Rule
{
    /// <summary>Least width of a line that is left open in two inks or more.</summary>
    private static readonly Length Through = Length.FromPoints(0.75m);

    /// <summary>An ink counts as one from this tint on.</summary>
    private const int Counts = 2000;

    public override string Id => "paper.line";
    public override string Proves => "lines of patterns and ornaments are heavy enough to print";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var drawn in DrawnHere.On(look))
        {
            var under = drawn.Under?.Resolve(look.Job.Swatches) ?? Ink.White;
            (double Width, Length Least, bool Reversed)? worst = null;
            foreach (var line in drawn.OwnLines())
            {
                var reversed = TextSize.IsReversed(line.Ink) && !TextSize.IsReversed(under);
                var least = !reversed
                    ? look.House.RuleLeast
                    : Length.Max(look.House.RuleReversedLeast, Inks(under) > 1 ? Through : default);
                if (line.Width < least.Points - 0.005
                    && (worst is null || line.Width / least.Points < worst.Value.Width / worst.Value.Least.Points))
                    worst = (line.Width, least, reversed);
            }
            if (worst is not { } thin) continue;
            var scale = drawn.Art is Pattern p ? Math.Ceiling(p.Scale * (decimal)(thin.Least.Points / thin.Width)) : 0;
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = Length.FromDrawing(thin.Width).ShowPoints(),
                Limit = $"{thin.Least.ShowPoints()} or more{(thin.Reversed ? " for a light line" : "")}",
                Why = "Thinner than this its lines break up, or ink closes them.",
                Mend = drawn.Art is Pattern ? "Draw it larger." : "Make it larger.",
                Of = drawn.Item,
                Panel = Part.Sheet,
                Place = drawn.Drawn.Frame.ToBox(),
                Fix = drawn.Scaled(look, scale),
            };
        }
    }

    private static int Inks(Ink ink) => new[] { ink.C, ink.M, ink.Y, ink.K }.Count(i => i >= Counts);
}
