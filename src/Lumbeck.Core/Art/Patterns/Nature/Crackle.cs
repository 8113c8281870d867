namespace Lumbeck.Core.Art.Patterns;

/// <summary>A glaze that has crackled: large fields parted by cracks, and finer ones within some of them.</summary>
public sealed record Crackle : Pattern
{
    /// <summary>How far cracks lie apart, in millimetres.</summary>
    public decimal Field { get; init; } = 22m;

    /// <summary>How many fields are deeper, in percent.</summary>
    public decimal Deeper { get; init; } = 8m;

    public override string Kind => "crackle";

    public override ImmutableArray<string> Slots => ["Crack", "Fine crack", "Deeper field"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Crackle>("field", "Field", " mm", 5m, 80m, p => p.Field, (p, n) => p with { Field = n }),
            Number<Crackle>("fields", "Deeper", " %", 0m, 80m, p => p.Deeper, (p, n) => p with { Deeper = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var field = (double)Field;
        var (fields, cracks, fine) = (new Pen(), new Pen(), new Pen());
        foreach (var (x, y, _, corners) in VoronoiCells.Of(window, field, Seed))
        {
            var outline = corners.Select(c => (Seeded.Round(c.X), Seeded.Round(c.Y))).ToArray();
            if (outline.Length < 3) continue;
            if (Seeded.At(x, y, Seed, 5) * 100 < (double)Deeper) fields.Polygon(outline);
            cracks.Polygon(outline);
        }
        foreach (var (x, y, _, corners) in VoronoiCells.Of(window, field / 2.6, Seed + 1))
            if (Seeded.Over(x / 5.0, y / 5.0, Seed, 6) > 0.05 && corners.Count > 2)
                fine.Polygon(corners.Select(c => (Seeded.Round(c.X), Seeded.Round(c.Y))));
        yield return new Area(fields.Done(), 2);
        yield return new Line(fine.Done(), 0.4, 1);
        yield return new Line(cracks.Done(), 0.7);
    }
}
