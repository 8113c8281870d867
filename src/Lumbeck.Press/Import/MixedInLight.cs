using Lumbeck.Pdf.Colours;
using Lumbeck.Pdf.Reading;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Import.Parsing;
using Lumbeck.Press.Import.Rewriting;
using NetVips;

namespace Lumbeck.Press.Import;

/// <summary>
/// Pages on which something lets through what lies under it: what was mixed in light and is mixed in inks now looks
/// otherwise, and how much is measured.
/// </summary>
internal static class MixedInLight
{
    private const double PerInch = 60;

    /// <summary>From here on (ΔE*ab) a place looks otherwise; under it lie packing and rounding.</summary>
    private const double Seen = 3;

    /// <summary>How much a page looks otherwise.</summary>
    /// <param name="Mean">ΔE*ab over the places that do.</param>
    /// <param name="Most">The most.</param>
    /// <param name="SquareCentimetres">How large they are together.</param>
    internal sealed record Difference(double Mean, double Most, double SquareCentimetres)
    {
        public bool IsSeen => SquareCentimetres > 0;
    }

    /// <summary>
    /// Whether a page says that it is mixed in inks: by its group's colour space (ISO 32000-2, 11.6.6 and table 145).
    /// One that says nothing was seen mixed on its maker's screen.
    /// </summary>
    public static bool SaysInks(PdfFile file, PdfDict page, ColorSpaceParser spaces)
    {
        if (file.Dict(page, "Group")?["CS"] is not { } named) return false;
        try { return spaces.Read(named, file.Dict(file.Dict(page, "Resources"), "ColorSpace")) is CmykColorSpace; }
        catch (PdfReadException) { return false; }
    }

    /// <summary>
    /// How far a page that leaves looks from what it was, both in the house's inks; null where none can be drawn.
    /// </summary>
    /// <param name="came">The file that came, and the page, from 1.</param>
    /// <param name="left">A file of that page alone, in inks.</param>
    /// <param name="inks">The house's.</param>
    /// <param name="aside">A folder for what is kept meanwhile.</param>
    /// <param name="cancel">Ends the work.</param>
    public static Difference? Of((string Path, int Page) came, string left, PressInks inks, string aside,
        // What can't be drawn is told without a figure.
        CancellationToken cancel) => Attempt.OrNull(() => Measured(came, left, inks, aside, cancel));

    private static Difference? Measured((string Path, int Page) came, string left, PressInks inks, string aside,
        CancellationToken cancel)
    {
        using var was = PageRasterizer.Drawn(came.Path, came.Page, PerInch, inks: false, cancel, aside);
        using var meant = Shown(PageRasterizer.InInks(was, inks), inks);
        using var drawn = PageRasterizer.Drawn(left, 1, PerInch, inks: true, cancel, aside);
        if (drawn.Bands != 4) return null;
        using var now = Shown(drawn.Copy(), inks);
        using var apart = PageSeen.DeltaE(meant, now);
        using var seen = apart > Seen;
        var pixels = seen.Avg() / 255 * apart.Width * apart.Height;
        using var only = seen.Ifthenelse(apart, 0);
        return new(pixels > 0 ? only.Avg() * apart.Width * apart.Height / pixels : 0, apart.Max(),
            pixels * 2.54 * 2.54 / (PerInch * PerInch));
    }

    /// <summary>Inks, or black alone, as a screen shows them.</summary>
    private static Image Shown(Image press, PressInks inks)
    {
        using var own = press;
        if (own.Bands == 4)
        {
            using var cmyk = own.Copy(interpretation: Enums.Interpretation.Cmyk);
            return ScreenView.Of(cmyk, inks.Condition);
        }
        using var key = 255 - own;
        using var none = key * 0;
        using var four = none.Bandjoin(none, none, key).Cast(Enums.BandFormat.Uchar)
            .Copy(interpretation: Enums.Interpretation.Cmyk);
        return ScreenView.Of(four, inks.Condition);
    }

    /// <summary>What is told of it.</summary>
    /// <param name="page">From 1.</param>
    /// <param name="difference">How much; null where it could not be measured.</param>
    public static MendLine Told(int page, Difference? difference)
    {
        static string figure(double v, string form) => v.ToString(form, CultureInfo.InvariantCulture);
        var what = $"Something on page {page} lets through what lies under it and was made in a screen’s colours: it was " +
            "mixed in light there and is mixed in inks now";
        if (difference is { IsSeen: false } alike)
            return new("transparency.light", MendState.Found, page,
                $"{what}, which looks the same (ΔE {figure(alike.Most, "0.0")} at most).");
        var how = difference is null ? "which can look quite otherwise"
            : $"which looks otherwise by ΔE {figure(difference.Mean, "0")} over " +
                $"{figure(difference.SquareCentimetres, "0.#")} cm², {figure(difference.Most, "0")} at most";
        return new("transparency.light", MendState.Left, page, $"{what}, {how}. Look at the page before and after; " +
            "flattened by the program it was made in, it stays as it was.");
    }
}
