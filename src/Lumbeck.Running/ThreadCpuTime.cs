using System.Diagnostics;
using System.Runtime.InteropServices;

namespace Lumbeck.Running;

/// <summary>
/// The processor time of the thread that made it, since then (POSIX, clock_gettime). What else the machine is doing does
/// not count: a file that is read in a second on an idle machine is not too slow on a busy one.
/// </summary>
public sealed partial class ThreadCpuTime
{
    private readonly TimeSpan _from = Worked();
    private readonly long _wall = Stopwatch.GetTimestamp();

    public TimeSpan Spent => OperatingSystem.IsLinux() ? Worked() - _from : Stopwatch.GetElapsedTime(_wall);

    /// <summary>POSIX, clock_gettime with CLOCK_THREAD_CPUTIME_ID.</summary>
    private static TimeSpan Worked() =>
        OperatingSystem.IsLinux() && ClockGetTime(3, out var time) == 0
            ? TimeSpan.FromSeconds(time.Seconds) + TimeSpan.FromTicks(time.Nanoseconds / 100)
            : default;

    private struct Time
    {
        public long Seconds;
        public long Nanoseconds;
    }

    [LibraryImport("libc", EntryPoint = "clock_gettime")]
    private static partial int ClockGetTime(int clock, out Time time);
}
