namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Lines a millimetre apart, heavier at each fifth, heaviest at each tenth.</summary>
public sealed record MillimetrePaper : PageDesign
{
    /// <summary>Of the finest lines.</summary>
    public Length Weight { get; init; } = Length.FromPoints(0.5m);

    public override string Kind => "millimetre paper";
    protected override ImmutableArray<string> OwnSlots => ["Millimetres", "Fives", "Tens"];

    protected override IReadOnlyList<Field> OwnFields =>
        [Weighed<MillimetrePaper>("weight", "Weight", 0.25m, 1, d => d.Weight, (d, l) => d with { Weight = l })];

    private static readonly Length One = Length.FromMillimetres(1), Ten = Length.FromMillimetres(10);

    // It ends on a heaviest line on every side.
    private static (Fitted Across, Fitted Down) Fit(Surface page) =>
        (Fitted.Of(page.Safe.Width, Ten, "centimetre"), Fitted.Of(page.Safe.Height, Ten, "centimetre"));

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var (across, down) ? (down.Count, across.Count, down.Over) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var (across, down) = Fit(page);
        return $"{page.Safe.Width.Show(unit)} × {page.Safe.Height.Show(unit)} hold {across.Count} × {down.Count} " +
            $"whole squares of 10 mm, {Fitted.SayOver(across, down, unit)}";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (across, down) = Fit(page);
        var safe = page.Safe;
        var (left, head) = (safe.X + (0.5m * across.Over), safe.Y + down.Over);
        var (wide, high) = (across.Count * Ten, down.Count * Ten);
        static int kind(int n) => n % 10 == 0 ? 2 : n % 5 == 0 ? 1 : 0;
        for (var slot = 0; slot < 3; slot++)
        {
            var pen = new Pen();
            for (var n = 0; n <= down.Count * 10; n++)
                if (kind(n) == slot) pen.Add(PageLines.Level(left.Points, (head + (n * One)).Points, wide.Points));
            for (var n = 0; n <= across.Count * 10; n++)
                if (kind(n) == slot) pen.Add(PageLines.Upright((left + (n * One)).Points, head.Points, high.Points));
            yield return new Line(pen.Done(), Weight.Points * (1 + (0.6 * slot)), slot);
        }
    }
}
