using Lumbeck.Intake.Opening;
using System.Globalization;

namespace Lumbeck.Intake.Judging;

/// <summary>
/// A page's boxes against the ticket's sheet, to a tenth of a millimetre: other programs round their boxes.
/// </summary>
internal static class BoxChecks
{
    private const double Tolerance = 0.29;

    public static void Look(PageBoxes page, ExpectedSheet sheet, House house, Findings found)
    {
        if (page.Turned % 180 != 0)
            found.Caution("box.media", $"turned by {page.Turned}°", "upright", "The page is shown turned.");
        if (page.Trim is not { } trim)
        {
            found.Stop("box.trim", "no TrimBox", Say(sheet.Trim.Size, house),
                "Without it nobody knows where the cover is cut.");
            // A file without boxes that is just as large as the sheet is cut where the ticket says.
            return;
        }
        var u = page.Unit;
        var (w, h) = ((trim.R - trim.L) * u, (trim.T - trim.B) * u);
        if (Off(w, sheet.Trim.Width) || Off(h, sheet.Trim.Height))
            found.Stop("box.trim", Say(w, h, house), Say(sheet.Trim.Size, house),
                "The cover would be cut to another size than the ticket’s.");
        var bleed = page.Bleed ?? page.Media;
        double left = (trim.L - bleed.L) * u, right = (bleed.R - trim.R) * u, head = (bleed.T - trim.T) * u,
            foot = (trim.B - bleed.B) * u;
        Length wantedLeft = sheet.Trim.X, wantedHead = sheet.Trim.Y, wantedRight = sheet.Size.Width - sheet.Trim.Right,
            wantedFoot = sheet.Size.Height - sheet.Trim.Bottom;
        var least = new[] { left - wantedLeft.Points, right - wantedRight.Points, head - wantedHead.Points,
            foot - wantedFoot.Points }.Min();
        if (least < -Tolerance)
            found.Stop("box.bleed", Say(Math.Max(0, new[] { left, right, head, foot }.Min()), house),
                Say(Length.Max(Length.Max(wantedLeft, wantedRight), Length.Max(wantedHead, wantedFoot)).Points, house),
                "The art does not run far enough past the cut.");
        if (bleed.L < page.Media.L - Tolerance || bleed.B < page.Media.B - Tolerance
            || bleed.R > page.Media.R + Tolerance || bleed.T > page.Media.T + Tolerance)
            found.Stop("box.bleed", "past the page", "within the MediaBox", "The bleed lies partly outside the page.");
        if (trim.L < bleed.L - Tolerance || trim.B < bleed.B - Tolerance || trim.R > bleed.R + Tolerance
            || trim.T > bleed.T + Tolerance)
            found.Stop("box.trim", "past the bleed", "within the BleedBox", "The cut lies partly outside the bleed.");
        if (found.Kind != "PDF" && page.Art is not null)
            found.Stop("box.trim", "a TrimBox and an ArtBox", "one of them",
                "A PDF/X page has a TrimBox or an ArtBox, not both.");
    }

    private static bool Off(double points, Length wanted) => Math.Abs(points - wanted.Points) > Tolerance;

    private static string Say(double w, double h, House house) =>
        new Size(Length.FromDrawing(w), Length.FromDrawing(h)).Show(house.Unit);
    private static string Say(Size size, House house) => size.Show(house.Unit);
    private static string Say(double points, House house) => Length.FromDrawing(points).Show(house.Unit);
}
