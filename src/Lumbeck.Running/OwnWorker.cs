using System.Diagnostics;
using System.Globalization;
using System.Reflection;

namespace Lumbeck.Running;

/// <summary>
/// This program once more, as a process that does one piece of work and ends. Its memory is bounded by the collector's
/// limit and by a watch on all it holds (pictures lie outside the collector's heap, and address space says nothing of a
/// runtime that reserves far more than it uses); it ends when its parent goes, by a pipe.
/// </summary>
public sealed class OwnWorker : IDisposable
{
    /// <summary>Most memory in bytes, all of it together.</summary>
    public const long Most = 1_500_000_000;

    private readonly Process _process;

    /// <param name="words">What it is told.</param>
    /// <exception cref="InvalidOperationException">It can't be started.</exception>
    public OwnWorker(params ReadOnlySpan<string> words)
    {
        var start = new ProcessStartInfo(Environment.ProcessPath!) { RedirectStandardInput = true };
        // Started as `dotnet PROGRAM.dll`, or by itself.
        if (Path.GetFileNameWithoutExtension(Environment.ProcessPath) == "dotnet")
            start.ArgumentList.Add(Assembly.GetEntryAssembly()!.Location);
        foreach (var word in words) start.ArgumentList.Add(word);
        start.Environment["DOTNET_GCHeapHardLimit"] = (Most * 2 / 3).ToString("x", CultureInfo.InvariantCulture);
        start.Environment["DOTNET_TieredPGO"] = "0";
        _process = System.Diagnostics.Process.Start(start) ?? throw new InvalidOperationException("no process");
    }

    /// <summary>The process id.</summary>
    public int Process => _process.Id;

    /// <summary>The most memory it was seen with.</summary>
    public long MostMegabytes { get; private set; }

    /// <summary>Whether it was ended for its memory.</summary>
    public bool TookTooMuch { get; private set; }

    public int ExitCode => _process.ExitCode;

    /// <summary>Waits until it ends, or ends it when whoever asked has gone.</summary>
    public void Wait(CancellationToken cancel)
    {
        while (!_process.WaitForExit(TimeSpan.FromMilliseconds(200)))
        {
            if (Held() is var held && held / 1_000_000 > MostMegabytes) MostMegabytes = held / 1_000_000;
            TookTooMuch |= held > Most;
            if (!TookTooMuch && !cancel.IsCancellationRequested) continue;
            _process.Kill(entireProcessTree: true);
            _process.WaitForExit();
            Aside.Sweep();
            return;
        }
    }

    private long Held()
    {
        try { _process.Refresh(); return _process.WorkingSet64; }
        catch (InvalidOperationException) { return 0; }
    }

    /// <summary>
    /// In the process itself: ends it when the other end of its pipe is closed, which its parent never does before.
    /// </summary>
    public static void EndWithParent() => new Thread(() =>
    {
        using var pipe = Console.OpenStandardInput();
        Span<byte> one = stackalloc byte[1];
        while (pipe.Read(one) > 0) { /* nothing is ever said */ }
        Environment.Exit(3);
    })
    { IsBackground = true }.Start();

    public void Dispose() => _process.Dispose();
}
