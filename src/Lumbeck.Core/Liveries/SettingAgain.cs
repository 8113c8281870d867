namespace Lumbeck.Core.Liveries;

/// <summary>
/// A livery composed anew over a take that it laid: what no hand has moved is as it would be laid now, what a hand has
/// moved, removed or added stays as the hand left it.
/// </summary>
public static class SettingAgain
{
    /// <param name="now">The take as it is, with what laid it.</param>
    /// <param name="laid">What the same livery makes of the job now.</param>
    /// <param name="ticket">The ticket.</param>
    public static Take Merge(Take now, Take laid, Ticket ticket)
    {
        var said = Carried.Said(ticket);
        var worn = now.Worn ?? throw new Refusal("takes", "no livery laid this design");
        var fresh = laid.Items.ToDictionary(i => i.Laid!.Part);
        var items = new List<Item>();
        var there = new HashSet<string>();
        foreach (var item in now.Items)
        {
            if (item.Laid is not { } part || !there.Add(part.Part) || !Figures.AsLaid(item)) { items.Add(item); continue; }
            // What the ticket says no more goes.
            if (!fresh.TryGetValue(part.Part, out var again)) continue;
            // Words that a hand wrote, and the ticket does not know, stay said.
            if (item is TextItem was && again is TextItem text && Figures.OfWords(was.Words) != part.Words
                && !said.Contains(Plain.Bare(was.Words), StringComparison.Ordinal))
                again = text with { Words = was.Words, Runs = was.Runs, From = was.From };
            items.Add(again with { Id = item.Id, Name = item.Name, Group = item.Group, Hidden = item.Hidden });
        }
        // New parts lie over the part that they follow; what was removed by hand is not laid again.
        foreach (var (n, part) in laid.Items.Index())
        {
            if (there.Contains(part.Laid!.Part) || worn.Parts.Contains(part.Laid.Part)) continue;
            var before = laid.Items.Take(n).Select(i => i.Laid!.Part).Reverse()
                .Select(p => items.FindIndex(i => i.Laid?.Part == p)).FirstOrDefault(at => at >= 0, -1);
            items.Insert(before + 1, part with { Id = Free.Id(part.Id, id => items.Any(i => i.Id == id)) });
        }
        return now with
        {
            Items = [.. items],
            Ground = Figures.Of(now.Ground) == worn.Ground ? laid.Ground : now.Ground,
            Worn = laid.Worn! with { Parts = [.. worn.Parts.Union(laid.Worn!.Parts)] },
        };
    }
}
