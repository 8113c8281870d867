using System.Collections.Concurrent;
using NetVips;

namespace Lumbeck.Press.Colour;

/// <summary>What a press colour looks like on screen.</summary>
public interface IScreenColour
{
    /// <summary>As <c>#rrggbb</c> in sRGB.</summary>
    string Hex(Ink ink);
}

/// <summary>
/// Screen colour through the press profile's A2B table to sRGB, relative colorimetric: paper shows as white.
/// Mixes are converted once and kept.
/// </summary>
public sealed class PressColour : IScreenColour
{
    private readonly ConcurrentDictionary<Ink, string> _seen = new();
    private readonly string _profile;

    /// <param name="profile">A shipped profile's name, such as <c>coated-fogra39-300</c>.</param>
    public PressColour(string profile) => _profile = Profiles.PathOf(profile);

    public string Hex(Ink ink) => _seen.GetOrAdd(ink, Convert);

    private string Convert(Ink ink)
    {
        ReadOnlySpan<ushort> cmyk = [Level(ink.C), Level(ink.M), Level(ink.Y), Level(ink.K)];
        using var one = Image.NewFromMemory(System.Runtime.InteropServices.MemoryMarshal.AsBytes(cmyk).ToArray(), 1, 1, 4, Enums.BandFormat.Ushort);
        using var press = one.Copy(interpretation: Enums.Interpretation.Cmyk);
        using var screen = press.IccTransform(Profiles.PathOf("sRGB"), inputProfile: _profile, intent: Enums.Intent.Relative, depth: 8, embedded: false);
        var rgb = screen.WriteToMemory<byte>();
        return $"#{rgb[0]:x2}{rgb[1]:x2}{rgb[2]:x2}";
    }

    private static ushort Level(int hundredths) => (ushort)Math.Round(hundredths * 65535 / 10_000.0);
}

/// <summary>The colour profiles that ship: files <c>profiles/name.icc</c> beside the program.</summary>
public static class Profiles
{
    private static readonly string Folder = Path.Combine(AppContext.BaseDirectory, "profiles");

    /// <exception cref="Core.Refusal">No such profile ships.</exception>
    public static string PathOf(string name)
    {
        var file = Path.Combine(Folder, Path.GetFileName(name) + ".icc");
        return File.Exists(file) ? file : throw new Core.Refusal("profile", $"no profile is called `{name}`: the house names one that is not here");
    }

    public static byte[] Bytes(string name) => File.ReadAllBytes(PathOf(name));
}
