using Lumbeck.Intake.Opening;

namespace Lumbeck.Intake.Judging;

/// <summary>
/// Total ink, as it shows: what another item hides lays none. The page is drawn in its four inks by another program;
/// where none is here, what is filled with
/// and what pictures hold is all that is known.
/// </summary>
internal static class InkCheck
{
    /// <summary>Squares of less than half a millimetre, of the drawing that edges are looked at on.</summary>
    private const double PerInch = EdgeCheck.PerInch;

    /// <summary>Rounding, and what packing pixels for the way costs.</summary>
    private const double Slack = 3;

    /// <summary>So many points over the limit are a stop.</summary>
    private const double StopOver = 20;

    public static void Look(PageDrawings drawings, int page, Pdf pdf, PageUse use, House house, Findings found)
    {
        var limit = (double)house.InkLimit;
        // Nothing shows more ink than is filled with, unless it overprints or is see-through.
        var plain = !use.Overprints && use.Transparent.Count == 0;
        var pictures = use.Images.Count == 0 ? 0 : PictureChecks.MostInk(pdf, use);
        if (plain && pictures is { } own && Math.Max(own, use.MostInk) <= limit + 1) return;
        if (!PageDrawings.IsHere)
        {
            if (pictures is not { } known) { found.NotExamined("total ink: no program to draw pages is here"); return; }
            Over(Math.Max(known, use.MostInk), limit, found);
            return;
        }
        if (drawings.Inks(page, PerInch) is not { } drawn) { found.NotExamined("total ink: the page could not be drawn"); return; }
        var shown = Most(drawn);
        // A finishing ink is drawn there by its likeness in process inks; it is none of them.
        if (use.Plates.Any(p => p is not ("All" or "None")) && pictures is { } filled)
            shown = Math.Min(shown, Math.Max(filled, use.MostInk));
        Over(shown, limit, found);
    }

    /// <summary>The most ink on a square of 0.85 mm, in percent.</summary>
    private static double Most(DrawnInks drawn)
    {
        var most = 0;
        for (var y = 0; y + 1 < drawn.High; y++)
            for (var x = 0; x + 1 < drawn.Wide; x++)
                most = Math.Max(most,
                    Math.Min(Math.Min(drawn.At(x, y), drawn.At(x + 1, y)),
                        Math.Min(drawn.At(x, y + 1), drawn.At(x + 1, y + 1))));
        return most / 2.55;
    }

    private static void Over(double most, double limit, Findings found)
    {
        if (most <= limit + Slack) return;
        if (most >= limit + StopOver + Slack)
            found.Stop("ink.total", $"{most:0} %", $"{limit:0} %", "So much ink does not dry.");
        else found.Caution("ink.total", $"{most:0} %", $"{limit:0} %", "A little more ink than the printer likes.");
    }
}
