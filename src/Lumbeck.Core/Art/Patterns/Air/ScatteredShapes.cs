namespace Lumbeck.Core.Art.Patterns;

/// <summary>Shapes thrown over the ground: rings, discs, bars, triangles, each turned by chance.</summary>
public sealed record ScatteredShapes : Pattern
{
    /// <summary>How far shapes lie apart, in millimetres.</summary>
    public decimal Pitch { get; init; } = 17m;

    /// <summary>How large they are, in percent of the pitch.</summary>
    public decimal Size { get; init; } = 46m;

    public override string Kind => "scattered shapes";

    public override ImmutableArray<string> Slots => ["First", "Second", "Third"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<ScatteredShapes>("pitch", "Pitch", " mm", 5m, 80m, p => p.Pitch, (p, n) => p with { Pitch = n }),
            Number<ScatteredShapes>("size", "Size", " %", 15m, 90m, p => p.Size, (p, n) => p with { Size = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var pitch = (double)Pitch;
        var r = pitch * (double)Size / 200;
        Outline[] shapes =
        [
            Shapes.Circle(0, 0, r * 0.8),
            Shapes.Of(p => p.Polygon(Enumerable.Range(0, 3).Select(n => Seeded.From(0, 0, r, n / 3.0)))),
            Shapes.Box(-r, -r * 0.24, r, r * 0.24),
            Shapes.Box(-r * 0.7, -r * 0.7, r * 0.7, r * 0.7),
            Shapes.Of(p => { p.Box(-r, -r * 0.2, r, r * 0.2); p.Box(-r * 0.2, -r, r * 0.2, r); }),
        ];
        var places = new List<Affine>[shapes.Length * 3];
        for (var n = 0; n < places.Length; n++) places[n] = [];
        foreach (var (x, y) in Seeded.Cells(window, pitch, pitch))
            places[(Seeded.Of(shapes.Length, x, y, Seed, 1) * 3) + Seeded.Of(3, x, y, Seed, 2)].Add(Seeded.Place(
                (x + 0.5 + (0.4 * (Seeded.At(x, y, Seed, 3) - 0.5))) * pitch,
                    (y + 0.5 + (0.4 * (Seeded.At(x, y, Seed, 4) - 0.5))) * pitch, Seeded.At(x, y, Seed, 5)));
        for (var n = 0; n < places.Length; n++)
            yield return n / 3 == 0 && n % 3 == 2
                ? new Repeated([new Line(shapes[0], 1.2, 2)], [.. places[n]])
                : new Repeated([new Area(shapes[n / 3], n % 3)], [.. places[n]]);
    }
}
