using Lumbeck.Caching;

namespace Lumbeck.Desk.Tests;

public sealed class ByteCacheTests
{
    [Fact]
    public void What_was_asked_for_of_late_stays_and_all_of_it_is_never_over_its_bytes()
    {
        var cache = new ByteCache<int, byte[]>(1000, b => b.Length);
        var made = 0;
        byte[] make(int n) { made++; return new byte[100]; }
        for (var n = 0; n < 200; n++)
        {
            cache.GetOrAdd(n, make);
            cache.Bytes.ShouldBeLessThanOrEqualTo(1000);
            // Whatever goes, it is not everything.
            if (n > 20) cache.Bytes.ShouldBeGreaterThanOrEqualTo(700);
        }
        made.ShouldBe(200);
        cache.GetOrAdd(199, make);
        made.ShouldBe(200);
        cache.GetOrAdd(-1, _ => new byte[2000]).Length.ShouldBe(2000);
        cache.TryGet(-1, out _).ShouldBeFalse("it is larger than all that may be kept");
        cache.TryGet(199, out _).ShouldBeTrue();
    }

    [Fact]
    public async Task What_fails_is_asked_again_and_two_at_once_wait_for_one_making()
    {
        var cache = new ByteCache<string, string>(1000, s => s.Length);
        Should.Throw<IOException>(() => cache.GetOrAdd("a", _ => throw new IOException()));
        cache.GetOrAdd("a", _ => "back").ShouldBe("back");

        using var begun = new ManualResetEventSlim();
        using var go = new ManualResetEventSlim();
        var made = 0;
        string slow(string key)
        {
            Interlocked.Increment(ref made);
            begun.Set();
            go.Wait(TimeSpan.FromMinutes(2));
            return key;
        }
        var first = Task.Run(() => cache.GetOrAdd("b", slow));
        begun.Wait(TimeSpan.FromMinutes(2)).ShouldBeTrue();
        var second = Task.Run(() => cache.GetOrAdd("b", slow));
        go.Set();
        (await Task.WhenAll(first, second)).ShouldBe(["b", "b"]);
        made.ShouldBe(1);
    }
}
