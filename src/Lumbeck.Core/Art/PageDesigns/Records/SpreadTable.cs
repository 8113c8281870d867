namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>
/// A table over an opening: some columns lie on the page that is read first, the others on the one that faces it. None
/// crosses the fold, and rows meet there.
/// </summary>
public sealed record SpreadTable : PageDesign
{
    /// <summary>On the page that is read first.</summary>
    public ImmutableArray<Column> First { get; init; } = [new("date", ColumnKind.Date), new("what", Share: 2),
        new("where")];

    /// <summary>On the page that faces it.</summary>
    public ImmutableArray<Column> Across { get; init; } = [new("notes", Share: 3), new("done", ColumnKind.Tick)];

    public Length Pitch { get; init; } = Length.FromMillimetres(9);

    public Length Heads { get; init; } = Length.FromMillimetres(6);

    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    public override int Takes => 2;
    public override string Kind => "table over an opening";
    protected override ImmutableArray<string> OwnSlots => ["Rules", "Columns"];
    public override IEnumerable<string> Given => [.. base.Given, .. First.Concat(Across).Select(c => c.Head)];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        new Field<SpreadTable, ImmutableArray<Column>>("first", "Columns of the first", Column.Kinded, d => d.First,
            (d, c) => d with { First = c }) { Wide = true },
        new Field<SpreadTable, ImmutableArray<Column>>("across", "Of the facing page", Column.Kinded, d => d.Across,
            (d, c) => d with { Across = c }) { Wide = true },
        Measure<SpreadTable>("pitch", "Row pitch", 3, 60, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Measure<SpreadTable>("heads", "Room for heads", 0, 60, d => d.Heads, (d, l) => d with { Heads = l }),
        Weighed<SpreadTable>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    private Rows Rows(bool facing) => new(facing ? Across : First, Pitch, Heads, Weight);

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Rows(false).Fit(page) is var fit ? (fit.Count, First.Length, fit.Over) : default;

    protected override string Sum(Surface page, Unit unit)
    {
        var across = Rows(true).Widths(page.Safe.Width);
        return $"{Rows(false).Sum(page, unit)}; facing: {string.Join(" + ", across.Select(w => w.Show(unit)))}";
    }

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at) => Rows(at.Facing).Draw(page, at, InWords);

    public bool Equals(SpreadTable? other) => base.Equals(other) && First.SequenceEqual(other.First)
        && Across.SequenceEqual(other.Across) && (Pitch, Heads, Weight) == (other.Pitch, other.Heads, other.Weight);

    public override int GetHashCode() => HashCode.Combine(base.GetHashCode(), First.Length, Across.Length, Pitch);
}
