using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using System.Runtime.Intrinsics;
using System.Runtime.Intrinsics.X86;

namespace Lumbeck.Press.Growing;

// How like two patches are.
internal sealed partial class Patches
{
    /// <summary>How unlike a square and its likeness are as a rule, in levels a byte.</summary>
    public double Difference
    {
        get
        {
            var (sum, count) = (0L, 0);
            for (var i = 0; i < _like.Length; i++) if (_like[i] >= 0) (sum, count) = (sum + _unlike[i], count + 1);
            return count == 0 ? 0 : sum / (double)count / (Side * Side * 3);
        }
    }

    private int Middle()
    {
        var some = new List<int>();
        for (var i = 0; i < _like.Length; i += 7) if (_like[i] >= 0) some.Add(_unlike[i]);
        some.Sort();
        return some.Count == 0 ? 0 : some[some.Count / 2];
    }

    /// <summary>
    /// The sum of absolute differences of two squares; given up once it passes <paramref name="most"/>.
    /// </summary>
    private int Unlike(int a, int b, int most)
    {
        ref var from = ref MemoryMarshal.GetArrayDataReference(_grid.Bytes);
        var row = (nint)_grid.Wide * 4;
        ref var p = ref Unsafe.AddByteOffset(ref from, (nint)a * 4);
        ref var q = ref Unsafe.AddByteOffset(ref from, (nint)b * 4);
        var sum = 0;
        for (var i = 0; i < Side; i++)
        {
            sum += Row(ref Unsafe.AddByteOffset(ref p, i * row), ref Unsafe.AddByteOffset(ref q, i * row));
            if (sum >= most) return sum;
        }
        return sum;
    }

    private static int Row(ref byte a, ref byte b)
    {
        var (p, q) = (Vector256.LoadUnsafe(ref a), Vector256.LoadUnsafe(ref b));
        if (Avx2.IsSupported)
        {
            var four = Avx2.SumAbsoluteDifferences(p, q).AsInt64();
            return (int)(four[0] + four[1] + four[2] + four[3]);
        }
        var (low, high) = Vector256.Widen(Vector256.Max(p, q) - Vector256.Min(p, q));
        return Vector256.Sum(low + high);
    }

    private static uint Mixed(uint a, uint b, uint c)
    {
        unchecked
        {
            var h = (a * 0x85EBCA6B) ^ (b * 0xC2B2AE35) ^ (c * 0x27D4EB2F);
            h ^= h >> 15; h *= 0x2C1B3C6D; h ^= h >> 12; h *= 0x297A2D39; h ^= h >> 15;
            return h;
        }
    }
}
