using Lumbeck.Intake.Opening;

namespace Lumbeck.Intake.Judging;

/// <summary>
/// Printer's marks: where they are wanted, where they are not, and none within the bleed; guides left in.
/// </summary>
internal static class MarkChecks
{
    private const double Near = 0.35;

    public static void Look(PageUse use, PageBoxes page, ExpectedSheet sheet, House house, Findings found)
    {
        if (page.Trim is not { } trim) return;
        var bleed = page.Bleed ?? page.Media;
        bool outside(Stroked s) =>
            Math.Max(s.X1, s.X2) <= bleed.L + 0.01 || Math.Min(s.X1, s.X2) >= bleed.R - 0.01
                || Math.Max(s.Y1, s.Y2) <= bleed.B + 0.01 || Math.Min(s.Y1, s.Y2) >= bleed.T - 0.01;
        bool upright(Stroked s) => Math.Abs(s.X1 - s.X2) < 0.05 && Math.Abs(s.Y1 - s.Y2) > 2;
        bool level(Stroked s) => Math.Abs(s.Y1 - s.Y2) < 0.05 && Math.Abs(s.X1 - s.X2) > 2;
        var beside = use.Strokes.Where(outside).ToList();
        bool crop(double x, bool up) => up
            ? beside.Any(s => upright(s) && Math.Abs(s.X1 - x) < Near && Math.Min(s.Y1, s.Y2) > trim.T)
                && beside.Any(s => upright(s) && Math.Abs(s.X1 - x) < Near && Math.Max(s.Y1, s.Y2) < trim.B)
            : beside.Any(s => level(s) && Math.Abs(s.Y1 - x) < Near && Math.Min(s.X1, s.X2) > trim.R)
                && beside.Any(s => level(s) && Math.Abs(s.Y1 - x) < Near && Math.Max(s.X1, s.X2) < trim.L);
        var m = page.Media;
        var room = bleed.L - m.L > 1 || bleed.B - m.B > 1 || m.R - bleed.R > 1 || m.T - bleed.T > 1;
        if (house.Marks == Marks.None)
        {
            // What lies beyond the page is never seen.
            if (use.PaintsOutside && room)
                found.Stop("marks", "something outside the bleed", "nothing",
                    $"{house.Name} wants no printer’s marks.");
        }
        else if (house.Marks == Marks.OnWish && !room)
        {
            // A page that ends with its bleed is as good as one with marks round it.
        }
        else if (!crop(trim.L, true) || !crop(trim.R, true) || !crop(trim.B, false) || !crop(trim.T, false))
            found.Stop("marks", "no crop marks", "crop marks", $"{house.Name} wants crop marks at all four corners.");
        else if (house.FoldMarks
            && sheet.Folds.Any(f =>
                {
                    var x = bleed.L + f.Points; return !beside.Any(s => upright(s) && Math.Abs(s.X1 - x) < Near + 0.15);
                }))
            found.Caution("marks", "no fold marks", "fold marks", $"{house.Name} likes folds to be marked.");
        if (use.Strokes.Any(s => s.Registration && !outside(s)))
            found.Stop("marks", "marks within the bleed", "outside it",
                "Marks in all inks within the bleed are printed on the cover.");

        if (HasGuides([.. use.Strokes.Where(s => s.Width < 1.5 && !outside(s))], page, trim, bleed,
            [.. sheet.Folds.Select(f => bleed.L + f.Points)]))
            found.Stop("guides", "a line along a cut or fold", "none",
                "Guides were left in the file and would be printed.");
    }

    /// <summary>
    /// Fine lines just where the sheet is cut or folded are guides that were left in where one runs on past the trim at
    /// both its ends, or where every cut and fold has one.
    /// A line round one panel is a border.
    /// </summary>
    private static bool HasGuides(IReadOnlyList<Stroked> fine, PageBoxes page,
        (double L, double B, double R, double T) trim, (double L, double B, double R, double T) bleed, double[] folds)
    {
        const double close = 0.2, share = 0.8;
        var (wide, high) = (trim.R - trim.L, trim.T - trim.B);
        bool along(Stroked s, double at, bool up) => up
            ? Math.Abs(s.X1 - s.X2) < 0.05 && Math.Abs(s.X1 - at) < close && Math.Abs(s.Y1 - s.Y2) > share * high
            : Math.Abs(s.Y1 - s.Y2) < 0.05 && Math.Abs(s.Y1 - at) < close && Math.Abs(s.X1 - s.X2) > share * wide;
        // Where there is no bleed no line can run past the trim.
        bool past(Stroked s, bool up) => up
            ? bleed.T - trim.T > 1 && Math.Max(s.Y1, s.Y2) > trim.T + 1 && Math.Min(s.Y1, s.Y2) < trim.B - 1
            : bleed.R - trim.R > 1 && Math.Max(s.X1, s.X2) > trim.R + 1 && Math.Min(s.X1, s.X2) < trim.L - 1;
        (double At, bool Up)[] all = [(trim.L, true), (trim.R, true), .. folds.Select(f => (f, true)), (trim.B, false),
            (trim.T, false)];
        return all.Any(line => fine.Any(s => along(s, line.At, line.Up) && past(s, line.Up)))
            || (folds.Length > 0 && all.All(line => fine.Any(s => along(s, line.At, line.Up))));
    }
}
