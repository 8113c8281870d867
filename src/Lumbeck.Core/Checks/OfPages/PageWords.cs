namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Words that their box, row or column has no room for, and letters that no face has.</summary>
public sealed class PageWords : PageRule
{
    public override string Id => "page.words";
    public override string Proves => "all words of the pages are printed";

    protected override IEnumerable<Finding> Look(PageLook look)
    {
        foreach (var drawn in look.Scene.Items)
        {
            if (drawn.Layout is not { } set) continue;
            if (set.Overset is { } over)
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = $"“{LengthText.Clip(over)}” has no room",
                    Limit = "all words within their box",
                    Why = "Words that do not fit are not printed.",
                    Mend = "Say it shorter, in smaller type, or give it more room.",
                };
            if (set.Forced is { } forced)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = $"“{LengthText.Clip(forced)}” is broken where its line ends",
                    Limit = "words that a line holds",
                    Why = "No line of its box is as long as this word.",
                    Mend = "Give it more room or smaller type, or say where it may break.",
                };
            if (!set.Missing.IsEmpty)
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = string.Join(' ', set.Missing.Take(8)),
                    Limit = "letters that a face has",
                    Why = "No face here has these letters.",
                    Mend = "Take another face, or other words.",
                };
        }
    }
}
