namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// A saying in the middle of a page with who said it; a blank line parts one from the next, and each page of its run
/// has
/// the next.
/// </summary>
public sealed record Quotation : PageDesign
{
    /// <summary>Sayings, a blank line between two; a line that begins with a dash says whose it is.</summary>
    public string Sayings { get; init; } = "A page a day is a book a year.\n— proverb";

    public Length Size { get; init; } = Length.FromPoints(16);

    public override string Kind => "quotation";
    protected override ImmutableArray<string> OwnSlots => [];
    public override bool IsDisplay => true;
    public override IEnumerable<string> Given => [.. base.Given, Sayings];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Lines<Quotation>("sayings", "Sayings", d => d.Sayings, (d, s) => d with { Sayings = s }),
        Weighed<Quotation>("size", "Type", 6, 72, d => d.Size, (d, l) => d with { Size = l }),
    ];

    private string[] All =>
        [.. Sayings.Split("\n\n", StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)];

    public override int? RowsToPrint => All.Length;

    protected override string Sum(Surface page, Unit unit) =>
        $"{page.Safe.Size.Show(unit)} within the margins; {All.Length} saying{(All.Length == 1 ? "" : "s")} at " +
            $"{Size.ShowPoints()}";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        if (All is not { Length: > 0 } all) yield break;
        var lines = at.Fill(all[(at.Time - 1) % all.Length]).Split('\n');
        var (said, whose) = (string.Join('\n', lines.Where(l => !IsWhose(l))), lines.FirstOrDefault(IsWhose));
        var safe = page.Safe;
        // A little over the middle, where the eye looks for it.
        var (left, right, line) = (safe.X.Points, safe.Right.Points, safe.Y.Points + (0.5 * safe.Height.Points));
        var inset = 0.08 * safe.Width.Points;
        yield return new Written(said, new(left + inset, safe.Y.Points, right - inset, line),
            Size.Points, InWords)
        { Align = Align.Centre, Stand = Stand.Foot, Leading = 1.35m };
        if (whose is not null)
            yield return new Written(whose.TrimStart('—', '–', '-', ' '), new(left, line + Size.Points, right,
                safe.Bottom.Points), 0.7 * Size.Points, InWords)
            { Align = Align.Centre };
    }

    private static bool IsWhose(string line) =>
        line.StartsWith('—') || line.StartsWith('–') || line.StartsWith("- ", StringComparison.Ordinal);
}
