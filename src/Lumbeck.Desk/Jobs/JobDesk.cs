using Lumbeck.Caching;
using Lumbeck.Store;

namespace Lumbeck.Desk.Jobs;

/// <summary>
/// Jobs as they are and as they were: worked out, edited, stepped back and forward. Safe for several threads.
/// </summary>
public sealed class JobDesk
{
    private readonly ByteCache<long, Composed> _composed = new(64_000_000, c => c.Bytes);
    private readonly JobStore _store;
    private readonly Drawer _drawer;

    internal JobDesk(JobStore store, Drawer drawer)
    {
        (_store, _drawer) = (store, drawer);
        drawer.Pictures.Stated += _composed.ForgetAll;
    }

    internal JobStore Store => _store;

    internal Drawer Drawer => _drawer;

    /// <summary>A job worked out, with what its drawn pictures hold.</summary>
    /// <exception cref="Refusal">The job makes no sheet, or names a face that is not here.</exception>
    public Composed Worked(long revision, Job job, Composed? before = null) =>
        Composed.Of(revision, job, _drawer.Shelf, _drawer.DrawingsOf(job.Ticket.House), _drawer.Kept, before,
            _drawer.Tables, _drawer.Puzzles);

    /// <summary>What an edit would make of what is worked out; nothing is kept.</summary>
    /// <exception cref="Refusal">What was asked can’t be made.</exception>
    public Composed Preview(Composed before, Edit edit) =>
        Worked(before, Kept(edit, before.Job), edit);

    /// <summary>A job as it would look with designs laid on it, whether its wraps have room for more or not.</summary>
    /// <exception cref="Refusal">They are not of this job’s wraps.</exception>
    public Job TriedOn(Job job, LayTakes designs) => After(LayTakes.Alone(job), designs);

    /// <summary>A job that did not come about by edits, as it is kept.</summary>
    internal Job Settled(Job job) => EditPipeline.Settle(job, _drawer.Shelf, _drawer.Tables);

    /// <summary>How many pages a job would have after an edit of its inside; null where it can’t be made.</summary>
    public int? PagesAfter(Job job, InsideEdit edit) =>
        Attempt.OrNull(() => EditPipeline.Run(edit, job, _drawer.Shelf, _drawer.Tables))?.Ticket.Pages;

    /// <summary>The job after an edit alone, before it is worked out.</summary>
    internal Job After(Job job, Edit edit) => Kept(edit, job);

    private Job Kept(Edit edit, Job job) =>
        EditPipeline.Run(edit, job, _drawer.Shelf, _drawer.Tables, Follows);

    /// <summary>Has a design follow what the ticket knows since: its livery is set again over it.</summary>
    internal Func<Job, Job, Job>? Follows { get; set; }

    private Composed Worked(Composed before, Job next, Edit edit)
    {
        RefuseMissing(before.Job, next);
        if (!ReferenceEquals(next.Waivers, before.Job.Waivers)) Rules.RefuseUnknown(next);
        // What can't be drawn is never on the bench.
        var composed = Worked(0, next, before);
        // What the sheet moved under its items is said with the step that moved it.
        return !ReferenceEquals(next.Ticket, before.Job.Ticket) && edit is not BringBack
            ? composed with { Job = composed.LookedOver(before) }
            : composed;
    }

    /// <exception cref="Refusal">There is no such job.</exception>
    public OnBench Job(string slugOrId) => On(Row(slugOrId));

    /// <summary>The tick of what is on the bench, to ask whether anything changed.</summary>
    public long Tick(string slug) => _store.Head(Row(slug).Id).Tick;

    public (bool Back, bool Forward) Steps(OnBench on) => _store.Steps(on.Revision);

    /// <summary>What lay on the bench just before what lies there now; null where that was the first.</summary>
    public Composed? Before(OnBench on) =>
        _store.RevisionAt(on.JobId, on.Tick - 1) is { } revision ? Compose(revision) : null;

    /// <summary>A revision worked out; kept, as revisions never change.</summary>
    public Composed Compose(long revision) => Known(revision) ?? Keep(Worked(revision, _store.Load(revision)));

    /// <summary>A revision that is at hand; null where it is not.</summary>
    internal Composed? Known(long revision) => _composed.TryGet(revision, out var known) ? known : null;

    /// <summary>What was on the bench of a job at a tick.</summary>
    public Composed At(string slug, long tick)
    {
        var row = Row(slug);
        return Compose(_store.RevisionAt(row.Id, tick) ?? _store.Head(row.Id).Revision);
    }

    /// <summary>
    /// Applies an edit to what is on the bench. An id that was applied before is answered again, not applied again; an
    /// edit that changes nothing leaves no revision.
    /// </summary>
    /// <exception cref="Refusal">What was asked can't be made; nothing was changed.</exception>
    /// <exception cref="Conflict">Another session changed the same fact since the request's base; nothing was
    /// changed.</exception>
    public OnBench Apply(string slug, EditRequest request)
    {
        var row = Row(slug);
        // Worked out beside all others' edits, and anew where another came first: nothing is worked out while the store is
        // held, and nobody waits for who takes long.
        for (var tries = 0; tries < MostTries; tries++)
            if (Try(row, request, _store.Head(row.Id)) is { } on) return on;
        throw new Refusal("edit", $"others change {row.Slug} again and again: nothing was changed; try again");
    }

    private const int MostTries = 40;

    /// <summary>
    /// Makes an edit of what is on the bench; null where something else lies there by the time it is made.
    /// </summary>
    private OnBench? Try(JobRow row, EditRequest request, HeadRow head)
    {
        OnBench at(HeadRow h, Composed composed) => new(row.Id, row.Slug, h.Tick, composed);
        if (_store.RevisionOf(request.Id) is not null) return at(head, Compose(head.Revision));
        var before = Compose(head.Revision);
        var now = before.Job;
        var edit = request.Make(now);
        RefuseOvertaken(row.Id, head, now, edit, request);
        var next = Kept(edit, now);
        if (JobJson.Written(next).AsSpan().SequenceEqual(JobJson.Written(now))) return at(head, before);
        // Worked out before it is written.
        var composed = Worked(before, next, edit);
        var known = false;
        var moved = _store.Write(w =>
        {
            if (w.RevisionOf(request.Id) is not null) { known = true; return w.Head(row.Id); }
            if (w.Head(row.Id).Tick != head.Tick) return null;
            var to = w.Append(row.Id, head.Revision, request.Gesture, request.Id, edit, edit.Says(now), composed.Job,
                request.By.Session);
            w.Summarise(to.Revision, JobSummary.Form, JobSummary.Of(composed with { Plates = before.Plates }).Write());
            return to;
        });
        if (moved is null) return null;
        if (known) return at(moved, Compose(moved.Revision));
        // Until its own plates are looked at, those of before are shown: nothing comes and goes with every key.
        return at(moved, Keep(composed with { Revision = moved.Revision, Plates = before.Plates }));
    }

    /// <summary>
    /// Steps back before the last gesture; stays where there is nothing before it, and where the same asking stepped
    /// already.
    /// </summary>
    /// <param name="slug">The job.</param>
    /// <param name="by">Who steps back.</param>
    /// <param name="asked">The asking's own id.</param>
    /// <param name="since">The tick from which on steps of others are not taken back unasked; null takes back whosever
    /// it is.</param>
    /// <exception cref="Conflict">The last step is another session's, made since then; nothing was changed.</exception>
    public OnBench Undo(string slug, Actor by, string? asked = null,
        long? since = null) => Step(slug, by, asked, (w, r) =>
    {
        if (since is { } tick && w.MadeBy(r) is var last && last.Session != by.Session && last.Tick > tick)
            throw new Conflict("step", _store.Revision(r).Says, "", "");
        return w.Undo(r);
    });

    /// <summary>Steps forward again, likewise.</summary>
    public OnBench Redo(string slug, Actor by, string? asked = null) =>
        Step(slug, by, asked, (w, r) => w.Redo(r));

    /// <summary>Keeps what a list shows of a revision.</summary>
    internal JobSummary Summarise(Composed composed)
    {
        var summary = JobSummary.Of(composed);
        _store.Write(w => { w.Summarise(composed.Revision, JobSummary.Form, summary.Write()); return 0; });
        return summary;
    }

    internal JobRow Row(string slugOrId) =>
        _store.Find(slugOrId)
            ?? throw new Refusal("job", $"no job is called `{LengthText.Clip(slugOrId)}`");

    internal OnBench On(JobRow row)
    {
        var head = _store.Head(row.Id);
        return new(row.Id, row.Slug, head.Tick, Compose(head.Revision));
    }

    private OnBench Step(string slug, Actor by, string? asked, Func<Writing, long, long?> to)
    {
        var row = Row(slug);
        var head = _store.Write(w =>
        {
            var head = w.Head(row.Id);
            if (asked is not null && w.Moved(asked)) return head;
            return to(w, head.Revision) is { } revision ? w.Move(row.Id, revision, by.Session, asked) : head;
        });
        return new(row.Id, row.Slug, head.Tick, Compose(head.Revision));
    }

    private void RefuseOvertaken(string job, HeadRow head, Job now, Edit edit, EditRequest request)
    {
        if (request.Base is not { } tick || tick >= head.Tick || !_store.OthersSince(job, tick, request.By.Session))
            return;
        if (_store.RevisionAt(job, tick) is not { } revision) return;
        var seen = _store.Load(revision);
        // What could not be done then is refused for what it is now, not for who came first.
        if (Made(edit, seen) is not { } mine) return;
        if (Overtaken.Of(seen, now, mine, Made(edit, now)) is { } both)
            throw new Conflict(both.Path, both.Label, both.Theirs, both.Yours);
    }

    private static Job? Made(Edit edit, Job job) => Attempt.OrNull(() => edit.Apply(job));

    private void RefuseMissing(Job now, Job next)
    {
        foreach (var item in next.Items)
            foreach (var p in item.Pictures)
                if (now.Item(item.Id)?.Pictures.Contains(p) != true && !_drawer.Pictures.Has(p.Hash))
                    throw new Refusal($"item/{item.Id}/picture",
                        $"the picture {p.Name} is not in this drawer: put it in again");
        foreach (var motif in next.Wraps.SelectMany(w => w.Take.Ground.Pictures))
            if (now.Wraps.All(w => !w.Take.Ground.Pictures.Contains(motif)) && !_drawer.Pictures.Has(motif.Hash))
                throw new Refusal("ground/paper", $"the drawing {motif.Name} is not in this drawer: put it in again");
        foreach (var p in next.Ticket.Pictures)
            if (!now.Ticket.Pictures.Contains(p) && !_drawer.Pictures.Has(p.Hash))
                throw new Refusal("ticket", $"the picture {p.Name} is not in this drawer: put it in again");
        foreach (var run in next.Inside?.Runs ?? [])
        {
            foreach (var p in run.Pictures)
                if (now.Inside?.Pictures.Contains(p) != true && !_drawer.Pictures.Has(p.Hash))
                    throw new Refusal($"run/{run.Id}/picture",
                        $"the picture {p.Name} is not in this drawer: put it in again");
            if (run.Table is { } table && now.Inside?.Tables.Contains(table) != true
                && _drawer.Tables.Kept(table.Hash) is null)
                throw new Refusal($"run/{run.Id}/table",
                    $"the table {table.Name} is not in this drawer: put it in again");
        }
        foreach (var tracing in next.Wraps.Select(w => w.Tracing?.Picture).OfType<Picture>())
            if (now.Wraps.All(w => w.Tracing?.Picture != tracing) && !_drawer.Pictures.Has(tracing.Hash))
                throw new Refusal("ground/tracing",
                    $"the picture {tracing.Name} is not in this drawer: put it in again");
    }

    internal Composed Keep(Composed composed)
    {
        // What lacks a picture is worked out again when it is asked for: the picture may be back.
        if (composed.Drawn.Any(f => f.Id == PictureMissing.Named)) return composed;
        return _composed.Keep(composed.Revision, composed);
    }
}
