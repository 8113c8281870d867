using Size = Lumbeck.Core.Measures.Size;

namespace Lumbeck.Desk.Demo;

/// <summary>A travel book that is nothing but a ticket and a livery.</summary>
internal static class Pass
{
    public const string Livery = "wayfarer";

    public static IEnumerable<Edit> Edits() =>
    [
        new SetTrim(Size.FromMillimetres(120, 190)), new SetPages(176),
        new SetFact(TicketFact.Subtitle, "nine crossings on foot"), new SetFact(TicketFact.Author, "Jory Hallam"),
        new SetFact(TicketFact.Imprint, "Skerry & Vane"), new SetFact(TicketFact.Category, "Travel / Mountains"),
        new SetIsbn("9780000000071"), new SetPrice(new(14, "GBP")),
        new SetFact(TicketFact.Blurb,
            "There is one road over Ennor, and it is closed from October to May. Jory Hallam walked it nine times, twice " +
            "with a mule, once at night, and once the wrong way.\n\nA book about weather, boots, and the people who keep a " +
            "lamp lit for whoever comes down last."),
        new SetReviewQuotes([new("I read it in one sitting and then bought boots.", "The Quayside Review")]),
    ];
}
