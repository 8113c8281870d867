using System.Diagnostics;
using Lumbeck.Running;

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
        $"{Environment.MachineName}/{Environment.ProcessId}/{Began}/{Interlocked.Increment(ref _count)}");

    private static long Began { get; } = RunningProcess.Started(Process.GetCurrentProcess());

    /// <summary>Whether a program is known to be gone; of another machine's nothing is known.</summary>
    public static bool IsGone(string worker)
    {
        if (worker.Split('/') is not [var machine, var id, var started, _]) return true;
        if (machine != Environment.MachineName
            || !int.TryParse(id, NumberStyles.None, CultureInfo.InvariantCulture, out var process))
            return false;
        return !long.TryParse(started, NumberStyles.None, CultureInfo.InvariantCulture, out var then)
            || !RunningProcess.IsThere(process, then);
    }
}
