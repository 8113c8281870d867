using System.Security.Cryptography;
using Lumbeck.Pdf.Functions;

namespace Lumbeck.Pdf.Colours;

/// <summary>
/// A colour space (ISO 32000-2, 8.6): how many components its colours have, and where each lies between.
/// </summary>
public abstract record ColorSpace
{
    private protected ColorSpace(int components) => Components = components;

    public int Components { get; }

    /// <summary>A colour as it stands when the space is chosen (8.6.8).</summary>
    public virtual double[] Initial => new double[Components];

    /// <summary>Where a component of an image's samples lies between (table 90).</summary>
    public virtual (double Least, double Most) Range(int component, int bits) => (0, 1);

    /// <summary>A component; 0 where there are too few.</summary>
    public static double At(ReadOnlySpan<double> colour, int n) => n < colour.Length ? colour[n] : 0;
}

/// <summary>DeviceGray (8.6.4.2), and what stands as such: 0 is black.</summary>
public sealed record GrayColorSpace() : ColorSpace(1);

/// <summary>Red, green and blue through a profile (8.6.4.3, 8.6.5.5); sRGB where there is none.</summary>
public sealed record RgbColorSpace(EmbeddedProfile? Profile = null) : ColorSpace(3);

/// <summary>DeviceCMYK (8.6.4.4): shares of the four process inks.</summary>
public sealed record CmykColorSpace() : ColorSpace(4)
{
    public override double[] Initial => [0, 0, 0, 1];
}

/// <summary>CIE L*a*b* (8.6.5.4).</summary>
/// <param name="Limits">Least and most of a*, least and most of b*.</param>
public sealed record LabColorSpace(double[] Limits) : ColorSpace(3)
{
    public override (double Least, double Most) Range(int component, int bits) =>
        component == 0 ? (0, 100) : (At(Limits, 2 * (component - 1)), At(Limits, (2 * (component - 1)) + 1));
}

/// <summary>An image's colours by number, from a table of them (8.6.6.3).</summary>
public sealed record IndexedColorSpace(ColorSpace Base, int Most, byte[] Table) : ColorSpace(1)
{
    public override (double Least, double Most) Range(int component, int bits) => (0, (1 << bits) - 1);

    /// <summary>A colour of the table, in its base's components.</summary>
    public double[] Entry(int n) => [.. Enumerable.Range(0, Base.Components).Select(k =>
    {
        var (least, most) = Base.Range(k, 8);
        var at = (n * Base.Components) + k;
        return least + ((at < Table.Length ? Table[at] : 0) / 255.0 * (most - least));
    })];
}

/// <summary>Colorants of their own (8.6.6.4, 8.6.6.5), with what stands for them where they are not printed.</summary>
/// <param name="Names">What they are called.</param>
/// <param name="Alternate">The space that stands for them.</param>
/// <param name="Tint">From their shares to that space's components.</param>
public sealed record SeparationOrDeviceN(IReadOnlyList<string> Names, ColorSpace Alternate, Function Tint)
    : ColorSpace(Names.Count)
{
    private static readonly string[] Process = ["Cyan", "Magenta", "Yellow", "Black"];

    public override double[] Initial => [.. Enumerable.Repeat(1.0, Components)];

    /// <summary>Names of the process are no spots; nor is what stands for every plate, or for none.</summary>
    public bool IsSpot => Names.Count == 1 && !Process.Contains(Names[0]) && Names[0] is not ("All" or "None");

    /// <summary>Paints on no plate at all.</summary>
    public bool IsNothing => Names.All(n => n == "None");

    /// <summary>Process inks and nothing else.</summary>
    public bool IsProcess => Names.All(n => Process.Contains(n));

    /// <summary>Process inks, or none.</summary>
    public bool IsProcessOrNothing => Names.All(n => n == "None" || Process.Contains(n));

    /// <summary>The tint of a colorant by its name, of a colour of this space.</summary>
    public double TintOf(string name, double[] colour) =>
        Names.Index().Where(n => n.Item == name).Sum(n => At(colour, n.Index));
}

/// <summary>Patterns (8.6.6.2); those without colours of their own are painted in the space under them.</summary>
public sealed record PatternColorSpace(ColorSpace? Under) : ColorSpace(Under?.Components ?? 0);

/// <summary>
/// An ICC profile of three components that a file carries (8.6.5.5), known by the SHA-256 of its bytes.
/// </summary>
public sealed class EmbeddedProfile(byte[] bytes) : IEquatable<EmbeddedProfile>
{
    public byte[] Bytes => bytes;
    public string Hash { get; } = Convert.ToHexStringLower(SHA256.HashData(bytes))[..32];
    public bool Equals(EmbeddedProfile? other) => other?.Hash == Hash;
    public override bool Equals(object? obj) => Equals(obj as EmbeddedProfile);
    public override int GetHashCode() => Hash.GetHashCode(StringComparison.Ordinal);
}
