using Lumbeck.Core.Houses;

namespace Lumbeck.Intake.Judging;

/// <summary>Printer's marks: where they are wanted, where they are not, and none within the bleed; guides left in.</summary>
internal static class MarkChecks
{
    private const double Near = 0.35;

    public static void Look(PageUse use, PageShape page, ExpectedSheet sheet, House house, Findings found)
    {
        if (page.Trim is not { } trim) return;
        var bleed = page.Bleed ?? page.Media;
        bool outside(Stroked s) => Math.Max(s.X1, s.X2) <= bleed.L + 0.01 || Math.Min(s.X1, s.X2) >= bleed.R - 0.01 || Math.Max(s.Y1, s.Y2) <= bleed.B + 0.01 || Math.Min(s.Y1, s.Y2) >= bleed.T - 0.01;
        bool upright(Stroked s) => Math.Abs(s.X1 - s.X2) < 0.05 && Math.Abs(s.Y1 - s.Y2) > 2;
        bool level(Stroked s) => Math.Abs(s.Y1 - s.Y2) < 0.05 && Math.Abs(s.X1 - s.X2) > 2;
        var beside = use.Strokes.Where(outside).ToList();
        bool crop(double x, bool up) => up
            ? beside.Any(s => upright(s) && Math.Abs(s.X1 - x) < Near && Math.Min(s.Y1, s.Y2) > trim.T) && beside.Any(s => upright(s) && Math.Abs(s.X1 - x) < Near && Math.Max(s.Y1, s.Y2) < trim.B)
            : beside.Any(s => level(s) && Math.Abs(s.Y1 - x) < Near && Math.Min(s.X1, s.X2) > trim.R) && beside.Any(s => level(s) && Math.Abs(s.Y1 - x) < Near && Math.Max(s.X1, s.X2) < trim.L);
        if (house.Marks == Marks.None)
        {
            // What lies beyond the page is never seen.
            var m = page.Media;
            if (use.PaintsOutside && (bleed.L - m.L > 1 || bleed.B - m.B > 1 || m.R - bleed.R > 1 || m.T - bleed.T > 1)) found.Stop("marks", "something outside the bleed", "nothing", $"{house.Name} wants no printer’s marks.");
        }
        else if (!crop(trim.L, true) || !crop(trim.R, true) || !crop(trim.B, false) || !crop(trim.T, false))
            found.Stop("marks", "no crop marks", "crop marks", $"{house.Name} wants crop marks at all four corners.");
        else if (house.FoldMarks && sheet.Folds.Any(f => { var x = bleed.L + f.Points; return !beside.Any(s => upright(s) && Math.Abs(s.X1 - x) < Near + 0.15); }))
            found.Caution("marks", "no fold marks", "fold marks", $"{house.Name} likes folds to be marked.");
        if (use.Strokes.Any(s => s.Registration && !outside(s))) found.Stop("marks", "marks within the bleed", "outside it", "Marks in all inks within the bleed are printed on the cover.");

        // A fine line over the whole sheet, just where it is cut or folded, is a guide that was left in.
        var (wide, high) = (trim.R - trim.L, trim.T - trim.B);
        double[] cuts = [trim.L, trim.R, .. sheet.Folds.Select(f => bleed.L + f.Points)], levels = [trim.B, trim.T];
        if (use.Strokes.Any(s => s.Width < 1.5 && !outside(s) && ((upright(s) && Math.Abs(s.Y1 - s.Y2) > 0.8 * high && cuts.Any(c => Math.Abs(s.X1 - c) < 0.2)) || (level(s) && Math.Abs(s.X1 - s.X2) > 0.8 * wide && levels.Any(c => Math.Abs(s.Y1 - c) < 0.2)))))
            found.Stop("guides", "a line along a cut or fold", "none", "Guides were left in the file and would be printed.");
    }
}
