namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// Questions with lines to answer on, as many as fit a page; the next page of its run asks the next ones, and begins
/// again after the last. A question with a word in braces is filled in from a table’s row.
/// </summary>
public sealed record Prompts : PageDesign
{
    /// <summary>A question a line.</summary>
    public string Questions { get; init; } =
        "What went well today?\nWhat would I do again?\nWhat am I looking forward to?";

    /// <summary>Lines under each, at least; what is left over gives each another.</summary>
    public int Answers { get; init; } = 4;

    public Length Pitch { get; init; } = Length.FromMillimetres(8);

    public Length Size { get; init; } = Length.FromPoints(11);

    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    public override string Kind => "prompts";
    protected override ImmutableArray<string> OwnSlots => ["Rules"];
    public override IEnumerable<string> Given => [.. base.Given, Questions];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Lines<Prompts>("questions", "Questions", d => d.Questions, (d, s) => d with { Questions = s }),
        Count<Prompts>("answers", "Lines each, at least", 1, 40, d => d.Answers, (d, n) => d with { Answers = n }),
        Measure<Prompts>("pitch", "Pitch", 4, 40, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Weighed<Prompts>("size", "Type", 6, 36, d => d.Size, (d, l) => d with { Size = l }),
        Weighed<Prompts>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    private string[] Asked =>
        [.. Questions.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)];

    // A question's own row is as high as two lines.
    private Length Block => (Answers + 2) * Pitch;

    /// <exception cref="Refusal">Not one fits.</exception>
    private (int Questions, int Lines, Length Over) Fit(Surface page)
    {
        var fit = Fitted.Of(page.Safe.Height, Block, "question with its lines");
        var more = (int)(fit.Over.Units / Pitch.Units / fit.Count);
        return (fit.Count, Answers + more, fit.Over - (fit.Count * more * Pitch));
    }

    public override int? RowsToPrint => Asked.Length;

    protected override int RowsIn(Surface page) => Fit(page).Questions;

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var fit ? (fit.Questions, 1, fit.Over) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var fit = Fit(page);
        return $"{PageLines.Room(page, true, unit)}, ÷ ({fit.Lines} + 2) × {Pitch.Show(unit)} = {fit.Questions} " +
            $"question{(fit.Questions == 1 ? "" : "s")} a page with {fit.Lines} lines, {fit.Over.Show(unit)} over, " +
                $"given to the head";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (fit, asked, safe, pitch) = (Fit(page), Asked, page.Safe, Pitch.Points);
        var (each, block) = (fit.Questions, (fit.Lines + 2) * pitch);
        var top = safe.Bottom.Points - (each * block);
        List<(double, double)> rules = [];
        for (var n = 0; n < each; n++)
        {
            var y = top + (n * block);
            if (asked.Length > 0)
                yield return new Written(at.Fill(asked[(((at.Time - 1) * each) + n) % asked.Length]),
                    new(safe.X.Points, y, safe.Right.Points, y + (1.8 * pitch)), Size.Points, InWords)
                { Stand = Stand.Foot, Align = at.Mirrored ? Align.Right : Align.Left };
            for (var line = 1; line <= fit.Lines; line++) rules.Add((safe.X.Points, y + ((line + 2) * pitch)));
        }
        yield return PageLines.Again(PageLines.Level(0, 0, safe.Width.Points), Weight, 0, rules);
    }
}
