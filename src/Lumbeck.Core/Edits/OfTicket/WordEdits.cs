namespace Lumbeck.Core.Edits.OfTicket;

/// <summary>The facts that are words, and where they appear on a cover.</summary>
public enum TicketFact { Title, Subtitle, Author, Imprint, Finish, Series, SeriesNumber, Edition }

/// <summary>
/// Sets a fact in words. Texts on the cover that still say the old words of that fact say the new ones.
/// </summary>
public sealed record SetFact(TicketFact Which, string Text) : TicketEdit
{
    protected override string Fact =>
        Which == TicketFact.SeriesNumber ? "series-number" : Which.ToString().ToLower(CultureInfo.InvariantCulture);

    protected override Ticket On(Ticket t)
    {
        var text = Plain.Line(Text);
        return Which switch
        {
            TicketFact.Title => t with { Title = text },
            TicketFact.Subtitle => t with { Subtitle = text },
            TicketFact.Author => t with { Author = text },
            TicketFact.Imprint => t with { Imprint = text },
            TicketFact.Series => t with { Series = text },
            TicketFact.SeriesNumber => t with { SeriesNumber = text },
            TicketFact.Edition => t with { Edition = text },
            _ => t with { Finish = text },
        };
    }

    protected override Job On(Job job)
    {
        if (Text.Length > 300)
            throw new Refusal("ticket/" + Fact, $"a {Fact} of {Text.Length} letters is over 300: shorten it");
        var before = job.Ticket.Words(Which);
        var after = base.On(job);
        if (Plain.Line(Text).Length == 0) return after;
        // What still has the words it was added with stands for the fact, too.
        Item said(Item item) => item is TextItem t && Which.Role() == t.Role
            && (t.Starter || (before.Length > 0 && t.Words == before))
            ? SetWords.With(t, Plain.Line(Text)) with { Starter = false }
            : item;
        // In every take: they share the ticket.
        return after with
        {
            Wraps = [.. after.Wraps.Select(w =>
                w with { Takes = [.. w.Takes.Select(t => t with { Items = [.. t.Items.Select(said)] })] })],
        };
    }
}

public static class TicketWords
{
    public static string Words(this Ticket t, TicketFact which) => which switch
    {
        TicketFact.Title => t.Title,
        TicketFact.Subtitle => t.Subtitle,
        TicketFact.Author => t.Author,
        TicketFact.Imprint => t.Imprint,
        TicketFact.Series => t.Series,
        TicketFact.SeriesNumber => t.SeriesNumber,
        TicketFact.Edition => t.Edition,
        _ => t.Finish,
    };

    public static TextRole Role(this TicketFact which) => which switch
    {
        TicketFact.Title => TextRole.Title,
        TicketFact.Subtitle => TextRole.Subtitle,
        TicketFact.Author => TextRole.Author,
        TicketFact.Imprint => TextRole.Imprint,
        _ => TextRole.Free,
    };
}
