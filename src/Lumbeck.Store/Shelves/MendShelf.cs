using Dapper;

namespace Lumbeck.Store.Shelves;

/// <summary>A file from another program that was mended for a job.</summary>
public sealed record MendedRow
{
    public string Id { get; init; } = "";
    public string Job { get; init; } = "";
    /// <summary>When it was mended; now where it is added without a time.</summary>
    public string At { get; init; } = "";
    /// <summary>What the file was called.</summary>
    public string Name { get; init; } = "";
    public bool Inside { get; init; }
    /// <summary>Whether pages of another size were scaled; of rows without choices alone.</summary>
    public bool Scale { get; init; }
    /// <summary>What its maker decided, as JSON; empty in rows of before.</summary>
    public string Choices { get; init; } = "";
    /// <summary>The file that came, by the hash of its bytes.</summary>
    public string Came { get; init; } = "";
    /// <summary>The file that left.</summary>
    public string File { get; init; } = "";
    /// <summary>What was said of it, as JSON.</summary>
    public byte[] Report { get; init; } = [];
}

/// <summary>Mended files of jobs.</summary>
public sealed class MendShelf(JobStore store)
{
    /// <summary>A job's, the last one first.</summary>
    public IReadOnlyList<MendedRow> Of(string job) => store.Read(c =>
        c.Query<MendedRow>("SELECT * FROM mended WHERE job = @job ORDER BY at DESC, id", new { job }).AsList());

    public MendedRow? Find(string job, string id) => store.Read(c =>
        c.QueryFirstOrDefault<MendedRow>("SELECT * FROM mended WHERE job = @job AND id = @id", new { job, id }));

    /// <summary>Keeps a mended file; one of an id that is there already is not kept twice.</summary>
    public void Add(MendedRow row) => store.Write(w => w.Connection.Execute(
        "INSERT OR IGNORE INTO mended (id, job, at, name, inside, scale, choices, came, file, report) " +
            "VALUES (@Id, @Job, @At, @Name, @Inside, @Scale, @Choices, @Came, @File, @Report)",
        row with { At = row.At.Length > 0 ? row.At : store.Now() }, w.Transaction));

    public void Remove(string job, string id) => store.Write(w =>
        w.Connection.Execute("DELETE FROM mended WHERE job = @job AND id = @id", new { job, id }, w.Transaction));

    /// <summary>Whether any job has pressed or mended a file, or had it come, by the hash of its bytes.</summary>
    public bool IsUsed(string file) => store.Read(c => c.ExecuteScalar<long>(
        "SELECT EXISTS (SELECT 1 FROM mended WHERE came = @file OR file = @file) OR EXISTS (SELECT 1 FROM pressing " +
            "WHERE file = @file)",
        new { file })) != 0;
}
