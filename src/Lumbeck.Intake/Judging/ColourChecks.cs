using Lumbeck.Intake.Opening;

namespace Lumbeck.Intake.Judging;

/// <summary>
/// Colour spaces, plates and ink. What PDF/X-1a allows is DeviceCMYK, DeviceGray, Separation, DeviceN, and Indexed and
/// Pattern over those (ISO 15930-4, 6.2.5).
/// </summary>
internal static class ColourChecks
{
    public static void Look(PageUse use, Expected expected, Findings found)
    {
        var house = expected.House;
        foreach (var space in use.Spaces)
        {
            var inks = space is "DeviceCMYK" or "DeviceGray" or "Separation" or "DeviceN" or "Pattern";
            if (inks) continue;
            if (found.IsX1a)
                found.Stop("colour", Called(space), "CMYK, gray, or named plates",
                    "PDF/X-1a holds the press’s inks alone.");
            else if (house.Colour == ColourWanted.Cmyk && space != "ICCBased4" && space != "ICCBased1"
                && space != "CalGray")
                found.Stop("colour", Called(space), "CMYK",
                    $"{house.Name} takes the press’s inks alone: somebody has to say how this becomes ink.");
            else if (found.IsX4 && space == "DeviceRGB")
                found.Stop("colour", Called(space), "with a profile",
                    "A screen’s colours without a profile mean nothing to this printing condition.");
        }
        string[] known = ["All", "None", "Cyan", "Magenta", "Yellow", "Black", .. expected.Finishes,
            .. house.FinishingInks];
        foreach (var plate in use.Plates)
            if (!known.Contains(plate, StringComparer.OrdinalIgnoreCase))
                found.Stop("ink.plate", plate,
                    house.FinishingInks.Count == 0 ? "no plates but the four" : string.Join(", ", house.FinishingInks),
                    $"{house.Name} has no ink called {plate}.");
        if (use.WhiteOverprints)
            found.Stop("ink.overprint", "white that overprints", "white that knocks out",
                "White set to overprint leaves nothing on the sheet.");
    }

    private static string Called(string space) => space switch
    {
        "DeviceRGB" or "ICCBased3" or "CalRGB" => $"RGB ({space})",
        "unknown" => "an unknown colour space",
        var s => s,
    };
}
