using Lumbeck.Press.Colour;
using NetVips;
using Intent = Lumbeck.Core.Trade.Houses.Intent;

namespace Lumbeck.Press.Pictures;

/// <summary>
/// A picture as a press file holds it: samples of 8 bits in DeviceCMYK, DeviceGray or DeviceRGB, made as they are
/// written as JPEG; and what shows through it, if anything does.
/// </summary>
/// <param name="Wide">Pixels across.</param>
/// <param name="High">Pixels down.</param>
/// <param name="Gray">In DeviceGray.</param>
/// <param name="Alpha">How much of each pixel covers, from 0 to 255; null where all does.</param>
/// <param name="Save">Writes the JPEG, once.</param>
public sealed record PressPicture(int Wide, int High, bool Gray, byte[]? Alpha, Action<Stream> Save);

/// <summary>
/// A picture's pixels in press colours: four bytes of ink each, 255 for all of it; and how much of it covers, where it
/// does not all.
/// </summary>
public sealed record PressPixels(int Wide, int High, byte[] Inks, byte[]? Alpha);

/// <summary>
/// Makes pictures for the press and for the screen from kept files. RGB goes to the press's colours through the
/// profiles; CMYK keeps its numbers unless it is to be converted.
/// </summary>
public static class PictureMaking
{
    /// <summary>For the press, with no more pixels across than asked for.</summary>
    /// <param name="path">The kept file.</param>
    /// <param name="wide">Pixels across; never more than the file has.</param>
    /// <param name="condition">The house's.</param>
    /// <param name="convert">Whether CMYK with a profile of its own is brought to the house's.</param>
    public static PressPicture ForPress(string path, int wide, PrintingCondition condition, bool convert = false)
    {
        var sized = Sized(path, wide);
        var flat = Flat(sized);
        var press = Press(flat, condition, convert);
        return Saved(press, press.Bands == 1, Alpha(sized), 95, sized, flat);
    }

    /// <summary>In black alone, by how light it is: the least black that is as dark.</summary>
    public static PressPicture ForBlack(string path, int wide, BlackAlone black)
    {
        var sized = Sized(path, wide);
        var flat = Flat(sized);
        var gray = black.Of(flat);
        return Saved(gray, true, Alpha(sized), 92, sized, flat);
    }

    /// <summary>Samples that are made while they are written, so that no file is held whole.</summary>
    private static PressPicture Saved(Image image, bool gray, byte[]? alpha, int quality,
        params Image[] under) => new(image.Width, image.Height, gray, alpha, output =>
    {
        image.JpegsaveStream(output, q: quality, keep: Enums.ForeignKeep.None,
            subsampleMode: Enums.ForeignSubsample.Off);
        image.Dispose();
        foreach (var one in under) one.Dispose();
    });

    /// <summary>For a proof: small and sharp, as the press would show it. What shows through is not kept.</summary>
    public static PressPicture ForProof(string path, int wide, PrintingCondition condition, bool convert = false)
    {
        var sized = Sized(path, wide);
        var flat = Flat(sized);
        var press = Press(flat, condition, convert);
        return Saved(press.Bands == 1 ? press.Colourspace(Enums.Interpretation.Srgb) : ScreenView.Of(press, condition),
            false, null, 88, sized, flat, press);
    }

    /// <summary>The same as pixels, for plates.</summary>
    /// <param name="path">The kept file.</param>
    /// <param name="wide">Pixels across of all of it.</param>
    /// <param name="condition">The house's.</param>
    /// <param name="convert">Whether CMYK with a profile of its own is brought to the house's.</param>
    /// <param name="part">The part of it that is wanted, in pixels; all where null.</param>
    public static PressPixels Pixels(string path, int wide, PrintingCondition condition, bool convert = false,
        (int Left, int Top, int Wide, int High)? part = null)
    {
        using var all = Sized(path, wide);
        using var sized = part is { } p && (p.Wide < all.Width || p.High < all.Height)
            ? Part(all, p.Left, p.Top, p.Wide, p.High)
            : all.Copy();
        using var flat = Flat(sized);
        using var press = Press(flat, condition, convert);
        if (press.Bands == 4) return new(press.Width, press.Height, press.WriteToMemory<byte>(), Alpha(sized));
        // Gray is black alone: where it is light there is no ink.
        var gray = press.WriteToMemory<byte>();
        var inks = new byte[gray.Length * 4];
        for (var i = 0; i < gray.Length; i++) inks[(i * 4) + 3] = (byte)(255 - gray[i]);
        return new(press.Width, press.Height, inks, Alpha(sized));
    }

    /// <summary>
    /// For the screen, as WebP: in the colours the press gives it, or in black alone where that is all it prints.
    /// </summary>
    public static byte[] ForScreen(string path, int wide, PrintingCondition condition, bool convert = false,
        BlackAlone? black = null)
    {
        using var sized = Sized(path, wide);
        using var flat = Flat(sized);
        using var press = black is null ? Press(flat, condition, convert) : black.Of(flat);
        using var screen = press.Bands == 1
            ? press.Colourspace(Enums.Interpretation.Srgb)
            : ScreenView.Of(press, condition);
        if (!sized.HasAlpha()) return screen.WebpsaveBuffer(q: 82, keep: Enums.ForeignKeep.None);
        using var alpha = Eight(sized.ExtractBand(sized.Bands - 1));
        using var whole = screen.Bandjoin(alpha);
        return whole.WebpsaveBuffer(q: 82, keep: Enums.ForeignKeep.None);
    }

    private static Image Part(Image all, int left, int top, int wide, int high)
    {
        (left, top) = (Math.Min(left, all.Width - 1), Math.Min(top, all.Height - 1));
        return all.ExtractArea(left, top, Math.Min(wide, all.Width - left), Math.Min(high, all.Height - top));
    }

    private static Image Flat(Image sized) =>
        sized.HasAlpha() ? sized.ExtractBand(0, n: sized.Bands - 1) : sized.Copy();

    private static byte[]? Alpha(Image sized)
    {
        if (!sized.HasAlpha()) return null;
        using var a = Eight(sized.ExtractBand(sized.Bands - 1));
        return a.WriteToMemory<byte>();
    }

    /// <summary>
    /// Upright, with no more pixels across than asked for. What lets something through is read twice, and so is held
    /// whole.
    /// </summary>
    internal static Image Sized(string path, int wide)
    {
        using var upright = Upright(path, wide);
        var sized = wide < upright.Width
            ? upright.Resize((double)wide / upright.Width, kernel: Enums.Kernel.Cubic)
            : upright.Copy();
        if (!sized.HasAlpha()) return sized;
        using (sized) return sized.CopyMemory();
    }

    private static Image Upright(string path, int wide)
    {
        using var image = PictureReading.Open(path, "the picture", wide);
        // Turning wants pixels in any order; shrinking and colour do not.
        return PictureReading.Turn(image) > 1 ? image.CopyMemory().Autorot() : image.Copy();
    }

    /// <summary>
    /// docs/press-files.md, Colour: RGB through ICC, relative with black-point compensation or as the house has it;
    /// CMYK keeps its numbers; gray stays black alone.
    /// </summary>
    internal static Image Press(Image image, PrintingCondition condition, bool convert) => image.Interpretation switch
    {
        Enums.Interpretation.Cmyk when convert && image.Contains("icc-profile-data") => ToPress(image, condition, null),
        Enums.Interpretation.Cmyk => Eight(image),
        Enums.Interpretation.Bw or Enums.Interpretation.Grey16 => Eight(image),
        _ => ToPress(image, condition, "sRGB"),
    };

    private static Image ToPress(Image image, PrintingCondition condition, string? from) => image.IccTransform(
        Profiles.PathOf(condition.Profile), inputProfile: from is null
            ? null
            : Profiles.PathOf(from), embedded: true, depth: 8,
        intent: condition.Intent switch
        {
            Intent.Perceptual => Enums.Intent.Perceptual,
            Intent.Absolute => Enums.Intent.Absolute,
            _ => Enums.Intent.Relative,
        },
            blackPointCompensation: condition.Intent == Intent.Relative);

    internal static Image Eight(Image image) => image.Format == Enums.BandFormat.Ushort
        ? (image / 257).Cast(Enums.BandFormat.Uchar)
            .Copy(interpretation: image.Bands >= 4 ? Enums.Interpretation.Cmyk : Enums.Interpretation.Bw)
        : image.Cast(Enums.BandFormat.Uchar);
}
