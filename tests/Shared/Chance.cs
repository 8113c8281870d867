namespace Lumbeck.Tests.ByChance;

/// <summary>What comes by chance, the same for a seed on every machine.</summary>
public sealed class Chance(int seed)
{
    // SplitMix64, begun at a mixed place, so that neighbouring seeds share nothing.
    private ulong _state = Mixed((ulong)(uint)seed + 0x2545F4914F6CDD1D);

    private static ulong Mixed(ulong z)
    {
        z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EB;
        return z ^ (z >> 31);
    }

    private uint Next() => (uint)(Mixed(_state += 0x9E3779B97F4A7C15) >> 32);

    /// <summary>From one whole number to another, both among them.</summary>
    public int From(int least, int most) => least + (int)(Next() % (uint)(most - least + 1));

    /// <summary>True once in so many times.</summary>
    public bool One(int of) => From(1, of) == 1;

    public T Of<T>(params T[] any) => any[From(0, any.Length - 1)];
}
