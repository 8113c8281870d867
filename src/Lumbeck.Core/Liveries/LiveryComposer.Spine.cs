namespace Lumbeck.Core.Liveries;

/// <summary>What a livery lays on the spine: its field, its rules, and the words that are composed there.</summary>
internal sealed partial class LiveryComposer
{
    /// <summary>The smallest type on a spine, in points.</summary>
    private const double LeastOnSpine = 8;

    /// <summary>From here on the imprint stands at its foot too.</summary>
    private static readonly Length WideForImprint = Length.FromMillimetres(9);

    /// <summary>From here on a title may stand in two lines, where it is larger so.</summary>
    private static readonly Length WideForTwo = Length.FromMillimetres(25);

    /// <summary>
    /// Title, author and imprint where all are legible; what goes first when room is short is the imprint, then the
    /// forename, then the author. A spine is never filled with what nobody reads.
    /// </summary>
    public void Spine()
    {
        if (Panel(Part.Spine) is not { } spine
            || !SpineText.Allowed(_ticket.House, _ticket.Pages, spine.Face.Width))
            return;
        Items.Add(new RectItem
        {
            Id = "spine-field",
            Hold = At(Part.Spine, HoldBox.Edge, 0, 0),
            Width = Span.Full,
            Height = Span.Full,
            Fill = Paint(livery.On),
        });
        var title = OnSpine("spine-title", TextRole.Title, _ticket.TitleOnSpine, livery.Display);
        TextItem author(string words) => OnSpine("spine-author", TextRole.Author, words, livery.Text);
        var (whole, surname) = (author(_ticket.Author), author(_ticket.Surname));
        var imprint = OnSpine("spine-imprint", TextRole.Imprint, _ticket.Imprint, livery.Text);
        List<Item[]> ways = [[title, whole], [title, surname], [title]];
        var sheet = sheets.First(s => s.Panel(Part.Spine) is not null);
        var mark = spine.Face.Width >= WideForImprint && _ticket.Mark is { } picture
            && sheet.Zone(ZoneKind.SpineSafe, Part.Spine) is { } band
                ? MarkOnSpine(spine, picture, band.Box.Width.Points) : null;
        if (mark is not null) ways.InsertRange(0, [[title, whole, mark], [title, surname, mark]]);
        else if (spine.Face.Width >= WideForImprint)
            ways.InsertRange(0, [[title, whole, imprint], [title, surname, imprint]]);
        var least = Math.Max(LeastOnSpine,
            Length.Max(_ticket.House.TextLeast, _ticket.House.TextReversedLeast).Points);
        foreach (var words in ways)
        {
            Item[] said = [.. words.Where(w => w is not TextItem { Words.Length: 0 })];
            var composed = SpineComposing.Compose(new("", "", new(), [.. said]), sheet, _ticket, type)
                .Items.OfType<TextItem>().ToList();
            if (composed.Any(t => t.Style.Size.Points < least)) continue;
            // What stands beside the title must not make it small: a spine is found by its title.
            if (said.Length > 1 && composed.Count > 0 && composed[0].Style.Size.Points < 0.5 * Alone(title, sheet)) continue;
            if (said.Length > 0 && said[0] is TextItem { Role: TextRole.Title } && spine.Face.Width >= WideForTwo && Parted(said) is { } two
                && Size(two, sheet) > Size(said, sheet))
                said = two;
            Items.AddRange(said);
            return;
        }
    }

    /// <summary>
    /// The same with the title in two lines, broken where they are most alike; null where it is one word.
    /// </summary>
    private static Item[]? Parted(Item[] said)
    {
        var title = (TextItem)said[0];
        var words = title.Words.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        if (words.Length < 2 || title.Upright || title.Words.Contains('\n', StringComparison.Ordinal)) return null;
        var lines = Enumerable.Range(1, words.Length - 1)
            .Select(n => (First: string.Join(' ', words[..n]), Second: string.Join(' ', words[n..])))
            .MinBy(l => Math.Max(l.First.Length, l.Second.Length));
        return [title with { Words = $"{lines.First}\n{lines.Second}" }, .. said[1..]];
    }

    /// <summary>How large the title is composed, in points.</summary>
    private double Size(Item[] said, Sheet sheet) =>
        SpineComposing.Compose(new("", "", new(), [.. said]), sheet, _ticket, type).Items.OfType<TextItem>().First()
            .Style.Size.Points;

    private double Alone(TextItem title, Sheet sheet) => title.Words.Length == 0 ? 0 : Size([title], sheet);

    private TextItem OnSpine(string id, TextRole role, string says, FaceId face) => new()
    {
        Id = id,
        Role = role,
        Words = says,
        Composed = true,
        // Spines in Japanese and Chinese are read from the head down, letter by letter.
        Upright = says.Any(c => c is >= '\u3040' and <= '\u9fff'),
        Hold = new(Part.Spine, HoldBox.Safe, Anchor.Left, default, default),
        Width = new(Length.FromMillimetres(40)),
        Height = Span.Full,
        Style = Style(face, says, Align.Centre, 1) with { Stand = Stand.Middle },
    };
}
