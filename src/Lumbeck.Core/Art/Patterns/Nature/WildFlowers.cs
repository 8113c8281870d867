namespace Lumbeck.Core.Art.Patterns;

/// <summary>Wild flowers: stems with leaves, and heads of petals round a heart.</summary>
public sealed record WildFlowers : Pattern
{
    /// <summary>How far flowers stand apart, in millimetres.</summary>
    public decimal Pitch { get; init; } = 30m;

    /// <summary>How many petals a head has.</summary>
    public decimal Petals { get; init; } = 7m;

    public override string Kind => "wild flowers";

    public override ImmutableArray<string> Slots => ["Petal", "Heart", "Stem and leaf"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<WildFlowers>("pitch", "Pitch", " mm", 10m, 90m, p => p.Pitch, (p, n) => p with { Pitch = n }),
            Number<WildFlowers>("petals", "Petals", "", 4m, 13m, p => p.Petals, (p, n) => p with { Petals = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var pitch = (double)Pitch;
        var places = new List<Affine>[3] { [], [], [] };
        foreach (var (x, y) in Seeded.Cells(window, pitch, pitch * 0.8, 2))
        {
            var cx = (x + ((y & 1) == 0 ? 0 : 0.5) + (0.3 * (Seeded.At(x, y, Seed, 1) - 0.5))) * pitch;
            var cy = (y + (0.3 * (Seeded.At(x, y, Seed, 2) - 0.5))) * pitch * 0.8;
            places[Seeded.Of(3, x, y, Seed, 3)].Add(Seeded.Place(cx, cy, 0.12 * (Seeded.At(x, y, Seed, 4) - 0.5)));
        }
        for (var kind = 0; kind < 3; kind++) yield return new Repeated([.. Flower(kind)], [.. places[kind]]);
    }

    private IEnumerable<Drawn> Flower(int kind)
    {
        var size = (double)Pitch * (0.24 - (0.05 * kind));
        var tall = (double)Pitch * (0.62 + (0.1 * kind));
        var lean = (kind - 1) * tall * 0.16;
        var stem = Shapes.Of(p =>
        {
            p.Move(0, tall * 0.5);
            p.Quad(-lean, 0, lean, -tall * 0.5);
        });
        yield return new Line(stem, 0.9, 2);
        foreach (var (at, side) in ((double, int)[])[(0.26, 1), (0.08, -1)])
            yield return new Area(Shapes.Leaf(tall * 0.3, tall * 0.12).Under(Seeded.Place(-lean * 0.3, tall * at,
                side > 0 ? -0.1 : -0.4)),
                2);
        var many = Math.Max(4, (int)Petals - kind);
        var petals = new Pen();
        for (var n = 0; n < many; n++)
            petals.Add(Shapes.Leaf(size, size * 5.2 / many * 0.62)
                .Under(Seeded.Place(lean, -tall * 0.5, (double)n / many)));
        yield return new Area(petals.Done());
        yield return new Area(Shapes.Circle(lean, -tall * 0.5, size * 0.24), 1);
    }
}
