using System.Diagnostics;

namespace Lumbeck.Desk.Working;

/// <summary>
/// A program that does long work, by a name that tells whether it is still there: machine, process, start, and which of
/// its own.
/// </summary>
internal static class Worker
{
    private static int _count;

    /// <summary>A name for this program; another each time it is asked for.</summary>
    public static string Me => string.Create(CultureInfo.InvariantCulture,
        $"{Environment.MachineName}/{Environment.ProcessId}/{Started(Process.GetCurrentProcess())}/{Interlocked.Increment(ref _count)}");

    /// <summary>Whether a program is known to be gone; of another machine's nothing is known.</summary>
    public static bool IsGone(string worker)
    {
        if (worker.Split('/') is not [var machine, var id, var started, _]) return true;
        if (machine != Environment.MachineName
            || !int.TryParse(id, NumberStyles.None, CultureInfo.InvariantCulture, out var process))
            return false;
        try
        {
            using var p = Process.GetProcessById(process);
            // What the system tells of a process is a second off now and then.
            return !long.TryParse(started, NumberStyles.None, CultureInfo.InvariantCulture, out var then)
                || Math.Abs(Started(p) - then) > 2;
        }
        catch (ArgumentException) { return true; }
        catch (InvalidOperationException) { return true; }
    }

    private static long Started(Process p) => new DateTimeOffset(p.StartTime.ToUniversalTime()).ToUnixTimeSeconds();
}
