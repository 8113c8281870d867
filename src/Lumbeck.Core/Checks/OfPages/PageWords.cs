namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Words that their box, row or column has no room for, and letters that no face has.</summary>
public sealed class PageWords : PageRule
{
    public override string Id => "page.words";
    public override string Proves => "all words of the pages are printed";

    public override IEnumerable<Finding> Find(PageLook look)
    {
        foreach (var drawn in look.Scene.Items)
        {
            if (drawn.Layout is not { } set) continue;
            if (set.Overset is { } over)
                yield return Found(look, Severity.Stop, $"“{LengthText.Clip(over)}” has no room", "all words within " +
                    "their box",
                    "Words that do not fit are not printed.", "Say it shorter, in smaller type, or give it more room.");
            if (set.Forced is { } forced)
                yield return Found(look, Severity.Caution, $"“{LengthText.Clip(forced)}” is broken where its line ends",
                    "words that a line holds", "No line of its box is as long as this word.",
                    "Give it more room or smaller type, or say where it may break.");
            if (!set.Missing.IsEmpty)
                yield return Found(look, Severity.Stop, string.Join(' ', set.Missing.Take(8)), "letters that a " +
                    "face has",
                    "No face here has these letters.", "Take another face, or other words.");
        }
    }
}
