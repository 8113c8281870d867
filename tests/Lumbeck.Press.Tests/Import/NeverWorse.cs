using Lumbeck.Press.Colour;
using NetVips;
using Intent = Lumbeck.Core.Trade.Houses.Intent;

namespace Lumbeck.Press.Tests.Import;

/// <summary>How far a mended page lies from the one that came, as another program draws both.</summary>
/// <param name="Mean">The mean difference, ΔE*ab.</param>
/// <param name="Largest">The largest connected area that differs by more than ten, in square millimetres; edges of a
/// pixel's width aside.</param>
internal sealed record Difference(double Mean, double Largest);

/// <summary>
/// The page that came as Ghostscript draws it for a screen, brought to the house's inks as pictures are (what has no hue
/// on the black plate), beside the inks that it draws of the mended one; both as they are seen.
/// </summary>
internal static class NeverWorse
{
    public const int PerInch = 150;

    /// <param name="inks">Whether the page that came is in inks itself: those are compared then.</param>
    public static Difference Of(Folder folder, string came, string mended, House house, int page = 1,
        int? leaving = null,
        bool inks = false)
    {
        using var was = inks ? Left(folder, came, house, page) : Came(folder, came, house, page);
        using var now = Left(folder, mended, house, leaving ?? page);
        return Between(was, now);
    }

    private static Image Came(Folder folder, string file, House house, int page)
    {
        Draw(file, "tiff24nc", page, folder["came.tif"]);
        using var seen = Image.NewFromFile(folder["came.tif"]).Copy(interpretation: Enums.Interpretation.Srgb);
        var condition = PrintingCondition.Of(house);
        using var press = seen.IccTransform(Profiles.PathOf(condition.Profile), inputProfile: Profiles.PathOf("sRGB"),
            embedded: false,
            intent: condition.Intent == Intent.Perceptual ? Enums.Intent.Perceptual : Enums.Intent.Relative,
            blackPointCompensation: condition.Intent == Intent.Relative, depth: 8);
        using var key = 255 - new BlackAlone(new PressColour(condition)).Of(seen);
        using var alone = (key * 0).Bandjoin(key * 0, key * 0, key).Cast(Enums.BandFormat.Uchar);
        using var plain = seen[0].Equal(seen[1]) & seen[1].Equal(seen[2]);
        return Seen(plain.Ifthenelse(alone, press), condition);
    }

    private static Image Left(Folder folder, string file, House house, int page)
    {
        Draw(file, "tiff32nc", page, folder["left.tif"]);
        using var inks = Image.NewFromFile(folder["left.tif"]);
        return Seen(inks, PrintingCondition.Of(house));
    }

    private static void Draw(string file, string device, int page, string to) => Tool.Run("gs", "-q", "-dNOPAUSE",
        "-dBATCH", "-dSAFER",
        $"-sDEVICE={device}", $"-r{PerInch}", "-dTextAlphaBits=4", "-dGraphicsAlphaBits=4", $"-dFirstPage={page}",
            $"-dLastPage={page}",
        $"-sOutputFile={to}", file);

    private static Image Seen(Image inks, PrintingCondition condition)
    {
        using var cmyk = inks.Copy(interpretation: Enums.Interpretation.Cmyk);
        using var lab = cmyk.IccImport(pcs: Enums.PCS.Lab, intent: Enums.Intent.Relative,
            inputProfile: Profiles.PathOf(condition.Profile),
            embedded: false);
        return lab.CopyMemory();
    }

    public static Difference Between(Image was, Image now)
    {
        Math.Abs(was.Width - now.Width).ShouldBeLessThan(3);
        Math.Abs(was.Height - now.Height).ShouldBeLessThan(3);
        var (wide, high) = (Math.Min(was.Width, now.Width), Math.Min(was.Height, now.Height));
        using var a = was.ExtractArea(0, 0, wide, high);
        using var b = now.ExtractArea(0, 0, wide, high);
        // A pixel is compared with the nearest of those about it: edges within half a pixel are no difference.
        using var apart = Nearest(a, b, wide, high);
        using var over10 = apart.Cast(Enums.BandFormat.Float) > 10;
        // What is no wider than two pixels is an edge.
        using var block = Image.NewFromArray(new[,] { { 255, 255, 255 }, { 255, 255, 255 }, { 255, 255, 255 } });
        using var core = over10.Morph(block, Enums.OperationMorphology.Erode);
        using var far = core.Morph(block, Enums.OperationMorphology.Dilate);
        using var labelled = far.Labelregions();
        var (largest, labels, over) = (0, labelled.WriteToMemory<int>(), far.WriteToMemory<byte>());
        var areas = new Dictionary<int, int>();
        for (var n = 0; n < labels.Length; n++)
            if (over[n] > 0) largest = Math.Max(largest, areas[labels[n]] = areas.GetValueOrDefault(labels[n]) + 1);
        const double perMillimetre = PerInch / 25.4;
        return new(apart.Avg(), largest / (perMillimetre * perMillimetre));
    }

    private static Image Nearest(Image a, Image b, int wide, int high)
    {
        Image? nearest = null;
        for (var dy = -1; dy <= 1; dy++)
            for (var dx = -1; dx <= 1; dx++)
            {
                using var moved = b.Embed(dx + 1, dy + 1, wide + 2, high + 2,
                    extend: Enums.Extend.Copy).ExtractArea(1, 1, wide, high);
                using var apart = a.DE76(moved);
                var least = nearest is null ? apart.CopyMemory() : (apart < nearest).Ifthenelse(apart,
                    nearest).CopyMemory();
                nearest?.Dispose();
                nearest = least;
            }
        return nearest!;
    }
}
