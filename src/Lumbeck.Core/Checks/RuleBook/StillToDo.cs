namespace Lumbeck.Core.Checks.RuleBook;

/// <summary>One line of what is still to do, with the spot where it is done.</summary>
/// <param name="Says">In one line.</param>
/// <param name="Found">What Check found; null for what the ticket alone wants.</param>
/// <param name="Fact">The ticket’s fact, such as <c>ticket/blurb</c>; null where it is done on the sheet.</param>
public sealed record StillToDo(string Says, Finding? Found, string? Fact)
{
    /// <summary>
    /// What the ticket wants, then what the covers want. Nothing here locks anything: a cover is composed without what
    /// is not there yet.
    /// </summary>
    public static IReadOnlyList<StillToDo> Of(Job job, IReadOnlyList<Finding> findings)
    {
        var t = job.Ticket;
        var list = new List<StillToDo>();
        void ask(bool missing, string fact, string says) { if (missing) list.Add(new(says, null, fact)); }
        ask(t.Title.Length == 0, "ticket/title", "No title yet.");
        ask(t.Author.Length == 0, "ticket/author", "No author yet.");
        ask(t.Isbn is null && t.House.BarcodeBy == BarcodeBy.Maker, "ticket/isbn",
            $"No ISBN yet: {t.House.Name} adds no barcode of its own.");
        var hasBack = job.Sheets().Any(s => s.Sheet.Panel(Part.Back) is not null);
        var says = job.Items.OfType<TextItem>().Any(i => i.Role is TextRole.Blurb or TextRole.Quotation && i.Words.Length > 0);
        ask(t.Blurb.Length == 0 && !says && hasBack && t.Author.Length > 0, "ticket/blurb",
            "No blurb yet: the back is composed without.");
        list.AddRange(findings.Where(f => f.Severity == Severity.Todo && f.Waived is null
            // A cover can't say what the ticket does not know.
            && !(f.Id == "barcode.who" && t.Isbn is null)
            && !(f.Measured == "no title" && t.Title.Length == 0) && !(f.Measured == "no author" && t.Author.Length == 0))
            .Select(f => new StillToDo(f.Why, f, null)));
        return list;
    }
}
