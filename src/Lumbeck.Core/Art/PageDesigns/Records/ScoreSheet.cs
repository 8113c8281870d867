namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Rounds down, players across, and a row for the sums.</summary>
public sealed record ScoreSheet : PageDesign
{
    public int Players { get; init; } = 4;

    /// <summary>Rounds; 0 for as many as fit.</summary>
    public int Rounds { get; init; }

    public Length Pitch { get; init; } = Length.FromMillimetres(8);

    /// <summary>Of the column that counts the rounds.</summary>
    public Length Counts { get; init; } = Length.FromMillimetres(12);

    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    public override string Kind => "score sheet";
    protected override ImmutableArray<string> OwnSlots => ["Rules", "Heavy rules"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Count<ScoreSheet>("players", "Players", 1, 12, d => d.Players, (d, n) => d with { Players = n }),
        Count<ScoreSheet>("rounds", "Rounds", 0, 60, d => d.Rounds, (d, n) => d with { Rounds = n }),
        Measure<ScoreSheet>("pitch", "Row pitch", 4, 40, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Measure<ScoreSheet>("counts", "Rounds’ column", 6, 60, d => d.Counts, (d, l) => d with { Counts = l }),
        Weighed<ScoreSheet>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    /// <exception cref="Refusal">They don’t fit.</exception>
    private (int Rounds, Length Column, Length Over) Fit(Surface page)
    {
        // Names above, sums below.
        var rows = Fitted.Of(page.Safe.Height, Pitch, "row").Count - 2;
        var rounds = Rounds == 0 ? rows : Rounds;
        if (rounds < 1 || rounds > rows)
            throw new Refusal("rounds",
                $"{rounds} rounds with names and sums are more than the {Math.Max(0, rows)} that fit");
        var column = 1m / Players * (page.Safe.Width - Counts);
        return column >= Pitch
            ? (rounds, column, page.Safe.Height - ((rounds + 2) * Pitch))
            : throw new Refusal("players", $"{Players} players leave columns of " +
                $"{Length.Max(column, default).Show(Unit.Millimetre)}: " +
                "take fewer");
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var (rounds, _, over) ? (rounds, Players, over) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var (rounds, column, over) = Fit(page);
        return $"{PageLines.Room(page, true, unit)}, ÷ {Pitch.Show(unit)} = {rounds} rounds with names and sums, " +
            $"{over.Show(unit)} over, given to the head; ({page.Safe.Width.Show(unit)} − {Counts.Show(unit)}) ÷ " +
                $"{Players} = {column.Show(unit)}";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (rounds, column, _) = Fit(page);
        var (safe, pitch) = (page.Safe, Pitch.Points);
        var (left, wide, foot, rows) = (safe.X.Points, safe.Width.Points, safe.Bottom.Points, rounds + 2);
        var heavy = new HashSet<int> { 1, rows - 1 };
        yield return PageLines.Again(PageLines.Level(0, 0, wide), Weight, 0, Enumerable.Range(0, rows + 1)
            .Where(n => !heavy.Contains(n)).Select(n => (left, foot - (n * pitch))));
        yield return PageLines.Again(PageLines.Level(0, 0, wide), 2m * Weight, 1,
            heavy.Select(n => (left, foot - (n * pitch))));
        var counts = Counts.Points;
        yield return PageLines.Again(PageLines.Upright(0, -rows * pitch, rows * pitch), Weight, 0,
            Enumerable.Range(0, Players + 1).Where(n => n > 0 || Players > 0)
                .Select(n =>
                    (at.Mirrored ? left + wide - counts - (n * column.Points) : left + counts + (n * column.Points),
                        foot))
                .Where(p => p.Item1 > left + 0.01 && p.Item1 < left + wide - 0.01));
        var size = Math.Min(9, 0.5 * pitch);
        var x = at.Mirrored ? left + wide - counts : left;
        for (var n = 1; n <= rounds; n++)
        {
            var y = foot - ((rows - n) * pitch);
            yield return new Written(n.ToString(CultureInfo.InvariantCulture),
                new(x, y, x + counts, y + pitch - (0.28 * pitch)), size, InWords)
            {
                Align = Align.Centre,
                Stand = Stand.Foot
            };
        }
        yield return new Written("Σ", new(x, foot - pitch, x + counts, foot - (0.28 * pitch)), size, InWords)
        { Align = Align.Centre, Stand = Stand.Foot };
    }
}
