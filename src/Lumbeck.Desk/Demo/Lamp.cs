using Size = Lumbeck.Core.Measures.Size;

namespace Lumbeck.Desk.Demo;

/// <summary>A short picture book in boards, for a printer of those: few pages, words on a narrow spine.</summary>
internal static class Lamp
{
    public const string Livery = "lantern";

    public static IEnumerable<Edit> Edits() =>
    [
        new SetBinding(BindingKind.Case), new SetTrim(Size.FromMillimetres(210, 210)), new SetPages(32),
        new SetFact(TicketFact.Subtitle, "a story for the last light"), new SetFact(TicketFact.Author, "Wilmet Oake"),
        new SetFact(TicketFact.Imprint, "Skerry & Vane"), new SetFact(TicketFact.Category, "Children / Picture books"),
        new SetIsbn("9780000000088"), new SetPrice(new(9, "GBP")), new SetFact(TicketFact.Finish, "soft-touch laminate"),
        new SetInsideColour(InsideColour.Colour),
        new SetFact(TicketFact.Blurb,
            "Every evening somebody carries the lamp down to the water. Tonight nobody comes, so the lamp gets up and " +
            "walks.\n\nFor readers of three and over, and for whoever reads to them."),
    ];
}
