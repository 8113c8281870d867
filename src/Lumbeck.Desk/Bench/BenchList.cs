namespace Lumbeck.Desk.Bench;

/// <summary>The bench as a list: what is looked for, and in which order.</summary>
/// <param name="Find">Words; a job is listed where it says each of them, in any case of letters.</param>
/// <param name="Sort">A word of <see cref="Sorts"/>.</param>
public sealed record BenchList(string Find, string Sort)
{
    /// <summary>How the list can be sorted: the word, and what people read. The first is how it is at first.</summary>
    public static IReadOnlyList<(string Word, string Says)> Sorts { get; } =
        [("begun", "begun last"), ("changed", "changed last"), ("title", "by title"), ("author", "by author"),
            ("series", "by series"), ("printer", "by printer")];

    /// <summary>As it was asked for; an order that is not known is the first.</summary>
    public static BenchList Asked(string? find, string? sort) =>
        new((find ?? "").Trim(), Sorts.Any(s => s.Word == sort) ? sort! : Sorts[0].Word);

    /// <summary>
    /// The jobs that are listed, in their order. What was begun last is on top, and so are equals in any other order.
    /// </summary>
    /// <param name="places">In the order they were begun; those that can't be shown are left out.</param>
    public IReadOnlyList<BenchPlace> Of(IReadOnlyList<BenchPlace> places)
    {
        var words = Find.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var found = places.Reverse()
            .Where(p =>
                p.Job is { } job && words.All(w => Said(p.Slug, job).Contains(w, StringComparison.OrdinalIgnoreCase)));
        IEnumerable<BenchPlace> by(Func<JobSummary, string> what) =>
            found.OrderBy(p => what(p.Job!), StringComparer.OrdinalIgnoreCase);
        return [.. Sort switch
        {
            "changed" => found.OrderByDescending(p => p.Changed, StringComparer.Ordinal),
            "title" => by(j => j.Title),
            "author" => by(j => j.Author),
            "printer" => by(j => j.House),
            // A series in the order of its volumes; books by themselves after all series.
            "series" => found.OrderBy(p => p.Job!.Series.Length == 0).ThenBy(p => p.Job!.Series, Volumes),
            _ => found,
        }];
    }

    /// <summary>By the words, and by the number that a volume ends with.</summary>
    private static readonly Comparer<string> Volumes = Comparer<string>.Create((a, b) =>
    {
        static (string Words, int Number) parted(string s) => s.LastIndexOf(' ') is > 0 and var at
            && int.TryParse(s[(at + 1)..], CultureInfo.InvariantCulture, out var n) ? (s[..at], n) : (s, 0);
        var ((x, m), (y, n)) = (parted(a), parted(b));
        var words = string.Compare(x, y, StringComparison.OrdinalIgnoreCase);
        return words != 0 ? words : m.CompareTo(n);
    });

    /// <summary>What a job can be found by.</summary>
    private static string Said(string slug, JobSummary j) =>
        $"{j.Title} {j.Subtitle} {j.Author} {j.Series} {j.Imprint} {j.House} {j.Binding} {j.Isbn} {slug}";
}
