namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Words that their box, row or column has no room for, and letters that no face has.</summary>
public sealed class PageWords : PageRule
{
    public override string Id => "page.words";
    public override string Proves => "all words of the pages are printed";

    public override IEnumerable<Finding> Find(PageLook look)
    {
        foreach (var piece in look.Scene.Items)
        {
            if (piece.Layout is not { } set) continue;
            if (set.Overset is { } over)
                yield return Found(look, Severity.Stop, $"“{LengthText.Clip(over)}” has no room", "all words within " +
                    "their box",
                    "Words that do not fit are not printed.", "Say it shorter, in smaller type, or give it more room.");
            if (!set.Missing.IsEmpty)
                yield return Found(look, Severity.Stop, string.Join(' ', set.Missing.Take(8)), "letters that a " +
                    "face has",
                    "No face here has these letters.", "Take another face, or other words.");
        }
    }
}
