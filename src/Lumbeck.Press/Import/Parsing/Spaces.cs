using System.Security.Cryptography;
using UglyToad.PdfPig.Tokens;

namespace Lumbeck.Press.Import.Parsing;

/// <summary>A colour space (ISO 32000-1, 8.6): its figures, and what they are in a house's inks.</summary>
internal abstract record ColorSpace(int Components)
{
    /// <summary>Figures as they stand when the space is chosen.</summary>
    public virtual double[] Initial => new double[Components];

    /// <summary>Whether its figures are inks already, so that they and their overprint stay.</summary>
    public virtual bool IsInk => false;

    /// <summary>Where each figure lies between; of a picture's samples.</summary>
    public virtual (double Least, double Most) Range(int component, int bits) => (0, 1);

    /// <param name="inks">The house's.</param>
    /// <param name="c">The figures.</param>
    /// <param name="alone">Whether what has no hue becomes black alone.</param>
    public abstract Inks Of(PressInks inks, double[] c, bool alone = true);

    /// <summary>The same of many at once, which is far quicker where they go through a profile.</summary>
    public virtual IReadOnlyList<Inks> Many(PressInks inks, IReadOnlyList<double[]> all, bool alone = true) =>
        [.. all.Select(c => Of(inks, c, alone))];

    protected static double At(double[] c, int n) => n < c.Length ? c[n] : 0;
}

internal sealed record GrayColorSpace() : ColorSpace(1)
{
    public override bool IsInk => true;
    public override Inks Of(PressInks inks, double[] c, bool alone = true) => PressInks.Gray(At(c, 0));
}

/// <summary>Red, green and blue through a profile's file; sRGB where it is empty.</summary>
internal sealed record RgbColorSpace(string Profile = "") : ColorSpace(3)
{
    public override Inks Of(PressInks inks, double[] c, bool alone = true) =>
        inks.Rgb(At(c, 0), At(c, 1), At(c, 2), Profile, alone);

    public override IReadOnlyList<Inks> Many(PressInks inks, IReadOnlyList<double[]> all, bool alone = true) =>
        inks.Rgb([.. all.Select(c => (At(c, 0), At(c, 1), At(c, 2)))], Profile, alone);
}

internal sealed record CmykColorSpace() : ColorSpace(4)
{
    public override bool IsInk => true;
    public override double[] Initial => [0, 0, 0, 1];
    public override Inks Of(PressInks inks, double[] c, bool alone = true) => Many(inks, [c], alone)[0];

    public override IReadOnlyList<Inks> Many(PressInks inks, IReadOnlyList<double[]> all, bool alone = true) =>
        inks.Came([.. all.Select(Shares)]);

    /// <summary>Its figures as they stand.</summary>
    public static Inks Shares(double[] c) =>
        new(Math.Clamp(At(c, 0), 0, 1), Math.Clamp(At(c, 1), 0, 1), Math.Clamp(At(c, 2), 0, 1), Math.Clamp(At(c, 3),
            0, 1));
}

internal sealed record LabColorSpace(double[] Limits) : ColorSpace(3)
{
    public override (double Least, double Most) Range(int component, int bits) =>
        component == 0 ? (0, 100) : (At(Limits, 2 * (component - 1)), At(Limits, (2 * (component - 1)) + 1));
    public override Inks Of(PressInks inks, double[] c, bool alone = true) => Many(inks, [c])[0];

    public override IReadOnlyList<Inks> Many(PressInks inks, IReadOnlyList<double[]> all, bool alone = true) =>
        inks.Lab([.. all.Select(c => (At(c, 0), At(c, 1), At(c, 2)))]);
}

/// <summary>A picture's colours by number, from a table of them.</summary>
internal sealed record IndexedColorSpace(ColorSpace Base, int Most, byte[] Table) : ColorSpace(1)
{
    public override (double Least, double Most) Range(int component, int bits) => (0, (1 << bits) - 1);

    public double[] Entry(int n) => [.. Enumerable.Range(0, Base.Components).Select(k =>
    {
        var (least, most) = Base.Range(k, 8);
        var at = (n * Base.Components) + k;
        return least + ((at < Table.Length ? Table[at] : 0) / 255.0 * (most - least));
    })];

    public override Inks Of(PressInks inks, double[] c, bool alone = true) =>
        Base.Of(inks, Entry((int)Math.Clamp(At(c, 0), 0, Most)), alone);

    public override IReadOnlyList<Inks> Many(PressInks inks, IReadOnlyList<double[]> all, bool alone = true) =>
        Base.Many(inks, [.. all.Select(c => Entry((int)Math.Clamp(At(c, 0), 0, Most)))], alone);
}

/// <summary>Inks of their own, with what stands for them where they are not printed.</summary>
/// <param name="Names">What they are called.</param>
/// <param name="Alternate">The space that stands for them.</param>
/// <param name="Tint">From their shares to that space's figures.</param>
internal sealed record SeparationOrDeviceN(IReadOnlyList<string> Names, ColorSpace Alternate,
    Function Tint) : ColorSpace(Names.Count)
{
    private static readonly string[] Process = ["Cyan", "Magenta", "Yellow", "Black"];

    public override double[] Initial => [.. Enumerable.Repeat(1.0, Components)];

    /// <summary>Names of the process are no spots; nor is what stands for every plate, or for none.</summary>
    public bool IsSpot => Names.Count == 1 && !Process.Contains(Names[0]) && Names[0] is not ("All" or "None");

    /// <summary>Paints on no plate at all (ISO 32000-1, 8.6.6.4).</summary>
    public bool IsNothing => Names.All(n => n == "None");

    public override bool IsInk => Names.All(n => Process.Contains(n));

    public override Inks Of(PressInks inks, double[] c, bool alone = true)
    {
        if (Names is ["All"]) return inks.Came([new(At(c, 0), At(c, 0), At(c, 0), At(c, 0))])[0];
        if (Names.All(n => Process.Contains(n) || n == "None"))
        {
            double share(string name) => Names.Index().Where(n => n.Item == name).Sum(n => At(c, n.Index));
            return inks.Came([new(share("Cyan"), share("Magenta"), share("Yellow"), share("Black"))])[0];
        }
        return Alternate.Of(inks, Tint.Evaluate(c), alone);
    }

    public override IReadOnlyList<Inks> Many(PressInks inks, IReadOnlyList<double[]> all, bool alone = true) =>
        Names is ["All"] || Names.All(n => Process.Contains(n) || n == "None") ? base.Many(inks, all, alone)
            : Alternate.Many(inks, [.. all.Select(c => Tint.Evaluate(c))], alone);
}

/// <summary>Patterns; those without colours of their own are painted in the space under them.</summary>
internal sealed record PatternColorSpace(ColorSpace? Under) : ColorSpace(Under?.Components ?? 0)
{
    public override Inks Of(PressInks inks, double[] c, bool alone = true) => Under?.Of(inks, c,
        alone) ?? Inks.Black(1);
}

/// <summary>Reads colour spaces; profiles that a file carries are kept aside as files while it is mended.</summary>
internal sealed class ColorSpaceParser(SourceFile file, string aside)
{
    /// <summary>Profiles that the file carries, by what they are for.</summary>
    public Dictionary<string, int> Profiles { get; } = [];

    /// <param name="token">As it is written: a name, or an array.</param>
    /// <param name="named">The page's own spaces.</param>
    /// <param name="depth">How far within others.</param>
    /// <exception cref="Refusal">It is none that is known.</exception>
    public ColorSpace Read(IToken? token, DictionaryToken? named, int depth = 0)
    {
        if (depth > 8) throw No();
        token = file.Resolve(token);
        if (token is NameToken name)
            return name.Data switch
            {
                "DeviceGray" or "G" or "CalGray" => DefaultColorSpace(named, "DefaultGray",
                    depth) ?? new GrayColorSpace(),
                "DeviceRGB" or "RGB" or "CalRGB" => DefaultColorSpace(named, "DefaultRGB",
                    depth) ?? new RgbColorSpace(),
                "DeviceCMYK" or "CMYK" => DefaultColorSpace(named, "DefaultCMYK", depth) ?? new CmykColorSpace(),
                "Pattern" => new PatternColorSpace(null),
                var other when file.Get(named, other) is { } own && own != token => Read(own, named, depth + 1),
                _ => throw No(),
            };
        var parts = file.Items(token);
        if (parts is not [NameToken kind, ..]) throw No();
        return kind.Data switch
        {
            "ICCBased" when parts.Count > 1 => Icc(parts[1] as StreamToken ?? throw No(), named, depth),
            "CalRGB" => new RgbColorSpace(),
            "CalGray" => new GrayColorSpace(),
            "Lab" => new LabColorSpace(file.Numbers(SourceFile.Dictionary(parts.ElementAtOrDefault(1)),
                "Range") is { Length: 4 } r
                ? r : [-100, 100, -100, 100]),
            "Indexed" or "I" when parts.Count > 3 => Indexed(parts, named, depth),
            "Separation" when parts.Count > 3 && parts[1] is NameToken one => new SeparationOrDeviceN([one.Data],
                Read(parts[2], named, depth + 1), Function.Read(file, parts[3])),
            "DeviceN" when parts.Count > 3 && parts[1] is ArrayToken several && several.Data.Count is > 0 and <= 32 =>
                new SeparationOrDeviceN(
                [.. several.Data.Select(file.Resolve).OfType<NameToken>().Select(n => n.Data)], Read(parts[2], named,
                    depth + 1),
                Function.Read(file, parts[3])),
            "Pattern" => new PatternColorSpace(parts.Count > 1 ? Read(parts[1], named, depth + 1) : null),
            _ => Read(kind, named, depth + 1),
        };
    }

    /// <summary>The spaces of red, green and blue that a page may paint in.</summary>
    public IEnumerable<ColorSpace> OfRgb(DictionaryToken? resources)
    {
        var named = file.Dictionary(resources, "ColorSpace");
        var (all, counted) = (new List<RgbColorSpace>(), Profiles.ToList());
        foreach (var token in (IToken[])[NameToken.Create("DeviceRGB"), .. named?.Data.Values.Take(20) ?? []])
        {
            try { if (Read(token, named) is RgbColorSpace rgb && !all.Contains(rgb)) all.Add(rgb); }
            catch (Refusal) { /* what can't be read is told where it is painted */ }
        }
        Profiles.Clear();
        foreach (var (what, count) in counted) Profiles[what] = count;
        return all;
    }

    private static Refusal No() => new("file", "it holds a colour space that can’t be read");

    private ColorSpace? DefaultColorSpace(DictionaryToken? named, string key, int depth) =>
        depth < 2 && file.Get(named, key) is ArrayToken own ? Read(own, null, depth + 2) : null;

    private ColorSpace Icc(StreamToken profile, DictionaryToken? named, int depth)
    {
        var count = (int)(file.Number(profile.StreamDictionary, "N") ?? 3);
        switch (count)
        {
            case 1: Count("gray"); return new GrayColorSpace();
            case 4: Count("CMYK"); return new CmykColorSpace();
            case 3 when file.Get(profile.StreamDictionary,
                "Alternate") is ArrayToken { Data: [NameToken { Data: "Lab" }, ..] } lab:
                return Read(lab, named, depth + 1);
            case 3: Count("RGB"); return new RgbColorSpace(Kept(file.Decode(profile)));
            default: throw No();
        }
    }

    private void Count(string what) => Profiles[what] = Profiles.GetValueOrDefault(what) + 1;

    /// <summary>The file that a profile is kept in; none for what is no profile of red, green and blue.</summary>
    private string Kept(byte[] profile)
    {
        if (profile.Length < 128 || !profile.AsSpan(16, 4).SequenceEqual("RGB "u8) || !profile.AsSpan(36, 4)
            .SequenceEqual("acsp"u8))
            return "";
        // The usual one is ours: the same to the eye, and known to be sound.
        if (profile.AsSpan().IndexOf("sRGB"u8) is >= 0 and < 700) return "";
        var path = Path.Combine(aside, Convert.ToHexStringLower(SHA256.HashData(profile))[..32] + ".icc");
        if (File.Exists(path)) return path;
        File.WriteAllBytes(path, profile);
        try
        {
            using var one = NetVips.Image.Black(1, 1, 3).Copy(interpretation: NetVips.Enums.Interpretation.Srgb);
            using var lab = one.IccImport(pcs: NetVips.Enums.PCS.Lab, inputProfile: path, embedded: false);
            lab.Getpoint(0, 0);
            return path;
        }
        catch (NetVips.VipsException) { return ""; }
    }

    private IndexedColorSpace Indexed(IReadOnlyList<IToken?> parts, DictionaryToken? named, int depth)
    {
        var table = parts[3] switch
        {
            StreamToken s => file.Decode(s),
            StringToken t => t.GetBytes(),
            HexToken h => h.Bytes.ToArray(),
            _ => throw No(),
        };
        return new(Read(parts[1], named, depth + 1), (int)Math.Clamp((parts[2] as NumericToken)?.Double ?? 0, 0, 255),
            table);
    }
}
