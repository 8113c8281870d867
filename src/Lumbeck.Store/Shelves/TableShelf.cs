using Dapper;

namespace Lumbeck.Store.Shelves;

/// <summary>A table of the drawer: rows of a CSV file under its heads.</summary>
public sealed record TableRow
{
    public string Hash { get; init; } = "";
    public string Name { get; init; } = "";
    public long Rows { get; init; }
    /// <summary>Its heads as a JSON list.</summary>
    public string Heads { get; init; } = "[]";
    public long Bytes { get; init; }
    public string At { get; init; } = "";
}

/// <summary>The drawer's tables; their files lie on a file shelf.</summary>
public sealed class TableShelf(JobStore store)
{
    public IReadOnlyList<TableRow> All() =>
        store.Read(c => c.Query<TableRow>("SELECT * FROM data_table ORDER BY at DESC, name").AsList());

    public TableRow? Find(string hash) =>
        store.Read(c => c.QueryFirstOrDefault<TableRow>("SELECT * FROM data_table WHERE hash = @hash", new { hash }));

    public void Add(TableRow row) => store.Write(w => w.Connection.Execute(
        "INSERT INTO data_table (hash, name, rows, heads, bytes, at) VALUES (@Hash, @Name, @Rows, @Heads, @Bytes, " +
            "@at) " +
            "ON CONFLICT (hash) DO NOTHING",
        new { row.Hash, row.Name, row.Rows, row.Heads, row.Bytes, at = store.Now() }, w.Transaction));
}
