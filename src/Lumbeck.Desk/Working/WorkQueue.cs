using System.Collections.Concurrent;
using System.Diagnostics;
using Lumbeck.Running;
using Lumbeck.Store;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.Logging;
using Microsoft.Extensions.Logging.Abstractions;

namespace Lumbeck.Desk.Working;

/// <summary>One kind of long work.</summary>
/// <param name="Kind">Its word.</param>
/// <param name="Do">Does a piece of it, telling the share that is done, and gives what it came to; a
/// <see cref="Refusal"/> is told to people.</param>
/// <param name="Apart">Whether a piece takes so much memory that it is done in a process of its own, where there is one;
/// none does where null.</param>
public sealed record WorkKind(string Kind, Func<WorkRow, Action<double>, CancellationToken, string> Do,
    Func<WorkRow, bool>? Apart = null);

/// <summary>
/// Long work done beside everything else: queued in a file, told of as it goes on, left when nobody wants it, and begun
/// again where a program ended in the midst of it. Two pieces that are listed are done at a time, and one that pages
/// ask for: a press run of minutes keeps no page waiting. What a piece makes is shown only when all of it is there.
/// A store that does not answer stops nothing for good: what is to be written of a piece is written again until it is
/// taken, and a hand that fails begins again.
/// </summary>
/// <param name="store">The queue.</param>
/// <param name="log">Is told what begins, ends and fails.</param>
/// <param name="me">The program’s name, where it works for another that took the piece.</param>
public sealed class WorkQueue(WorkStore store, ILogger<WorkQueue>? log = null, string? me = null) : IDisposable
{
    /// <summary>Starts a process that does a piece for a program of this name and ends; null where there is none.</summary>
    public Func<string, string, OwnWorker>? Apart { get; set; }

    /// <summary>Does one piece that another program took, as that program, and ends.</summary>
    /// <param name="id">The piece.</param>
    /// <param name="kinds">What can be done.</param>
    public void Once(string id, IReadOnlyList<WorkKind> kinds)
    {
        if (store.Find(id) is { } piece) Do(piece, [.. kinds.Select(k => k with { Apart = null })]);
    }

    private readonly WorkLog _log = new(log ?? NullLogger<WorkQueue>.Instance);

    private const int AtOnce = 2;
    private readonly ConcurrentDictionary<string, CancellationTokenSource> _running = new();
    private readonly ConcurrentDictionary<string, TaskCompletionSource> _awaited = new();
    private readonly ConcurrentDictionary<string, bool> _jobs = new();
    private readonly SemaphoreSlim _listed = new(0), _asked = new(0);
    private readonly CancellationTokenSource _ending = new();
    private readonly List<Task> _hands = [];

    /// <summary>Begins to work, and takes up what was left when the last program ended.</summary>
    /// <param name="kinds">What can be done.</param>
    public void Start(IReadOnlyList<WorkKind> kinds)
    {
        for (var i = 0; i < AtOnce; i++) Hand("listed", () => Work(kinds, _listed, listed: true));
        Hand("asked", () => Work(kinds, _asked, listed: false));
        Hand("renewing", Renew);
        void known()
        {
            foreach (var worker in store.Workers())
                if (Worker.IsGone(worker)) store.IsGone(worker);
            store.Sweep();
        }
        try { known(); }
        // What another program left is taken up once its time is over, if it can't be known now that it is gone.
        catch (SqliteException e) { _log.Unwritten("the queue", ErrorCause.Of(e)); }
    }

    /// <summary>
    /// Does something until the program ends; where it fails it is begun again, a little later each time.
    /// </summary>
    private void Hand(string name, Func<Task> work) => _hands.Add(Task.Run(async () =>
    {
        for (var rest = FirstRest; !_ending.IsCancellationRequested; rest = Longer(rest))
        {
            try { await work(); return; }
            catch (OperationCanceledException) when (_ending.IsCancellationRequested) { return; }
            catch (Exception e) { _log.HandFailed(name, rest.TotalSeconds, ErrorCause.Of(e)); }
            try { await Task.Delay(rest, _ending.Token); }
            catch (OperationCanceledException) { return; }
        }
    }));

    private static readonly TimeSpan FirstRest = TimeSpan.FromSeconds(0.2), LongestRest = TimeSpan.FromSeconds(10);

    private static TimeSpan Longer(TimeSpan rest) => rest * 2 < LongestRest ? rest * 2 : LongestRest;

    /// <summary>Writes of a piece what must be written: again and again where the store does not take it.</summary>
    private T Surely<T>(string piece, Func<T> write)
    {
        for (var rest = FirstRest; ; rest = Longer(rest))
        {
            try { return write(); }
            catch (SqliteException e) when (!_ending.IsCancellationRequested)
            {
                _log.Unwritten(piece, ErrorCause.Of(e));
                _ending.Token.WaitHandle.WaitOne(rest);
            }
        }
    }

    private void End(WorkRow piece, string state, string problem = "", string made = "")
    {
        Surely(piece.Id, () => { store.End(piece.Id, state, problem, _me, made); return 0; });
        _log.Ended(piece.Kind, piece.Id, state);
    }

    /// <summary>This program, as no other is called.</summary>
    private readonly string _me = me ?? Worker.Me;

    /// <summary>What another program queued, left or ended is seen so often.</summary>
    private static readonly TimeSpan Look = TimeSpan.FromSeconds(5), LookAtEnd = TimeSpan.FromSeconds(0.5);

    /// <summary>Queues a piece, unless the same is queued already.</summary>
    /// <param name="kind">Its kind.</param>
    /// <param name="job">The job it is for.</param>
    /// <param name="of">What it is of.</param>
    /// <param name="says">What it says of itself to people; empty where a page asks for it.</param>
    /// <param name="with">All that is needed to do it.</param>
    public string Add(string kind, string job, string of, string says, string with = "")
    {
        if (says.Length > 0) _jobs[job] = true;
        var id = store.Add(kind, job, of, says, with);
        (says.Length > 0 ? _listed : _asked).Release();
        return id;
    }

    /// <summary>
    /// A piece once it has ended, whoever did it; done here and now where this program has nobody for it.
    /// </summary>
    /// <param name="id">The piece.</param>
    /// <param name="kinds">What can be done.</param>
    public async Task<WorkRow> Ended(string id, IReadOnlyList<WorkKind> kinds)
    {
        while (true)
        {
            if (_hands.Count == 0 && store.Take(_me, only: id) is { } piece) await Task.Run(() => Do(piece, kinds));
            // Asked for before it is looked at: what ends in between is told all the same.
            var ended = _awaited.GetOrAdd(id, _ => new(TaskCreationOptions.RunContinuationsAsynchronously)).Task;
            if (!store.IsOpen(id)) break;
            _ending.Token.ThrowIfCancellationRequested();
            // What ends in this program is told at once; of another's it is seen.
            await Task.WhenAny(ended, Task.Delay(LookAtEnd));
        }
        _awaited.TryRemove(id, out _);
        return store.Find(id) ?? throw new Refusal("work", "what was asked for is not there any more: ask again");
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

    private async Task Work(IReadOnlyList<WorkKind> kinds, SemaphoreSlim wanted, bool listed)
    {
        while (!_ending.IsCancellationRequested)
        {
            while (!_ending.IsCancellationRequested && store.Take(_me, listed) is { } piece) Do(piece, kinds);
            try { await wanted.WaitAsync(Look, _ending.Token); }
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
                try { if (!store.Renew(id, _me)) cancel.Cancel(); }
                catch (SqliteException e) { _log.Unwritten(id, ErrorCause.Of(e)); }
        }
    }

    private void Do(WorkRow piece, IReadOnlyList<WorkKind> kinds)
    {
        using var cancel = CancellationTokenSource.CreateLinkedTokenSource(_ending.Token);
        _running[piece.Id] = cancel;
        var told = 0L;
        var since = Stopwatch.GetTimestamp();
        try
        {
            // It may have been left after it was taken and before it could be told so.
            if (!Surely(piece.Id, () => store.Renew(piece.Id, _me))) return;
            var kind = kinds.FirstOrDefault(k => k.Kind == piece.Kind)
                ?? throw new Refusal("work", $"this version knows no work called `{piece.Kind}`");
            if (Apart is { } apart && kind.Apart?.Invoke(piece) == true) { Beside(piece, apart, cancel.Token); return; }
            _log.Begun(piece.Kind, piece.Id, piece.Attempts);
            var made = kind.Do(piece, share =>
            {
                cancel.Token.ThrowIfCancellationRequested();
                // Told a few times a second at most.
                var now = Environment.TickCount64;
                if (now - told < 150) return;
                told = now;
                try { store.Progress(piece.Id, share); }
                catch (SqliteException e) { _log.Unwritten(piece.Id, ErrorCause.Of(e)); }
            }, cancel.Token);
            Surely(piece.Id, () => { store.End(piece.Id, "done", worker: _me, made: made); return 0; });
            _log.Done(piece.Kind, piece.Id, (long)Stopwatch.GetElapsedTime(since).TotalMilliseconds);
        }
        // A program that ends in order gives its work back, to be taken up again; where the store does not take that
        // either, it is known by its name that it is gone.
        catch (Exception e) when (_ending.IsCancellationRequested && e is OperationCanceledException or SqliteException)
        {
            try { store.GiveBack(piece.Id, _me); }
            catch (SqliteException s) { _log.Unwritten(piece.Id, ErrorCause.Of(s)); }
        }
        catch (OperationCanceledException) { End(piece, "left"); }
        catch (Exception e) when (e is not OutOfMemoryException)
        {
            _log.Failed(piece.Kind, piece.Id, ErrorCause.Of(e));
            End(piece, "failed", Why(e));
        }
        finally
        {
            _running.TryRemove(piece.Id, out _);
            Memory.GiveBack();
            if (_awaited.TryRemove(piece.Id, out var ended)) ended.TrySetResult();
        }
    }

    /// <summary>
    /// Has a process of its own do a piece: it writes its share and its end into the queue as this program. One that ends
    /// without that has failed.
    /// </summary>
    private void Beside(WorkRow piece, Func<string, string, OwnWorker> apart, CancellationToken cancel)
    {
        using var worker = apart(piece.Id, _me);
        _log.Apart(piece.Kind, piece.Id, worker.Process);
        worker.Wait(cancel);
        cancel.ThrowIfCancellationRequested();
        _log.Memory(piece.Kind, piece.Id, worker.MostMegabytes);
        if (!Surely(piece.Id, () => store.IsOpen(piece.Id))) return;
        throw worker.TookTooMuch
            ? new Refusal("work", $"it takes more than the {OwnWorker.Most / 1_000_000} MB that it is given: make the file smaller")
            : new InvalidOperationException($"its process ended with {worker.ExitCode}");
    }

    /// <summary>Why a piece failed, as it is told to people.</summary>
    private static string Why(Exception e) => e switch
    {
        Refusal => e.Message,
        _ when Disk.IsFull(e) => "the disk is full: make room, and ask for it again",
        SqliteException => "the data folder did not answer: ask for it again",
        IOException or UnauthorizedAccessException => $"the disk would not take it: {e.Message}",
        _ => $"it could not be made: {e.Message}",
    };

    public void Dispose()
    {
        _ending.Cancel();
        Task.WaitAll([.. _hands], TimeSpan.FromSeconds(10));
        _ending.Dispose();
        _listed.Dispose();
        _asked.Dispose();
    }
}
