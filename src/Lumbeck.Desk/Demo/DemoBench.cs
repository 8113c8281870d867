namespace Lumbeck.Desk.Demo;

/// <summary>The made-up jobs that an empty bench begins with, each a list of edits.</summary>
internal static class DemoBench
{
    private const string Session = "demo";

    private static readonly (string Slug, string House, string Title, Func<IEnumerable<Edit>> Edits)[] Jobs =
    [
        ("tidewatcher", "tern", "The Tidewatcher’s Ledger", Tidewatcher.Edits),
        ("orrin", "aldwater", "Bridges of the Orrin Valley", Orrin.Edits),
        ("hive", "plover", "Hive Record", Hive.Edits),
        ("calder", "aldwater", "Winter over Calder Sound", Calder.Edits),
        ("lighthouse", "tern", "המגדלור האחרון", Lighthouse.Edits),
    ];

    /// <summary>Each job comes to the bench made: a maker's first step back never takes a piece of it away.</summary>
    public static void Load(Desk desk)
    {
        foreach (var (slug, house, title, edits) in Jobs)
            desk.Begin(title, edits().Concat(slug == "calder" ? Calder.Art(desk) : []).Aggregate(Starters.Job(HouseFile.Shipped[house], title), (job, edit) => edit.Apply(job)), Session, slug);
    }
}
