namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// A form: what is asked stands small over a rule to write on. Lines of its text are rows, and what is parted by “·”
/// shares one; a row that asks nothing is a rule more for the row above it.
/// </summary>
public sealed record FormPage : PageDesign
{
    public string Asks { get; init; } = "Name\nAddress\n\nTelephone · Mail\nNotes";

    /// <summary>From one row to the next.</summary>
    public Length Pitch { get; init; } = Length.FromMillimetres(11);

    /// <summary>Forms on a page, one under the other.</summary>
    public int Each { get; init; } = 1;

    /// <summary>Between what shares a row.</summary>
    public Length Gap { get; init; } = Length.FromMillimetres(5);

    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    public override string Kind => "form";
    protected override ImmutableArray<string> OwnSlots => ["Rules"];
    public override IEnumerable<string> Given => [.. base.Given, Asks];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Lines<FormPage>("asks", "What is asked", d => d.Asks, (d, s) => d with { Asks = s }),
        Measure<FormPage>("pitch", "Row pitch", 5, 60, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Count<FormPage>("each", "Forms a page", 1, 12, d => d.Each, (d, n) => d with { Each = n }),
        Measure<FormPage>("gap", "Gap", 1, 40, d => d.Gap, (d, l) => d with { Gap = l }),
        Weighed<FormPage>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    // Empty rows at the end are room to write in: as many as the page has.
    private string[] Asked => Asks.TrimEnd('\n').Split('\n');

    /// <summary>Rows of each form; what is more than it asks are rules more for the last.</summary>
    /// <exception cref="Refusal">It asks more than fits.</exception>
    private (int Each, Fitted All) Fit(Surface page)
    {
        var all = Fitted.Of(page.Safe.Height, Pitch, "row");
        // A row's room lies between two forms.
        var each = (all.Count - (Each - 1)) / Each;
        return each >= Asked.Length
            ? (each, all)
            : throw new Refusal("asks", $"{Asked.Length} rows each are more than the {Math.Max(0, each)} of " +
                $"{Pitch.Show(Unit.Millimetre)} that the page holds: ask less, or take a smaller pitch");
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var (each, all) ? (each * Each, 1, all.Over) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var (each, all) = Fit(page);
        return $"{PageLines.Room(page, true, unit)}, ÷ {Pitch.Show(unit)} = {all.Say("row", "the head", unit)}" +
            (Each > 1 ? $"; {Each} forms of {each} with a row between" : "");
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (each, _) = Fit(page);
        var used = (Each * (each + 1)) - 1;
        var (safe, pitch, gap) = (page.Safe, Pitch.Points, Gap.Points);
        var foot = safe.Bottom.Points;
        for (var form = 0; form < Each; form++)
            for (var n = 0; n < each; n++)
            {
                // The last rule of the last form lies on the foot margin.
                var top = foot - ((used - (form * (each + 1)) - n) * pitch);
                var row = n < Asked.Length ? Asked[n] : "";
                string[] parts = row.Split('·', StringSplitOptions.TrimEntries);
                if (at.Mirrored) Array.Reverse(parts);
                var wide = (safe.Width.Points - ((parts.Length - 1) * gap)) / parts.Length;
                if (wide < 4)
                    throw new Refusal("asks",
                        $"{parts.Length} things to ask are more than share {safe.Width.Show(Unit.Millimetre)}");
                for (var part = 0; part < parts.Length; part++)
                {
                    var x = safe.X.Points + (part * (wide + gap));
                    yield return new Line(PageLines.Level(x, top + pitch, wide), Weight.Points);
                    if (at.Fill(parts[part]) is { Length: > 0 } words)
                        yield return new Written(words, new(x, top + (0.08 * pitch), x + wide, top + (0.6 * pitch)),
                            Math.Min(8, 0.3 * pitch), InWords)
                        { Align = at.Mirrored ? Align.Right : Align.Left };
                }
            }
    }
}
