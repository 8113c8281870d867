namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>A picture over a whole page: out to the cut where the book bleeds, else to the margins.</summary>
public sealed record PicturePage : PageDesign
{
    public Picture? Picture { get; init; }

    /// <summary>Whether it keeps within the margins even where the book bleeds.</summary>
    public bool WithinMargins { get; init; }

    /// <summary>Whether all of it is shown; else it fills the page, and what is over is cut away.</summary>
    public bool Whole { get; init; }

    public override string Kind => "picture";
    protected override ImmutableArray<string> OwnSlots => default;
    public override bool TakesHeading => false;
    public override bool IsDisplay => true;
    public override Picture? Shown => Picture;

    protected override IReadOnlyList<Field> OwnFields =>
    [
        new Field<PicturePage, bool>("within", "Within margins", Values.Switch, d => d.WithinMargins,
            (d, b) => d with { WithinMargins = b }),
        new Field<PicturePage, bool>("whole", "Shown whole", Values.Switch, d => d.Whole,
            (d, b) => d with { Whole = b }),
    ];

    /// <summary>What it fills: a book that bleeds has something to cut away.</summary>
    private Box Box(Surface page) => WithinMargins || page.Whole == page.Trim ? page.Safe : page.Whole;

    protected override string Sum(Surface page, Unit unit) =>
        Picture is null ? $"{Box(page).Size.Show(unit)} for a picture: hang one in it"
        : $"{Picture.Name} over {Box(page).Size.Show(unit)}";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        if (Picture is null) yield break;
        var b = Box(page);
        yield return new Hung(Picture, Bounds.Of(b), Whole);
    }
}

/// <summary>A picture with words under it.</summary>
public sealed record PictureWithWords : PageDesign
{
    public Picture? Picture { get; init; }

    public string Says { get; init; } = "";

    /// <summary>The picture’s share of the room’s height, in percent.</summary>
    public int Share { get; init; } = 60;

    public bool Whole { get; init; }

    public Length Size { get; init; } = Length.FromPoints(11);

    public override string Kind => "picture with words";
    protected override ImmutableArray<string> OwnSlots => [];
    public override Picture? Shown => Picture;
    public override IEnumerable<string> Given => [.. base.Given, Says];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Lines<PictureWithWords>("says", "Words", d => d.Says, (d, s) => d with { Says = s }),
        Count<PictureWithWords>("share", "Picture, percent", 10, 90, d => d.Share, (d, n) => d with { Share = n }),
        new Field<PictureWithWords, bool>("whole", "Shown whole", Values.Switch, d => d.Whole,
            (d, b) => d with { Whole = b }),
        Weighed<PictureWithWords>("size", "Type", 5, 48, d => d.Size, (d, l) => d with { Size = l }),
    ];

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, true, unit)} × {Share} % = {(Share / 100m * page.Safe.Height).Show(unit)} for the " +
            $"picture";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var safe = page.Safe;
        var (left, right) = (safe.X.Points, safe.Right.Points);
        var foot = (safe.Y + (Share / 100m * safe.Height)).Points;
        if (Picture is not null) yield return new Hung(Picture, new(left, safe.Y.Points, right, foot), Whole);
        if (at.Fill(Says) is { Length: > 0 } says)
            yield return new Written(says, new(left, foot + Size.Points, right, safe.Bottom.Points), Size.Points,
                InWords)
            { Leading = 1.4m, Align = at.Mirrored ? Align.Right : Align.Left };
    }
}
