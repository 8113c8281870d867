namespace Lumbeck.Core.Art.PageDesigns;

/// <summary>Rows under the heads of columns, each as wide as its share or a length of its own.</summary>
public sealed record Table : PageDesign
{
    public ImmutableArray<Column> Columns { get; init; } = [new("date", ColumnKind.Date), new("what", Share: 3),
        new("done", ColumnKind.Tick)];

    /// <summary>From one row to the next.</summary>
    public Length Pitch { get; init; } = Length.FromMillimetres(9);

    /// <summary>Room for the columns’ heads.</summary>
    public Length Heads { get; init; } = Length.FromMillimetres(6);

    public Length Weight { get; init; } = Length.FromPoints(0.75m);

    public override string Kind => "table";
    protected override ImmutableArray<string> OwnSlots => ["Rules", "Columns"];
    public override IEnumerable<string> Given => [.. base.Given, .. Columns.Select(c => c.Head)];

    protected override IReadOnlyList<Field> OwnFields =>
    [
        new Field<Table, ImmutableArray<Column>>("columns", "Columns", Column.Kinded, d => d.Columns,
            (d, c) => d with { Columns = c }) { Wide = true },
        Measure<Table>("pitch", "Row pitch", 3, 60, d => d.Pitch, (d, l) => d with { Pitch = l }),
        Measure<Table>("heads", "Room for heads", 0, 60, d => d.Heads, (d, l) => d with { Heads = l }),
        Weighed<Table>("weight", "Weight", 0.25m, 4, d => d.Weight, (d, l) => d with { Weight = l }),
    ];

    /// <summary>The same columns with nothing said over them, for a language that has no words here for it.</summary>
    public Table Bare() => this with { Heading = "", Columns = [.. Columns.Select(c => c with { Head = "" })] };

    private Rows Laid => new(Columns, Pitch, Heads, Weight);

    protected override (int? Rows, int? Columns, Length? Over) Fitting(Surface page) =>
        Laid.Fit(page) is var fit ? (fit.Count, Columns.Length, fit.Over) : default;

    protected override string Sum(Surface page, Unit unit) => Laid.Sum(page, unit);

    protected override IEnumerable<Drawn> Fill(Surface page, PageFacts at) => Laid.Draw(page, at, InWords);

    public bool Equals(Table? other) => base.Equals(other) && Columns.SequenceEqual(other.Columns)
        && (Pitch, Heads, Weight) == (other.Pitch, other.Heads, other.Weight);

    public override int GetHashCode() => HashCode.Combine(base.GetHashCode(), Columns.Length, Pitch);
}
