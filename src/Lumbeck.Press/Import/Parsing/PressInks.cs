using System.Runtime.InteropServices;
using Lumbeck.Pdf.Colours;
using Lumbeck.Press.Colour;
using NetVips;
using Intent = Lumbeck.Core.Trade.Houses.Intent;

namespace Lumbeck.Press.Import.Parsing;

/// <summary>Shares of the four inks, from 0 to 1.</summary>
internal readonly record struct Inks(double C, double M, double Y, double K)
{
    public static Inks Black(double k) => new(0, 0, 0, k);

    /// <summary>As content has them.</summary>
    public double[] Numbers => [C, M, Y, K];
}

/// <summary>
/// Colours of other programs in the inks of a house: through profiles as pictures are, and what is neither red, green
/// nor blue on the black plate alone, where words and lines of it stay sharp.
/// </summary>
/// <param name="condition">The house's.</param>
/// <param name="black">What makes colours black alone; only for grays where the inside has colour.</param>
/// <param name="blackAlone">Whether black is the only ink.</param>
internal sealed class PressInks(PrintingCondition condition, BlackAlone black, bool blackAlone)
{
    private readonly Dictionary<(string Profile, ulong Levels), Inks> _known = [];
    private readonly string _profile = Profiles.PathOf(condition.Profile);

    public bool BlackAlone => blackAlone;

    /// <summary>
    /// The file of the profile that inks were made for, where their colours are to stay and not their numbers.
    /// </summary>
    public string? From { get; init; }

    /// <summary>Whether these inks are brought to the house's own: all but what is black alone.</summary>
    public bool Changes(Inks inks) => From is not null && !blackAlone && inks is not { C: 0, M: 0, Y: 0 };

    /// <summary>Inks as a file has them in the house's own.</summary>
    public IReadOnlyList<Inks> Came(IReadOnlyList<Inks> all)
    {
        if (From is null || blackAlone || !all.Any(Changes)) return Kept(all);
        static byte level(double v) => (byte)Math.Round(Math.Clamp(v, 0, 1) * 255);
        byte[] samples = [.. all.SelectMany(i => (byte[])[level(i.C), level(i.M), level(i.Y), level(i.K)])];
        using var row = Image.NewFromMemoryCopy(samples, all.Count, 1, 4, Enums.BandFormat.Uchar);
        using var cmyk = row.Copy(interpretation: Enums.Interpretation.Cmyk);
        using var press = Transform(cmyk, From, 16);
        return [.. all.Zip(Read(press.WriteToMemory<ushort>()), (i, made) => Changes(i) ? made : i)];
    }

    public BlackAlone Black => black;

    /// <summary>A folder where profiles that the file carries are kept while it is mended.</summary>
    public string Aside { get; init; } = "";

    private readonly Dictionary<string, string> _profiles = new(StringComparer.Ordinal);

    /// <summary>The file that a profile is kept in; empty for none, and for one that can’t be used.</summary>
    public string PathOf(EmbeddedProfile? profile)
    {
        if (profile is null) return "";
        if (_profiles.TryGetValue(profile.Hash, out var known)) return known;
        var path = Path.Combine(Aside, profile.Hash + ".icc");
        File.WriteAllBytes(path, profile.Bytes);
        try
        {
            using var one = Image.Black(1, 1, 3).Copy(interpretation: Enums.Interpretation.Srgb);
            using var lab = one.IccImport(pcs: Enums.PCS.Lab, inputProfile: path, embedded: false);
            lab.Getpoint(0, 0);
        }
        catch (VipsException) { path = ""; }
        return _profiles[profile.Hash] = path;
    }

    public PrintingCondition Condition => condition;

    /// <summary>Gray as PDF has it: 0 is black.</summary>
    public static Inks Gray(double gray) => Inks.Black(1 - Math.Clamp(gray, 0, 1));

    /// <summary>Inks as they are, or black alone.</summary>
    private IReadOnlyList<Inks> Kept(IReadOnlyList<Inks> all)
    {
        if (!blackAlone || all.All(i => i is { C: 0, M: 0, Y: 0 })) return all;
        static decimal percent(double share) => Math.Round((decimal)(100 * Math.Clamp(share, 0, 1)), 2);
        List<Ink> inks = [.. all.Select(i => Ink.Percent(percent(i.C), percent(i.M), percent(i.Y), percent(i.K)))];
        return [.. all.Zip(black.Of(inks), (i, k) => i is { C: 0, M: 0, Y: 0 } ? i : Inks.Black(k.K / 10_000.0))];
    }

    private static List<Inks> Read(ushort[] levels) => [.. Enumerable.Range(0, levels.Length / 4).Select(n => new Inks(
        levels[4 * n] / 65535.0, levels[(4 * n) + 1] / 65535.0, levels[(4 * n) + 2] / 65535.0, levels[(4 * n) +
            3] / 65535.0))];

    /// <summary>Red, green and blue through a profile; sRGB where it is empty.</summary>
    /// <param name="alone">Whether what is neither becomes black alone.</param>
    public Inks Rgb(double r, double g, double b, string profile = "", bool alone = true) =>
        Rgb([(r, g, b)], profile, alone)[0];

    /// <summary>The same of many: setting a transform up costs more than it does to carry them through.</summary>
    public IReadOnlyList<Inks> Rgb(IReadOnlyList<(double R, double G, double B)> colours, string profile = "",
        bool alone = true)
    {
        static ushort level(double v) => (ushort)Math.Round(Math.Clamp(v, 0, 1) * 65535);
        var keys = colours.Select(c => ((ulong)level(c.R) << 32) | ((ulong)level(c.G) << 16) | level(c.B)).ToList();
        static bool isGray(ulong key) => (key >> 32) == ((key >> 16) & 0xffff) && (key >> 32) == (key & 0xffff);
        var kept = alone ? "" : "+";
        var open = keys.Where(k => !_known.ContainsKey((kept + profile, k))).Distinct().ToList();
        foreach (var gray in open.Where(k => alone && isGray(k)))
            _known[(kept + profile, gray)] = Inks.Black(black.OfLightness(Lightness((gray & 0xffff) / 65535.0)) / 100);
        open.RemoveAll(k => alone && isGray(k));
        if (open.Count > 0)
        {
            ushort[] samples = [.. open.SelectMany(k => (ushort[])[(ushort)(k >> 32), (ushort)(k >> 16), (ushort)k])];
            using var row = Image.NewFromMemoryCopy(MemoryMarshal.AsBytes(samples.AsSpan()).ToArray(), open.Count, 1, 3,
                Enums.BandFormat.Ushort);
            using var rgb = row.Copy(interpretation: Enums.Interpretation.Rgb16);
            using var press = Transform(rgb, profile.Length > 0 ? profile : Profiles.PathOf("sRGB"), 16);
            foreach (var (key, made) in open.Zip(Kept(Read(press.WriteToMemory<ushort>())))) _known[(kept + profile,
                key)] = made;
        }
        return [.. keys.Select(k => _known[(kept + profile, k)])];
    }

    /// <summary>CIE L*, a*, b*.</summary>
    public IReadOnlyList<Inks> Lab(IReadOnlyList<(double L, double A, double B)> all)
    {
        if (all.Count == 0) return [];
        float[] values = [.. all.SelectMany(c => (float[])[(float)c.L, (float)c.A, (float)c.B])];
        using var row = Image.NewFromMemoryCopy(MemoryMarshal.AsBytes(values.AsSpan()).ToArray(), all.Count, 1, 3,
            Enums.BandFormat.Float);
        using var lab = row.Copy(interpretation: Enums.Interpretation.Lab);
        using var press = lab.IccExport(outputProfile: _profile, intent: How, depth: 16);
        return Kept(Read(press.WriteToMemory<ushort>()));
    }

    /// <summary>Pixels through a profile into the house's inks.</summary>
    public Image Transform(Image image, string from, int depth = 8) => image.IccTransform(_profile, inputProfile: from,
        embedded: false, depth: depth, intent: How, blackPointCompensation: condition.Intent == Intent.Relative);

    private Enums.Intent How => condition.Intent switch
    {
        Intent.Perceptual => Enums.Intent.Perceptual,
        Intent.Absolute => Enums.Intent.Absolute,
        _ => Enums.Intent.Relative,
    };

    /// <summary>L* of a gray of sRGB (IEC 61966-2-1).</summary>
    private static double Lightness(double gray)
    {
        var y = gray <= 0.04045 ? gray / 12.92 : Math.Pow((gray + 0.055) / 1.055, 2.4);
        return y <= 0.008856 ? 903.3 * y : (116 * Math.Cbrt(y)) - 16;
    }
}
