using Dapper;

namespace Lumbeck.Store;

/// <summary>A starter or a livery that was kept from a cover.</summary>
public sealed record LookRow
{
    public string Id { get; init; } = "";
    public string Name { get; init; } = "";
    public byte[] Body { get; init; } = [];
    public string At { get; init; } = "";
}

/// <summary>What was kept of one kind, by name.</summary>
public sealed class LookShelf(JobStore store, string kind)
{
    public IReadOnlyList<LookRow> All() => store.Read(c =>
        c.Query<LookRow>("SELECT id, name, body, at FROM look WHERE kind = @kind ORDER BY name, id", new { kind }).AsList());

    public LookRow? Find(string id) => store.Read(c =>
        c.QueryFirstOrDefault<LookRow>("SELECT id, name, body, at FROM look WHERE kind = @kind AND id = @id",
            new { kind, id }));

    public void Put(string id, string name, byte[] body) => store.Write(w => w.Connection.Execute(
        "INSERT INTO look (kind, id, name, body, at) VALUES (@kind, @id, @name, @body, @at) " +
            "ON CONFLICT (kind, id) DO UPDATE SET name = @name, body = @body, at = @at",
        new { kind, id, name, body, at = store.Now() }, w.Transaction));

    public void Remove(string id) => store.Write(w =>
        w.Connection.Execute("DELETE FROM look WHERE kind = @kind AND id = @id", new { kind, id }, w.Transaction));
}
