namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Circles round the middle of the page, and rays.</summary>
public sealed record PolarGrid : PageDesign
{
    /// <summary>From one circle to the next.</summary>
    public Length Step { get; init; } = Length.FromMillimetres(5);

    public int Rays { get; init; } = 24;

    public Length Weight { get; init; } = Length.FromPoints(0.5m);

    public override string Kind => "polar";
    protected override ImmutableArray<string> OwnSlots => ["Circles", "Rays"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Measure<PolarGrid>("step", "Step", 2, 40, d => d.Step, (d, l) => d with { Step = l }),
        Count<PolarGrid>("rays", "Rays", 2, 72, d => d.Rays, (d, n) => d with { Rays = n }),
        Weighed<PolarGrid>("weight", "Weight", 0.25m, 3, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    private Fitted Fit(Surface page) =>
        Fitted.Of(0.5m * Length.Min(page.Safe.Width, page.Safe.Height) - (0.5m * Weight), Step, "circle");

    protected override string Sum(Surface page, Unit unit) =>
        $"{Length.Min(page.Safe.Width, page.Safe.Height).Show(unit)} ÷ 2 ÷ {Step.Show(unit)} = " +
            $"{Fit(page).Say("circle", "what lies round them", unit)}; " +
            $"rays {(360m / Rays).ToString("0.##", CultureInfo.InvariantCulture)}° apart";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (fit, safe) = (Fit(page), page.Safe);
        var (x, y) = ((safe.X + (0.5m * safe.Width)).Points, (safe.Y + (0.5m * safe.Height)).Points);
        var pen = new Pen();
        for (var n = 1; n <= fit.Count; n++) pen.Add(Shapes.Circle(x, y, (n * Step).Points));
        yield return new Line(pen.Done(), Weight.Points);
        var (inner, outer) = (Step.Points, (fit.Count * Step).Points);
        var rays = new Pen();
        for (var n = 0; n < Rays; n++)
        {
            var (sin, cos) = Math.SinCos(2 * Math.PI * n / Rays);
            rays.Add(PageLines.Line(x + (cos * inner), y + (sin * inner), x + (cos * outer), y + (sin * outer)));
        }
        yield return new Line(rays.Done(), Weight.Points, 1);
    }
}
