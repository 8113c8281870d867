using Dapper;
using Microsoft.Data.Sqlite;

namespace Lumbeck.Store;

/// <summary>What can be done inside one writing transaction.</summary>
public sealed class Writing
{
    private readonly JobStore _store;
    private readonly SqliteConnection _c;
    private readonly SqliteTransaction _tx;

    internal Writing(JobStore store, SqliteConnection c, SqliteTransaction tx) => (_store, _c, _tx) = (store, c, tx);

    private readonly List<(long Revision, Job State, int Apart)> _written = [];

    /// <summary>
    /// Has what was written at hand, once it is on the disk: a number that was given in vain is given again.
    /// </summary>
    internal void Committed()
    {
        foreach (var (revision, state, apart) in _written) _store.States.Keep(revision, state, apart);
    }

    internal SqliteConnection Connection => _c;
    internal SqliteTransaction Transaction => _tx;

    public HeadRow Head(string job) => JobStore.Head(_c, job);

    /// <summary>The revision an edit with this id made, or null where it was never applied.</summary>
    public long? RevisionOf(string editId) => JobStore.RevisionOf(_c, editId);

    /// <summary>Who made a revision, and at which tick it came on the bench.</summary>
    public (string Session, long Tick) MadeBy(long revision) => _c.QuerySingle<(string, long)>(
        "SELECT session, (SELECT COALESCE(MIN(tick), 0) FROM head WHERE revision = @revision AND job = r.job) FROM " +
            "revision r WHERE id = @revision",
        new { revision }, _tx);

    public void AddJob(string id, string slug, Job first, string session)
    {
        var at = _store.Now();
        _c.Execute("INSERT INTO job (id, slug, made) VALUES (@id, @slug, @at)", new { id, slug, at }, _tx);
        Insert(id, null, null, null, null, "begun", first, session, at);
    }

    public bool HasSlug(string slug) =>
        _c.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM job WHERE slug = @slug)", new { slug }, _tx);

    /// <summary>Appends a revision to the head and puts it on the bench.</summary>
    public HeadRow Append(string job, long parent, string? gesture, string editId, Edit edit, string says, Job state,
        string session) =>
        Insert(job, parent, gesture, editId, StoredForm.Stamp(EditJson.Write(edit)), says, state, session,
            _store.Now());

    /// <summary>
    /// Keeps what a list shows of a revision, in place of what was kept of the one it came from: a list shows heads.
    /// </summary>
    public void Summarise(long revision, int form, string text)
    {
        _c.Execute("DELETE FROM summary WHERE revision = (SELECT parent FROM revision WHERE id = @revision)",
            new { revision }, _tx);
        _c.Execute("INSERT OR REPLACE INTO summary (revision, form, length, text) " +
            "SELECT id, @form, length(state), @text FROM revision WHERE id = @revision",
            new { revision, form, text }, _tx);
    }

    /// <summary>Whether an asking has moved a head before.</summary>
    public bool Moved(string asked) =>
        _c.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM head WHERE asked = @asked)", new { asked }, _tx);

    /// <summary>Puts a revision on the bench; by an asking of its own where that is a step.</summary>
    public HeadRow Move(string job, long revision, string session, string? asked = null)
    {
        var at = _store.Now();
        var tick = _c.ExecuteScalar<long>("INSERT INTO head (job, revision, session, at, asked) VALUES (@job, " +
            "@revision, @session, @at, @asked) RETURNING tick",
            new { job, revision, session, at, asked }, _tx);
        return new(tick, revision, session, at);
    }

    /// <summary>Where one step back leads: before the whole gesture. Null at the beginning.</summary>
    public long? Undo(long revision)
    {
        var (parent, gesture) = Of(revision);
        while (parent is { } p && gesture is not null && Of(p) is var before && before.Gesture == gesture
            && before.Parent is not null)
            parent = before.Parent;
        return parent;
    }

    /// <summary>
    /// Where one step forward leads: the end of the newest gesture that follows. Null where nothing does.
    /// </summary>
    public long? Redo(long revision)
    {
        if (NewestChild(revision) is not { } to) return null;
        var gesture = Of(to).Gesture;
        while (gesture is not null && NewestChild(to) is { } next && Of(next).Gesture == gesture) to = next;
        return to;
    }

    public void Name(string job, long revision, string name) =>
        _c.Execute("INSERT INTO milestone (job, revision, name, at) VALUES (@job, @revision, @name, @at)",
            new { job, revision, name, at = _store.Now() }, _tx);

    /// <summary>Keeps a made file in the register; one of an order that is there already is not kept twice.</summary>
    public void AddPressing(PressingRow row) =>
        _c.Execute("INSERT INTO pressing (job, revision, kind, house, name, file, bytes, at, stops, cautions, " +
            "todos, waived, accepted, verdict, ordered) VALUES (@Job, @Revision, @Kind, @House, @Name, @File, @Bytes, @At, " +
            "@Stops, @Cautions, @Todos, @Waived, @Accepted, @Verdict, @Ordered) " +
            "ON CONFLICT (ordered) WHERE ordered IS NOT NULL DO NOTHING",
            row with { At = _store.Now() }, _tx);

    private (long? Parent, string? Gesture) Of(long revision) =>
        _c.QueryFirst<(long?, string?)>("SELECT parent, gesture FROM revision WHERE id = @revision", new { revision },
            _tx);

    private long? NewestChild(long revision) =>
        _c.ExecuteScalar<long?>("SELECT max(id) FROM revision WHERE parent = @revision", new { revision }, _tx);

    private HeadRow Insert(string job, long? parent, string? gesture, string? editId, string? edit, string says,
        Job state, string session, string at)
    {
        var (stored, apart) = _store.States.Write(_c, parent, state);
        var id = _c.ExecuteScalar<long>(
            """
            INSERT INTO revision (job, parent, gesture, edit_id, edit, says, state, apart, session, at)
            VALUES (@job, @parent, @gesture, @editId, @edit, @says, @stored, @apart, @session, @at) RETURNING id
            """, new { job, parent, gesture, editId, edit, says, stored, apart, session, at }, _tx);
        _written.Add((id, state, apart));
        _c.Execute(
            """
            INSERT INTO step (revision, job, gesture, parts) VALUES (@id, @job, @gesture, 1)
            ON CONFLICT (job, gesture) WHERE gesture IS NOT NULL DO UPDATE SET revision = @id, parts = parts + 1
            """, new { id, job, gesture }, _tx);
        // Stepping back must never lose a picture: what any revision shows, in any take, is in use.
        foreach (var hash in state.Pictures.Select(p => p.Hash))
            _c.Execute("INSERT OR IGNORE INTO picture_use (hash, job) SELECT hash, @job FROM picture WHERE hash = " +
                "@hash",
                new { hash, job }, _tx);
        return Move(job, id, session);
    }
}
