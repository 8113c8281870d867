namespace Lumbeck.Core.Art.Patterns;

/// <summary>A night sky: stars by their brightness, and figures of stars of our own joined by fine lines.</summary>
public sealed record NightSky : Pattern
{
    /// <summary>How far stars lie apart, in millimetres.</summary>
    public decimal Spread { get; init; } = 9m;

    /// <summary>How many figures there are, in percent.</summary>
    public decimal Figures { get; init; } = 70m;

    public override string Kind => "night sky";

    public override ImmutableArray<string> Slots => ["Star", "Bright star", "Line"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<NightSky>("pitch", "Spread", " mm", 4m, 40m, p => p.Spread, (p, n) => p with { Spread = n }),
            Number<NightSky>("figures", "Figures", " %", 0m, 100m, p => p.Figures, (p, n) => p with { Figures = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var pitch = (double)Spread;
        var sizes = new List<Affine>[4] { [], [], [], [] };
        foreach (var (x, y) in Seeded.Cells(window, pitch, pitch))
        {
            // Few are bright: each step of brightness is a third as frequent.
            var chance = Seeded.At(x, y, Seed, 1);
            var size = chance < 0.62 ? 0 : chance < 0.84 ? 1 : chance < 0.92 ? 2 : 3;
            sizes[size]
                .Add(Seeded.Place((x + Seeded.At(x, y, Seed, 2)) * pitch, (y + Seeded.At(x, y, Seed, 3)) * pitch));
        }
        for (var size = 0; size < 3; size++)
            yield return new Repeated([new Area(Shapes.Circle(0, 0, 0.14 + (0.14 * size)))], [.. sizes[size]]);
        // A figure: some bright stars of one field, joined from left to right.
        const double field = 78;
        var (lines, ends) = (new Pen(), new List<Affine>());
        foreach (var (x, y) in Seeded.Cells(window, field, field))
        {
            if (Seeded.At(x, y, Seed, 4) * 100 >= (double)Figures) continue;
            var many = 4 + Seeded.Of(4, x, y, Seed, 5);
            var stars = Enumerable.Range(0, many).Select(n => (
                X: Seeded.Round((x + 0.16 + (0.68 * (n + (0.7 * Seeded.At(x, y, Seed, 10 + n))) / many)) * field),
                Y: Seeded.Round((y + 0.2 + (0.6 * Seeded.At(x, y, Seed, 30 + n))) * field))).ToArray();
            for (var n = 0; n + 1 < many; n++)
            {
                // A line ends short of its stars.
                var (a, b) = (stars[n], stars[n + 1]);
                var far = Math.Sqrt(((b.X - a.X) * (b.X - a.X)) + ((b.Y - a.Y) * (b.Y - a.Y)));
                if (far < 6) continue;
                var t = 1.9 / far;
                lines.Path((Seeded.Round(a.X + ((b.X - a.X) * t)), Seeded.Round(a.Y + ((b.Y - a.Y) * t))),
                    (Seeded.Round(b.X - ((b.X - a.X) * t)), Seeded.Round(b.Y - ((b.Y - a.Y) * t))));
            }
            ends.AddRange(stars.Select(s => Seeded.Place(s.X, s.Y)));
        }
        yield return new Line(lines.Done(), 0.6, 2);
        var spark = Shapes.Of(p =>
            p.Polygon(Enumerable.Range(0, 8).Select(n => Seeded.From(0, 0, n % 2 == 0 ? 1.15 : 0.34, n / 8.0))));
        yield return new Repeated([new Area(spark, 1)], [.. ends, .. sizes[3]]);
    }
}
