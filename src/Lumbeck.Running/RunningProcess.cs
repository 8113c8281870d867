using System.Diagnostics;
using System.Globalization;

namespace Lumbeck.Running;

/// <summary>A process by its number and its start, since numbers are given again.</summary>
public static class RunningProcess
{
    /// <summary>
    /// When a process began. On Linux in the system's own ticks since it was booted (proc(5), <c>starttime</c>), which
    /// no clock that is set changes; elsewhere in whole seconds since 1970.
    /// </summary>
    public static long Started(Process p) => OperatingSystem.IsLinux()
        // What comes before may hold spaces, in brackets; the third field is the first after it.
        ? long.Parse(File.ReadAllText($"/proc/{p.Id}/stat").Split(')')[^1].Split(' ', StringSplitOptions.RemoveEmptyEntries)[22 - 3],
            CultureInfo.InvariantCulture)
        : new DateTimeOffset(p.StartTime.ToUniversalTime()).ToUnixTimeSeconds();

    /// <summary>Whether the process of this number and start is still there.</summary>
    public static bool IsThere(int process, long started)
    {
        try
        {
            using var p = Process.GetProcessById(process);
            // Where a clock tells it, it is a second off now and then.
            return Math.Abs(Started(p) - started) <= (OperatingSystem.IsLinux() ? 0 : 2);
        }
        // It ended meanwhile.
        catch (Exception e) when (e is ArgumentException or InvalidOperationException or IOException) { return false; }
    }
}
