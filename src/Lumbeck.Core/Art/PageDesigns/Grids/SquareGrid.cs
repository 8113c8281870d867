namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Squares that end whole; every so many lines heavier.</summary>
public sealed record SquareGrid : PageDesign
{
    public Length Pitch { get; init; } = Length.FromMillimetres(5);

    /// <summary>Every so many lines, from the first, one is heavier; 0 for none.</summary>
    public int Heavier { get; init; }

    public Length Weight { get; init; } = Length.FromPoints(0.5m);

    public override string Kind => "squares";
    protected override ImmutableArray<string> OwnSlots => ["Lines", "Heavier lines"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Measure<SquareGrid>("pitch", "Pitch", 2, 60, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Count<SquareGrid>("heavier", "Heavier every", 0, 20, d => d.Heavier, (d, n) => d with { Heavier = n }),
        Weighed<SquareGrid>("weight", "Weight", 0.25m, 3, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    private (Fitted Across, Fitted Down) Fit(Surface page) =>
        (Fitted.Of(page.Safe.Width, Pitch, "column"), Fitted.Of(page.Safe.Height, Pitch, "row"));

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var (across, down) ? (down.Count, across.Count, down.Over) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var (across, down) = Fit(page);
        return $"{page.Safe.Width.Show(unit)} × {page.Safe.Height.Show(unit)}, ÷ {Pitch.Show(unit)} = " +
            $"{across.Count} × {down.Count} squares, {Fitted.SayOver(across, down, unit)}";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (across, down) = Fit(page);
        var safe = page.Safe;
        var (left, head) = (safe.X + (0.5m * across.Over), safe.Y + down.Over);
        var (wide, high) = ((across.Count * Pitch).Points, (down.Count * Pitch).Points);
        bool isHeavy(int n) => Heavier > 0 && n % Heavier == 0;
        foreach (var heavy in (bool[])[false, true])
        {
            var pen = new Pen();
            for (var n = 0; n <= down.Count; n++)
                if (isHeavy(n) == heavy) pen.Add(PageLines.Level(left.Points, (head + (n * Pitch)).Points, wide));
            for (var n = 0; n <= across.Count; n++)
                if (isHeavy(n) == heavy) pen.Add(PageLines.Upright((left + (n * Pitch)).Points, head.Points, high));
            if (pen.Done() is { IsEmpty: false } lines)
                yield return new Line(lines, Weight.Points * (heavy ? 2 : 1), heavy ? 1 : 0);
        }
    }
}
