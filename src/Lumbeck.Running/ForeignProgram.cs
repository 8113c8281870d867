using System.ComponentModel;
using System.Diagnostics;
using System.Globalization;

namespace Lumbeck.Running;

/// <summary>What a foreign program may take.</summary>
/// <param name="Kilobytes">Address space.</param>
/// <param name="Seconds">Processor time.</param>
/// <param name="Patience">Time by the clock, on a machine that has other work.</param>
/// <param name="FileMegabytes">The largest file it writes.</param>
public sealed record Limits(int Kilobytes, int Seconds, TimeSpan Patience, int FileMegabytes = 1000);

/// <summary>How a foreign program ended.</summary>
/// <param name="Status">Its exit status, by a shell's count: 126 and 127 where it could not be run, over 128 by a signal;
/// null where nothing was started.</param>
/// <param name="IsLate">Whether it was ended for taking too long by the clock.</param>
public readonly record struct Ending(int? Status, bool IsLate)
{
    /// <summary>It did what it was asked, within its bounds.</summary>
    public bool IsWell => Status == 0 && !IsLate;

    /// <summary>Why not, as the end of a sentence.</summary>
    public string Says => IsLate ? "it took too long" : Status is { } status
        ? string.Create(CultureInfo.InvariantCulture, $"it ended with status {status}") : "it could not be started";
}

/// <summary>
/// The one place that starts programs of others. Each runs in a session of its own (setsid), with bounds on memory,
/// processor, clock and files; it ends when whoever asked has gone, and with this program, however that ends.
/// </summary>
public static class ForeignProgram
{
    /// <summary>
    /// A shell that bounds itself, begins the program, and waits on a pipe for its parent to go: when nothing holds the
    /// other end any more, the session is killed. Each bound is a command of its own, for not every shell takes two at
    /// once.
    /// </summary>
    private const string Watched =
        """
        ulimit -v "$1" || exit 126
        ulimit -t "$2" || exit 126
        ulimit -f "$3" || exit 126
        shift 3
        exec 3<&0 2>/dev/null
        "$@" </dev/null >/dev/null 2>&1 3<&- &
        child=$!
        ( read -r _ <&3; kill -KILL -$$ ) >/dev/null 2>&1 &
        watch=$!
        exec 3<&-
        wait $child
        ended=$?
        kill -KILL $watch 2>/dev/null
        exit $ended
        """;

    /// <summary>Where a program is installed; null where it is not.</summary>
    public static string? Find(string name) => (Environment.GetEnvironmentVariable("PATH") ?? "").Split(':')
        .Append("/usr/bin").Where(p => p.Length > 0).Select(p => Path.Combine(p, name)).FirstOrDefault(File.Exists);

    /// <summary>Runs a program to its end; what it says is let go.</summary>
    /// <param name="program">Its path.</param>
    /// <param name="words">What it is told.</param>
    /// <param name="bounds">What it may take.</param>
    /// <param name="within">The folder it works in.</param>
    /// <param name="cancel">Whoever asked has gone.</param>
    /// <returns>How it ended.</returns>
    /// <exception cref="OperationCanceledException">Whoever asked has gone; the program has ended.</exception>
    public static Ending Run(string program, IEnumerable<string> words, Limits bounds, string within,
        CancellationToken cancel = default)
    {
        // By its path: looked for by name it is not found from a folder that has gone meanwhile.
        var start = new ProcessStartInfo(Find("setsid") ?? "setsid") { RedirectStandardInput = true, WorkingDirectory = within };
        // Files are bounded in blocks of 512 bytes (POSIX, ulimit).
        foreach (var word in (string[])["/bin/sh", "-c", Watched, "sh", Figure(bounds.Kilobytes),
            Figure(bounds.Seconds),
            Figure(bounds.FileMegabytes * 2000), program, .. words])
            start.ArgumentList.Add(word);
        Process run;
        try { run = Process.Start(start)!; }
        catch (Exception e) when (e is Win32Exception or IOException) { return new(null, false); }
        using (run)
        {
            // Closing its pipe ends the session, whatever of it is left.
            void end()
            {
                try { run.StandardInput.Close(); }
                catch (Exception e) when (e is InvalidOperationException or IOException) { /* it has ended by itself */ }
            }
            using var late = new CancellationTokenSource(bounds.Patience);
            using var both = CancellationTokenSource.CreateLinkedTokenSource(cancel, late.Token);
            using var ended = both.Token.Register(end);
            run.WaitForExit();
            cancel.ThrowIfCancellationRequested();
            return new(run.ExitCode, late.IsCancellationRequested);
        }
    }

    private static string Figure(int n) => n.ToString(CultureInfo.InvariantCulture);
}
