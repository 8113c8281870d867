using Lumbeck.Intake.Opening;

namespace Lumbeck.Intake.Judging;

/// <summary>
/// Art that stops at the cut: along a side, white paper in the bleed beside something that is none just within the cut;
/// seen on the page's plates.
/// </summary>
internal static class EdgeCheck
{
    private const double PerInch = 60;

    /// <summary>Up to 3 % of ink in all (255 for all of one) is paper; from 10 % on it is none.</summary>
    private const int Paper = 8, Inked = 26;

    /// <summary>How much of a side may be so: something white may end there by design.</summary>
    private const double Spared = 0.2;

    /// <summary>Where within the cut it is looked at, in widths of the bleed.</summary>
    private static readonly double[] Depths = [0.2, 0.35, 0.5, 0.65, 0.8];

    /// <summary>Begins to draw the page.</summary>
    public static void Begin(PageDrawings drawings, int page, PageShape shape)
    {
        if (shape is { Trim: not null, Bleed: not null }) drawings.Begin(page, PerInch);
    }

    public static void Look(PageDrawings drawings, int page, PageShape shape, Findings found)
    {
        if (shape.Trim is not { } trim || shape.Bleed is not { } bleed) return;
        if (!PageDrawings.IsHere) { found.NotExamined("bleed: no program to draw pages is here"); return; }
        if (drawings.Inks(page, PerInch) is not { } drawn) { found.NotExamined("bleed: the page could not be drawn"); return; }
        double x(double at) => (at - shape.Media.L) * PerInch / 72;
        double y(double at) => (shape.Media.T - at) * PerInch / 72;
        // Halfway out into the bleed, and all along as far within the cut: a line there is no art that stops.
        (string Side, double Bleed, Func<int, double, int> At, int Long)[] sides =
        [
            ("left", trim.L - bleed.L, (n, by) => drawn.At((int)x(trim.L + by), n), drawn.High),
            ("right", bleed.R - trim.R, (n, by) => drawn.At((int)x(trim.R - by), n), drawn.High),
            ("head", bleed.T - trim.T, (n, by) => drawn.At(n, (int)y(trim.T - by)), drawn.Wide),
            ("foot", trim.B - bleed.B, (n, by) => drawn.At(n, (int)y(trim.B + by)), drawn.Wide),
        ];
        foreach (var (side, width, at, length) in sides)
        {
            // A case is turned in: its art has no bleed beyond what is folded round.
            if (width < 2) continue;
            var (from, to) = side is "left" or "right"
                ? ((int)y(trim.T), (int)y(trim.B))
                : ((int)x(trim.L), (int)x(trim.R));
            var bare = Enumerable.Range(from, Math.Max(1, Math.Min(to, length) - from))
                .Count(n => at(n, -width / 2) <= Paper && Depths.All(d => at(n, d * width) >= Inked));
            if (bare > Spared * (to - from))
                found.Stop("bleed.bare", $"bare at the {side}", "art out to the bleed",
                    "The art stops at the cut: where the knife wanders, white paper shows.");
        }
    }
}
