namespace Lumbeck.Core.Checks.OfText;

/// <summary>
/// What a typesetter would put right: typewriter quotes, double spaces, a word alone on a last line, hyphens one under
/// the other.
/// </summary>
public sealed class TextTypography : Rule
{
    public override string Id => "text.typography";
    public override string Proves => "words are set as a typesetter would";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
        {
            if (item is not TextItem text || drawn.Layout is not { } setting) continue;
            Finding note(string measured, string limit, string why, string mend, Edit? by = null) =>
                new()
                {
                    Severity = Severity.Note,
                    Measured = measured,
                    Limit = limit,
                    Why = why,
                    Mend = mend,
                    Of = item,
                    Place = drawn.Inked.ToBox(),
                    Fix = text.Locked ? null : by,
                };
            if (!text.AsTyped && text.Words.AsSpan().IndexOfAny('"', '\'') >= 0)
                yield return note("typewriter quotes", "the language’s own",
                    "Straight quotes are a typewriter’s; books have curved ones.",
                    "Let them be set as the language has them.",
                    new SetWords(item.Id, SmartPunctuation.Proper(text.Words, 0, text.Words.Length,
                        look.Job.Ticket.Language)));
            if (text.Words.Contains("  ", StringComparison.Ordinal))
                yield return note("two spaces side by side", "one", "Two spaces show as a hole in the line.",
                    "Leave one.", new SetWords(item.Id, Single(text.Words)));
            var lines = setting.Lines;
            for (var i = 1; i < lines.Length; i++)
                if (lines[i].To - lines[i - 1].To > 0 && EndsParagraph(text.Words, lines[i]) && lines[i - 1].Width > 0
                    && lines[i].From > 0 && text.Words[lines[i].From - 1] != '\n'
                    && lines[i].Text.Trim() is { Length: > 0 and < 8 } last
                    && !last.Contains(' ', StringComparison.Ordinal))
                {
                    yield return note($"“{LengthText.Clip(last)}” alone", "two words or more",
                        "A short word alone on a paragraph’s last line looks lost.",
                        "Make the box a little wider or narrower.");
                    break;
                }
            for (var i = 2; i < lines.Length; i++)
                if (lines[i].Hyphenated && lines[i - 1].Hyphenated && lines[i - 2].Hyphenated)
                {
                    yield return note("three hyphens in a row", "two at most",
                        "Hyphens at the ends of lines that follow each other catch the eye.",
                        "Make the box a little wider, or turn hyphens off.");
                    break;
                }
        }
    }

    private static bool EndsParagraph(string words, LaidLine line) =>
        line.To >= words.Length || words[line.To] == '\n' || (line.To > 0 && words[line.To - 1] == '\n');

    private static string Single(string words)
    {
        while (words.Contains("  ", StringComparison.Ordinal))
            words = words.Replace("  ", " ", StringComparison.Ordinal);
        return words;
    }
}
