using System.Runtime;
using System.Runtime.InteropServices;

namespace Lumbeck.Running;

/// <summary>Memory that was used for a while is given back to the machine.</summary>
public static partial class Memory
{
    /// <summary>What is held beside what is in use, before it is worth giving it back, in bytes.</summary>
    private const long Enough = 320_000_000;

    private static long _last;

    /// <summary>
    /// Large pieces that long work left, among them those of the picture library, go back to the machine; at most every
    /// few seconds, and only where there is much of it.
    /// </summary>
    public static void GiveBack()
    {
        var (now, last) = (Environment.TickCount64, Interlocked.Read(ref _last));
        if (now - last < 5000 || Environment.WorkingSet < Enough || Interlocked.CompareExchange(ref _last, now,
            last) != last) return;
        GCSettings.LargeObjectHeapCompactionMode = GCLargeObjectHeapCompactionMode.CompactOnce;
        GC.Collect(2, GCCollectionMode.Aggressive, blocking: true, compacting: true);
        if (OperatingSystem.IsLinux())
        {
            try { _ = Trim(0); }
            catch (EntryPointNotFoundException) { /* another C library, which gives back by itself */ }
        }
    }

    /// <summary>
    /// Two arenas, and pieces from a megabyte on that lie by themselves: what pictures took and gave back is the machine’s
    /// again (glibc, mallopt: M_ARENA_MAX, M_MMAP_THRESHOLD, M_TRIM_THRESHOLD). Called first, before any thread has one.
    /// </summary>
    public static void Sparingly()
    {
        if (!OperatingSystem.IsLinux()) return;
        try { _ = (Set(-8, 2), Set(-3, 1 << 20), Set(-1, 8 << 20)); }
        catch (EntryPointNotFoundException) { /* another C library */ }
    }

    [LibraryImport("libc", EntryPoint = "malloc_trim")]
    private static partial int Trim(nuint pad);

    [LibraryImport("libc", EntryPoint = "mallopt")]
    private static partial int Set(int what, int value);
}
