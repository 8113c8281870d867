using Dapper;

namespace Lumbeck.Store.Shelves;

/// <summary>A face that a maker brought.</summary>
public sealed record FaceRow
{
    public string Hash { get; init; } = "";
    /// <summary>What jobs call it.</summary>
    public string Id { get; init; } = "";
    /// <summary>What people call it.</summary>
    public string Name { get; init; } = "";
    /// <summary>Its file's name.</summary>
    public string File { get; init; } = "";
    public long Bytes { get; init; }
    public string Licence { get; init; } = "";
    public string At { get; init; } = "";
}

/// <summary>The drawer's faces; their files lie on a file shelf.</summary>
public sealed class OwnFaces(JobStore store)
{
    public IReadOnlyList<FaceRow> All() =>
        store.Read(c => c.Query<FaceRow>("SELECT * FROM face ORDER BY name").AsList());

    public FaceRow? Find(string hash) =>
        store.Read(c => c.QueryFirstOrDefault<FaceRow>("SELECT * FROM face WHERE hash = @hash", new { hash }));

    /// <summary>Notes a face; one that is here already stays as it is.</summary>
    public void Add(FaceRow row) => store.Write(w => w.Connection.Execute(
        "INSERT INTO face (hash, id, name, file, bytes, at) VALUES (@Hash, @Id, @Name, @File, @Bytes, @at) ON " +
            "CONFLICT DO NOTHING",
        new { row.Hash, row.Id, row.Name, row.File, row.Bytes, at = store.Now() }, w.Transaction));

    /// <summary>Notes under which licence a face may be used.</summary>
    public void Say(string hash, string licence) =>
        store.Write(w =>
            w.Connection.Execute("UPDATE face SET licence = @licence WHERE hash = @hash", new { hash, licence },
                w.Transaction));
}
