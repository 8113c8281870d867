namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Who made and published the book, its edition and its ISBN, at the foot of a page.</summary>
public sealed record ImprintPage : PageDesign
{
    /// <summary>What it says; lines whose words in braces are told as nothing are left out.</summary>
    public string Says { get; init; } =
        "{title}\n© {author}\n{people}\n\nPublished by {imprint}\n{edition}\nISBN {isbn}\n\nPrinted by {house}";

    public Length Size { get; init; } = Length.FromPoints(8.5m);

    public override string Kind => "imprint page";
    protected override ImmutableArray<string> OwnSlots => [];
    public override bool TakesHeading => false;
    public override bool IsDisplay => true;
    public override IEnumerable<string> Given => [Says];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Lines<ImprintPage>("says", "What it says", d => d.Says, (d, s) => d with { Says = s }),
        Weighed<ImprintPage>("size", "Type", 5, 24, d => d.Size, (d, l) => d with { Size = l }),
    ];

    protected override string Sum(Surface page, Unit unit) =>
        $"{page.Safe.Size.Show(unit)} within the margins; its words at {Size.ShowPoints()}";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var lines = Says.Split('\n').Where(l => !at.Empty(l).Any()).Select(at.Fill);
        var safe = page.Safe;
        yield return new Written(string.Join('\n', lines).Trim('\n'), Bounds.Of(safe),
            Size.Points, InWords)
        { Stand = Stand.Foot, Leading = 1.4m, Align = at.Mirrored ? Align.Right : Align.Left };
    }
}
