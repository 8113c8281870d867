using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Checks;

/// <summary>Words that do not fit their box.</summary>
public sealed class TextOverset : Rule
{
    public override string Id => "text.overset";
    public override string Proves => "all words fit their boxes";
    protected override bool Limited => false;

    public override IEnumerable<Finding> Find(Look look)
    {
        foreach (var item in look.Job.Take.Items.OfType<TextItem>().Where(t => !t.Hidden))
            if (look.Scene.Piece(item.Id) is { Setting.Overset: { } words } piece)
                yield return Found(look, Severity.Stop, $"from “{LengthText.Clip(words)}” on", "all of it", "These words do not fit their box and would not be printed as meant.", "Make the box larger, or the type smaller.", item, place: piece.Frame.ToBox());
    }
}

/// <summary>Characters the face lacks, named.</summary>
public sealed class TextGlyphs : Rule
{
    public override string Id => "text.glyphs";
    public override string Proves => "every character can be drawn";
    protected override bool Limited => false;

    public override IEnumerable<Finding> Find(Look look)
    {
        foreach (var item in look.Job.Take.Items.OfType<TextItem>().Where(t => !t.Hidden))
            if (look.Scene.Piece(item.Id) is { Setting.Missing: { IsEmpty: false } missing } piece)
                yield return Found(look, Severity.Stop, string.Join(" ", missing.Take(12).Select(r => $"{r} (U+{r.Value:X4})")), "only what the face has", "The face has no drawing of these characters; an empty box would print.", "Take a face that has them, or other characters.", item, place: piece.Frame.ToBox());
    }
}

/// <summary>Starter words never replaced, a front without title or author; an empty blurb is a note.</summary>
public sealed class TextPlaceholder : Rule
{
    public override string Id => "text.placeholder";
    public override string Proves => "title and author stand on the front";
    protected override bool Limited => false;

    public override IEnumerable<Finding> Find(Look look)
    {
        var texts = look.Job.Take.Items.OfType<TextItem>().Where(t => !t.Hidden).ToList();
        foreach (var item in texts)
        {
            var empty = string.IsNullOrWhiteSpace(item.Words);
            if (item.Starter) yield return Found(look, Severity.Stop, $"“{LengthText.Clip(item.Words)}”", "your own words", "These are the words it was added with.", "Type your own, or remove it.", item, place: look.Scene.Piece(item.Id)?.Frame.ToBox());
            else if (empty) yield return Found(look, Severity.Note, "no words", "some", $"This {item.Kind.ToLower(CultureInfo.InvariantCulture)} is empty.", "Type its words, or remove it.", item, place: look.Scene.Piece(item.Id)?.Frame.ToBox());
        }
        foreach (var (role, name) in Needed)
            if (!texts.Any(t => t.Role == role && t.Hold.Panel is (Part.Front or Part.Sheet) && !string.IsNullOrWhiteSpace(t.Words)))
                yield return Found(look, Severity.Stop, $"no {name}", $"the {name}", $"The front does not say the book’s {name}.", $"Add the {name} to the front.", panel: Part.Front);
    }

    private static readonly (TextRole Role, string Name)[] Needed = [(TextRole.Title, "title"), (TextRole.Author, "author")];
}
