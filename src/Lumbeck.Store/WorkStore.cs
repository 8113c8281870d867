using System.Globalization;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Lumbeck.Store;

/// <summary>A piece of long work, in the queue, under way or ended.</summary>
public sealed record WorkRow
{
    public string Id { get; init; } = "";
    /// <summary>What kind of work it is.</summary>
    public string Kind { get; init; } = "";
    /// <summary>The job it is for.</summary>
    public string Job { get; init; } = "";
    /// <summary>What it is of; the same is not queued twice.</summary>
    public string Of { get; init; } = "";
    /// <summary>What it says of itself to people.</summary>
    public string Says { get; init; } = "";
    /// <summary>waiting, running, done, failed or left.</summary>
    public string State { get; init; } = "";
    /// <summary>How much is done, from 0 to 1.</summary>
    public double Share { get; init; }
    /// <summary>Why it failed.</summary>
    public string Problem { get; init; } = "";
    public string At { get; init; } = "";
}

/// <summary>
/// The queue of long work, in a file of its own: what was not done when the program ended is done when it begins again.
/// </summary>
public sealed class WorkStore
{
    private readonly string _connection;
    private readonly TimeProvider _clock;

    /// <param name="folder">The data folder.</param>
    /// <param name="clock">Gives work its time.</param>
    /// <param name="tell">Is told where what was queued can't be read.</param>
    public WorkStore(string folder, TimeProvider clock, Action<string>? tell = null)
    {
        _clock = clock;
        _connection = new SqliteConnectionStringBuilder
        {
            DataSource = Path.Combine(folder, "work.db"),
            DefaultTimeout = 30,
        }.ToString();
        try { Begin(); }
        // SQLITE_CORRUPT and SQLITE_NOTADB.
        catch (SqliteException e) when (e.SqliteErrorCode is 11 or 26)
        {
            SqliteConnection.ClearAllPools();
            DataFolder.PutAsideWork(folder, tell ?? (_ => { }), damaged: true);
            Begin();
        }
    }

    private void Begin()
    {
        Do(c => c.Execute(
            """
            CREATE TABLE IF NOT EXISTS work (
              id      TEXT PRIMARY KEY,
              kind    TEXT NOT NULL,
              job     TEXT NOT NULL,
              "of"    TEXT NOT NULL,
              says    TEXT NOT NULL,
              state   TEXT NOT NULL,
              share   REAL NOT NULL DEFAULT 0,
              problem TEXT NOT NULL DEFAULT '',
              at      TEXT NOT NULL
            );
            CREATE INDEX IF NOT EXISTS work_job ON work (job, at);
            """));
        // Rows of the first form had no number.
        if (Do(c => c.ExecuteScalar<int>("SELECT count(*) FROM pragma_table_info('work') WHERE name = 'form'")) > 0)
            return;
        try { Do(c => c.Execute("ALTER TABLE work ADD COLUMN form INTEGER NOT NULL DEFAULT 1")); }
        catch (SqliteException) when (Do(c =>
            c.ExecuteScalar<int>("SELECT count(*) FROM pragma_table_info('work') WHERE name = 'form'")) > 0)
        {
            // Another program that began at the same time added it.
        }
    }

    /// <summary>The form in which a piece says what it is of; a program takes up none of a later form.</summary>
    private const int Form = 1;

    /// <summary>Queues a piece of work; where the same is waiting or under way already, gives that.</summary>
    public string Add(string kind, string job, string of, string says) => Do(c =>
    {
        using var tx = c.BeginTransaction(deferred: false);
        var id = c.ExecuteScalar<string?>("""SELECT id FROM work WHERE kind = @kind AND job = @job AND "of" = @of AND state IN ('waiting', 'running')""", new { kind, job, of }, tx);
        if (id is null)
        {
            id = Guid.NewGuid().ToString("n");
            c.Execute("""INSERT INTO work (id, kind, job, "of", says, state, form, at) VALUES (@id, @kind, @job, @of, @says, 'waiting', @Form, @at)""", new { id, kind, job, of, says, Form, at = Now() }, tx);
        }
        tx.Commit();
        return id;
    });

    /// <summary>Takes the oldest waiting piece and marks it as under way; null where none waits.</summary>
    public WorkRow? Take() =>
        Do(c =>
            c.QueryFirstOrDefault<WorkRow>("UPDATE work SET state = 'running' WHERE id = (SELECT id FROM work WHERE " +
                "state = 'waiting' AND form <= @Form ORDER BY at, rowid LIMIT 1) RETURNING *",
                new { Form }));

    /// <summary>What was under way when the program ended waits again.</summary>
    public int Requeue() => Do(c => c.Execute("UPDATE work SET state = 'waiting', share = 0 WHERE state = 'running'"));

    public void Progress(string id, double share) =>
        Do(c => c.Execute("UPDATE work SET share = @share WHERE id = @id AND state = 'running'", new { id, share }));

    /// <summary>Ends a piece, unless it has ended already.</summary>
    public void End(string id, string state, string problem = "") =>
        Do(c =>
            c.Execute("UPDATE work SET state = @state, problem = @problem, at = @at, share = CASE @state WHEN 'done' " +
                "THEN 1 ELSE share END WHERE id = @id AND state IN ('waiting', 'running')",
                new { id, state, problem, at = Now() }));

    public WorkRow? Find(string id) =>
        Do(c => c.QueryFirstOrDefault<WorkRow>("SELECT * FROM work WHERE id = @id", new { id }));

    /// <summary>A job's work that is not ended, and what ended since a time, the oldest first.</summary>
    public IReadOnlyList<WorkRow> Of(string job, string since) =>
        Do(c =>
            c.Query<WorkRow>("SELECT * FROM work WHERE job = @job AND (state IN ('waiting', 'running') OR at > " +
                "@since) ORDER BY at, rowid",
                new { job, since })
                .AsList());

    public string Now() =>
        _clock.GetUtcNow().UtcDateTime.ToString("yyyy-MM-ddTHH:mm:ss.fffZ", CultureInfo.InvariantCulture);

    private T Do<T>(Func<SqliteConnection, T> work)
    {
        using var c = new SqliteConnection(_connection);
        c.Open();
        c.Execute("PRAGMA journal_mode = WAL; PRAGMA synchronous = NORMAL; PRAGMA busy_timeout = 30000;");
        return work(c);
    }
}
