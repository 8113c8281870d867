using Dapper;

namespace Lumbeck.Store.Shelves;

/// <summary>A house as it is now: its file, null where it was put away, and the tick at which it came so.</summary>
public sealed record HouseRow(long Tick, string House, long Revision, string? State);

/// <summary>
/// Houses of the maker's own, beside those that ship. Nothing is ever deleted: a house put away can be taken out again.
/// </summary>
public sealed class HouseShelf(JobStore store)
{
    private const string Heads = "SELECT h.tick, h.house, h.revision, r.state FROM house_head h JOIN house_revision " +
        "r ON r.id = h.revision WHERE h.tick IN (SELECT max(tick) FROM house_head GROUP BY house)";

    public IReadOnlyList<HouseRow> All() => store.Read(c => c.Query<HouseRow>(Heads + " ORDER BY h.house").AsList());

    public HouseRow? Find(string house) =>
        store.Read(c => c.QueryFirstOrDefault<HouseRow>(Heads + " AND h.house = @house", new { house }));

    /// <summary>The house as it was at a tick, or null.</summary>
    public HouseRow? At(string house, long tick) => store.Read(c => c.QueryFirstOrDefault<HouseRow>(
        "SELECT h.tick, h.house, h.revision, r.state FROM house_head h JOIN house_revision r ON r.id = h.revision " +
            "WHERE h.house = @house AND h.tick <= @tick ORDER BY h.tick DESC LIMIT 1",
            new { house, tick }));

    /// <summary>Whether anything can be stepped back to, and forward.</summary>
    public (bool Back, bool Forward) Steps(long revision) => store.Read(c => (
        c.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM house_revision r JOIN house_revision p ON p.id = " +
            "r.parent WHERE r.id = @revision AND p.state IS NOT NULL)",
            new { revision }),
        c.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM house_revision WHERE parent = @revision AND state IS NOT NULL)",
            new { revision })));

    /// <summary>
    /// Changes a house's file, one change at a time; null from <paramref name="next"/> leaves it as it is. An edit
    /// whose id was kept before is not kept again.
    /// </summary>
    public void Change(string house, string? editId,
        Func<HouseRow?, (string? State, string Says)?> next) => store.Write(w =>
    {
        var now = w.Connection.QueryFirstOrDefault<HouseRow>(Heads + " AND h.house = @house", new { house },
            w.Transaction);
        if (editId is not null
            && w.Connection.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM house_revision WHERE edit_id = @editId)",
                new { editId }, w.Transaction))
            return 0;
        if (next(now) is not { } change) return 0;
        var at = store.Now();
        var revision = w.Connection.ExecuteScalar<long>("INSERT INTO house_revision (house, parent, edit_id, says, " +
            "state, at) VALUES (@house, @parent, @editId, @says, @state, @at) RETURNING id",
            new { house, parent = now?.Revision, editId, says = change.Says, state = change.State, at }, w.Transaction);
        return Move(w, house, revision, at);
    });

    /// <summary>
    /// Steps back to what a house was before, or forward again; stays where there is nothing, and where the same asking
    /// stepped already.
    /// </summary>
    public void Step(string house, bool forward, string? asked = null) => store.Write(w =>
    {
        if (asked is not null
            && w.Connection.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM house_head WHERE asked = @asked)",
                new { asked }, w.Transaction))
            return 0;
        var now = w.Connection.QueryFirst<HouseRow>(Heads + " AND h.house = @house", new { house }, w.Transaction);
        var to = w.Connection.ExecuteScalar<long?>(forward
            ? "SELECT max(id) FROM house_revision WHERE parent = @revision AND state IS NOT NULL"
            : "SELECT p.id FROM house_revision r JOIN house_revision p ON p.id = r.parent WHERE r.id = @revision AND " +
                "p.state IS NOT NULL",
                new { revision = now.Revision }, w.Transaction);
        return to is { } revision ? Move(w, house, revision, store.Now(), asked) : 0;
    });

    private static int Move(Writing w, string house, long revision, string at, string? asked = null) =>
        w.Connection.Execute("INSERT INTO house_head (house, revision, at, asked) VALUES (@house, @revision, @at, @asked)",
            new { house, revision, at, asked }, w.Transaction);
}
