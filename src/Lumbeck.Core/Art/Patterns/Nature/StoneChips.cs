namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// Chips of stone in a poured floor: cells of points that lie by chance, shrunk and blunted, in three stones.
/// </summary>
public sealed record StoneChips : Pattern
{
    /// <summary>How far chips lie apart, in millimetres.</summary>
    public decimal Chip { get; init; } = 13m;

    /// <summary>How much of a cell is left bare, in percent.</summary>
    public decimal Joint { get; init; } = 24m;

    public override string Kind => "stone chips";

    public override ImmutableArray<string> Slots => ["First stone", "Second stone", "Third stone"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<StoneChips>("chip", "Chip", " mm", 3m, 60m, p => p.Chip, (p, n) => p with { Chip = n }),
            Number<StoneChips>("joint", "Joint", " %", 8m, 60m, p => p.Joint, (p, n) => p with { Joint = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var chip = (double)Chip;
        var stones = new Pen[] { new(), new(), new() };
        foreach (var (x, y, point, corners) in VoronoiCells.Of(window, chip, Seed))
        {
            if (Seeded.Of(12, x, y, Seed, 7) == 0) continue;
            var keep = 1 - ((double)Joint / 100 * (0.6 + (0.8 * Seeded.At(x, y, Seed, 3))));
            var shrunk = corners.Select(c =>
                (X: point.X + ((c.X - point.X) * keep), Y: point.Y + ((c.Y - point.Y) * keep)))
                .ToList();
            if (shrunk.Count < 3) continue;
            var pen = stones[Seeded.At(x, y, Seed, 4) is var s && s < 0.5 ? 0 : s < 0.8 ? 1 : 2];
            // Corners are blunt: each is a short bend between two points of its sides.
            (double X, double Y) along((double X, double Y) a, (double X, double Y) b, double t) =>
                (Seeded.Round(a.X + ((b.X - a.X) * t)), Seeded.Round(a.Y + ((b.Y - a.Y) * t)));
            for (var n = 0; n < shrunk.Count; n++)
            {
                var (before, at, after) = (shrunk[(n + shrunk.Count - 1) % shrunk.Count], shrunk[n],
                    shrunk[(n + 1) % shrunk.Count]);
                var (from, to) = (along(at, before, 0.28), along(at, after, 0.28));
                if (n == 0) pen.Move(from.X, from.Y);
                else pen.Line(from.X, from.Y);
                pen.Quad(Seeded.Round(at.X), Seeded.Round(at.Y), to.X, to.Y);
            }
            pen.Close();
        }
        for (var slot = 0; slot < stones.Length; slot++) yield return new Area(stones[slot].Done(), slot);
    }
}
