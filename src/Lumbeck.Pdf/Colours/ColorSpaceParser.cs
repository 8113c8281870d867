using Lumbeck.Pdf.Functions;
using Lumbeck.Pdf.Reading;

namespace Lumbeck.Pdf.Colours;

/// <summary>Reads colour spaces (ISO 32000-2, 8.6.3), each once where it is an object of its own.</summary>
public sealed class ColorSpaceParser(PdfFile file)
{
    private readonly Dictionary<PdfRef, (ColorSpace Space, string? Profile)> _read = [];

    /// <summary>How often a profile was met, by what it is for.</summary>
    public Dictionary<string, int> Profiles { get; } = [];

    /// <param name="o">As it is written: a name, or an array.</param>
    /// <param name="named">The page's own spaces.</param>
    /// <param name="depth">How far within others.</param>
    /// <exception cref="PdfReadException">It is none that is known.</exception>
    public ColorSpace Read(PdfObject? o, PdfDict? named, int depth = 0)
    {
        if (depth > 8) throw No();
        var solid = file.Resolve(o);
        if (solid is PdfName name)
            return name.Value switch
            {
                "DeviceGray" or "G" or "CalGray" => DefaultColorSpace(named, "DefaultGray", depth) ?? new GrayColorSpace(),
                "DeviceRGB" or "RGB" or "CalRGB" => DefaultColorSpace(named, "DefaultRGB", depth) ?? new RgbColorSpace(),
                "DeviceCMYK" or "CMYK" => DefaultColorSpace(named, "DefaultCMYK", depth) ?? new CmykColorSpace(),
                "Pattern" => new PatternColorSpace(null),
                var other when named?[other] is { } own && file.Resolve(own) is { } there && there != solid =>
                    Read(own, named, depth + 1),
                _ => throw No(),
            };
        if (solid is PdfArray array && o is PdfRef at)
        {
            if (!_read.TryGetValue(at, out var known)) _read[at] = known = (Parts(array, named, depth), _counted);
            else if (known.Profile is { } again) Count(again);
            _counted = null;
            return known.Space;
        }
        return Parts(solid, named, depth);
    }

    private string? _counted;

    private ColorSpace Parts(PdfObject? array, PdfDict? named, int depth)
    {
        var parts = file.Items(array);
        if (parts is not [PdfName kind, ..]) throw No();
        return kind.Value switch
        {
            "ICCBased" when parts.Count > 1 => Icc(parts[1] as PdfStream ?? throw No(), named, depth),
            "CalRGB" => new RgbColorSpace(),
            "CalGray" => new GrayColorSpace(),
            "Lab" => new LabColorSpace(file.Numbers(PdfFile.Dict(parts.ElementAtOrDefault(1)), "Range") is { Length: 4 } r
                ? r : [-100, 100, -100, 100]),
            "Indexed" or "I" when parts.Count > 3 => Indexed(parts, named, depth),
            "Separation" when parts.Count > 3 && parts[1] is PdfName one =>
                new SeparationOrDeviceN([one.Value], Read(parts[2], named, depth + 1), Function.Read(file, parts[3])),
            "DeviceN" when parts.Count > 3 && parts[1] is PdfArray several && several.Items.Count is > 0 and <= 32 =>
                new SeparationOrDeviceN([.. several.Items.Select(file.Resolve).OfType<PdfName>().Select(n => n.Value)],
                    Read(parts[2], named, depth + 1), Function.Read(file, parts[3])),
            "Pattern" => new PatternColorSpace(parts.Count > 1 ? Read(parts[1], named, depth + 1) : null),
            _ => Read(kind, named, depth + 1),
        };
    }

    /// <summary>The spaces of red, green and blue that a page may paint in.</summary>
    public IEnumerable<RgbColorSpace> OfRgb(PdfDict? resources)
    {
        var named = file.Dict(resources, "ColorSpace");
        var (all, counted) = (new List<RgbColorSpace>(), Profiles.ToList());
        foreach (var o in (PdfObject[])["DeviceRGB", .. named?.Take(20).Select(e => e.Value) ?? []])
        {
            try { if (Read(o, named) is RgbColorSpace rgb && !all.Contains(rgb)) all.Add(rgb); }
            catch (PdfReadException) { /* what can't be read is told where it is painted */ }
        }
        Profiles.Clear();
        foreach (var (what, count) in counted) Profiles[what] = count;
        return all;
    }

    private static PdfReadException No() => new("it holds a colour space that can’t be read");

    private ColorSpace? DefaultColorSpace(PdfDict? named, string key, int depth) =>
        depth < 2 && file.Get(named, key) is PdfArray own ? Read(own, null, depth + 2) : null;

    private ColorSpace Icc(PdfStream profile, PdfDict? named, int depth)
    {
        var count = (int)(file.Number(profile.Dict, "N") ?? 3);
        switch (count)
        {
            case 1: Count("gray"); return new GrayColorSpace();
            case 4: Count("CMYK"); return new CmykColorSpace();
            case 3 when file.Get(profile.Dict, "Alternate") is PdfArray { Items: [PdfName { Value: "Lab" }, ..] } lab:
                return Read(lab, named, depth + 1);
            case 3: Count("RGB"); return new RgbColorSpace(Kept(file.Decode(profile)));
            default: throw No();
        }
    }

    private void Count(string what) => Profiles[_counted = what] = Profiles.GetValueOrDefault(what) + 1;

    /// <summary>A profile of red, green and blue; none where it is no such, or the usual one.</summary>
    private static EmbeddedProfile? Kept(byte[] profile) =>
        profile.Length < 128 || !profile.AsSpan(16, 4).SequenceEqual("RGB "u8)
            || !profile.AsSpan(36, 4).SequenceEqual("acsp"u8)
            // The usual one is ours: the same to the eye, and known to be sound.
            || profile.AsSpan().IndexOf("sRGB"u8) is >= 0 and < 700 ? null : new(profile);

    private IndexedColorSpace Indexed(IReadOnlyList<PdfObject?> parts, PdfDict? named, int depth)
    {
        var table = parts[3] switch
        {
            PdfStream s => file.Decode(s),
            PdfString t => t.Bytes,
            _ => throw No(),
        };
        return new(Read(parts[1], named, depth + 1), (int)Math.Clamp((parts[2] as PdfNumber)?.Value ?? 0, 0, 255), table);
    }
}
