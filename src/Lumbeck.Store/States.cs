using System.IO.Compression;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Lumbeck.Store;

/// <summary>
/// States of jobs as they are stored (docs/stored-forms.md): now and then whole, between those what each differs by
/// from its parent.
/// What is stored is the truth; edits are only a record.
/// </summary>
internal sealed class States
{
    /// <summary>Most differences between a state and the last whole one.</summary>
    private const int MostApart = 60;

    /// <summary>So many of the states that were read or written last are at hand.</summary>
    private const int MostRecent = 48;

    private readonly Lock _gate = new();
    private readonly Dictionary<long, LinkedListNode<(long Revision, byte[] Json, int Apart)>> _recent = [];
    private readonly LinkedList<(long Revision, byte[] Json, int Apart)> _order = [];

    private sealed record Row(long Apart, byte[] State);

    /// <summary>A revision's state as JSON.</summary>
    /// <exception cref="InvalidDataException">What is stored is damaged.</exception>
    public byte[] Read(SqliteConnection c, long revision) => Find(c, revision).Json;

    private (byte[] Json, int Apart) Find(SqliteConnection c, long revision)
    {
        if (Recent(revision) is { } known) return known;
        // From the state back to the last whole one, and forward again.
        var rows = c.Query<Row>(
            """
            WITH RECURSIVE back (id, parent, apart, state) AS (
              SELECT id, parent, apart, state FROM revision WHERE id = @revision
              UNION ALL
              SELECT r.id, r.parent, r.apart, r.state FROM revision r JOIN back b ON r.id = b.parent WHERE b.apart > 0
            )
            SELECT apart, state FROM back ORDER BY apart
            """, new { revision }).AsList();
        if (rows.Count == 0) throw new InvalidOperationException($"There is no revision {revision}.");
        byte[] json = [];
        foreach (var row in rows)
            json = row.Apart == 0 ? Inflated(row.State) : Difference.Apply(json, Inflated(row.State));
        return Keep(revision, json, (int)rows[^1].Apart);
    }

    /// <summary>
    /// How a state is stored after its parent's: what is stored, and how many differences lie before it.
    /// </summary>
    public (byte[] State, int Apart) Write(SqliteConnection c, long? parent, Job job)
    {
        var json = JobJson.Written(job);
        if (parent is { } p && Find(c, p) is var before && before.Apart < MostApart)
        {
            var difference = Difference.Of(before.Json, json);
            if (difference.Length < json.Length / 4) return (Deflated(difference), before.Apart + 1);
        }
        return (Deflated(json), 0);
    }

    /// <summary>Has a state at hand that was just written.</summary>
    public void Keep(long revision, Job job, int apart) => Keep(revision, JobJson.Written(job), apart);

    private (byte[], int)? Recent(long revision)
    {
        lock (_gate)
        {
            if (!_recent.TryGetValue(revision, out var node)) return null;
            _order.Remove(node);
            _order.AddFirst(node);
            return (node.Value.Json, node.Value.Apart);
        }
    }

    private (byte[], int) Keep(long revision, byte[] json, int apart)
    {
        lock (_gate)
        {
            if (!_recent.ContainsKey(revision)) _recent[revision] = _order.AddFirst((revision, json, apart));
            if (_recent.Count > MostRecent && _order.Last is { } oldest)
            {
                _recent.Remove(oldest.Value.Revision);
                _order.RemoveLast();
            }
        }
        return (json, apart);
    }

    private static byte[] Deflated(byte[] bytes)
    {
        using var m = new MemoryStream();
        using (var z = new DeflateStream(m, CompressionLevel.Fastest)) z.Write(bytes);
        return m.ToArray();
    }

    private static byte[] Inflated(byte[] state)
    {
        using var inflated = new MemoryStream();
        using (var z = new DeflateStream(new MemoryStream(state), CompressionMode.Decompress)) z.CopyTo(inflated);
        return inflated.ToArray();
    }
}
