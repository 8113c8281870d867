using Dapper;

namespace Lumbeck.Store;

/// <summary>Jobs that are put away, taken back, and removed for good.</summary>
public static class JobsAway
{
    /// <summary>Puts a job away, or takes it back.</summary>
    public static void Put(this JobStore store, string job, bool away) => store.Write(w => w.Connection.Execute(
        "UPDATE job SET away = @at WHERE id = @job", new { job, at = away ? store.Now() : null }, w.Transaction));

    /// <summary>Removes a job that is put away, and all of its steps. What is on the bench stays.</summary>
    /// <returns>Hashes of files that no other job has pressed or mended; none where the job was not put away.</returns>
    public static IReadOnlyList<string> Remove(this JobStore store,
        string job) => store.Write<IReadOnlyList<string>>(w =>
    {
        var (c, tx, of) = (w.Connection, w.Transaction, new { job });
        if (!c.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM job WHERE id = @job AND away IS NOT NULL)", of, tx))
            return [];
        const string kept = "(SELECT file, job FROM pressing UNION ALL SELECT file, job FROM mended " +
            "UNION ALL SELECT came, job FROM mended)";
        var files = c.Query<string>($"SELECT DISTINCT file FROM {kept} WHERE job = @job AND file NOT IN (SELECT " +
            $"file FROM {kept} WHERE job <> @job)",
            of, tx)
            .AsList();
        // A revision's parent goes with it.
        c.Execute("PRAGMA defer_foreign_keys = ON", transaction: tx);
        c.Execute("DELETE FROM summary WHERE revision IN (SELECT id FROM revision WHERE job = @job)", of, tx);
        foreach (var table in (string[])["milestone", "step", "picture_use", "pressing", "mended", "head", "revision"])
            c.Execute($"DELETE FROM {table} WHERE job = @job", of, tx);
        c.Execute("DELETE FROM job WHERE id = @job", of, tx);
        return files;
    });
}
