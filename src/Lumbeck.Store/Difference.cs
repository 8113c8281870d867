namespace Lumbeck.Store;

/// <summary>
/// What makes one run of bytes of another: pieces of that, and what is new between them. Two states of a job differ in
/// a few places.
/// </summary>
/// <remarks>
/// A row of parts, each two numbers of seven bits a byte: how many bytes are new, with those bytes, then where in the
/// other a piece lies and how long it is.
/// </remarks>
internal static class Difference
{
    /// <summary>Pieces are found where so many bytes are the same.</summary>
    private const int Block = 16;

    /// <summary>What <paramref name="next"/> has that <paramref name="was"/> has not.</summary>
    public static byte[] Of(ReadOnlySpan<byte> was, ReadOnlySpan<byte> next)
    {
        using var m = new MemoryStream();
        var places = Places(was);
        var (from, at) = (0, 0);
        while (at < next.Length)
        {
            var (place, length) = Longest(was, next, at, places);
            if (length == 0) { at++; continue; }
            Put(m, next[from..at], place, length);
            from = at += length;
        }
        if (from < next.Length) Put(m, next[from..], 0, 0);
        return m.ToArray();
    }

    /// <summary>The bytes that a difference makes.</summary>
    /// <exception cref="InvalidDataException">It was made from other bytes than these.</exception>
    public static byte[] Apply(ReadOnlySpan<byte> was, ReadOnlySpan<byte> difference)
    {
        using var m = new MemoryStream(was.Length + difference.Length);
        for (var at = 0; at < difference.Length;)
        {
            var fresh = Number(difference, ref at);
            if (fresh > difference.Length - at) throw Damaged();
            m.Write(difference.Slice(at, fresh));
            at += fresh;
            var (place, length) = (Number(difference, ref at), Number(difference, ref at));
            if (place > was.Length || length > was.Length - place) throw Damaged();
            m.Write(was.Slice(place, length));
        }
        return m.ToArray();
    }

    private static Dictionary<UInt128, int> Places(ReadOnlySpan<byte> was)
    {
        var places = new Dictionary<UInt128, int>(was.Length / Block);
        for (var i = 0; i + Block <= was.Length; i += Block) places.TryAdd(Key(was, i), i);
        return places;
    }

    private static UInt128 Key(ReadOnlySpan<byte> bytes, int at) =>
        new(BitConverter.ToUInt64(bytes[at..]), BitConverter.ToUInt64(bytes[(at + 8)..]));

    /// <summary>
    /// A piece of the old that the new has from here on: at the same place where it begins alike, else where a block is
    /// the same.
    /// </summary>
    private static (int Place, int Length) Longest(ReadOnlySpan<byte> was, ReadOnlySpan<byte> next, int at,
        Dictionary<UInt128, int> places)
    {
        if (at == 0 && was.CommonPrefixLength(next) is >= Block and var same) return (0, same);
        if (at + Block > next.Length || !places.TryGetValue(Key(next, at), out var place)) return default;
        return (place, was[place..].CommonPrefixLength(next[at..]));
    }

    private static void Put(MemoryStream m, ReadOnlySpan<byte> fresh, int place, int length)
    {
        Number(m, fresh.Length);
        m.Write(fresh);
        Number(m, place);
        Number(m, length);
    }

    private static void Number(MemoryStream m, int n)
    {
        for (; n > 0x7f; n >>= 7) m.WriteByte((byte)(n | 0x80));
        m.WriteByte((byte)n);
    }

    private static int Number(ReadOnlySpan<byte> bytes, ref int at)
    {
        long n = 0;
        for (var shift = 0; ; shift += 7)
        {
            if (at >= bytes.Length || shift > 28) throw Damaged();
            var b = bytes[at++];
            n |= (long)(b & 0x7f) << shift;
            if (b < 0x80) return n <= int.MaxValue ? (int)n : throw Damaged();
        }
    }

    private static InvalidDataException Damaged() => new("A revision does not fit the one before it.");
}
