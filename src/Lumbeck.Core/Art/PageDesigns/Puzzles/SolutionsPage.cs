namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Solutions of the book’s puzzles in their order, so many to a page.</summary>
public sealed record SolutionsPage : PageDesign
{
    public int Across { get; init; } = 2;
    public int Down { get; init; } = 3;

    /// <summary>What stands over each.</summary>
    public string Says { get; init; } = "{heading} · page {page}";

    /// <summary>Between two solutions, across and down.</summary>
    public Length Gap { get; init; } = Length.FromMillimetres(6);

    public override string Kind => "solutions";
    public override bool Varies => true;
    protected override ImmutableArray<string> OwnSlots => ["Lines", "Shade"];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        Count<SolutionsPage>("across", "Across", 1, 6, d => d.Across, (d, n) => d with { Across = n }),
        Count<SolutionsPage>("down", "Down", 1, 8, d => d.Down, (d, n) => d with { Down = n }),
        Line<SolutionsPage>("says", "Over each", d => d.Says, (d, s) => d with { Says = s }),
        Measure<SolutionsPage>("gap", "Between", 2, 30, d => d.Gap, (d, l) => d with { Gap = l }),
    ];

    /// <summary>Pages that so many puzzles need.</summary>
    public int PagesFor(int puzzles) => Math.Max(1, ((puzzles - 1) / (Across * Down)) + 1);

    private (Length Wide, Length High) Fit(Surface page)
    {
        var (wide, high) = (1m / Across * (page.Safe.Width - ((Across - 1) * Gap)), 1m / Down * (page.Safe.Height - ((Down - 1) * Gap)));
        return wide >= Length.FromMillimetres(16) && high >= Length.FromMillimetres(20) ? (wide, high)
            : throw new Refusal("across", $"{Across} × {Down} solutions leave {Length.Max(wide, default).Show(Unit.Millimetre)} × " +
                $"{Length.Max(high, default).Show(Unit.Millimetre)} for each: one wants 16 mm × 20 mm");
    }

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Fit(page) is var _ ? (Down, Across, null) : default;

    protected override string Sum(Surface page, Unit unit) =>
        $"{PageLines.Room(page, false, unit)}, − {Across - 1} × {Gap.Show(unit)}, ÷ {Across} = {Fit(page).Wide.Show(unit)}; " +
        $"{PageLines.Room(page, true, unit)}, − {Down - 1} × {Gap.Show(unit)}, ÷ {Down} = {Fit(page).High.Show(unit)}";

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at)
    {
        var (wide, high) = Fit(page);
        foreach (var (n, puzzle) in at.ToSolve.Skip((at.Time - 1) * Across * Down).Take(Across * Down).Index())
        {
            var column = at.Mirrored ? Across - 1 - (n % Across) : n % Across;
            var (x, y) = ((page.Safe.X + (column * (wide + Gap))).Points, (page.Safe.Y + (n / Across * (high + Gap))).Points);
            var box = new Bounds(x, y, x + wide.Points, y + high.Points);
            var over = puzzle.At with { Fields = puzzle.At.Fields.SetItem("heading", puzzle.Says) };
            yield return new Written(over.Fill(Says), box with { Bottom = y + 11 }, 7.5, InWords)
            { Align = Align.Centre, Heads = true };
            foreach (var drawn in puzzle.Design.One(box with { Top = y + 13 }, puzzle.N, puzzle.At, true, InWords))
                yield return Slotted(drawn, puzzle.Design.ShadeSlot);
        }
    }

    /// <summary>Its lines and its shade in the inks that solutions have.</summary>
    private static Drawn Slotted(Drawn drawn, int shade) => drawn switch
    {
        Line l => l with { Slot = l.Slot == shade ? 1 : 0 },
        Area a => a with { Slot = a.Slot == shade ? 1 : 0 },
        Repeated r => r with { Symbol = [.. r.Symbol.Select(d => Slotted(d, shade))] },
        _ => drawn,
    };
}
