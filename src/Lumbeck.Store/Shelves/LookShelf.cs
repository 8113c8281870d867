using Dapper;

namespace Lumbeck.Store.Shelves;

/// <summary>A starter or a livery that was kept from a cover.</summary>
public sealed record LookRow
{
    public string Id { get; init; } = "";
    public string Name { get; init; } = "";
    /// <summary>What a list says of it.</summary>
    public string Says { get; init; } = "";
    public string At { get; init; } = "";
}

/// <summary>What was kept of one kind, by name.</summary>
public sealed class LookShelf(JobStore store, string kind)
{
    public IReadOnlyList<LookRow> All() => store.Read(c =>
        c.Query<LookRow>("SELECT id, name, says, at FROM look WHERE kind = @kind ORDER BY name, id", new { kind }).AsList());

    /// <summary>One by its word, or by its name in any case of letters; null where there is none.</summary>
    public LookRow? Find(string named) => store.Read(c =>
        c.QueryFirstOrDefault<LookRow>("SELECT id, name, says, at FROM look WHERE kind = @kind " +
            "AND (id = @named OR name = @named COLLATE NOCASE) ORDER BY id = @named DESC", new { kind, named }));

    /// <summary>Its JSON; null where there is none.</summary>
    public byte[]? Body(string id) => store.Read(c =>
        c.QueryFirstOrDefault<byte[]>("SELECT body FROM look WHERE kind = @kind AND id = @id", new { kind, id }));

    public void Put(string id, string name, string says, byte[] body) => store.Write(w => w.Connection.Execute(
        "INSERT INTO look (kind, id, name, says, body, at) VALUES (@kind, @id, @name, @says, @body, @at)",
        new { kind, id, name, says, body, at = store.Now() }, w.Transaction));

    public void Remove(string id) => store.Write(w =>
        w.Connection.Execute("DELETE FROM look WHERE kind = @kind AND id = @id", new { kind, id }, w.Transaction));
}
