using System.Collections.Concurrent;
using Lumbeck.Store;

namespace Lumbeck.Desk.Making;

/// <summary>One kind of long work.</summary>
/// <param name="Kind">Its word.</param>
/// <param name="Do">Does a piece of it, telling the share that is done; a <see cref="Refusal"/> is told to
/// people.</param>
public sealed record WorkKind(string Kind, Action<WorkRow, Action<double>, CancellationToken> Do);

/// <summary>
/// Long work done beside everything else, two pieces at a time: queued in a file, told of as it goes on, left when
/// nobody wants it, and begun again where a program ended
/// in the midst of it. A piece works on one revision and shows what it made only when all of it is there.
/// </summary>
public sealed class Works(WorkStore store) : IDisposable
{
    private const int AtOnce = 2;
    private readonly ConcurrentDictionary<string, CancellationTokenSource> _running = new();
    private readonly ConcurrentDictionary<string, bool> _jobs = new();
    private readonly SemaphoreSlim _wanted = new(0);
    private readonly CancellationTokenSource _ending = new();
    private readonly List<Task> _hands = [];
    private IReadOnlyList<WorkKind> _kinds = [];

    /// <summary>Begins to work, and takes up what was left when the last program ended.</summary>
    /// <param name="kinds">What can be done.</param>
    public void Start(IReadOnlyList<WorkKind> kinds)
    {
        _kinds = kinds;
        foreach (var worker in store.Workers())
            if (Worker.IsGone(worker)) store.IsGone(worker);
        for (var i = 0; i < AtOnce; i++) _hands.Add(Task.Run(Work));
        _hands.Add(Task.Run(Renew));
    }

    /// <summary>This program, as no other is called.</summary>
    private readonly string _me = Worker.Me;

    /// <summary>What another program queued, or left, is seen so often.</summary>
    private static readonly TimeSpan Look = TimeSpan.FromSeconds(5);

    /// <summary>Queues a piece, unless the same is queued already.</summary>
    public string Add(string kind, string job, string of, string says, string with = "")
    {
        _jobs[job] = true;
        var id = store.Add(kind, job, of, says, with);
        _wanted.Release();
        return id;
    }

    /// <summary>Whether anything was queued for a job since this program began.</summary>
    public bool Has(string job) => _jobs.ContainsKey(job);

    /// <summary>Leaves a piece: nothing of it stays.</summary>
    public void Leave(string id)
    {
        store.End(id, "left");
        if (_running.TryGetValue(id, out var cancel)) cancel.Cancel();
    }

    public IReadOnlyList<WorkRow> Of(string job, string since) => store.Of(job, since);

    /// <summary>A job's work that is waiting or under way.</summary>
    public IReadOnlyList<WorkRow> Unfinished(string job) => store.Of(job, store.Now());

    public WorkRow? Find(string id) => store.Find(id);

    public string Now() => store.Now();

    private async Task Work()
    {
        while (!_ending.IsCancellationRequested)
        {
            while (!_ending.IsCancellationRequested && store.Take(_me) is { } piece) Do(piece);
            try { await _wanted.WaitAsync(Look, _ending.Token); }
            catch (OperationCanceledException) { return; }
        }
    }

    /// <summary>Says for each piece under way that it is; leaves one that another program has taken over.</summary>
    private async Task Renew()
    {
        while (!_ending.IsCancellationRequested)
        {
            try { await Task.Delay(WorkStore.Lease / 6, _ending.Token); }
            catch (OperationCanceledException) { return; }
            foreach (var (id, cancel) in _running)
                if (!store.Renew(id, _me)) cancel.Cancel();
        }
    }

    private void Do(WorkRow piece)
    {
        using var cancel = CancellationTokenSource.CreateLinkedTokenSource(_ending.Token);
        _running[piece.Id] = cancel;
        var told = 0L;
        try
        {
            // It may have been left after it was taken and before it could be told so.
            if (store.Find(piece.Id) is not { State: "running" } row || row.Worker != _me) return;
            var kind = _kinds.FirstOrDefault(k => k.Kind == piece.Kind)
                ?? throw new Refusal("work", $"this version knows no work called `{piece.Kind}`");
            kind.Do(piece, share =>
            {
                cancel.Token.ThrowIfCancellationRequested();
                // Told a few times a second at most.
                var now = Environment.TickCount64;
                if (now - told < 150) return;
                told = now;
                store.Progress(piece.Id, share);
            }, cancel.Token);
            store.End(piece.Id, "done", worker: _me);
        }
        // A program that ends in order gives its work back, to be taken up again.
        catch (OperationCanceledException) when (_ending.IsCancellationRequested) { store.GiveBack(piece.Id, _me); }
        catch (OperationCanceledException) { store.End(piece.Id, "left", worker: _me); }
        catch (Refusal r) { store.End(piece.Id, "failed", r.Message, _me); }
        catch (Exception e) when (Disk.IsFull(e))
        {
            store.End(piece.Id, "failed", "the disk is full: make room, and ask for it again", _me);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            store.End(piece.Id, "failed", $"the disk would not take it: {e.Message}", _me);
        }
        catch (Exception e) when (e is not OutOfMemoryException)
        {
            store.End(piece.Id, "failed", $"it could not be made: {e.Message}", _me);
        }
        finally { _running.TryRemove(piece.Id, out _); }
    }

    public void Dispose()
    {
        _ending.Cancel();
        Task.WaitAll([.. _hands], TimeSpan.FromSeconds(10));
        _ending.Dispose();
        _wanted.Dispose();
    }
}
