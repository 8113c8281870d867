using Lumbeck.Store;

namespace Lumbeck.Desk.Bench;

/// <summary>The bench: which jobs lie on it, which were put away, and how one comes to it.</summary>
public sealed class BenchDesk
{
    private readonly JobStore _store;
    private readonly FileShelf _files;

    internal BenchDesk(JobDesk jobs, FileShelf files) =>
        (_store, Jobs, _files, Finished) = (jobs.Store, jobs, files, new(jobs.Store, files));

    /// <summary>Files of jobs that were made elsewhere.</summary>
    internal FinishedFiles Finished { get; }

    internal JobDesk Jobs { get; }

    /// <summary>
    /// All jobs on the bench, worked out; what can't be shown is not among them. For lists, <see cref="Places"/> will
    /// do.
    /// </summary>
    public IReadOnlyList<OnBench> All() => [.. Places().Where(p => p.Job is not null).Select(p => Jobs.Job(p.Slug))];

    /// <summary>
    /// Every job's place on the bench. One that can't be shown says why, and keeps no other from being shown.
    /// </summary>
    /// <param name="away">Those that are put away in place of those on the bench.</param>
    /// <param name="soon">
    /// Whether what nobody has looked at yet is told by its ticket alone, but for a few, and looked at meanwhile.
    /// </param>
    public IReadOnlyList<BenchPlace> Places(bool away = false, bool soon = false)
    {
        var (looked, wait) = (0, new List<long>());
        BenchPlace[] all = [.. _store.Listed(JobSummary.Form, away).Select(row => Place(row, () =>
        {
            // What could not be looked at beside the page says why in its place.
            if (!soon || _failed.ContainsKey(row.Revision) || ++looked <= AtOnce) return true;
            wait.Add(row.Revision);
            return false;
        }))];
        if (wait.Count > 0) LookMeanwhile(wait);
        return all;
    }

    /// <summary>How many jobs that nobody has looked at are looked at before a list is shown.</summary>
    private const int AtOnce = 12;

    private int _looking;
    private readonly System.Collections.Concurrent.ConcurrentDictionary<long, bool> _failed = [];

    private void LookMeanwhile(List<long> revisions)
    {
        if (Interlocked.Exchange(ref _looking, 1) == 1) return;
        _ = Task.Run(() =>
        {
            try
            {
                foreach (var revision in revisions)
                {
                    try { Jobs.Summarise(Jobs.Worked(revision, _store.Load(revision))); }
                    catch (Exception e) when (e is not OutOfMemoryException) { _failed[revision] = true; }
                }
            }
            finally { Volatile.Write(ref _looking, 0); }
        });
    }

    private BenchPlace Place(ListedRow row, Func<bool> look)
    {
        BenchPlace shown(JobSummary? job, string problem = "") =>
            new(row.Id, row.Slug, row.Revision, job, problem) { Made = row.Made, Changed = row.Changed };
        if (row.Summary is { } text && JobSummary.Read(text) is { } known && IsAllHere(known)) return shown(known);
        // Worked out to be told in a line, and not kept: a list of a thousand would push out what is worked on.
        try
        {
            return look() ? shown(Jobs.Summarise(Jobs.Worked(row.Revision, _store.Load(row.Revision))))
                : shown(JobSummary.Of(_store.Load(row.Revision))) with { Waits = true };
        }
        catch (Refusal r) { return shown(null, r.Message); }
        catch (Exception e) when (e is not OutOfMemoryException && !Disk.IsFull(e))
        {
            _store.Tell($"{row.Slug} can’t be read: {e.Message}");
            return shown(null, DamagedState.Meaning);
        }
    }

    /// <summary>
    /// Whether what a job needs is here; where it is not, the job is looked at again, and says what is missing.
    /// </summary>
    private bool IsAllHere(JobSummary job) =>
        job.Faces.All(f => FaceId.TryParse(f, out var face) && Jobs.Drawer.Shelf.Holds(face))
        && Jobs.Drawer.Profiles.Has(job.Profile)
        && job.Pictures.All(h => File.Exists(Jobs.Drawer.Pictures.PathOf(h)));

    /// <summary>How many jobs on the bench are laid out by a house's rules.</summary>
    public int CountAt(string house) => Places(soon: true).Count(p => p.Job?.HouseId == house);

    /// <summary>How many jobs lie on the bench.</summary>
    public int Count => _store.Jobs().Count;

    /// <summary>How many jobs are put away.</summary>
    public int CountAway => _store.Jobs(away: true).Count;

    /// <summary>Puts a job away from the bench, or takes it back.</summary>
    /// <exception cref="Refusal">There is no such job.</exception>
    public void PutAway(string slug, bool away = true) => _store.Put(Jobs.Row(slug).Id, away);

    /// <summary>Removes a job that was put away, its steps and its pressed files, for good.</summary>
    /// <exception cref="Refusal">There is no such job, or it lies on the bench.</exception>
    public void Remove(string slug)
    {
        var row = Jobs.Row(slug);
        if (row.Away is null) throw new Refusal("bench", "it lies on the bench: put it away first");
        foreach (var file in _store.Remove(row.Id)) _files.Drop(file);
    }

    /// <summary>Begins a job; it is kept as an edit would keep it.</summary>
    /// <param name="title">Its title; also its address, in plain letters.</param>
    /// <param name="first">What it begins with.</param>
    /// <param name="by">Who begins it.</param>
    /// <param name="slug">An address of its own, where one is wanted.</param>
    /// <param name="then">What is done to it before it is kept.</param>
    /// <exception cref="Refusal">What is done to it can’t be made.</exception>
    public OnBench Begin(string title, Job first, Actor by, string? slug = null, Func<Job, Edit>? then = null)
    {
        first = then is null ? Jobs.Settled(first) : Jobs.After(first, then(first));
        var id = Guid.NewGuid().ToString("n");
        var address = _store.Write(w =>
        {
            var wanted = slug ?? Plain.Word(title, 40, "cover");
            var free = wanted;
            for (var n = 2; w.HasSlug(free); n++) free = string.Create(CultureInfo.InvariantCulture, $"{wanted}-{n}");
            w.AddJob(id, free, first, by.Session);
            return free;
        });
        return Jobs.Job(address);
    }
}
