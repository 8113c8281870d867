namespace Lumbeck.Core.Edits.OfTicket;

/// <summary>An edit of one fact of the ticket.</summary>
public abstract record TicketEdit : Edit
{
    protected abstract string Fact { get; }
    public override string Says(Job before) => Fact;
    protected abstract Ticket On(Ticket t);
    protected override Job On(Job job) =>
        On(job.Ticket) is var next && this is SetHouse ? job with { Ticket = next }
            : job with { Ticket = EarlierChoices.Answered(job.Ticket, next) };
}

public sealed record SetIsbn(string? Digits) : TicketEdit
{
    protected override string Fact => "isbn";
    protected override Ticket On(Ticket t)
    {
        if (Digits is null) return t with { Isbn = null };
        return Isbn.TryParse(Digits, out var isbn, out var why)
            ? t with { Isbn = isbn }
            : throw new Refusal("ticket/isbn", why);
    }
}

/// <summary>Those who made the book besides its author.</summary>
public sealed record SetContributors(ImmutableList<Person> Contributors) : TicketEdit
{
    protected override string Fact => "people";
    // Read as it is shown, so that whatever sent it, no unknown role comes in.
    protected override Ticket On(Ticket t) =>
        Person.TryParse(Person.Show(Contributors), out var people, out var why)
            ? t with { Contributors = people }
            : throw new Refusal("ticket/people", why);
}

public sealed record SetPrice(Price? Price) : TicketEdit
{
    protected override string Fact => "price";
    protected override Ticket On(Ticket t) => t with { Price = Read(Price, "ticket/price") };

    /// <summary>As it is shown, so that whatever sent it, no price comes in that nobody could have typed.</summary>
    internal static Price? Read(Price? price, string path) => price is null ? null
        : Trade.Barcodes.Price.TryParse(price.ToString(), out var read, out var why) ? read : throw new Refusal(path, why);
}

/// <summary>A price in another currency.</summary>
public sealed record SetSecondPrice(Price? Price) : TicketEdit
{
    protected override string Fact => "second-price";
    protected override Ticket On(Ticket t) => t with { SecondPrice = SetPrice.Read(Price, "ticket/second-price") };
}

/// <summary>What others said of the book.</summary>
public sealed record SetReviewQuotes(ImmutableList<ReviewQuote> ReviewQuotes) : TicketEdit
{
    protected override string Fact => "quotations";
    // Read as it is shown, as people are.
    protected override Ticket On(Ticket t) => ReviewQuote.TryParse(ReviewQuote.Show(ReviewQuotes), out var all, out var why)
        ? t with { ReviewQuotes = all } : throw new Refusal("ticket/quotations", why);
}

/// <summary>
/// Sets the language; the reading direction follows it, unless the maker had set another than the old language's.
/// </summary>
public sealed record SetLanguage(string Code) : TicketEdit
{
    protected override string Fact => "language";
    protected override Ticket On(Ticket t)
    {
        if (Language.All.All(l => l.Code != Code))
            throw new Refusal("ticket/language",
                $"`{LengthText.Clip(Code)}` is no language here: pick one of the list");
        return t with
        {
            Language = Code,
            Reading = t.Reading == Language.Of(t.Language).Reading ? Language.Of(Code).Reading : t.Reading,
        };
    }
}

public sealed record SetInsideColour(InsideColour Colour) : TicketEdit
{
    protected override string Fact => "inside-colour";
    protected override Ticket On(Ticket t) => t with { InsideColour = Colour };
}

public sealed record SetReading(Reading Reading) : TicketEdit
{
    protected override string Fact => "reading";
    protected override Ticket On(Ticket t) => t with { Reading = Reading };
}

public sealed record SetUnit(Unit Unit) : TicketEdit
{
    protected override string Fact => "unit";
    protected override Ticket On(Ticket t) => t with { Unit = Unit };
}

/// <summary>Keeps what the printer's own calculator or template says, as it was typed.</summary>
public sealed record SetPrinterSays(string Text) : TicketEdit
{
    protected override string Fact => "printer-says";
    protected override Ticket On(Ticket t)
    {
        var text = Plain.Line(Text);
        return t with { PrinterSays = text.Length == 0 ? "" : Stated.WithUnit(text, t.Unit) };
    }
}

/// <summary>Builds on the printer's own spine; null goes back to the computed one.</summary>
public sealed record PinSpine(Length? Spine) : TicketEdit
{
    protected override string Fact => "pinned";
    protected override Ticket On(Ticket t) => t with { PinnedSpine = Spine };
}
