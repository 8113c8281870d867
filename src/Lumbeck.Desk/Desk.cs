using System.Collections.Concurrent;
using Lumbeck.Press.Colour;
using Lumbeck.Press.Faces;
using Lumbeck.Press.Plates;
using Lumbeck.Store;

namespace Lumbeck.Desk;

/// <summary>What the web pages and the command line both do. One desk a process; safe for several threads.</summary>
public sealed class Desk
{
    private readonly JobStore _store;
    private readonly ConcurrentDictionary<long, Composed> _composed = new();
    private readonly ConcurrentDictionary<PressCondition, PressColour> _colours = new();
    private readonly ConcurrentDictionary<PressCondition, DrawingDesk> _drawings = new();
    private readonly ConcurrentDictionary<PressCondition, PlatePainter> _plates = new();

    /// <param name="folder">The data folder.</param>
    /// <param name="clock">Gives revisions their time.</param>
    /// <param name="begin">Lays something on the bench of an empty store.</param>
    /// <param name="told">Is told what is strange in the store and read all the same.</param>
    public Desk(string folder, TimeProvider clock, Action<Desk>? begin = null, Action<string>? told = null)
    {
        told ??= _ => { };
        DataFolder.Prepare(folder, told);
        _store = new(folder, clock) { Told = told };
        Files = new(Path.Combine(_store.Folder, "files"));
        Houses = new(_store);
        Pictures = new(_store);
        Profiles = new(_store);
        Faces = new(_store, Shelf);
        Kept = new KeptDesk(Pictures, Shelf);
        Checks = new(this);
        Pictures.Stated += _composed.Clear;
        Works = new(new(_store.Folder, clock, told));
        if (begin is null) return;
        _store.Alone(() =>
        {
            if (_store.Jobs().Count == 0) begin(this);
        });
    }

    public FaceShelf Shelf { get; } = new();

    /// <summary>Screen colour through a house's own press profile.</summary>
    /// <exception cref="Refusal">The house names a profile that is not here.</exception>
    public PressColour ColourOf(House house) => _colours.GetOrAdd(Condition(house), c => new(c));

    /// <summary>A house's condition; a profile that another program brought meanwhile is known from here on.</summary>
    private PressCondition Condition(House house)
    {
        Profiles.Learn(house.Profile);
        return PressCondition.Of(house);
    }

    /// <summary>Drawn pictures in a house's press colours.</summary>
    public IDrawings DrawingsOf(House house) => _drawings.GetOrAdd(Condition(house), _ => new(Pictures, ColourOf(house)));

    /// <summary>A drawn picture by itself, as SVG in press colours.</summary>
    /// <exception cref="FileNotFoundException">There is no such drawing.</exception>
    public string Drawing(string hash, PressCondition condition)
    {
        var row = Pictures.Find(hash) ?? throw new FileNotFoundException("No such picture.");
        var colour = _colours.GetOrAdd(condition, c => new(c));
        var marks = _drawings.GetOrAdd(condition, _ => new(Pictures, colour)).Of(new(hash, row.Name, (int)row.Wide, (int)row.High, false) { IsDrawing = true }) ?? throw new FileNotFoundException("No such drawing.");
        return new Press.Svg.SvgPainter(Shelf, colour).Alone(marks, row.Wide, row.High);
    }

    /// <summary>Composes sheets as a house's press lays them down.</summary>
    public PlatePainter PlatesOf(House house) => _plates.GetOrAdd(Condition(house), c => new(Shelf, Pictures, c));

    /// <summary>A job worked out, with what its drawn pictures hold.</summary>
    /// <exception cref="Refusal">The job makes no sheet, or names a face that is not here.</exception>
    public Composed Worked(long revision, Job job) => Composed.Of(revision, job, Shelf, DrawingsOf(job.Ticket.House), Kept);

    /// <summary>What rules learn of pictures and faces.</summary>
    internal IKept Kept { get; }

    /// <summary>The rules that need plates.</summary>
    public PlateChecks Checks { get; }

    /// <summary>Long work, done beside everything else.</summary>
    public Works Works { get; }

    /// <summary>Makers' own faces.</summary>
    public FaceDesk Faces { get; }

    /// <summary>Printers' own profiles.</summary>
    public ProfileDesk Profiles { get; }

    public Store.FileShelf Files { get; }

    /// <summary>The drawer's pictures.</summary>
    public PictureDesk Pictures { get; }

    internal HouseShelf Houses { get; }

    public string Folder => _store.Folder;

    internal JobStore Store => _store;

    /// <summary>All jobs as they are on the bench; what can't be shown is not among them.</summary>
    public IReadOnlyList<OnBench> Jobs() => [.. Places().Select(p => p.On).OfType<OnBench>()];

    /// <summary>Every job's place on the bench. One that can't be shown says why, and keeps no other from being shown.</summary>
    /// <param name="away">Those that are put away in place of those on the bench.</param>
    public IReadOnlyList<BenchPlace> Places(bool away = false) => [.. _store.Jobs(away).Select(row =>
    {
        try { return new BenchPlace(row.Slug, Bench(row), "") { Made = row.Made, Changed = row.Changed }; }
        catch (Refusal r) { return new(row.Slug, null, r.Message); }
        catch (Exception e) when (e is not OutOfMemoryException && !Disk.IsFull(e))
        {
            _store.Tell($"{row.Slug} can’t be read: {e.Message}");
            return new(row.Slug, null, "what is stored of it is damaged; bring it back from a pack, or from a copy of the data folder");
        }
    })];

    /// <summary>How many jobs are put away.</summary>
    public int CountAway => _store.Jobs(away: true).Count;

    /// <summary>Puts a job away from the bench, or takes it back.</summary>
    /// <exception cref="Refusal">There is no such job.</exception>
    public void PutJobAway(string slug, bool away = true) => _store.Put(Row(slug).Id, away);

    /// <summary>Removes a job that was put away, its steps and its pressed files, for good.</summary>
    /// <exception cref="Refusal">There is no such job, or it lies on the bench.</exception>
    public void RemoveJob(string slug)
    {
        var row = Row(slug);
        if (row.Away is null) throw new Refusal("job", "it lies on the bench: put it away first");
        foreach (var file in _store.Remove(row.Id)) Files.Drop(file);
    }

    /// <exception cref="Refusal">There is no such job.</exception>
    public OnBench Job(string slugOrId) => Bench(Row(slugOrId));

    /// <summary>The tick of what is on the bench, to ask whether anything changed.</summary>
    public long Tick(string slug) => _store.Head(Row(slug).Id).Tick;

    public (bool Back, bool Forward) Steps(OnBench on) => _store.Steps(on.Revision);

    /// <summary>What lay on the bench just before what lies there now; null where that was the first.</summary>
    public Composed? Before(OnBench on) => _store.RevisionAt(on.JobId, on.Tick - 1) is { } revision ? Compose(revision) : null;

    /// <summary>A revision worked out; kept, as revisions never change.</summary>
    public Composed Compose(long revision)
    {
        if (_composed.TryGetValue(revision, out var known)) return known;
        return Keep(Worked(revision, _store.Load(revision)));
    }

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
    /// <exception cref="Conflict">Another session changed the same fact since the request's base; nothing was changed.</exception>
    public OnBench Apply(string slug, EditRequest request)
    {
        var row = Row(slug);
        var (head, after) = _store.Write<(HeadRow, Composed?)>(w =>
        {
            var head = w.Head(row.Id);
            if (w.RevisionOf(request.Id) is not null) return (head, null);
            var now = w.Load(head.Revision);
            var edit = request.Make(now);
            RefuseOvertaken(w, row.Id, head, now, edit, request);
            var next = Keeping.Right(edit.Apply(now), Shelf);
            if (JobJson.Written(next).AsSpan().SequenceEqual(JobJson.Written(now))) return (head, null);
            RefuseMissing(now, next);
            if (!ReferenceEquals(next.Waivers, now.Waivers)) Rules.RefuseUnknown(next);
            // Worked out before it is written: what can't be drawn is never on the bench.
            var composed = Worked(0, next);
            // What the sheet moved under its items is said with the step that moved it.
            if (!ReferenceEquals(next.Ticket, now.Ticket) && edit is not BringBack)
                composed = composed with { Job = next = composed.LookedOver(Compose(head.Revision)) };
            var moved = w.Append(row.Id, head.Revision, request.Gesture, request.Id, edit, edit.Says(now), next, request.Session);
            // Until its own plates are looked at, those of before are shown: nothing comes and goes with every key.
            return (moved, composed with { Revision = moved.Revision, Plates = Compose(head.Revision).Plates });
        });
        return new(row.Id, row.Slug, head.Tick, after is null ? Compose(head.Revision) : Keep(after));
    }

    /// <summary>
    /// Steps back before the last gesture; stays where there is nothing before it, and where the same asking stepped
    /// already.
    /// </summary>
    /// <param name="slug">The job.</param>
    /// <param name="session">Who steps back.</param>
    /// <param name="asked">The asking's own id.</param>
    /// <param name="since">The tick from which on steps of others are not taken back unasked; null takes back whosever it is.</param>
    /// <exception cref="Conflict">The last step is another session's, made since then; nothing was changed.</exception>
    public OnBench StepBack(string slug, string session, string? asked = null, long? since = null) => Step(slug, session, asked, (w, r) =>
    {
        if (since is { } tick && w.MadeBy(r) is var by && by.Session != session && by.Tick > tick)
            throw new Conflict("step", _store.Revision(r).Says, "", "");
        return w.StepBack(r);
    });

    /// <summary>Steps forward again, likewise.</summary>
    public OnBench StepForward(string slug, string session, string? asked = null) => Step(slug, session, asked, (w, r) => w.StepForward(r));

    /// <summary>Begins a job.</summary>
    /// <param name="title">Its title; also its address, in plain letters.</param>
    /// <param name="first">What it begins with.</param>
    /// <param name="session">Who begins it.</param>
    /// <param name="slug">An address of its own, where one is wanted.</param>
    public OnBench Begin(string title, Job first, string session, string? slug = null)
    {
        var id = Guid.NewGuid().ToString("n");
        var address = _store.Write(w =>
        {
            var wanted = slug ?? Slug(title);
            var free = wanted;
            for (var n = 2; w.HasSlug(free); n++) free = string.Create(CultureInfo.InvariantCulture, $"{wanted}-{n}");
            w.AddJob(id, free, first, session);
            return free;
        });
        return Job(address);
    }

    internal JobRow Row(string slugOrId) =>
        _store.Find(slugOrId) ?? throw new Refusal("job", $"no job is called `{LengthText.Clip(slugOrId)}`: `lumbeck jobs` lists them");

    private OnBench Bench(JobRow row)
    {
        var head = _store.Head(row.Id);
        return new(row.Id, row.Slug, head.Tick, Compose(head.Revision));
    }

    private OnBench Step(string slug, string session, string? asked, Func<Writing, long, long?> to)
    {
        var row = Row(slug);
        var head = _store.Write(w =>
        {
            var head = w.Head(row.Id);
            if (asked is not null && w.Moved(asked)) return head;
            return to(w, head.Revision) is { } revision ? w.Move(row.Id, revision, session, asked) : head;
        });
        return new(row.Id, row.Slug, head.Tick, Compose(head.Revision));
    }

    private static void RefuseOvertaken(Writing w, string job, HeadRow head, Job now, Edit edit, EditRequest request)
    {
        if (request.Base is not { } tick || tick >= head.Tick || !w.OthersSince(job, tick, request.Session)) return;
        if (w.RevisionAt(job, tick) is not { } revision) return;
        var seen = w.Load(revision);
        // What could not be done then is refused for what it is now, not for who came first.
        if (Made(edit, seen) is not { } mine) return;
        if (Overtaken.Of(seen, now, mine, Made(edit, now)) is { } both) throw new Conflict(both.Path, both.Label, both.Theirs, both.Yours);
    }

    private static Job? Made(Edit edit, Job job)
    {
        try { return edit.Apply(job); }
        catch (Refusal) { return null; }
    }

    private void RefuseMissing(Job now, Job next)
    {
        foreach (var picture in next.Items.OfType<PictureItem>())
            if (picture.Picture is { } p && (now.Item(picture.Id) as PictureItem)?.Picture != p && !Pictures.Has(p.Hash))
                throw new Refusal($"item/{picture.Id}/picture", $"the picture {p.Name} is not in this drawer: put it in again");
        foreach (var tracing in next.Wraps.Select(w => w.Tracing?.Picture).OfType<Picture>())
            if (now.Wraps.All(w => w.Tracing?.Picture != tracing) && !Pictures.Has(tracing.Hash))
                throw new Refusal("ground/tracing", $"the picture {tracing.Name} is not in this drawer: put it in again");
    }

    internal Composed Keep(Composed composed)
    {
        if (_composed.Count > 400) _composed.Clear();
        // What lacks a picture is worked out again when it is asked for: the picture may be back.
        if (composed.Drawn.Any(f => f.Id == PictureMissing.Named)) return composed;
        return _composed[composed.Revision] = composed;
    }

    private static string Slug(string title)
    {
        var s = string.Concat(title.ToLowerInvariant().Select(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) ? c : '-'));
        s = string.Join('-', s.Split('-', StringSplitOptions.RemoveEmptyEntries));
        return s.Length == 0 ? "cover" : s[..Math.Min(40, s.Length)].Trim('-');
    }
}
