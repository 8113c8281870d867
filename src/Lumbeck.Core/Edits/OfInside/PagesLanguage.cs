namespace Lumbeck.Core.Edits.OfInside;

/// <summary>Words that pages are printed with follow the language that the book is in.</summary>
internal static class PagesLanguage
{
    /// <summary>Where the language became another, the words that no hand has changed are said in it.</summary>
    public static Job Follow(Job before, Job now) =>
        now.Inside is { Runs.IsEmpty: false } inside && before.PagesLanguage is var from && now.PagesLanguage is var to && from != to
            ? now with { Inside = inside with { Runs = PrintedWords.Turned(inside.Runs, from, to) } } : now;
}
