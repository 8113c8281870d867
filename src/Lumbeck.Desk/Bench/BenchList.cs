namespace Lumbeck.Desk.Bench;

/// <summary>The bench as a list: what is looked for, and in which order.</summary>
/// <param name="Find">Words; a job is listed where it says each of them, in any case of letters.</param>
/// <param name="Sort">A word of <see cref="Sorts"/>.</param>
public sealed record BenchList(string Find, string Sort)
{
    /// <summary>How the list can be sorted: the word, and what people read. The first is how it is at first.</summary>
    public static IReadOnlyList<(string Word, string Says)> Sorts { get; } =
        [("begun", "begun last"), ("changed", "changed last"), ("title", "by title"), ("author", "by author"),
            ("printer", "by printer")];

    /// <summary>As it was asked for; an order that is not known is the first.</summary>
    public static BenchList Asked(string? find, string? sort) =>
        new((find ?? "").Trim(), Sorts.Any(s => s.Word == sort) ? sort! : Sorts[0].Word);

    /// <summary>
    /// The jobs that are listed, in their order. What was begun last is on top, and so are equals in any other order.
    /// </summary>
    /// <param name="places">In the order they were begun; those that can't be shown are left out.</param>
    public IReadOnlyList<OnBench> Of(IReadOnlyList<BenchPlace> places)
    {
        var words = Find.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var found = places.Reverse()
            .Where(p => p.On is { } on && words.All(w => Said(on).Contains(w, StringComparison.OrdinalIgnoreCase)));
        IEnumerable<BenchPlace> by(Func<Ticket, string> what) =>
            found.OrderBy(p => what(p.On!.Job.Ticket), StringComparer.OrdinalIgnoreCase);
        var sorted = Sort switch
        {
            "changed" => found.OrderByDescending(p => p.Changed, StringComparer.Ordinal),
            "title" => by(t => t.Title),
            "author" => by(t => t.Author),
            "printer" => by(t => t.House.Name),
            _ => found,
        };
        return [.. sorted.Select(p => p.On!)];
    }

    /// <summary>What a job can be found by.</summary>
    private static string Said(OnBench on)
    {
        var t = on.Job.Ticket;
        return $"{t.Title} {t.Subtitle} {t.Author} {t.Series} {t.Imprint} {t.House.Name} {t.Binding.Say()} {t.Isbn} " +
            $"{on.Slug}";
    }
}
