namespace Lumbeck.Core.Edits.OfTicket;

/// <summary>The facts that are words, and where they appear on a cover.</summary>
public enum TicketFact
{
    Title, Subtitle, Author, Imprint, Finish, Series, SeriesNumber, Edition, SpineTitle, Category, Blurb, Note
}

/// <summary>
/// Sets a fact in words. Texts on the cover that still say the old words of that fact say the new ones.
/// </summary>
public sealed record SetFact(TicketFact Which, string Text) : TicketEdit
{
    protected override string Fact => Which.Word();

    protected override Ticket On(Ticket t)
    {
        var text = Which.Plainly(Text);
        return Which switch
        {
            TicketFact.Title => t with { Title = text },
            TicketFact.Subtitle => t with { Subtitle = text },
            TicketFact.Author => t with { Author = text },
            TicketFact.Imprint => t with { Imprint = text },
            TicketFact.Series => t with { Series = text },
            TicketFact.SeriesNumber => t with { SeriesNumber = text },
            TicketFact.Edition => t with { Edition = text },
            TicketFact.SpineTitle => t with { SpineTitle = text },
            TicketFact.Category => t with { Category = text },
            TicketFact.Blurb => t with { Blurb = text },
            TicketFact.Note => t with { Note = text },
            _ => t with { Finish = text },
        };
    }

    protected override Job On(Job job)
    {
        if (Text.Length > Which.Most())
            throw new Refusal("ticket/" + Fact, $"a {Fact} of {Text.Length} letters is over {Which.Most()}: shorten it");
        var before = job.Ticket.Words(Which);
        var after = base.On(job);
        var says = Which.Plainly(Text);
        // A spine without a title of its own has the whole one.
        if (Which == TicketFact.SpineTitle) (before, says) = (job.Ticket.TitleOnSpine, after.Ticket.TitleOnSpine);
        if (says.Length == 0) return after;
        // What still has the words it was added with stands for the fact, too.
        Item said(Item item) => item is TextItem t && Which.Role() == t.Role
            && (Which != TicketFact.SpineTitle || t.Hold.Panel == Part.Spine)
            && ((t.Starter && Which != TicketFact.SpineTitle) || (before.Length > 0 && t.Words == before))
            ? SetWords.With(t, says) with { Starter = false }
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
    /// <summary>A fact's word at its path: <c>series-number</c>.</summary>
    public static string Word(this TicketFact which) => which switch
    {
        TicketFact.SeriesNumber => "series-number",
        TicketFact.SpineTitle => "spine-title",
        _ => which.ToString().ToLower(CultureInfo.InvariantCulture),
    };

    /// <summary>The fact of that word; null where there is none.</summary>
    public static TicketFact? Find(string word) =>
        Enum.GetValues<TicketFact>().Cast<TicketFact?>().FirstOrDefault(f => f!.Value.Word() == word);

    /// <summary>Most letters that the fact may have.</summary>
    public static int Most(this TicketFact which) => which switch
    {
        TicketFact.Blurb => Ticket.LongestBlurb,
        TicketFact.Note => Ticket.LongestNote,
        _ => 300,
    };

    /// <summary>Without what is no word of it: a blurb and a note have paragraphs, all else is one line.</summary>
    public static string Plainly(this TicketFact which, string text) =>
        which is TicketFact.Blurb or TicketFact.Note ? Plain.Text(text).Trim() : Plain.Line(text);

    public static string Words(this Ticket t, TicketFact which) => which switch
    {
        TicketFact.Title => t.Title,
        TicketFact.Subtitle => t.Subtitle,
        TicketFact.Author => t.Author,
        TicketFact.Imprint => t.Imprint,
        TicketFact.Series => t.Series,
        TicketFact.SeriesNumber => t.SeriesNumber,
        TicketFact.Edition => t.Edition,
        TicketFact.SpineTitle => t.SpineTitle,
        TicketFact.Category => t.Category,
        TicketFact.Blurb => t.Blurb,
        TicketFact.Note => t.Note,
        _ => t.Finish,
    };

    public static TextRole Role(this TicketFact which) => which switch
    {
        TicketFact.Title => TextRole.Title,
        TicketFact.Subtitle => TextRole.Subtitle,
        TicketFact.Author => TextRole.Author,
        TicketFact.Imprint => TextRole.Imprint,
        TicketFact.SpineTitle => TextRole.Title,
        TicketFact.Category => TextRole.Category,
        TicketFact.Blurb => TextRole.Blurb,
        TicketFact.Note => TextRole.Note,
        _ => TextRole.Free,
    };
}
