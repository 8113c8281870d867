namespace Lumbeck.Core.Art.Ornaments;

/// <summary>A rosette of folded ribbon with two tails.</summary>
public sealed record Rosette : Ornament
{
    /// <summary>How many folds.</summary>
    public decimal Folds { get; init; } = 26m;

    public override string Kind => "rosette";
    public override OrnamentSort Sort => OrnamentSort.Badge;
    public override ImmutableArray<string> Slots => ["Ribbon", "Folds", "Middle"];
    public override (double Wide, double High) First => (40, 58);

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Rosette>("folds", "Folds", "", 12m, 48m, o => o.Folds, (o, n) => o with { Folds = n }),
        ];

    public override IEnumerable<Drawn> Draw(double wide, double high)
    {
        var r = Math.Min(wide / 2, high * 0.36);
        var (x, y, many) = (wide / 2, r, (int)Folds);
        foreach (var side in (int[])[-1, 1])
            yield return new Area(Shapes.Of(pen => pen.Polygon([(x + (side * r * 0.05), y), (x + (side * r * 0.62), y),
                (x + (side * r * 0.86), high),
                (x + (side * r * 0.5), high - (r * 0.24)), (x + (side * r * 0.2), high)])), 1);
        for (var n = 0; n < many; n++)
        {
            var (a, b, c) = ((double)n / many, (n + 0.5) / many, (n + 1.0) / many);
            yield return new Area(Shapes.Of(pen =>
                pen.Polygon([(x, y), Seeded.From(x, y, r, a), Seeded.From(x, y, r * 0.97, b)])));
            yield return new Area(Shapes.Of(pen =>
                pen.Polygon([(x, y), Seeded.From(x, y, r * 0.97, b), Seeded.From(x, y, r, c)])),
                1);
        }
        yield return new Area(Shapes.Circle(x, y, r * 0.62), 2);
        yield return new Line(Shapes.Circle(x, y, r * 0.55), r * 0.06);
    }

    public override int WordsLieOn => 2;

    public override WordPlace Words(double wide, double high)
    {
        var r = Math.Min(wide / 2, high * 0.36);
        return new(new((wide / 2) - (r * 0.42), r * 0.72, (wide / 2) + (r * 0.42), r * 1.28), r * 0.34);
    }
}
