namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// Rules to write on: the last lies on the foot margin, the others a pitch apart above it, as many as fit. A margin
/// rule, every so many rules heavier, and dashes are its settings.
/// </summary>
public sealed record Ruled : PageDesign
{
    /// <summary>From one rule to the next.</summary>
    public Length Pitch { get; init; } = Length.FromMillimetres(7);

    /// <summary>How thick each rule is.</summary>
    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    /// <summary>From the outer margin to an upright rule; 0 for none.</summary>
    public Length MarginRule { get; init; }

    /// <summary>Every so many rules, from the foot, one is twice as heavy; 0 for none.</summary>
    public int Heavier { get; init; }

    /// <summary>How long its dashes are; 0 for whole rules.</summary>
    public Length Dashes { get; init; }

    /// <summary>Whether rules are rows of dots, as long as they are heavy.</summary>
    public bool Dotted { get; init; }

    public override string Kind => "ruled";
    protected override ImmutableArray<string> OwnSlots => ["Rules", "Head rule", "Margin rule"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Measure<Ruled>("pitch", "Pitch", 2, 60, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Measure<Ruled>("margin-rule", "Margin rule at", 0, 120, d => d.MarginRule, (d, l) => d with { MarginRule = l }),
        Count<Ruled>("heavier", "Heavier every", 0, 20, d => d.Heavier, (d, n) => d with { Heavier = n }),
        Measure<Ruled>("dashes", "Dashes", 0, 20, d => d.Dashes, (d, l) => d with { Dashes = l }),
        new Field<Ruled, bool>("dotted", "Dotted", Values.Switch, d => d.Dotted, (d, b) => d with { Dotted = b }),
        Weighed<Ruled>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    /// <summary>Rules that fit; each has a pitch of room above it.</summary>
    /// <exception cref="Refusal">Not one row fits.</exception>
    public Fitted Fit(Surface page) => Fitted.Of(page.Safe.Height, Pitch, "row");

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var fit ? (fit.Count, null, fit.Over) : default;

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, true, unit)}, ÷ {Pitch.Show(unit)} = {Fit(page).Say("row", "the head", unit)}";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (fit, safe) = (Fit(page), page.Safe);
        var rule = PageLines.Level(0, 0, safe.Width.Points);
        ImmutableArray<double> dash = Dotted ? [Weight.Points, 2.5 * Weight.Points]
            : Dashes.IsZero ? [] : [Dashes.Points, Dashes.Points];
        double height(int n) => (safe.Bottom - (n * Pitch)).Points;
        bool isHeavy(int n) => Heavier > 0 && n % Heavier == 0;
        foreach (var heavy in (bool[])[false, true])
        {
            ImmutableArray<Affine> places = [.. Enumerable.Range(0, fit.Count).Where(n => isHeavy(n) == heavy).Reverse()
                .Select(n => Affine.Move(safe.X.Points, height(n)))];
            if (places.Length > 0)
                yield return new Repeated([new Line(rule, Weight.Points * (heavy ? 2 : 1)) { Dash = dash }], places);
        }
        if (!Header.IsZero)
            yield return new Line(PageLines.Level(safe.X.Points, safe.Y.Points, safe.Width.Points), 2 * Weight.Points,
                1);
        if (!MarginRule.IsZero && MarginRule < safe.Width)
        {
            // It stands where lines begin to be read, whichever side of the fold that is.
            var x = (at.Mirrored ? safe.Right - MarginRule : safe.X + MarginRule).Points;
            yield return new Line(PageLines.Upright(x, safe.Y.Points, safe.Height.Points), Weight.Points, 2);
        }
    }
}
