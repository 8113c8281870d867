namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Frames to draw in, each with lines for words under it.</summary>
public sealed record Storyboard : PageDesign
{
    public int Across { get; init; } = 2;
    public int Down { get; init; } = 3;

    /// <summary>Lines under each frame.</summary>
    public int Lines { get; init; } = 3;

    /// <summary>From one of those to the next.</summary>
    public Length Pitch { get; init; } = Length.FromMillimetres(6);

    /// <summary>Between two frames, across and down.</summary>
    public Length Gap { get; init; } = Length.FromMillimetres(6);

    public Length Weight { get; init; } = Length.FromPoints(1);

    public override string Kind => "frames";
    protected override ImmutableArray<string> OwnSlots => ["Frames", "Lines"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Count<Storyboard>("across", "Across", 1, 6, d => d.Across, (d, n) => d with { Across = n }),
        Count<Storyboard>("down", "Down", 1, 8, d => d.Down, (d, n) => d with { Down = n }),
        Count<Storyboard>("lines", "Lines", 0, 12, d => d.Lines, (d, n) => d with { Lines = n }),
        Measure<Storyboard>("pitch", "Pitch", 3, 30, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Measure<Storyboard>("gap", "Gap", 1, 60, d => d.Gap, (d, l) => d with { Gap = l }),
        Weighed<Storyboard>("weight", "Weight", 0.25m, 6, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    /// <summary>How wide and high a frame is.</summary>
    /// <exception cref="Refusal">There is no room for one.</exception>
    private Size Frame(Surface page)
    {
        var wide = 1m / Across * (page.Safe.Width - ((Across - 1) * Gap));
        var high = 1m / Down * (page.Safe.Height - ((Down - 1) * Gap)) - (Lines * Pitch);
        return wide >= Least && high >= Least
            ? new(wide, high)
            : throw new Refusal("down", $"{Across} × {Down} frames with {Lines} lines each leave a frame of " +
                $"{Length.Max(wide, default).Show(Unit.Millimetre)} × " +
                    $"{Length.Max(high, default).Show(Unit.Millimetre)}: " +
                    "take fewer, or fewer lines");
    }

    private static readonly Length Least = Length.FromMillimetres(8);

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        (Down, Across, null);

    protected override string Sum(Surface page, Unit unit)
    {
        var frame = Frame(page);
        return $"({page.Safe.Width.Show(unit)} − {Across - 1} × {Gap.Show(unit)}) ÷ {Across} = " +
            $"{frame.Width.Show(unit)} wide; " +
            $"({page.Safe.Height.Show(unit)} − {Down - 1} × {Gap.Show(unit)}) ÷ {Down} − {Lines} × " +
                $"{Pitch.Show(unit)} = " +
                $"{frame.Height.Show(unit)} high";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (frame, safe) = (Frame(page), page.Safe);
        var half = Weight.Points / 2;
        (double X, double Y)[] heads =
        [
            .. from row in Enumerable.Range(0, Down)
               from column in Enumerable.Range(0, Across)
               select ((safe.X + (column * (frame.Width + Gap))).Points,
                   (safe.Y + (row * (frame.Height + (Lines * Pitch) + Gap))).Points),
        ];
        yield return PageLines.Again(Outline.Rectangle(half, half, frame.Width.Points - (2 * half),
            frame.Height.Points - (2 * half)), Weight, 0, heads);
        if (Lines == 0) yield break;
        var lines = new Pen();
        for (var n = 1; n <= Lines; n++)
            lines.Add(PageLines.Level(0, (frame.Height + (n * Pitch)).Points, frame.Width.Points));
        yield return PageLines.Again(lines.Done(), 0.75m * Weight, 1, heads);
    }
}
