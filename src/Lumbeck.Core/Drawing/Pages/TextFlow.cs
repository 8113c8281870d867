namespace Lumbeck.Core.Drawing.Pages;

/// <summary>A set line on a page, from the room’s upper left corner, in points.</summary>
public sealed record FlowedLine(LaidLine Line, double X, double Y);

/// <summary>
/// Text broken into pages: lines of a paragraph stand at least two together at the foot of a page and at the head of the
/// next, a heading with two lines that follow it.
/// </summary>
internal static class TextFlow
{
    /// <summary>Lines that may not stand alone.</summary>
    private const int Together = 2;

    /// <param name="design">The text.</param>
    /// <param name="facts">What fills its braces.</param>
    /// <param name="wide">The room’s width, in points.</param>
    /// <param name="high">Its height.</param>
    /// <returns>Pages of lines; one at least.</returns>
    public static ImmutableArray<ImmutableArray<FlowedLine>> Of(TextPages design, PageFacts facts, double wide, double high,
        Inside inside, string language, IType type)
    {
        var pages = new List<ImmutableArray<FlowedLine>>();
        var page = new List<FlowedLine>();
        var y = 0.0;
        void turn()
        {
            pages.Add([.. page]);
            page.Clear();
            y = 0;
        }
        var blocks = design.Blocks(facts).ToList();
        var sets = blocks.ConvertAll(b => b.Kind == BlockKind.Break ? null : Set(b, design, wide, inside, language, facts.Mirrored, type));
        for (var n = 0; n < blocks.Count; n++)
        {
            if (sets[n] is not { } set) { turn(); continue; }
            var lines = set.Lines;
            var above = page.Count == 0 ? 0 : set.Above;
            var at = 0;
            while (at < lines.Length)
            {
                var fit = 0;
                while (at + fit < lines.Length && y + above + ((fit + 1) * set.Pitch) <= high + 0.01) fit++;
                var left = lines.Length - at;
                // A heading goes with what follows it.
                if (set.Heads && fit == left && n + 1 < sets.Count && sets[n + 1] is { } next
                    && y + above + (left * set.Pitch) + next.Above + (Math.Min(Together, next.Lines.Length) * next.Pitch) > high + 0.01
                    && page.Count > 0) fit = 0;
                if (fit < left)
                {
                    // No line alone at the foot, none alone at the head of the next page.
                    if (left - fit < Together) fit = Math.Min(fit, left - Together);
                    if (at == 0 && fit < Together && left > 1) fit = 0;
                    fit = Math.Max(0, fit);
                }
                if (fit == 0 && page.Count == 0) fit = Math.Max(1, Math.Min(left, (int)(high / set.Pitch)));
                for (var k = 0; k < fit; k++)
                {
                    var line = lines[at + k];
                    page.Add(new(line, set.X, y + above + (k * set.Pitch) + (set.Pitch * 0.5) + (0.32 * set.Size)));
                    if (at + k == 0 && set.Mark is { } mark) page.Add(new(mark, set.MarkX, page[^1].Y));
                }
                if (fit > 0) y += above + (fit * set.Pitch);
                at += fit;
                above = 0;
                if (at < lines.Length) turn();
            }
        }
        if (page.Count > 0 || pages.Count == 0) turn();
        return [.. pages];
    }

    private sealed record SetBlock(ImmutableArray<LaidLine> Lines, double Pitch, double Size, double Above, double X,
        bool Heads,
        LaidLine? Mark, double MarkX);

    private static SetBlock Set(TextBlock block, TextPages design, double wide, Inside inside, string language, bool mirrored, IType type)
    {
        var size = design.Size;
        var heads = block.Kind is BlockKind.Heading or BlockKind.Lesser;
        var own = block.Kind switch { BlockKind.Heading => 1.5m * size, BlockKind.Lesser => 1.15m * size, _ => size };
        var listed = block.Kind is BlockKind.Listed or BlockKind.Numbered;
        var inset = listed ? 1.6 * size.Points : 0;
        var style = new TextStyle
        {
            Face = heads ? inside.Heads : inside.Text,
            Size = own,
            Paint = design.Paints[design.InkSlot],
            Leading = design.Leading,
            Align = heads || !design.Justified ? Align.Left : Align.Justified,
            Hyphenate = design.Hyphenate && !heads,
        };
        TextLayout set(string words, TextStyle with, double room, ImmutableList<TextRun> runs) => Typesetter.Set(
            new TextToSet(words, with) { Runs = runs, Language = language, RightToLeft = mirrored, Fit = Fitting.Grow }, room, 1, type);
        // A family without an italic has its upright stand for it.
        var slanted = style.Face with { Italic = true } is var italic && type.Faces.Contains(italic)
            ? new RunStyle { Face = italic } : RunStyle.None;
        var lines = set(block.Words.Length == 0 ? " " : block.Words, style, wide - inset,
            heads ? [] : [.. block.Italics.Select(i => new TextRun(i.From, i.To, slanted))]).Lines;
        LaidLine? mark = null;
        if (listed)
            mark = set(block.Kind == BlockKind.Listed ? "•" : $"{block.Number}.", style with { Align = Align.Left }, inset, []).Lines
                .FirstOrDefault();
        var pitch = design.Pitch.Points * (double)(own.Points / size.Points);
        return new([.. lines], pitch, own.Points, heads ? 0.8 * pitch : block.Kind == BlockKind.Paragraph ? 0.5 * pitch : 0.15 * pitch,
            mirrored ? 0 : inset, heads, mark, mirrored ? wide - inset : 0);
    }
}
