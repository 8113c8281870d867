namespace Lumbeck.Core.Edits.AsTyped;

/// <summary>The ticket's facts, in the order a ticket lists them: the book first, then how it is made.</summary>
public static class TicketFacts
{
    private static readonly (string, Reading)[] Readings = [("ltr", Reading.LeftToRight), ("rtl", Reading.RightToLeft)];
    private static readonly (string, Unit)[] Units = [("in", Unit.Inch), ("mm", Unit.Millimetre)];
    private static readonly (string, InsideColour)[] Colours = [("black", InsideColour.Black),
        ("colour", InsideColour.Colour)];

    public static IReadOnlyList<Fact> All { get; } =
    [
        Word("title", "Title", TicketFact.Title),
        Word("subtitle", "Subtitle", TicketFact.Subtitle),
        Word("series", "Series", TicketFact.Series),
        Word("series-number", "Number", TicketFact.SeriesNumber),
        Word("author", "Author", TicketFact.Author),
        new("ticket/people", "Contributors", j => Person.Show(j.Ticket.Contributors),
            (_, t) => new SetContributors(Person.TryParse(t, out var people, out var why) ? people : throw Typed.No(why))),
        Word("imprint", "Imprint", TicketFact.Imprint),
        Word("edition", "Edition", TicketFact.Edition),
        new("ticket/isbn", "ISBN", j => j.Ticket.Isbn?.ToString() ?? "",
            (_, t) => t.Trim().Length == 0
                ? new SetIsbn(null)
                : Isbn.TryParse(t, out var isbn, out var why)
                ? new SetIsbn(isbn.Digits)
                : throw Typed.No(why)),
        new("ticket/price", "Price", j => j.Ticket.Price?.ToString() ?? "", (_, t) => new SetPrice(PriceOf(t))),
        new("ticket/second-price", "Abroad", j => j.Ticket.SecondPrice?.ToString() ?? "", (_, t) => new SetSecondPrice(PriceOf(t))),
        Word("spine-title", "On the spine", TicketFact.SpineTitle),
        Word("category", "Category", TicketFact.Category),
        Word("blurb", "Blurb", TicketFact.Blurb),
        Word("note", "About the author", TicketFact.Note),
        Pictured("mark", "Imprint’s mark", TicketPicture.Mark, t => t.Mark),
        Pictured("portrait", "Author’s picture", TicketPicture.Portrait, t => t.Portrait),
        new("ticket/quotations", "Review quotes", j => ReviewQuote.Show(j.Ticket.ReviewQuotes),
            (_, t) => new SetReviewQuotes(ReviewQuote.TryParse(t, out var all, out var why) ? all : throw Typed.No(why))),
        new("ticket/language", "Language", j => j.Ticket.Language,
            (_, t) => new SetLanguage(Language.All.FirstOrDefault(l =>
                l.Name.Equals(t.Trim(), StringComparison.OrdinalIgnoreCase))?.Code
                ?? t.Trim()))
            { Choices = _ => [.. Language.All.Select(l => (l.Code, l.Name))] },
        new("ticket/reading", "Reads", j => Readings.First(r => r.Item2 == j.Ticket.Reading).Item1,
            (_, t) => new SetReading(Typed.Choice(t, Readings)))
            { Choices = Facts.Of(("ltr", "left to right"), ("rtl", "right to left")) },
        new("ticket/house", "Printer", j => j.Ticket.House.Name,
            (j, t) => new SetHouse(t == j.Ticket.House.Name ? j.Ticket.House : HouseFile.Shipped.GetValueOrDefault(t)
                ?? HouseFile.Shipped.Values.FirstOrDefault(h => h.Name == t)
                ?? throw Typed.No($"no printer is called `{LengthText.Clip(t)}`: pick " +
                    $"{string.Join(", ", HouseFile.Shipped.Values.Select(h => h.Name))}")))
            { Choices = _ => [.. HouseFile.Shipped.Values.Select(h => (h.Name, h.Name))] },
        .. MakingFacts.All,
        new("ticket/printer-says", "They say", j => j.Ticket.PrinterSays, (_, t) => new SetPrinterSays(t)),
        new("ticket/pinned", "Pinned spine", j => j.Ticket.PinnedSpine?.Show(j.Ticket.Unit) ?? "",
            (j, t) => new PinSpine(t.Trim().Length == 0 ? null : MakingFacts.Same(j, t, j.Ticket.PinnedSpine))),
        new("ticket/finish", "Finish", j => j.Ticket.Finish, (j, t) => new SetFact(TicketFact.Finish,
            t.Trim().Length == 0 || j.Ticket.House.Finishes.Contains(t.Trim()) ? t.Trim()
                : throw Typed.No(CoverFinishes.WhyNot(t.Trim(), j.Ticket.House))))
            { Choices = j => [("", "not chosen"), .. j.Ticket.House.Finishes.Select(f => (f, f))] },
        new("ticket/inside-colour", "Inside", j => Colours.First(c => c.Item2 == j.Ticket.InsideColour).Item1,
            (_, t) => new SetInsideColour(Typed.Choice(t, Colours)))
            { Choices = Facts.Of(("black", "black only"), ("colour", "in colour")) },
        new("ticket/unit", "Unit", j => LengthText.Name(j.Ticket.Unit), (_, t) => new SetUnit(Typed.Choice(t, Units)))
            { Choices = Facts.Of(("in", "inches"), ("mm", "millimetres")) },
    ];

    private static Price? PriceOf(string text) => text.Trim().Length == 0 ? null
        : Price.TryParse(text, out var price, out var why) ? price : throw Typed.No(why);

    /// <summary>By its name; no words take it off, and a file hangs another.</summary>
    private static Fact Pictured(string key, string label, TicketPicture which, Func<Ticket, Picture?> of) =>
        new("ticket/" + key, label, j => of(j.Ticket)?.Name ?? "", (j, t) => t.Trim().Length == 0 ? new SetTicketPicture(which)
            : t == of(j.Ticket)?.Name ? new SetTicketPicture(which, of(j.Ticket))
            : throw Typed.No("a picture is taken in as a file: pick it on Ticket, or leave this empty to take it off"));

    private static Fact Word(string key, string label, TicketFact which) =>
        new("ticket/" + key, label, j => j.Ticket.Words(which), (_, t) => new SetFact(which, t.Trim()));
}
