namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>What a ticket becomes at another printer, fact by fact, as people read it.</summary>
public static class AtAnotherPrinter
{
    private static readonly string[] Followed = ["ticket/binding", "ticket/paper", "ticket/finish", "ticket/flaps",
        "ticket/back", "ticket/pinned"];

    /// <summary>Facts that are others there: label, here, there; none where the printer is the same.</summary>
    public static IReadOnlyList<(string Label, string Was, string Is)> Between(Job before, Job now) =>
        before.Ticket.House.Id == now.Ticket.House.Id ? [] :
        [
            .. from path in Followed
               let fact = Facts.Find(before, path)
               where fact is not null
               let was = fact.Read(before)
               let becomes = fact.Read(now)
               where was != becomes
               select (fact.Label, was, becomes),
        ];
}
