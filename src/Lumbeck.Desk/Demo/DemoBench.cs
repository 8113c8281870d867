namespace Lumbeck.Desk.Demo;

/// <summary>The made-up jobs that an empty bench begins with, each a list of edits.</summary>
public static class DemoBench
{
    private const string Session = "demo";

    private static readonly (string Slug, string House, string Title, Func<Drawer, IEnumerable<Edit>> Edits)[] Jobs =
    [
        ("tidewatcher", "tern", "The Tidewatcher’s Ledger", _ => Tidewatcher.Edits()),
        ("orrin", "aldwater", "Bridges of the Orrin Valley", Orrin.Edits),
        ("hive", "plover", "Hive Record", _ => Hive.Edits()),
        ("calder", "aldwater", "Winter over Calder Sound", Calder.Edits),
        ("lighthouse", "tern", "המגדלור האחרון", Lighthouse.Edits),
        ("trouble", "tern", "The Salt Road", SaltRoad.Edits),
        ("monday", "aldwater", "Half Past Monday", Monday.Edits),
        ("crossing", "tern", "A Long Crossing", _ => Crossing.Edits()),
        ("lamp", "wren", "The Lamp That Walked", _ => Lamp.Edits()),
        ("pass", "plover", "The Pass above Ennor", _ => Pass.Edits()),
    ];

    /// <summary>Those that are nothing but a ticket and a livery.</summary>
    private static readonly Dictionary<string, string> Worn = new() { ["pass"] = Pass.Livery, ["lamp"] = Lamp.Livery };

    /// <summary>Each job comes to the bench made: a maker's first step back never takes a piece of it away.</summary>
    public static void Load(AppServices desk)
    {
        foreach (var (slug, house, title, edits) in Jobs)
        {
            var made = Told(edits(desk.Drawer).Aggregate(Starters.Job(HouseFile.Shipped[house], title),
                desk.Jobs.After));
            if (Worn.TryGetValue(slug, out var livery)) made = desk.Jobs.After(made, Wearing.Of(made, livery, 1, null, "worn",
                desk.Drawer.Shelf).Edit);
            desk.Bench.Begin(title, made, Session, slug);
        }
    }

    /// <summary>A ticket knows the blurb that its cover says.</summary>
    private static Job Told(Job job) => job.Items.OfType<TextItem>()
        .FirstOrDefault(t => t.Role == TextRole.Blurb) is { } blurb
        ? new SetFact(TicketFact.Blurb, blurb.Words).Apply(job) : job;
}
