namespace Lumbeck.Web.Screens;

/// <summary>A sheet's cut and folds, to be drawn over a picture of the page that it is printed on.</summary>
/// <param name="sheet">The sheet.</param>
/// <param name="room">What lies about it on the page, in points.</param>
public sealed class SheetOver(Surface sheet, double room)
{
    private static string F(double points) => points.ToString("0.##", CultureInfo.InvariantCulture);

    /// <summary>The whole page.</summary>
    public string View => $"0 0 {F(sheet.Size.Width.Points + (2 * room))} {F(sheet.Size.Height.Points + (2 * room))}";

    /// <summary>The cut, then each fold from the sheet's head to its foot.</summary>
    public IEnumerable<string> Paths =>
    [
        $"M{F(room + sheet.Trim.X.Points)} {F(room + sheet.Trim.Y.Points)}h{F(sheet.Trim.Width.Points)}" +
            $"v{F(sheet.Trim.Height.Points)}h{F(-sheet.Trim.Width.Points)}z",
        .. sheet.Folds.Select(fold => $"M{F(room + fold.Points)} {F(room)}v{F(sheet.Size.Height.Points)}"),
    ];
}
