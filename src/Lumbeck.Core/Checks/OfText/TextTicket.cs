namespace Lumbeck.Core.Checks.OfText;

/// <summary>
/// A title, subtitle or author on the cover that is not the ticket's: one of the two is an earlier one.
/// </summary>
public sealed class TextTicket : Rule
{
    public override string Id => "text.ticket";
    public override string Proves => "the cover says what the ticket says";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
        {
            if (item is not TextItem { Starter: false } text
                || Fact(look.Job.Ticket, text.Role) is not ({ Length: > 0 } fact, var name))
                continue;
            if (text.Role == TextRole.Title && text.Hold.Panel == Part.Spine) fact = look.Job.Ticket.TitleOnSpine;
            var (says, ticket) = (Plain.Bare(text.Words), Plain.Bare(fact));
            // A line of a title set in several, a family name alone, a title with its article: each is part of the
            // other.
            if (says.Length == 0 || ticket.Contains(says, StringComparison.Ordinal)
                || says.Contains(ticket, StringComparison.Ordinal))
                continue;
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = $"“{LengthText.Clip(text.Words.ReplaceLineEndings(" "))}”",
                Limit = $"“{LengthText.Clip(fact)}”",
                Why = $"The {item.Hold.Panel.Say()} says another {name} than the ticket.",
                Mend = $"Set the ticket’s {name}, or change the ticket.",
                Of = item,
                Place = drawn.Frame.ToBox(),
                Fix = item.Locked ? null : new SetWords(item.Id, fact),
            };
        }
    }

    private static (string Fact, string Name) Fact(Ticket t, TextRole role) => role switch
    {
        TextRole.Title => (t.Title, "title"),
        TextRole.Subtitle => (t.Subtitle, "subtitle"),
        TextRole.Author => (t.Author, "author"),
        _ => ("", ""),
    };
}
