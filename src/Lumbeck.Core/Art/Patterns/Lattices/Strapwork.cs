namespace Lumbeck.Core.Art.Patterns;

/// <summary>Straps woven to stars of eight points, with crosses between them.</summary>
public sealed record Strapwork : Pattern
{
    /// <summary>From one star to the next, in millimetres.</summary>
    public decimal Repeat { get; init; } = 34m;

    /// <summary>How heavy the straps are, in points.</summary>
    public decimal Strap { get; init; } = 1.6m;

    public override string Kind => "strapwork";

    public override ImmutableArray<string> Slots => ["Star", "Cross", "Strap"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Strapwork>("repeat", "Repeat", " mm", 12m, 120m, p => p.Repeat, (p, n) => p with { Repeat = n }),
            Number<Strapwork>("strap", "Strap", " pt", 0.5m, 6m, p => p.Strap, (p, n) => p with { Strap = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var repeat = (double)Repeat;
        var far = repeat / 2;
        // Two squares, one turned by an eighth, make the star; its inner corners lie where their sides cross.
        var near = far * 0.7653668647;
        IEnumerable<(double, double)> star(double size) =>
            Enumerable.Range(0, 16).Select(n => Seeded.From(0, 0, size * (n % 2 == 0 ? far : near), n / 16.0));
        var outline = Shapes.Of(p => p.Polygon(star(1)));
        Drawn[] unit =
        [
            new Area(outline),
            new Area(Shapes.Of(p => p.Polygon(star(0.5))), 1),
            new Line(outline, (double)Strap, 2),
            new Line(Shapes.Of(p => p.Polygon(star(0.5))), (double)Strap * 0.5, 2),
        ];
        // What is left between four stars is a cross with pointed arms.
        var cross = Shapes.Of(p => p.Polygon(Enumerable.Range(0, 8).Select(n =>
            n % 2 == 0 ? Seeded.From(0, 0, far * 0.36, n / 8.0) : Seeded.From(0, 0, far * 0.2, n / 8.0))));
        yield return new Repeated([.. unit],
            [.. Seeded.Cells(window, repeat, repeat).Select(c => Seeded.Place(c.X * repeat, c.Y * repeat))]);
        yield return new Repeated([new Area(cross, 1), new Line(cross, (double)Strap * 0.6, 2)],
            [.. Seeded.Cells(window, repeat, repeat)
                .Select(c => Seeded.Place((c.X + 0.5) * repeat, (c.Y + 0.5) * repeat))]);
    }
}
