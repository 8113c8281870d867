namespace Lumbeck.Core.Art.Puzzles;

/// <summary>Throws that are the same for ever for a seed: SplitMix64, from integers alone.</summary>
internal sealed class Dice(ulong seed)
{
    private ulong _state = seed;

    public ulong Next()
    {
        unchecked
        {
            var z = _state += 0x9E3779B97F4A7C15ul;
            z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9ul;
            z = (z ^ (z >> 27)) * 0x94D049BB133111EBul;
            return z ^ (z >> 31);
        }
    }

    /// <summary>A whole number from 0 to just under so many.</summary>
    public int Of(int many) => (int)(Next() % (ulong)many);

    /// <summary>Puts things into an order of chance.</summary>
    public T[] Shuffled<T>(IEnumerable<T> things)
    {
        T[] all = [.. things];
        for (var n = all.Length - 1; n > 0; n--)
        {
            var other = Of(n + 1);
            (all[n], all[other]) = (all[other], all[n]);
        }
        return all;
    }

    /// <summary>Dice of their own for the so-manieth thing of a seed.</summary>
    public static Dice For(Seed seed, int n) => new(unchecked((seed.Value * 0xD1342543DE82EF95ul) + (ulong)n + 1));
}
