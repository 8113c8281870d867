namespace Lumbeck.Core.Art.Patterns;

/// <summary>Dots in rows set off by half, larger and smaller as a slow swell has them.</summary>
public sealed record Dots : Pattern
{
    /// <summary>From one dot to the next, in millimetres.</summary>
    public decimal Pitch { get; init; } = 7m;

    /// <summary>The largest dots’ width, in percent of the pitch.</summary>
    public decimal Size { get; init; } = 46m;

    /// <summary>How much smaller the smallest are, in percent.</summary>
    public decimal Swell { get; init; } = 55m;

    public override string Kind => "dots";

    public override ImmutableArray<string> Slots => ["Dot", "Second", "Third"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Dots>("pitch", "Pitch", " mm", 2m, 40m, p => p.Pitch, (p, n) => p with { Pitch = n }),
            Number<Dots>("size", "Size", " %", 10m, 90m, p => p.Size, (p, n) => p with { Size = n }),
            Number<Dots>("swell", "Swell", " %", 0m, 90m, p => p.Swell, (p, n) => p with { Swell = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var (pitch, row) = ((double)Pitch, (double)Pitch * 0.866);
        var groups = new Dictionary<(int Size, int Slot), List<Affine>>();
        foreach (var (x, y) in Seeded.Cells(window, pitch, row))
        {
            var (cx, cy) = ((x * pitch) + (y % 2 == 0 ? 0 : pitch / 2), y * row);
            var small = (Seeded.Over(cx / 62, cy / 62, Seed) + 1) / 2;
            var slot = Seeded.At(x, y, Seed, 5) is var s && s < 0.8 ? 0 : s < 0.92 ? 1 : 2;
            var key = ((int)Math.Round(small * 11), slot);
            if (!groups.TryGetValue(key, out var places)) groups[key] = places = [];
            places.Add(Seeded.Place(cx, cy));
        }
        foreach (var ((size, slot), places) in groups.OrderBy(g => g.Key))
        {
            var r = pitch * (double)Size / 200 * (1 - ((double)Swell / 100 * size / 11));
            if (r > 0.06) yield return new Repeated([new Area(Shapes.Circle(0, 0, r), slot)], [.. places]);
        }
    }
}
