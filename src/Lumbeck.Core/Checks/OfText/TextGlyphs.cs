namespace Lumbeck.Core.Checks.OfText;

/// <summary>Characters that no face has, named; and those that another face stands in for.</summary>
public sealed class TextGlyphs : Rule
{
    public override string Id => "text.glyphs";
    public override string Proves => "every character can be drawn";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var item in look.Take.Items.OfType<TextItem>().Where(t => !t.Hidden))
            if (look.Scene.Item(item.Id) is { Layout.Instead: { IsEmpty: false } instead } drawnItem)
                yield return new()
                {
                    Severity = Severity.Note,
                    Measured = string.Join(" ", instead.Take(12).Select(i => i.Letter)),
                    Limit = "what the face itself has",
                    Why = "The face lacks these characters; another stands in for it, and may look otherwise.",
                    Mend = "Leave it where it looks well, or take a face that has them.",
                    Of = item,
                    Place = drawnItem.Frame.ToBox(),
                };
        foreach (var item in look.Take.Items.OfType<TextItem>().Where(t => !t.Hidden))
            if (look.Scene.Item(item.Id) is { Layout.Missing: { IsEmpty: false } missing } drawnItem)
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = string.Join(" ", missing.Take(12).Select(r => $"{r} (U+{r.Value:X4})")),
                    Limit = "only what the face has",
                    Why = "The face has no drawing of these characters; an empty box would print.",
                    Mend = "Take a face that has them, or other characters.",
                    Of = item,
                    Place = drawnItem.Frame.ToBox(),
                };
    }
}
