using Lumbeck.Press.Colour;
using NetVips;

namespace Lumbeck.Press.Pictures;

/// <summary>A picture as a press file holds it: samples of 8 bits in DeviceCMYK or DeviceGray as JPEG, and what shows through it, if anything does.</summary>
public sealed record PressPicture(int Wide, int High, bool Gray, byte[] Jpeg, byte[]? Alpha);

/// <summary>Makes pictures for the press and for the screen from kept files. RGB goes to the press's colours through the profiles; CMYK keeps its numbers.</summary>
public static class PictureMaking
{
    /// <summary>For the press, with no more pixels across than asked for.</summary>
    /// <param name="path">The kept file.</param>
    /// <param name="wide">Pixels across; never more than the file has.</param>
    /// <param name="profile">The house's profile.</param>
    public static PressPicture ForPress(string path, int wide, string profile)
    {
        using var sized = Sized(path, wide);
        using var flat = sized.HasAlpha() ? sized.ExtractBand(0, n: sized.Bands - 1) : sized.Copy();
        using var press = Press(flat, profile);
        var gray = press.Bands == 1;
        byte[]? alpha = null;
        if (sized.HasAlpha())
        {
            using var a = Eight(sized.ExtractBand(sized.Bands - 1));
            alpha = a.WriteToMemory<byte>();
        }
        return new(press.Width, press.Height, gray, press.JpegsaveBuffer(q: 92, keep: Enums.ForeignKeep.None, subsampleMode: Enums.ForeignSubsample.Off), alpha);
    }

    /// <summary>For the screen, as WebP: in the colours the press gives it.</summary>
    public static byte[] ForScreen(string path, int wide, string profile)
    {
        using var sized = Sized(path, wide);
        using var flat = sized.HasAlpha() ? sized.ExtractBand(0, n: sized.Bands - 1) : sized.Copy();
        using var press = Press(flat, profile);
        using var screen = press.Bands == 1 ? press.Colourspace(Enums.Interpretation.Srgb)
            : press.IccTransform(Profiles.PathOf("sRGB"), inputProfile: Profiles.PathOf(profile), intent: Enums.Intent.Relative, depth: 8, embedded: false);
        if (!sized.HasAlpha()) return screen.WebpsaveBuffer(q: 82, keep: Enums.ForeignKeep.None);
        using var alpha = Eight(sized.ExtractBand(sized.Bands - 1));
        using var whole = screen.Bandjoin(alpha);
        return whole.WebpsaveBuffer(q: 82, keep: Enums.ForeignKeep.None);
    }

    /// <summary>Upright, with no more pixels across than asked for. What lets something through is read twice, and so is held whole.</summary>
    private static Image Sized(string path, int wide)
    {
        using var upright = Upright(path);
        var sized = wide < upright.Width ? upright.Resize((double)wide / upright.Width) : upright.Copy();
        if (!sized.HasAlpha()) return sized;
        using (sized) return sized.CopyMemory();
    }

    private static Image Upright(string path)
    {
        using var image = PictureReading.Open(path, "the picture");
        // Turning wants pixels in any order; shrinking and colour do not.
        return image.Contains("orientation") && Convert.ToInt32(image.Get("orientation"), CultureInfo.InvariantCulture) > 1 ? image.CopyMemory().Autorot() : image.Copy();
    }

    /// <summary>PRINT.md, Colour: RGB through ICC, relative with black-point compensation; CMYK keeps its numbers; gray stays black alone.</summary>
    private static Image Press(Image image, string profile) => image.Interpretation switch
    {
        Enums.Interpretation.Cmyk => Eight(image),
        Enums.Interpretation.Bw or Enums.Interpretation.Grey16 => Eight(image),
        _ => image.IccTransform(Profiles.PathOf(profile), inputProfile: Profiles.PathOf("sRGB"), intent: Enums.Intent.Relative, blackPointCompensation: true, embedded: true, depth: 8),
    };

    private static Image Eight(Image image) => image.Format == Enums.BandFormat.Ushort
        ? (image / 257).Cast(Enums.BandFormat.Uchar).Copy(interpretation: image.Bands >= 4 ? Enums.Interpretation.Cmyk : Enums.Interpretation.Bw)
        : image.Cast(Enums.BandFormat.Uchar);
}
