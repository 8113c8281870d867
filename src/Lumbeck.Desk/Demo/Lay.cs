using Length = Lumbeck.Core.Measures.Length;

namespace Lumbeck.Desk.Demo;

/// <summary>Demo covers in few words: items by their panel, anchor and millimetres.</summary>
internal static class Lay
{
    public static Length Mm(decimal mm) => Length.FromMillimetres(mm);

    public static Hold At(Part panel, Anchor anchor, decimal right = 0, decimal down = 0, HoldBox box = HoldBox.Safe) =>
        new(panel, box, anchor, Mm(right), Mm(down));

    /// <summary>A rectangle; a side of 0 is as long as the box it hangs in.</summary>
    public static AddItem Rect(string id, Hold hold, decimal wide, decimal high, string? fill, decimal corner = 0,
        string? line = null, decimal weight = 0, int wrap = 0) => new(new RectItem
        {
            Id = id,
            Hold = hold,
            Width = Side(wide),
            Height = Side(high),
            Fill = fill is null ? null : new SwatchPaint(fill),
            Line = line is null ? null : new SwatchPaint(line),
            LineWidth = Length.FromPoints(weight),
            Corner = Mm(corner),
        }, Wrap: wrap);

    public static AddItem Text(string id, TextRole role, string words, Hold hold, decimal wide, decimal high,
        string face, decimal size, string swatch, Align align = Align.Centre, Stand stand = Stand.Head,
        int tracking = 0, decimal leading = 1.2m, int wrap = 0) => new(new TextItem
        {
            Id = id,
            Role = role,
            Words = words,
            Hold = hold,
            Width = Side(wide),
            Height = Side(high),
            Style =
            new()
            {
                Face = FaceId.TryParse(face, out var f) ? f : throw new ArgumentException($"There is no face {face}."),
                Size = Length.FromPoints(size),
                Paint = new SwatchPaint(swatch),
                Align = align,
                Stand = stand,
                Tracking = tracking,
                Leading = leading
            },
        }, Wrap: wrap);

    /// <summary>The spine's words, composed with it.</summary>
    public static AddItem Spine(string id, TextRole role, string words, string face, string swatch, int tracking = 0,
        int wrap = 0) =>
        Text(id, role, words, At(Part.Spine, Anchor.Left), 40, 0, face, 12, swatch, Align.Centre, Stand.Middle,
            tracking, 1, wrap)
            .With(t => t with { Composed = true });

    /// <summary>The same text with more said of it.</summary>
    public static AddItem With(this AddItem add, Func<TextItem, TextItem> change) =>
        add with { New = change((TextItem)add.New) };

    /// <summary>The same text with some of its words set otherwise.</summary>
    public static AddItem Run(this AddItem add, string words,
        RunStyle style) => add.With(t => t.Words.IndexOf(words, StringComparison.Ordinal) is >= 0 and var at
        ? t with { Runs = TextRuns.Lay(t.Runs, at, at + words.Length, style, t.Style) }
        : throw new ArgumentException($"There is no “{words}” in {t.Id}."));

    /// <summary>
    /// Reading copy: whole paragraphs justified, hyphenated where that helps, set apart by a little space.
    /// </summary>
    public static AddItem Copy(this AddItem add, decimal space = 7) =>
        add.With(t =>
            t with
            {
                Words = t.Words.Replace("\n\n", "\n", StringComparison.Ordinal),
                Style = t.Style with
                {
                    Align = Align.Justified,
                    Hyphenate = true,
                    Space = Length.FromPoints(space),
                    Features = "onum",
                },
            });

    public static FaceId Face(string id) =>
        FaceId.TryParse(id, out var f) ? f : throw new ArgumentException($"There is no face {id}.");

    public static AddItem Barcode(string id) =>
        new(new BarcodeItem { Id = id, Hold = new(Part.Back, HoldBox.Room, Anchor.Middle, default, default) });

    public static IEnumerable<AddSwatch> Swatches(params (string Id, string Name, decimal C, decimal M, decimal Y,
        decimal K)[] mixes) =>
        mixes.Select(m => new AddSwatch(new(m.Id, m.Name, Ink.Percent(m.C, m.M, m.Y, m.K))));

    private static Span Side(decimal mm) => mm == 0 ? Span.Full : new(Mm(mm));
}
