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
    /// <summary>What it says of itself to people; empty where it is not listed.</summary>
    public string Says { get; init; } = "";
    /// <summary>waiting, running, done, failed or left.</summary>
    public string State { get; init; } = "";
    /// <summary>How much is done, from 0 to 1.</summary>
    public double Share { get; init; }
    /// <summary>Why it failed.</summary>
    public string Problem { get; init; } = "";
    public string At { get; init; } = "";
    /// <summary>All that is needed to do it, until it is done.</summary>
    public string With { get; init; } = "";
    /// <summary>What it came to, once it is done.</summary>
    public string Made { get; init; } = "";
    /// <summary>How often it was begun.</summary>
    public int Attempts { get; init; }
    /// <summary>The program that does it; empty where none does.</summary>
    public string Worker { get; init; } = "";

    /// <summary>Whether it waits or is under way.</summary>
    public bool IsOpen() => State is "waiting" or "running";
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
        try { Begin(folder); }
        // SQLITE_CORRUPT and SQLITE_NOTADB.
        catch (SqliteException e) when (e.SqliteErrorCode is 11 or 26)
        {
            SqliteConnection.ClearAllPools();
            DataFolder.PutAsideWork(folder, tell ?? (_ => { }), damaged: true);
            Begin(folder);
        }
    }

    private void Begin(string folder) => StoreGate.Alone(folder, () =>
    {
        // A damaged file is known as such before anything else is said of it.
        Do(c => c.Execute("PRAGMA schema_version"));
        Earlier();
        if (Schema.Upgrade(_connection, Schema.Work) is { } why)
            throw new Refusal("data", $"work.db in the data folder can’t be used: {why}");
    });

    /// <summary>Brings a queue of before there were scripts, which grew by columns, to the first of them.</summary>
    private void Earlier()
    {
        bool has(string what, string name) => Do(c =>
            c.ExecuteScalar<int>($"SELECT count(*) FROM {what} WHERE name = @name", new { name })) > 0;
        if (!has("sqlite_master", "work") || has("sqlite_master", "SchemaVersions")) return;
        foreach (var (column, type) in ((string, string)[])[("form", "INTEGER NOT NULL DEFAULT 1"),
            ("with", "TEXT NOT NULL DEFAULT ''"), ("attempts", "INTEGER NOT NULL DEFAULT 0"),
            ("worker", "TEXT NOT NULL DEFAULT ''"), ("lease", "TEXT NOT NULL DEFAULT ''"),
            ("made", "TEXT NOT NULL DEFAULT ''")])
            if (!has("pragma_table_info('work')", column))
                Do(c => c.Execute($"ALTER TABLE work ADD COLUMN \"{column}\" {type}"));
    }

    /// <summary>The form in which a piece says what it is of; a program takes up none of a later form.</summary>
    private const int Form = 3;

    /// <summary>How long a program has a piece to itself; it says again and again that it is still there.</summary>
    public static readonly TimeSpan Lease = TimeSpan.FromSeconds(60);

    /// <summary>A piece that was begun so often, and whose program ended each time, is set aside.</summary>
    public const int MostAttempts = 3;

    /// <summary>
    /// Queues a piece of work; where the same is waiting or under way already, gives that. One that is not listed is
    /// asked for by pages, not by people: it takes the place of what waits of the same kind for its job, and the same is
    /// not begun again once it was set aside.
    /// </summary>
    public string Add(string kind, string job, string of, string says, string with = "") => Do(c =>
    {
        using var tx = c.BeginTransaction(deferred: false);
        var asked = new { kind, job, of, with, says, MostAttempts, at = Now() };
        var id = c.ExecuteScalar<string?>(
            """
            SELECT id FROM work
            WHERE kind = @kind AND job = @job AND "of" = @of AND "with" = @with AND (state IN ('waiting', 'running')
              OR (@says = '' AND state = 'failed' AND attempts >= @MostAttempts))
            """, asked, tx);
        if (id is null)
        {
            if (says.Length == 0)
            {
                c.Execute(
                    """
                    UPDATE work SET state = 'left', at = @at, "with" = ''
                    WHERE kind = @kind AND job = @job AND says = '' AND state = 'waiting'
                    """, asked, tx);
                Sweep(c, tx);
            }
            id = Guid.NewGuid().ToString("n");
            c.Execute(
                """
                INSERT INTO work (id, kind, job, "of", says, "with", state, form, at)
                VALUES (@id, @kind, @job, @of, @says, @with, 'waiting', @Form, @at)
                """, new { id, kind, job, of, says, with, Form, asked.at }, tx);
        }
        tx.Commit();
        return id;
    });

    /// <summary>
    /// Takes a piece that waits, or whose program is gone, and marks it as under way by this one; null where there is
    /// none. No other program has it until its time is over. Of what is listed the oldest goes first, of what pages ask
    /// for the newest: somebody looks at it now.
    /// </summary>
    /// <param name="worker">This program.</param>
    /// <param name="listed">Whether to take what is listed; null takes either.</param>
    /// <param name="only">The piece to take; null takes any.</param>
    public WorkRow? Take(string worker, bool? listed = null, string? only = null) => Do(c =>
    {
        var (now, until) = (Now(), Time(_clock.GetUtcNow() + Lease));
        var aside = $"it was begun {MostAttempts} times, and each time the program ended: it is set aside";
        c.Execute(
            """
            UPDATE work SET state = 'failed', worker = '', at = @now,
              problem = @aside || CASE says WHEN '' THEN ' until something is changed'
                ELSE '; ask for it again to try once more' END
            WHERE state = 'running' AND lease < @now AND attempts >= @MostAttempts
            """, new { now, MostAttempts, aside });
        return c.QueryFirstOrDefault<WorkRow>(
            $"""
            UPDATE work SET state = 'running', share = 0, worker = @worker, lease = @until, attempts = attempts + 1
            WHERE id = (
              SELECT id FROM work
              WHERE form <= @Form AND (state = 'waiting' OR (state = 'running' AND lease < @now))
                AND (@only IS NULL OR id = @only) AND (@listed IS NULL OR (says <> '') = @listed)
              ORDER BY {(listed == false ? "at DESC, rowid DESC" : "at, rowid")} LIMIT 1
            ) RETURNING *
            """, new { Form, worker, until, now, listed, only });
    });

    /// <summary>Says that a program is still at a piece; false where it is not its own any more.</summary>
    public bool Renew(string id, string worker) => Do(c => c.Execute(
        "UPDATE work SET lease = @until WHERE id = @id AND worker = @worker AND state = 'running'",
        new { id, worker, until = Time(_clock.GetUtcNow() + Lease) })) > 0;

    /// <summary>Gives a piece back that was not done, as if it had not been begun: the program ends in order.</summary>
    public void GiveBack(string id, string worker) => Do(c => c.Execute(
        """
        UPDATE work SET state = 'waiting', share = 0, worker = '', lease = '', attempts = attempts - 1
        WHERE id = @id AND worker = @worker AND state = 'running'
        """, new { id, worker }));

    /// <summary>The programs that have pieces under way.</summary>
    public IReadOnlyList<string> Workers() =>
        Do(c => c.Query<string>("SELECT DISTINCT worker FROM work WHERE state = 'running'").AsList());

    /// <summary>What a program had under way need not wait for its time: it is known to be gone.</summary>
    public void IsGone(string worker) => Do(c =>
        c.Execute("UPDATE work SET lease = '' WHERE worker = @worker AND state = 'running'", new { worker }));

    public void Progress(string id, double share) =>
        Do(c => c.Execute("UPDATE work SET share = @share WHERE id = @id AND state = 'running'", new { id, share }));

    /// <summary>Ends a piece, unless it has ended already or is another program's.</summary>
    /// <param name="id">The piece.</param>
    /// <param name="state">How it ended.</param>
    /// <param name="problem">Why it failed.</param>
    /// <param name="worker">The program that did it; null where somebody else ends it, whoever does it.</param>
    /// <param name="made">What it came to.</param>
    public void End(string id, string state, string problem = "", string? worker = null, string made = "") => Do(c =>
        c.Execute(
            """
            UPDATE work
            SET state = @state, problem = @problem, made = @made, at = @at,
              share = CASE @state WHEN 'done' THEN 1 ELSE share END,
              "with" = CASE @state WHEN 'failed' THEN "with" ELSE '' END
            WHERE id = @id AND state IN ('waiting', 'running') AND (@worker IS NULL OR worker = @worker)
            """, new { id, state, problem, worker, made, at = Now() }));

    /// <summary>Lets go what ended so long ago that nobody waits for it, and sooner what was never listed.</summary>
    public void Sweep() => Do(c => Sweep(c, null));

    private int Sweep(SqliteConnection c, SqliteTransaction? tx) => c.Execute(
        """
        DELETE FROM work WHERE state NOT IN ('waiting', 'running')
          AND at < CASE WHEN says = '' AND attempts < @MostAttempts THEN @minutes ELSE @days END
        """, new
        {
            MostAttempts,
            minutes = Time(_clock.GetUtcNow() - TimeSpan.FromMinutes(10)),
            days = Time(_clock.GetUtcNow() - TimeSpan.FromDays(30)),
        }, tx);

    public WorkRow? Find(string id) =>
        Do(c => c.QueryFirstOrDefault<WorkRow>("SELECT * FROM work WHERE id = @id", new { id }));

    /// <summary>Whether a piece waits or is under way.</summary>
    public bool IsOpen(string id) => Do(c => c.ExecuteScalar<bool>(
        "SELECT count(*) FROM work WHERE id = @id AND state IN ('waiting', 'running')", new { id }));

    /// <summary>A job's listed work that is not ended, and what ended since a time, the oldest first.</summary>
    public IReadOnlyList<WorkRow> Of(string job, string since) =>
        Do(c =>
            c.Query<WorkRow>(
                """
                SELECT * FROM work
                WHERE job = @job AND says <> '' AND (state IN ('waiting', 'running') OR at > @since) ORDER BY at, rowid
                """, new { job, since }).AsList());

    public string Now() => Time(_clock.GetUtcNow());

    private static string Time(DateTimeOffset at) =>
        at.UtcDateTime.ToString("yyyy-MM-ddTHH:mm:ss.fffZ", CultureInfo.InvariantCulture);

    private T Do<T>(Func<SqliteConnection, T> work)
    {
        using var c = new SqliteConnection(_connection);
        c.Open();
        c.Execute("PRAGMA journal_mode = WAL; PRAGMA synchronous = NORMAL; PRAGMA busy_timeout = 30000;");
        return work(c);
    }
}
