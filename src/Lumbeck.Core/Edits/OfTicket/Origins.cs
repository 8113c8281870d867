namespace Lumbeck.Core.Edits.OfTicket;

/// <summary>
/// Values that come from the ticket: what it says now reaches them, until a hand says something else
/// (docs/architecture.md, Origins).
/// </summary>
public static class Origins
{
    /// <summary>The value of a text that has an origin: its words.</summary>
    public const string Words = "words";

    /// <summary>An item with the fact of the ticket that its words are, where they are one.</summary>
    public static Item Told(Item item, Ticket ticket) =>
        item is TextItem { Composed: false, Starter: false, Runs.IsEmpty: true } text
            && Enum.GetValues<TicketFact>().FirstOrDefault(f => ticket.Words(f) is { Length: > 0 } said && said == text.Words,
                (TicketFact)(-1)) is >= 0 and var fact
            ? item.WithOrigin(Words, new(OriginKind.Ticket, fact.Word()))
            : item;

    /// <summary>
    /// What comes from the ticket, as it says it after an edit. Words that the edit changed otherwise are a hand's from then
    /// on; a fact that says nothing leaves them as they are.
    /// </summary>
    /// <param name="before">The job before the edit.</param>
    /// <param name="after">The job after it.</param>
    public static Job Follow(Job before, Job after)
    {
        if (ReferenceEquals(before.Wraps, after.Wraps) && ReferenceEquals(before.Ticket, after.Ticket)) return after;
        Item followed(Item item, Item? earlier)
        {
            if (item is not TextItem text || item.OriginOf(Words) is not { Kind: OriginKind.Ticket } origin
                || TicketWords.Find(origin.Of) is not { } fact)
                return item;
            var says = after.Ticket.Words(fact);
            if (text.Words == says) return item;
            // Words that this edit changed to others than the ticket's are a hand's, whether the ticket says any or none.
            if (earlier is TextItem own && own.Words != text.Words) return item.WithOrigin(Words, null);
            return says.Length == 0 || says == before.Ticket.Words(fact) ? item : SetWords.With(text, says);
        }
        Take taken(Take take, Take? earlier)
        {
            var items = take.Items;
            foreach (var item in take.Items)
                if (item.From is not null && followed(item, earlier?.Items.Find(i => i.Id == item.Id)) is var now
                    && !ReferenceEquals(now, item))
                    items = items.Replace(item, now);
            return ReferenceEquals(items, take.Items) ? take : take with { Items = items };
        }
        var wraps = after.Wraps;
        foreach (var wrap in after.Wraps)
        {
            var was = before.Wraps.Find(w => w.Name == wrap.Name);
            var takes = wrap.Takes.Select(t => taken(t, was?.Find(t.Id))).ToImmutableList();
            if (takes.Where((t, n) => !ReferenceEquals(t, wrap.Takes[n])).Any())
                wraps = wraps.Replace(wrap, wrap with { Takes = takes });
        }
        return ReferenceEquals(wraps, after.Wraps) ? after : after with { Wraps = wraps };
    }

    /// <summary>
    /// Whether a ticket knows something that it did not know before, whatever it says of it: a blurb where there was none, a
    /// number, a price, a mark. A livery lays such things in places of their own.
    /// </summary>
    public static bool KnowsMore(Ticket before, Ticket after)
    {
        static IEnumerable<bool> known(Ticket t) => Enum.GetValues<TicketFact>().Select(f => t.Words(f).Length > 0)
            .Concat([t.Isbn is not null, t.Price is not null, t.SecondPrice is not null, t.Portrait is not null,
                t.Mark is not null, t.ReviewQuotes.Count > 0]);
        return !ReferenceEquals(before, after) && known(before).Zip(known(after)).Any(k => !k.First && k.Second);
    }
}
