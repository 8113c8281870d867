namespace Lumbeck.Core.Checks.OfText;

/// <summary>
/// Starter words never replaced, a front without title or author: still to do; an empty text is a note.
/// </summary>
public sealed class TextPlaceholder : Rule
{
    public override string Id => "text.placeholder";
    public override string Proves => "title and author stand on the front";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        var texts = look.Here().OfType<TextItem>().Where(t => !t.Hidden).ToList();
        foreach (var item in texts)
        {
            var empty = string.IsNullOrWhiteSpace(item.Words);
            if (item.Starter)
                yield return new()
                {
                    Severity = Severity.Todo,
                    Measured = $"“{LengthText.Clip(item.Words)}”",
                    Limit = "your own words",
                    Why = "These are the words it was added with.",
                    Mend = "Type your own, or remove it.",
                    Of = item,
                    Place = look.Scene.Item(item.Id)?.Frame.ToBox(),
                    Fix = item.Locked
                        ? null
                        : Known(look.Job.Ticket, item.Role) is { Length: > 0 } known
                        ? new SetWords(item.Id, known)
                        : null,
                };
            else if (empty)
                yield return new()
                {
                    Severity = Severity.Note,
                    Measured = "no words",
                    Limit = "some",
                    Why = $"This {item.Kind.ToLower(CultureInfo.InvariantCulture)} is empty.",
                    Mend = "Type its words, or remove it.",
                    Of = item,
                    Place = look.Scene.Item(item.Id)?.Frame.ToBox(),
                };
        }
        // A case under a jacket may stay bare: the jacket names the book.
        if (look.On.Wrap > 0 || look.Sheet.Panel(Part.Front) is null) yield break;
        foreach (var (role, name) in Needed)
            if (!texts.Any(t =>
                t.Role == role && t.Hold.Panel is (Part.Front or Part.Sheet) && !string.IsNullOrWhiteSpace(t.Words)))
                yield return new()
                {
                    Severity = Severity.Todo,
                    Measured = $"no {name}",
                    Limit = $"the {name}",
                    Why = $"The front does not say the book’s {name}.",
                    Mend = $"Add the {name} to the front.",
                    Panel = Part.Front,
                };
    }

    private static readonly (TextRole Role, string Name)[] Needed = [(TextRole.Title, "title"),
        (TextRole.Author, "author")];

    private static string Known(Ticket t, TextRole role) => role switch
    {
        TextRole.Title => t.Title,
        TextRole.Subtitle => t.Subtitle,
        TextRole.Author => t.Author,
        TextRole.Imprint => t.Imprint,
        TextRole.Blurb => t.Blurb,
        TextRole.Note => t.Note,
        TextRole.Category => t.Category,
        _ => "",
    };
}
