using Lumbeck.Store;
using Microsoft.Extensions.Logging;

namespace Lumbeck.Desk;

/// <summary>
/// What the web pages and the command line both do, by subject. One desk a process; safe for several threads.
/// </summary>
public sealed class AppServices : IDisposable
{
    private readonly TimeProvider _clock;

    /// <param name="folder">The data folder.</param>
    /// <param name="clock">Gives revisions their time.</param>
    /// <param name="begin">Lays something on the bench of an empty store.</param>
    /// <param name="told">Is told what is strange in the store and read all the same.</param>
    /// <param name="worker">The program that it does long work for, where that is another.</param>
    /// <param name="log">Is told what an owner needs: what begins, ends and fails, never words of books.</param>
    public AppServices(string folder, TimeProvider clock, Action<AppServices>? begin = null,
        Action<string>? told = null,
        ILoggerFactory? log = null, string? worker = null)
    {
        told ??= _ => { };
        DataFolder.Prepare(folder, told);
        var store = new JobStore(folder, clock) { Told = told };
        var files = new FileShelf(Path.Combine(store.Folder, "files"));
        Folder = store.Folder;
        _clock = clock;
        Drawer = new(store);
        Jobs = new(store, Drawer);
        Checks = new(Jobs);
        Bench = new(Jobs, files);
        Houses = new(Jobs);
        Starters = new(Jobs);
        Liveries = new(Jobs);
        Jobs.Follows = Liveries.Follow;
        Pressing = new(Jobs, Houses, Checks, files, new WorkQueue(new WorkStore(store.Folder, clock, told),
            log?.CreateLogger<WorkQueue>(), worker));
        Bench.Finished.Judged = (on, row) => Pressing.Judged(on, row);
        if (begin is null) return;
        store.Alone(() =>
        {
            if (store.Jobs().Count == 0) begin(this);
        });
    }

    /// <summary>Ends long work in order: what is under way is given back.</summary>
    public void Dispose() => Pressing.Queue.Dispose();

    /// <summary>The data folder.</summary>
    public string Folder { get; }

    /// <summary>The year that a planner which is begun now is for: from July on, the next.</summary>
    public int PlanningYear => _clock.GetLocalNow().AddMonths(6).Year;

    /// <summary>Pictures, faces, profiles.</summary>
    public Drawer Drawer { get; }

    /// <summary>Jobs as they are and as they were.</summary>
    public JobDesk Jobs { get; }

    /// <summary>The rules that need plates.</summary>
    public PlateChecks Checks { get; }

    /// <summary>Which jobs there are.</summary>
    public BenchDesk Bench { get; }

    /// <summary>Printers' rules.</summary>
    public HouseDesk Houses { get; }

    /// <summary>Covers to begin from.</summary>
    public StarterDesk Starters { get; }

    /// <summary>Whole looks: those that ship, and those kept from covers.</summary>
    public LiveryDesk Liveries { get; }

    /// <summary>Press files, reception, and long work.</summary>
    public PressDesk Pressing { get; }
}
