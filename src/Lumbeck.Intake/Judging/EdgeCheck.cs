using Lumbeck.Intake.Opening;

namespace Lumbeck.Intake.Judging;

/// <summary>
/// Art that stops short of the sheet's edge. Along a side, nothing is painted out to the edge of the bleed or of what is
/// turned in: white art is told from nothing by what is painted. Or there is white in the bleed beside something that is
/// none just within the cut, as the page's plates have it.
/// </summary>
internal static class EdgeCheck
{
    public const double PerInch = 60;

    /// <summary>Up to 3 % of ink in all (255 for all of one) is paper; from 10 % on it is none.</summary>
    private const int Paper = 8, Inked = 26;

    /// <summary>How much of a side may be so: something white may end there by design.</summary>
    private const double Spared = 0.2;

    /// <summary>Where within the cut it is looked at, in widths of the bleed.</summary>
    private static readonly double[] Depths = [0.2, 0.35, 0.5, 0.65, 0.8];

    /// <summary>Begins to draw the page.</summary>
    public static void Begin(PageDrawings drawings, int page, PageBoxes shape)
    {
        if (shape is not { Trim: not null, Bleed: not null }) return;
        drawings.Begin(page, PerInch);
        drawings.BeginCover(page, PerInch);
    }

    /// <summary>How far within the finished edge it is looked where art begins that does not run out, in points.</summary>
    private const double Deep = 60 * 72 / 25.4;

    public static void Look(PageDrawings drawings, int page, PageBoxes shape, ExpectedSheet sheet, House house,
        Findings found)
    {
        if (shape.Trim is not { } trim || shape.Bleed is not { } bleed) return;
        Unpainted(drawings, page, shape, sheet, house, found);
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
            // A case is turned in: its art has no bleed beyond what is folded round. What is bare there is told already.
            if (width < 2 || found.Has("bleed.bare")) continue;
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

    private static void Unpainted(PageDrawings drawings, int page, PageBoxes shape, ExpectedSheet sheet, House house,
        Findings found)
    {
        if (drawings.Cover(page, PerInch) is not { } drawn) return;
        var (trim, edge, media) = (shape.Trim!.Value, shape.Bleed!.Value, shape.Media);
        // A bleed past the page is told by its boxes.
        if (edge.L < media.L - 1 || edge.B < media.B - 1 || edge.R > media.R + 1 || edge.T > media.T + 1) return;
        double pixels(double points) => points * PerInch / 72;
        double x(double at) => pixels(at - shape.Media.L);
        double y(double at) => pixels(shape.Media.T - at);
        // The finished edges on this page, wherever it lies: as far from its own trim as on the sheet.
        var (l, r) = (trim.L + (sheet.Finished.X - sheet.Trim.X).Points,
            trim.R - (sheet.Trim.Right - sheet.Finished.Right).Points);
        var (t, b) = (trim.T - (sheet.Finished.Y - sheet.Trim.Y).Points,
            trim.B + (sheet.Trim.Bottom - sheet.Finished.Bottom).Points);
        (string Side, double Past, Func<int, int, byte> At, double From, double To)[] sides =
        [
            ("left", l - edge.L, (n, by) => drawn.At((int)x(edge.L) + by, n), y(t), y(b)),
            ("right", edge.R - r, (n, by) => drawn.At((int)Math.Ceiling(x(edge.R)) - 1 - by, n), y(t), y(b)),
            ("head", edge.T - t, (n, by) => drawn.At(n, (int)y(edge.T) + by), x(l), x(r)),
            ("foot", b - edge.B, (n, by) => drawn.At(n, (int)Math.Ceiling(y(edge.B)) - 1 - by), x(l), x(r)),
        ];
        var bare = new List<string>();
        foreach (var (side, past, at, from, to) in sides)
        {
            if (past < 2) continue;
            // Far enough to tell how far it ends from the edge, wherever on the cover that is.
            var most = (int)pixels(past + Deep);
            var depths = Enumerable.Range((int)from, Math.Max(1, (int)to - (int)from))
                .Select(n => Enumerable.Range(0, most + 1).FirstOrDefault(by => at(n, by) >= 128, most + 1))
                // A pixel or two is what drawing makes of an edge.
                .Where(depth => depth > 1).Order().ToList();
            if (depths.Count <= Spared * (to - from)) continue;
            var half = depths[depths.Count / 2];
            bare.Add((half > most ? "all of it" : Length.FromDrawing(half * 72 / PerInch).Show(house.Unit)) + $" at the {side}");
        }
        if (bare.Count > 0)
            found.Stop("bleed.bare", $"bare: {string.Join(", ", bare)}", "art out to the sheet’s edge",
                "The art stops short of the sheet’s edge: where the knife wanders, or where it is folded round, paper shows.");
    }
}
