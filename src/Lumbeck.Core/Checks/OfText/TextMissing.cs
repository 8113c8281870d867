namespace Lumbeck.Core.Checks.OfText;

/// <summary>
/// What the ticket knows and the cover says nowhere: title, author, blurb, price. A cover without any text of its own,
/// such as a finished one that lies on it as a picture, is not asked.
/// </summary>
public sealed class TextMissing : Rule
{
    public override string Id => "text.missing";
    public override bool OfTicket => true;
    public override string Proves => "the cover says what the ticket knows of the book";
    protected override bool Limited => false;

    /// <summary>So much of a blurb tells it from every other.</summary>
    private const int Beginning = 24;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        var t = look.Job.Ticket;
        List<TextItem> texts = [.. look.Job.Items.OfType<TextItem>().Where(i => !i.Hidden && !i.Starter)];
        if (texts.Count == 0) yield break;
        var said = string.Concat(texts.Select(i => Plain.Bare(i.Words)));
        bool says(string fact) => Plain.Bare(fact) is { Length: > 0 } bare && said.Contains(bare, StringComparison.Ordinal);
        bool has(TextRole role) => texts.Any(i => i.Role == role);
        // A front alone has no back to say more on.
        var whole = look.Job.Sheets().Any(s => s.Sheet.Panel(Part.Back) is not null);
        if (t.Title.Length > 0 && !says(t.Title) && !has(TextRole.Title))
            yield return Missing(look, "title", t.Title, Part.Front);
        if (t.Author.Length > 0 && !says(t.Surname) && !has(TextRole.Author))
            yield return Missing(look, "author", t.Author, Part.Front);
        if (whole && t.Blurb.Length > 0 && !has(TextRole.Blurb)
            && !says(t.Blurb.Length > Beginning ? t.Blurb[..Beginning] : t.Blurb))
            yield return Missing(look, "blurb", t.Blurb, Part.Back);
        if (whole && t.Price is { } price && !says(price.ToString())
            && !look.Job.Items.Any(i => i is BarcodeItem { AddOn: not null, Hidden: false }))
            yield return Missing(look, "price", price.ToString(), Part.Back);
    }

    private static Finding Missing(CheckContext look, string what, string fact, Part panel) =>
        new()
        {
            Severity = Severity.Note,
            Measured = $"no {what} on the cover",
            Limit = $"“{LengthText.Clip(fact.ReplaceLineEndings(" "))}”",
            Why = $"The ticket has {(what == "author" ? "an" : "a")} {what} that the cover says nowhere.",
            Mend = $"Add the {what} to the {panel.Say()}, or leave it.",
            Panel = panel,
        };
}
