namespace Lumbeck.Core.Checks.OfText;

/// <summary>Characters that no face has, named; and those that another face stands in for.</summary>
public sealed class TextGlyphs : Rule
{
    public override string Id => "text.glyphs";
    public override string Proves => "every character can be drawn";
    protected override bool Limited => false;

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        foreach (var item in look.Take.Items.OfType<TextItem>().Where(t => !t.Hidden))
            if (look.Scene.Item(item.Id) is { Layout.Instead: { IsEmpty: false } instead } drawnItem)
                yield return Found(look, Severity.Note, string.Join(" ", instead.Take(12).Select(i => i.Letter)),
                    "what the face itself has",
                    "The face lacks these characters; another stands in for it, and may look otherwise.",
                    "Leave it where it looks well, or take a face that has them.", item,
                        place: drawnItem.Frame.ToBox());
        foreach (var item in look.Take.Items.OfType<TextItem>().Where(t => !t.Hidden))
            if (look.Scene.Item(item.Id) is { Layout.Missing: { IsEmpty: false } missing } drawnItem)
                yield return Found(look, Severity.Stop,
                    string.Join(" ", missing.Take(12).Select(r => $"{r} (U+{r.Value:X4})")), "only what the face has",
                    "The face has no drawing of these characters; an empty box would print.",
                    "Take a face that has them, or other characters.", item, place: drawnItem.Frame.ToBox());
    }
}
