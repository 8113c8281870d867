using System.Collections.Concurrent;
using Microsoft.Extensions.Caching.Memory;
using Microsoft.Extensions.Options;

namespace Lumbeck.Caching;

/// <summary>
/// What was made of late, up to so many bytes. What was asked for longest ago goes first, never all at once; what could
/// not be made is no answer to keep; and two who ask for one thing at once wait for one making of it.
/// </summary>
/// <param name="most">Bytes, as <paramref name="weigh"/> reckons them.</param>
/// <param name="weigh">What one answer weighs, in bytes; an estimate will do.</param>
[System.Diagnostics.CodeAnalysis.SuppressMessage("Reliability", "CA1001", Justification = "It holds memory alone.")]
public sealed class ByteCache<TKey, TValue>(long most, Func<TValue, long> weigh) where TKey : notnull
{
    /// <summary>The share that goes when there is no room, so that it is not done for each answer.</summary>
    private const double Part = 0.2;

    private readonly MemoryCache _kept = new(Options.Create(new MemoryCacheOptions { SizeLimit = most, TrackStatistics = true }));
    private readonly ConcurrentDictionary<TKey, Lazy<TValue>> _making = new();

    /// <summary>Bytes that are kept now.</summary>
    public long Bytes => _kept.GetCurrentStatistics()?.CurrentEstimatedSize ?? 0;

    public bool TryGet(TKey key, out TValue value)
    {
        if (_kept.TryGetValue(key, out var known))
        {
            value = (TValue)known!;
            return true;
        }
        value = default!;
        return false;
    }

    /// <summary>The answer to a key, made where it is not kept.</summary>
    public TValue GetOrAdd(TKey key, Func<TKey, TValue> make)
    {
        if (TryGet(key, out var known)) return known;
        var making = _making.GetOrAdd(key, k => new(() => Keep(k, make(k))));
        try { return making.Value; }
        finally { _making.TryRemove(new(key, making)); }
    }

    /// <summary>Keeps an answer; one that is heavier than all that may be kept is given back and not kept.</summary>
    public TValue Keep(TKey key, TValue value)
    {
        var bytes = Math.Max(1, weigh(value));
        if (bytes > most) return value;
        for (var tries = 0; tries < 2; tries++)
        {
            _kept.Set(key, value, new MemoryCacheEntryOptions { Size = bytes });
            if (_kept.TryGetValue(key, out _)) break;
            // No room: the library takes nothing in and makes room in its own time; here it is made now.
            _kept.Compact(Part);
        }
        return value;
    }

    /// <summary>Forgets all of them, since what they were made of has changed.</summary>
    public void ForgetAll() => _kept.Clear();
}
