namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>What display pages set: blocks of words one under the other, from a height of the page on.</summary>
internal static class Titles
{
    /// <param name="page">The page.</param>
    /// <param name="from">Where they begin, as a share of the room.</param>
    /// <param name="slot">Their paint’s place.</param>
    /// <param name="words">Each with its size, the room over it as a multiple of that, and whether it is in the
    /// headings’ face.</param>
    public static IEnumerable<Drawn> Under(Surface page, double from, int slot,
        params IEnumerable<(string Words, double Size, double Over, bool Heads)> words)
    {
        var safe = page.Safe;
        var y = safe.Y.Points + (from * safe.Height.Points);
        foreach (var (text, size, over, heads) in words)
        {
            if (text.Trim().Length == 0 || text.StartsWith('{')) continue;
            y += over * size;
            // As many lines as a narrow page breaks it into, by about half a size a letter.
            var lines = text.Split('\n')
                .Sum(l => Math.Max(1, (int)Math.Ceiling(l.Length * 0.5 * size / safe.Width.Points)));
            var high = ((lines - 1) * 1.15 * size) + (1.45 * size);
            yield return new Written(text,
                new(safe.X.Points, y, safe.Right.Points, Math.Min(y + high, safe.Bottom.Points)), size, slot)
            { Align = Align.Centre, Heads = heads, Leading = 1.15m };
            y += high;
        }
    }
}

/// <summary>The title alone, on the first page.</summary>
public sealed record HalfTitle : PageDesign
{
    public Length Size { get; init; } = Length.FromPoints(18);

    public override string Kind => "half title";
    protected override ImmutableArray<string> OwnSlots => [];
    public override bool TakesHeading => false;
    public override bool IsDisplay => true;
    public override IEnumerable<string> Given => ["{title}"];

    protected override IReadOnlyList<Field> OwnFields =>
        [Weighed<HalfTitle>("size", "Type", 6, 72, d => d.Size, (d, l) => d with { Size = l })];

    protected override string Sum(Surface page, Unit unit) =>
        $"{page.Safe.Size.Show(unit)} within the margins; the title at {Size.ShowPoints()}";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at) =>
        Titles.Under(page, 0.3, InWords, (at.Fill("{title}"), Size.Points, 0, true));
}

/// <summary>Title, subtitle, author and imprint, as the ticket has them.</summary>
public sealed record TitlePage : PageDesign
{
    public Length Size { get; init; } = Length.FromPoints(28);

    public override string Kind => "title page";
    protected override ImmutableArray<string> OwnSlots => [];
    public override bool TakesHeading => false;
    public override bool IsDisplay => true;
    public override IEnumerable<string> Given => ["{title}", "{author}"];

    protected override IReadOnlyList<Field> OwnFields =>
        [Weighed<TitlePage>("size", "Type of the title", 8, 96, d => d.Size, (d, l) => d with { Size = l })];

    protected override string Sum(Surface page, Unit unit) =>
        $"{page.Safe.Size.Show(unit)} within the margins; the title at {Size.ShowPoints()}";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var size = Size.Points;
        foreach (var words in Titles.Under(page, 0.16, InWords, (at.Fill("{author}"), 0.5 * size, 0, false),
            (at.Fill("{title}"), size, 0.9, true), (at.Fill("{subtitle}"), 0.5 * size, 0.6, false)))
            yield return words;
        var safe = page.Safe;
        if (at.Fill("{imprint}") is { Length: > 0 } imprint && imprint[0] != '{')
            yield return new Written(imprint, new(safe.X.Points, safe.Bottom.Points - (2 * size), safe.Right.Points,
                safe.Bottom.Points),
                0.42 * size, InWords)
            { Align = Align.Centre, Stand = Stand.Foot };
    }
}

/// <summary>Who dedicates the book to whom.</summary>
public sealed record Dedication : PageDesign
{
    public string For { get; init; } = "For you, who begin it";

    public Length Size { get; init; } = Length.FromPoints(13);

    public override string Kind => "dedication";
    protected override ImmutableArray<string> OwnSlots => [];
    public override bool TakesHeading => false;
    public override bool IsDisplay => true;
    public override IEnumerable<string> Given => [For];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Lines<Dedication>("for", "Words", d => d.For, (d, s) => d with { For = s }),
        Weighed<Dedication>("size", "Type", 6, 48, d => d.Size, (d, l) => d with { Size = l }),
    ];

    protected override string Sum(Surface page, Unit unit) =>
        $"{page.Safe.Size.Show(unit)} within the margins; its words at {Size.ShowPoints()}";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at) =>
        Titles.Under(page, 0.34, InWords, (at.Fill(For), Size.Points, 0, false));
}
