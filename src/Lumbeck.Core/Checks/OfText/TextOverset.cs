namespace Lumbeck.Core.Checks.OfText;

/// <summary>Words that do not fit their box.</summary>
public sealed class TextOverset : Rule
{
    public override string Id => "text.overset";
    public override string Proves => "all words fit their boxes";
    protected override bool Limited => false;

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        foreach (var item in look.Take.Items.OfType<TextItem>().Where(t => !t.Hidden))
            if (look.Scene.Item(item.Id) is { Layout.Overset: { } words } drawn)
                yield return Found(look, Severity.Stop, $"from “{LengthText.Clip(words)}” on", "every word",
                    "These words do not fit their box and would not be printed as meant.",
                    "Make the box larger, or the type smaller.", item, place: drawn.Frame.ToBox(),
                    by: item.Locked ? null : new FitText(item.Id, Fitting.Shrink));
    }
}
