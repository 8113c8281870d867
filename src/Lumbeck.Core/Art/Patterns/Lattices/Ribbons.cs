namespace Lumbeck.Core.Art.Patterns;

/// <summary>Ribbons woven over and under, each with an edge.</summary>
public sealed record Ribbons : Pattern
{
    /// <summary>How wide a ribbon is, in millimetres.</summary>
    public decimal Ribbon { get; init; } = 12m;

    public override string Kind => "ribbons";

    public override ImmutableArray<string> Slots => ["Level", "Upright", "Edge"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Ribbons>("ribbon", "Ribbon", " mm", 3m, 50m, p => p.Ribbon, (p, n) => p with { Ribbon = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var wide = (double)Ribbon;
        var pitch = wide * 1.25;
        var (long_, rim) = ((pitch * 2) - ((pitch - wide) / 2 * 2), wide * 0.12);
        Drawn[] ribbon(int slot) =>
        [
            new Area(Shapes.Box(-long_ / 2, -wide / 2, long_ / 2, wide / 2), slot),
            new Line(Shapes.Of(p =>
                { p.Path((-long_ / 2, (-wide / 2) + rim), (long_ / 2, (-wide / 2) + rim));
                    p.Path((-long_ / 2, (wide / 2) - rim), (long_ / 2, (wide / 2) - rim)); }),
                0.6, 2),
            new Line(Shapes.Of(p =>
                { p.Path((-long_ / 2, -wide / 2), (long_ / 2, -wide / 2));
                    p.Path((-long_ / 2, wide / 2), (long_ / 2, wide / 2)); }),
                0.5, 2),
        ];
        static bool even(int n) => (n & 1) == 0;
        // All level ones first, then the upright ones that lie over, then level ones again where they come up.
        var cells = Seeded.Cells(window, pitch, pitch, 2).ToList();
        yield return new Repeated([.. ribbon(1)],
            [.. cells.Where(c => even(c.X + c.Y)).Select(c => Seeded.Place(c.X * pitch, c.Y * pitch, 0.25))]);
        yield return new Repeated([.. ribbon(0)],
            [.. cells.Where(c => !even(c.X + c.Y)).Select(c => Seeded.Place(c.X * pitch, c.Y * pitch))]);
        var piece = Shapes.Box(-wide / 2, -wide / 2, wide / 2, wide / 2);
        yield return new Repeated([new Area(piece, 1),
            new Line(Shapes.Of(p =>
                { p.Path(((-wide / 2) + rim, -wide / 2), ((-wide / 2) + rim, wide / 2));
                    p.Path(((wide / 2) - rim, -wide / 2), ((wide / 2) - rim, wide / 2)); }),
                0.6, 2)],
            [.. cells.Where(c => even(c.X + c.Y)).Select(c => Seeded.Place(c.X * pitch, c.Y * pitch))]);
    }
}
