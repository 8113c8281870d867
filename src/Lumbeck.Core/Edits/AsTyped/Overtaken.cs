namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>A fact that two changed at once, as people read it.</summary>
/// <param name="Path">Which fact.</param>
/// <param name="Label">What it is called.</param>
/// <param name="Theirs">What it says now.</param>
/// <param name="Yours">What it would say.</param>
public sealed record Overtaken(string Path, string Label, string Theirs, string Yours)
{
    /// <summary>What an edit touches that was changed meanwhile; null where they touch nothing in common.</summary>
    /// <param name="seen">The job as the edit's maker saw it.</param>
    /// <param name="now">The job as it is.</param>
    /// <param name="mine">The seen job after the edit.</param>
    /// <param name="then">The job as it is after the edit; null where it can’t be made any more.</param>
    public static Overtaken? Of(Job seen, Job now, Job mine, Job? then)
    {
        var theirs = Touched.Between(seen, now);
        if (theirs.Count == 0) return null;
        var both = Touched.Between(seen, mine).Where(m => theirs.Any(m.Meets)).ToList();
        if (both.Count == 0) return null;
        // The same said twice is no conflict, unless it would be done twice: two who mirror a cover mean one mirroring.
        var meanwhile = Touched.Between(now, mine).Concat(then is null ? [] : Touched.Between(now, then)).ToHashSet();
        both = [.. both.Where(b => meanwhile.Any(b.Meets))];
        foreach (var address in both)
            foreach (var fact in Candidates(seen, address).Concat(Candidates(now, address)))
                if (Facts.Read(seen, fact.Path) is var was && Facts.Read(mine, fact.Path) is var yours && yours != was
                    && Facts.Read(now, fact.Path) is var stands && stands != was)
                    return new(fact.Path, fact.Label, stands, yours);
        if (both.Count == 0) return null;
        return Pictured(both[0], now, mine) ?? new("", Said(both[0], now), "something else", "what you did");
    }

    private static IEnumerable<Fact> Candidates(Job job, Address address) => address switch
    {
        TicketAddress => TicketFacts.All,
        SwatchAddress s => GroundFacts.OfSwatch(s.Swatch),
        TakeAddress or WrapAddress when (address as TakeAddress)?.Wrap is var w => GroundFacts.Of(job, w
            ?? ((WrapAddress)address).Wrap),
        ItemAddress i when job.Item(i.Item) is { } item => ItemFacts.Of(item),
        _ => [],
    };

    private static Overtaken? Pictured(Address address, Job now, Job mine)
    {
        if (address is not ItemAddress { Member: "picture" } at) return null;
        string hung(Job job) => (job.Item(at.Item) as PictureItem)?.Picture?.Name ?? "no picture";
        return new("", now.Item(at.Item)?.Called ?? "A picture", hung(now), hung(mine));
    }

    private static string Said(Address address, Job job) => address switch
    {
        ItemAddress i => job.Item(i.Item)?.Kind ?? "An item",
        TakeAddress { Member: "order" } => "The order of items",
        TakeAddress or WrapAddress => "The takes",
        SwatchAddress => "A swatch",
        WaiverAddress w => w.Rule,
        _ => "This",
    };
}
