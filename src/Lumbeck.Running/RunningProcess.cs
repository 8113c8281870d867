using System.Diagnostics;

namespace Lumbeck.Running;

/// <summary>A process by its number and its start, since numbers are given again.</summary>
public static class RunningProcess
{
    /// <summary>When a process began, in whole seconds since 1970.</summary>
    public static long Started(Process p) => new DateTimeOffset(p.StartTime.ToUniversalTime()).ToUnixTimeSeconds();

    /// <summary>Whether the process of this number and start is still there.</summary>
    public static bool IsThere(int process, long started)
    {
        try
        {
            using var p = Process.GetProcessById(process);
            // What the system tells of a process is a second off now and then.
            return Math.Abs(Started(p) - started) <= 2;
        }
        catch (Exception e) when (e is ArgumentException or InvalidOperationException) { return false; }
    }
}
