namespace Lumbeck.Core.Checks.OfText;

/// <summary>Words that do not fit their box.</summary>
public sealed class TextOverset : Rule
{
    public override string Id => "text.overset";
    public override string Proves => "all words fit their boxes";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var item in look.Take.Items.OfType<TextItem>().Where(t => !t.Hidden))
            if (look.Scene.Item(item.Id) is { Layout.Overset: { } words } drawn)
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = $"from “{LengthText.Clip(words)}” on",
                    Limit = "every word",
                    Why = "These words do not fit their box and would not be printed as meant.",
                    Mend = "Make the box larger, or the type smaller.",
                    Of = item,
                    Place = drawn.Frame.ToBox(),
                    Fix = item.Locked ? null : new FitText(item.Id, Fitting.Shrink),
                };
    }
}
