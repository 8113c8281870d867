namespace Lumbeck.Core.Art.Patterns;

/// <summary>Six-sided cells, some filled, some with a smaller one within.</summary>
public sealed record Hexagons : Pattern
{
    /// <summary>A cell’s width, in millimetres.</summary>
    public decimal Cell { get; init; } = 14m;

    /// <summary>How many are filled, in percent.</summary>
    public decimal Filled { get; init; } = 30m;

    public override string Kind => "hexagons";

    public override ImmutableArray<string> Slots => ["Filled", "Inner", "Wall"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Hexagons>("cell", "Cell", " mm", 4m, 60m, p => p.Cell, (p, n) => p with { Cell = n }),
            Number<Hexagons>("filled", "Filled", " %", 0m, 100m, p => p.Filled, (p, n) => p with { Filled = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var wide = (double)Cell;
        var r = wide / 1.7320508;
        var row = r * 1.5;
        Outline hexagon(double size) =>
            Shapes.Of(p =>
                p.Polygon(Enumerable.Range(0, 6)
                    .Select(n => Seeded.From(0, 0, r * size, (n + 0.5) / 6))));
        var cells = Seeded.Cells(window, wide, row)
            .Select(c => (c, At: Seeded.Place((c.X * wide) + ((c.Y & 1) == 0 ? 0 : wide / 2), c.Y * row),
            Chance: Seeded.At(c.X, c.Y, Seed) * 100)).ToList();
        var share = (double)Filled;
        yield return new Repeated([new Area(hexagon(0.94))], [.. cells.Where(c => c.Chance < share).Select(c => c.At)]);
        yield return new Repeated([new Area(hexagon(0.5), 1)],
            [.. cells.Where(c => c.Chance >= share && c.Chance < share + 25).Select(c => c.At)]);
        yield return new Repeated([new Line(hexagon(1), 0.7, 2)], [.. cells.Select(c => c.At)]);
    }
}
