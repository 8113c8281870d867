using System.Globalization;
using System.Text;

namespace Lumbeck.Core.Measures;

/// <summary>
/// What a drawing begins from: 64 bits. The same seed gives the same drawing for ever. Digits up to the greatest number
/// of 64 bits are that number; any other words are a seed too, by their hash.
/// </summary>
public readonly record struct Seed(ulong Value)
{
    /// <summary>The seed that a text says: its number, or the hash of its words.</summary>
    /// <exception cref="Refusal">It says nothing.</exception>
    public static Seed Of(string text)
    {
        var said = text.Trim();
        if (said.Length == 0) throw Typed.No("a seed is a number or a word, such as `41` or `heron`");
        return ulong.TryParse(said, NumberStyles.None, CultureInfo.InvariantCulture, out var number)
            ? new(number)
            : new(Hash(said));
    }

    /// <summary>FNV-1a over UTF-8, in 64 bits.</summary>
    private static ulong Hash(string words)
    {
        var h = 0xCBF29CE484222325ul;
        foreach (var b in Encoding.UTF8.GetBytes(words)) h = unchecked((h ^ b) * 0x100000001B3ul);
        return h;
    }

    /// <summary>The seeds that come after this one; after the greatest comes 0.</summary>
    public Seed Next(int many) => new(unchecked(Value + (ulong)many));

    public static implicit operator Seed(int value) => new((ulong)value);

    /// <summary>As the lattice's hash takes it: 31 bits; a seed below 2³¹ is itself.</summary>
    public static implicit operator int(Seed seed) => (int)((seed.Value ^ (seed.Value >> 31) ^ (seed.Value >> 62)) & 0x7FFFFFFF);

    public override string ToString() => Value.ToString(CultureInfo.InvariantCulture);
}
