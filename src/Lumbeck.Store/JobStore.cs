using System.Collections.Concurrent;
using Lumbeck.Caching;
using System.Globalization;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Lumbeck.Store;

/// <summary>
/// Jobs in SQLite: revisions are appended, the head moves. Several programs may use one store at once;
/// what a call has answered is on the disk.
/// </summary>
public sealed class JobStore
{
    private readonly string _connection;
    private readonly Lock _writing = new();
    /// <summary>Jobs as read from their stored bytes; in memory they are some four times as large.</summary>
    private readonly ByteCache<long, Job> _jobs = new(24_000_000, job => 4 * JobJson.Written(job).Length);
    private readonly TimeProvider _clock;

    /// <param name="folder">The data folder; made where there is none.</param>
    /// <param name="clock">Gives revisions their time.</param>
    /// <exception cref="Refusal">The folder can't be made or written, or what lies in it is no store of
    /// ours.</exception>
    public JobStore(string folder, TimeProvider clock)
    {
        _clock = clock;
        Folder = Path.GetFullPath(folder);
        try { Directory.CreateDirectory(Folder); }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException) { throw NoStore(e.Message); }
        _connection = new SqliteConnectionStringBuilder
        {
            DataSource = Path.Combine(Folder, "lumbeck.db"),
            ForeignKeys = true,
            DefaultTimeout = 30,
        }.ToString();
        try { Alone(Migrate); }
        // SQLITE_CORRUPT and SQLITE_NOTADB.
        catch (SqliteException e) when (e.SqliteErrorCode is 11 or 26)
        {
            throw new Refusal("data", $"{Folder} can't be used: lumbeck.db in it is damaged: bring it back from a copy of " +
                "the folder");
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException or SqliteException)
        {
            throw NoStore(e.Message);
        }
    }

    private Refusal NoStore(string reason) =>
        new("data",
            $"{Folder} can't be used as a data folder ({reason.Trim().TrimEnd('.')}): give another with --data");

    /// <summary>The data folder.</summary>
    public string Folder { get; }

    /// <summary>
    /// Runs while no other program on this store does the same; for what must happen once in a store's life.
    /// </summary>
    public void Alone(Action work) => StoreGate.Alone(Folder, work);

    private const string Row =
        "SELECT id, slug, made, away, (SELECT at FROM head WHERE job = job.id ORDER BY tick DESC LIMIT 1) AS changed " +
            "FROM job";

    /// <summary>Jobs as they were begun, the first first.</summary>
    /// <param name="away">Those that are put away in place of those on the bench.</param>
    public IReadOnlyList<JobRow> Jobs(bool away = false) =>
        Read(c => c.Query<JobRow>($"{Row} WHERE away IS {(away ? "NOT " : "")}NULL ORDER BY rowid").AsList());

    /// <summary>The same with what is kept to show of each, in one go.</summary>
    /// <param name="form">The form that what is kept must be of.</param>
    /// <param name="away">Those that are put away in place of those on the bench.</param>
    public IReadOnlyList<ListedRow> Listed(int form, bool away = false) => Read(c => c.Query<ListedRow>(
        $"""
        SELECT j.id, j.slug, j.made, h.at AS changed, h.revision, s.text AS summary
        FROM job j
        JOIN head h ON h.tick = (SELECT max(tick) FROM head WHERE job = j.id)
        JOIN revision r ON r.id = h.revision
        LEFT JOIN summary s ON s.revision = r.id AND s.form = @form AND s.length = length(r.state)
        WHERE j.away IS {(away ? "NOT " : "")}NULL ORDER BY j.rowid
        """, new { form }).AsList());

    /// <summary>The job with this slug or id, or null.</summary>
    public JobRow? Find(string slugOrId) =>
        Read(c => c.QueryFirstOrDefault<JobRow>($"{Row} WHERE slug = @s OR id = @s", new { s = slugOrId }));

    public HeadRow Head(string job) => Read(c => Head(c, job));

    /// <summary>The revision an edit with this id made, or null where it was never applied.</summary>
    public long? RevisionOf(string editId) => Read(c => RevisionOf(c, editId));

    /// <summary>Whether anyone but this session has changed the job since a tick.</summary>
    public bool OthersSince(string job, long tick, string session) => Read(c => c.ExecuteScalar<bool>(
        "SELECT EXISTS (SELECT 1 FROM head WHERE job = @job AND tick > @tick AND session <> @session)",
        new { job, tick, session }));

    /// <summary>The revision that was on the bench at a tick, or null.</summary>
    public long? RevisionAt(string job, long tick) => Read(c => RevisionAt(c, job, tick));

    public RevisionRow Revision(long id) =>
        Read(c =>
            c.QueryFirst<RevisionRow>("SELECT id, job, parent, gesture, edit_id AS EditId, says, session, at FROM " +
                "revision WHERE id = @id",
                new { id }));

    /// <summary>A job's steps, the newest first: revisions that share a gesture are one.</summary>
    /// <param name="job">The job.</param>
    /// <param name="before">Only steps older than this revision; null from the newest.</param>
    /// <param name="count">So many at most.</param>
    /// <param name="named">Only those that were given a name.</param>
    public IReadOnlyList<StepRow> Steps(string job, long? before, int count, bool named) => Read(c => c.Query<StepRow>(
        """
        WITH name AS (
          SELECT revision, name FROM milestone WHERE id IN (SELECT max(id) FROM milestone WHERE job = @job GROUP BY revision)
        )
        SELECT s.revision, r.says, r.at, s.parts, coalesce(n.name, '') AS name
        FROM step s JOIN revision r ON r.id = s.revision LEFT JOIN name n ON n.revision = s.revision
        WHERE s.job = @job AND (@before IS NULL OR s.revision < @before) AND (NOT @named OR coalesce(n.name, '') <> '')
        ORDER BY s.revision DESC LIMIT @count
        """, new { job, before, count, named }).AsList());

    /// <summary>The revisions that led to this one, itself included: what steps back would pass through.</summary>
    public IReadOnlySet<long> Line(long revision) => Read(c => c.Query<long>(
        "WITH RECURSIVE line (id) AS (SELECT @revision UNION ALL SELECT parent FROM revision JOIN line USING (id) " +
            "WHERE parent IS NOT NULL) SELECT id FROM line",
            new { revision }).ToHashSet());

    /// <summary>The job that a revision is of; null where there is no such revision.</summary>
    public string? JobOf(long revision) =>
        Read(c => c.ExecuteScalar<string?>("SELECT job FROM revision WHERE id = @revision", new { revision }));

    /// <summary>Whether anything can be stepped back to, and forward.</summary>
    public (bool Back, bool Forward) Steps(long revision) => Read(c => (
        c.ExecuteScalar<long?>("SELECT parent FROM revision WHERE id = @revision", new { revision }) is not null,
        c.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM revision WHERE parent = @revision)", new { revision })));

    /// <summary>The job as of a revision; revisions never change, so they are kept once read.</summary>
    public Job Load(long revision) => _jobs.TryGet(revision, out var job) ? job : Read(c => Load(c, revision));

    public IReadOnlyList<PressingRow> Pressings(string job) =>
        Read(c =>
            c.Query<PressingRow>("SELECT * FROM pressing WHERE job = @job ORDER BY id DESC", new { job }).AsList());

    public PressingRow? Pressing(string job, long id) =>
        Read(c =>
            c.QueryFirstOrDefault<PressingRow>("SELECT * FROM pressing WHERE job = @job AND id = @id",
                new { job, id }));

    /// <summary>
    /// Runs inside one writing transaction, alone in the store; committed and on the disk when it returns, undone when
    /// it throws.
    /// </summary>
    public T Write<T>(Func<Writing, T> work)
    {
        lock (_writing)
        {
            using var c = Open();
            // Begun at once as a writer: a reader that turns writer would fail if another wrote in between.
            using var tx = c.BeginTransaction(deferred: false);
            var writing = new Writing(this, c, tx);
            var result = work(writing);
            tx.Commit();
            writing.Committed();
            return result;
        }
    }

    internal string Now() =>
        _clock.GetUtcNow().UtcDateTime.ToString("yyyy-MM-ddTHH:mm:ss.fffZ", CultureInfo.InvariantCulture);

    internal static HeadRow Head(SqliteConnection c, string job) =>
        c.QueryFirst<HeadRow>("SELECT tick, revision, session, at FROM head WHERE job = @job ORDER BY tick DESC LIMIT 1", new { job });

    internal static long? RevisionOf(SqliteConnection c, string editId) =>
        c.ExecuteScalar<long?>("SELECT id FROM revision WHERE edit_id = @editId", new { editId });

    internal static long? RevisionAt(SqliteConnection c, string job, long tick) =>
        c.ExecuteScalar<long?>("SELECT revision FROM head WHERE job = @job AND tick <= @tick ORDER BY tick DESC " +
            "LIMIT 1",
            new { job, tick });

    internal Job Load(SqliteConnection c, long revision)
    {
        if (_jobs.TryGet(revision, out var known)) return known;
        try
        {
            return Keep(revision,
                JobJson.Read(States.Read(c, revision),
                    member => Tell($"revision {revision}: `{member}` is not known to this Lumbeck, and is left out")));
        }
        catch (Exception e) when (e is not (Refusal or SqliteException or IOException or OutOfMemoryException)
            || e is InvalidDataException or EndOfStreamException)
        {
            throw new DamagedState(e);
        }
    }

    internal Job Keep(long revision, Job job) => _jobs.Keep(revision, job);

    internal States States { get; } = new();

    /// <summary>
    /// What is found strange in what is stored, and read all the same, is told here: nothing of it is lost until it is
    /// written anew.
    /// </summary>
    public Action<string> Told { get; init; } = _ => { };

    /// <summary>Tells it, once.</summary>
    public void Tell(string what) { if (_told.TryAdd(what, 0)) Told(what); }

    private readonly ConcurrentDictionary<string, byte> _told = new();

    internal T Read<T>(Func<SqliteConnection, T> work)
    {
        using var c = Open();
        return work(c);
    }

    private SqliteConnection Open()
    {
        var c = new SqliteConnection(_connection);
        c.Open();
        // All three hold for a handle, not for the file, so they are said at every opening.
        c.Execute("PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; PRAGMA busy_timeout = 30000;");
        return c;
    }

    private void Migrate()
    {
        using (Open()) { }
        if (Schema.Upgrade(_connection, Schema.Jobs) is { } why) throw NoStore(why);
    }
}
