using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Edits;

/// <summary>The facts that are words, and where they appear on a cover.</summary>
public enum Words { Title, Subtitle, Author, Imprint, Finish, Series, SeriesNumber, Edition }

/// <summary>Sets a fact in words. Texts on the cover that still say the old words of that fact say the new ones.</summary>
public sealed record SetFact(Words Which, string Text) : TicketEdit
{
    protected override string Fact => Which == Words.SeriesNumber ? "series-number" : Which.ToString().ToLower(CultureInfo.InvariantCulture);

    protected override Ticket On(Ticket t)
    {
        var text = Plain.Line(Text);
        return Which switch
        {
            Words.Title => t with { Title = text },
            Words.Subtitle => t with { Subtitle = text },
            Words.Author => t with { Author = text },
            Words.Imprint => t with { Imprint = text },
            Words.Series => t with { Series = text },
            Words.SeriesNumber => t with { SeriesNumber = text },
            Words.Edition => t with { Edition = text },
            _ => t with { Finish = text },
        };
    }

    protected override Job On(Job job)
    {
        if (Text.Length > 300) throw new Refusal("ticket/" + Fact, $"a {Fact} of {Text.Length} letters is over 300: shorten it");
        var before = job.Ticket.Words(Which);
        var after = base.On(job);
        if (before.Length == 0 || Text.Length == 0) return after;
        Item said(Item item) => item is TextItem t && t.Words == before && Which.Role() == t.Role ? SetWords.With(t, Plain.Line(Text)) : item;
        // In every take: they share the ticket.
        return after with { Wraps = [.. after.Wraps.Select(w => w with { Takes = [.. w.Takes.Select(t => t with { Items = [.. t.Items.Select(said)] })] })] };
    }
}

public static class TicketWords
{
    public static string Words(this Ticket t, Words which) => which switch
    {
        Edits.Words.Title => t.Title,
        Edits.Words.Subtitle => t.Subtitle,
        Edits.Words.Author => t.Author,
        Edits.Words.Imprint => t.Imprint,
        Edits.Words.Series => t.Series,
        Edits.Words.SeriesNumber => t.SeriesNumber,
        Edits.Words.Edition => t.Edition,
        _ => t.Finish,
    };

    public static TextRole Role(this Words which) => which switch
    {
        Edits.Words.Title => TextRole.Title,
        Edits.Words.Subtitle => TextRole.Subtitle,
        Edits.Words.Author => TextRole.Author,
        Edits.Words.Imprint => TextRole.Imprint,
        _ => TextRole.Free,
    };
}
