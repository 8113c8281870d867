using Lumbeck.Store;

namespace Lumbeck.Desk.Bench;

/// <summary>The bench: which jobs lie on it, which were put away, and how one comes to it.</summary>
public sealed class BenchDesk
{
    private readonly JobStore _store;
    private readonly FileShelf _files;

    internal BenchDesk(JobDesk jobs, FileShelf files) => (_store, Jobs, _files) = (jobs.Store, jobs, files);

    internal JobDesk Jobs { get; }

    /// <summary>All jobs as they are on the bench; what can't be shown is not among them.</summary>
    public IReadOnlyList<OnBench> All() => [.. Places().Select(p => p.On).OfType<OnBench>()];

    /// <summary>
    /// Every job's place on the bench. One that can't be shown says why, and keeps no other from being shown.
    /// </summary>
    /// <param name="away">Those that are put away in place of those on the bench.</param>
    public IReadOnlyList<BenchPlace> Places(bool away = false) => [.. _store.Jobs(away).Select(row =>
    {
        try { return new BenchPlace(row.Slug, Jobs.On(row), "") { Made = row.Made, Changed = row.Changed }; }
        catch (Refusal r) { return new(row.Slug, null, r.Message); }
        catch (Exception e) when (e is not OutOfMemoryException && !Disk.IsFull(e))
        {
            _store.Tell($"{row.Slug} can’t be read: {e.Message}");
            return new(row.Slug, null,
                "what is stored of it is damaged; bring it back from a pack, or from a copy of the data folder");
        }
    })];

    /// <summary>How many jobs on the bench are laid out by a house's rules.</summary>
    public int CountAt(string house) => All().Count(j => j.Job.Ticket.House.Id == house);

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
        if (row.Away is null) throw new Refusal("job", "it lies on the bench: put it away first");
        foreach (var file in _store.Remove(row.Id)) _files.Drop(file);
    }

    /// <summary>Begins a job.</summary>
    /// <param name="title">Its title; also its address, in plain letters.</param>
    /// <param name="first">What it begins with.</param>
    /// <param name="by">Who begins it.</param>
    /// <param name="slug">An address of its own, where one is wanted.</param>
    public OnBench Begin(string title, Job first, Actor by, string? slug = null)
    {
        var id = Guid.NewGuid().ToString("n");
        var address = _store.Write(w =>
        {
            var wanted = slug ?? Slug(title);
            var free = wanted;
            for (var n = 2; w.HasSlug(free); n++) free = string.Create(CultureInfo.InvariantCulture, $"{wanted}-{n}");
            w.AddJob(id, free, first, by.Session);
            return free;
        });
        return Jobs.Job(address);
    }

    private static string Slug(string title)
    {
        var s = string.Concat(title.ToLowerInvariant()
            .Select(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) ? c : '-'));
        s = string.Join('-', s.Split('-', StringSplitOptions.RemoveEmptyEntries));
        return s.Length == 0 ? "cover" : s[..Math.Min(40, s.Length)].Trim('-');
    }
}
