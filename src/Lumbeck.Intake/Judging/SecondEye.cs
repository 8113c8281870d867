using Lumbeck.Intake.Opening;

namespace Lumbeck.Intake.Judging;

/// <summary>
/// Whether two programs lay the same ink: where a page mixes, overprints, shades or has pictures, poppler's plates are
/// compared with Ghostscript's, if that is installed. Of a file on which they part nobody can say what a press will
/// print.
/// </summary>
internal static class SecondEye
{
    private const int PerInch = 60;

    /// <summary>So much of an ink, of 255, and over so many square centimetres, is a difference.</summary>
    private const int Apart = 14;
    private const double Least = 1;

    /// <summary>Pixels a side of the squares that are compared: about four millimetres.</summary>
    private const int Square = 10;

    private static readonly string[] Inks = ["cyan", "magenta", "yellow", "black"];

    /// <summary>Whether programs may part over a page: none does over plain ink.</summary>
    private static bool IsAsked(PageUse use) => use.Transparent.Count > 0 || use.Overprints || use.Shades
        || use.Images.Count > 0 || use.Plates.Any(p => p != "All");

    /// <summary>Screens' colours are brought to ink by each program in its own way.</summary>
    private static bool IsInInk(PageUse use) => use.Spaces.All(s =>
        s is "DeviceCMYK" or "DeviceGray" or "Separation" or "DeviceN" or "Pattern");

    private static bool Compares(PageUse use) =>
        GhostscriptPlates.IsHere && PageDrawings.IsHere && IsAsked(use) && IsInInk(use);

    /// <summary>Begins to draw the page's plates.</summary>
    public static void Begin(PageDrawings drawings, int page, PageUse use)
    {
        if (!Compares(use)) return;
        drawings.Begin(page, PerInch);
        drawings.BeginPlates(page, PerInch);
    }

    public static void Look(PageDrawings drawings, int page, PageUse use, House house, Findings found)
    {
        if (!Compares(use)) return;
        if (drawings.Inks(page, PerInch) is not { } first || drawings.Plates(page, PerInch) is not { } second)
        {
            found.NotExamined("by a second program: the page could not be drawn");
            return;
        }
        // An ink of its own is shown by its likeness in the four, by each program in its own way.
        for (var ink = 0; ink < Inks.Length; ink++)
        {
            var apart = Differs(first, second, ink);
            if (apart.SquareCentimetres < Least) continue;
            string at(int pixels) => Length.FromDrawing(pixels * 72.0 / PerInch).Show(house.Unit);
            found.Stop("ink.differs", $"{Inks[ink]} differs by {apart.Most / 2.55:0} % over {apart.SquareCentimetres:0.0} cm², " +
                $"most {at(apart.X)} from the left and {at(apart.Y)} from the head of page {page}", "one picture to all",
                "Two programs that draw pages lay different ink here: nobody can say which the press will follow.");
        }
    }

    /// <summary>
    /// How much of a page has another ink on average, square by square: what is finer than a pixel is drawn by each
    /// program in its own way, and lies up to a pixel aside.
    /// </summary>
    /// <returns>How large a part differs, by how much at most, of 255, and where that is, in pixels.</returns>
    private static (double SquareCentimetres, int Most, int X, int Y) Differs(DrawnInks first, DrawnPlates second, int ink)
    {
        var plate = second.Process[ink];
        var (wide, high) = (Math.Min(first.Wide, second.Wide), Math.Min(first.High, second.High));
        int mean(int x, int y, Func<int, int, int> at)
        {
            var sum = 0;
            for (var v = y; v < y + Square; v++)
                for (var u = x; u < x + Square; u++) sum += at(u, v);
            return sum / (Square * Square);
        }
        int own(int x, int y) => first.Inks[(((y * first.Wide) + x) * 4) + ink];
        var (count, most, left, top) = (0, 0, 0, 0);
        for (var y = 1; y + Square < high; y += Square)
            for (var x = 1; x + Square < wide; x += Square)
            {
                var (low, full) = (255, 0);
                for (var n = 0; n < Square * Square; n++)
                {
                    var v = own(x + (n % Square), y + (n / Square));
                    (low, full) = (Math.Min(low, v), Math.Max(full, v));
                }
                // Hairlines are as wide as a pixel to one program, and as wide as they are to another.
                var allowed = Apart + ((full - low) / 4);
                var (here, apart) = (mean(x, y, own), 255);
                for (var down = -1; down <= 1 && apart > allowed; down++)
                    for (var right = -1; right <= 1 && apart > allowed; right++)
                        apart = Math.Min(apart, Math.Abs(here - mean(x + right, y + down,
                            (u, v) => plate[(v * second.Wide) + u])));
                if (apart <= allowed || mean(x, y, (u, v) => second.Others[(v * second.Wide) + u] > 0 ? 255 : 0) > 0)
                    continue;
                count++;
                if (apart > most) (most, left, top) = (apart, x + (Square / 2), y + (Square / 2));
            }
        return (count * Square * Square * 2.54 * 2.54 / (PerInch * PerInch), most, left, top);
    }
}
