namespace Lumbeck.Core.Edits.OfText;

/// <summary>
/// New words for a text. What was typed is set as its language sets it, and runs stay with their letters.
/// </summary>
/// <param name="Item">The text.</param>
/// <param name="Words">All its words.</param>
/// <param name="Caret">Where the caret stood after typing, if it is known: just after what is new.</param>
public sealed record SetWords(string Item, string Words, int? Caret = null) : ItemEdit(Item)
{
    protected override string Fact => "words";
    protected override Item On(Item item, Job job)
    {
        if (Words.Length > TextItem.LongestWords)
            throw new Refusal($"item/{Item}/words",
                $"{Words.Length} letters are more than a cover's text holds: shorten it to {TextItem.LongestWords}");
        var text = item.AsText();
        var words = Plain.Text(Words);
        var (at, _, inserted) = Difference(text.Words, words, Caret);
        if (!text.AsTyped) words = SmartPunctuation.Proper(words, at, at + inserted, job.Ticket.Language);
        return With(text, words, Caret) with { Starter = false };
    }

    /// <summary>A text with other words, its runs moved along.</summary>
    internal static TextItem With(TextItem text, string words, int? caret = null)
    {
        var (at, removed, inserted) = Difference(text.Words, words, caret);
        return text with { Words = words, Runs = TextRuns.Moved(text.Runs, at, removed, inserted) };
    }

    /// <summary>The one stretch in which two texts differ: where, how many letters went, how many came.</summary>
    public static (int At, int Removed, int Inserted) Difference(string before, string after, int? caret)
    {
        var most = Math.Min(before.Length, after.Length);
        // Of equal letters side by side, those before the caret are the new ones.
        var tail = 0;
        var tailMost = caret is { } c ? Math.Min(most, after.Length - Math.Clamp(c, 0, after.Length)) : 0;
        while (tail < tailMost && before[^(tail + 1)] == after[^(tail + 1)]) tail++;
        var head = 0;
        while (head < most - tail && before[head] == after[head]) head++;
        while (tail < most - head && before[^(tail + 1)] == after[^(tail + 1)]) tail++;
        return (head, before.Length - tail - head, after.Length - tail - head);
    }
}

/// <summary>
/// Changes what is given of a text's setting and leaves the rest: of all its letters, or of those from one place to
/// before another. What is a paragraph's goes to whole paragraphs.
/// </summary>
public sealed record StyleText(string Item, FaceId? Face = null, Length? Size = null, Paint? Paint = null,
    decimal? Tracking = null, decimal? Leading = null, Align? Align = null, Stand? Stand = null)
    : ItemEdit(Item)
{
    public LetterCase? Case { get; init; }
    public Length? Raise { get; init; }
    public string? Features { get; init; }
    public Length? Space { get; init; }
    public Length? Indent { get; init; }
    public bool? Hyphenate { get; init; }
    public int? From { get; init; }
    public int? To { get; init; }

    protected override string Fact => From is not null ? "runs" : Changed.FirstOrDefault(c => c.Is).Fact ?? "style";

    private (bool Is, string Fact)[] Changed =>
    [
        (Face is not null, "face"), (Size is not null, "size"), (Paint is not null, "ink"),
            (Tracking is not null, "tracking"),
        (Leading is not null, "leading"), (Align is not null, "align"), (Stand is not null, "stand"),
            (Case is not null, "case"),
        (Raise is not null, "raise"), (Features is not null, "features"), (Space is not null, "space"),
            (Indent is not null, "indent"),
        (Hyphenate is not null, "hyphenate"),
    ];

    protected override Item On(Item item, Job job)
    {
        var text = item.AsText();
        Refusal no(string fact, string why) => new($"item/{Item}/{fact}", why);
        var far = Length.FromPoints(500);
        if (Size is { } size && (size < Length.FromPoints(1) || size > Length.FromPoints(1000)))
            throw no("size", $"type of {size.ShowPoints()} can't be set: from 1 to 1000 pt");
        if (Leading is { } leading and (< 0.5m or > 5))
            throw no("leading",
                $"a leading of {leading.ToString(CultureInfo.InvariantCulture)} can't be set: from 0.5 to 5 times the size");
        if (Tracking is { } tracking and (< -300 or > 2000))
            throw no("tracking",
                $"a tracking of {tracking.ToString(CultureInfo.InvariantCulture)} can't be set: from -300 to 2000 " +
                    $"thousandths of the size");
        if (Raise is { } raise && Length.Abs(raise) > far)
            throw no("raise", $"letters can be raised or lowered by up to {far.ShowPoints()}");
        if (Space is { } space && (space.Units < 0 || space > far))
            throw no("space", $"a space of {space.ShowPoints()} can't be set: from 0 to {far.ShowPoints()}");
        if (Indent is { } indent && Length.Abs(indent) > far)
            throw no("indent", $"an indent of {indent.ShowPoints()} can't be set: up to {far.ShowPoints()} either way");
        if (Features is { } features && !FeatureText.IsSound(features))
            throw no("features",
                $"`{LengthText.Clip(features)}` are no features: type their four letters, such as `onum -liga`");
        var change = new RunStyle
        {
            Face = Face,
            Size = Size,
            Paint = Paint,
            Tracking = Tracking,
            Leading = Leading,
            Align = Align,
            Case = Case,
            Raise = Raise,
            Features = Features is null ? null : FeatureText.Ordered(Features),
            Space = Space,
            Indent = Indent,
            Hyphenate = Hyphenate,
        };
        if (From is { } from && To is { } to)
        {
            (from, to) = (Math.Clamp(from, 0, text.Words.Length), Math.Clamp(to, 0, text.Words.Length));
            if (change is
                {
                    Leading: null, Align: null, Space: null, Indent: null,
                    Hyphenate: null
                }) { if (from >= to) throw no("words", "no letters are picked: drag over some first"); }
            else
            {
                from = from == 0 ? 0 : text.Words.LastIndexOf('\n', from - 1) + 1;
                to = text.Words.IndexOf('\n', Math.Max(from, to - (to > from ? 1 : 0))) is >= 0 and var end
                    ? end + 1
                    : text.Words.Length;
            }
            var runs = TextRuns.Lay(text.Runs, from, to, change, text.Style);
            return runs.Count <= TextRuns.Most
                ? text with { Runs = runs }
                : throw no("words", $"a text holds up to {TextRuns.Most} runs: set more letters alike");
        }
        var style = text.Style.With(change) with { Stand = Stand ?? text.Style.Stand };
        return text with
        {
            Style = style,
            Runs = change == RunStyle.None ? text.Runs : TextRuns.Lay(text.Runs, 0, text.Words.Length, change, style),
        };
    }
}
