namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// Lines stitched through cloth, across and down, begun over or under by chance: steps and crosses come of themselves.
/// </summary>
public sealed record Stitches : Pattern
{
    /// <summary>From one stitch to the next, in millimetres.</summary>
    public decimal Pitch { get; init; } = 5m;

    public override string Kind => "stitches";

    public override ImmutableArray<string> Slots => ["Across", "Down", "Knot"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Stitches>("pitch", "Pitch", " mm", 2m, 20m, p => p.Pitch, (p, n) => p with { Pitch = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var pitch = (double)Pitch;
        var (left, right) = ((int)Math.Floor(window.Left / pitch) - 1, (int)Math.Ceiling(window.Right / pitch) + 1);
        var (top, bottom) = ((int)Math.Floor(window.Top / pitch) - 1, (int)Math.Ceiling(window.Bottom / pitch) + 1);
        static bool odd(int n) => (n & 1) == 1;
        var stitch = Shapes.Of(p => p.Path((0, 0), (pitch, 0)));
        yield return new Repeated([new Line(stitch, 1)], [.. Seeded.Cells(window, pitch, pitch)
            .Where(c => odd(c.X + Seeded.Of(2, 0, c.Y, Seed, 1))).Select(c => Seeded.Place(c.X * pitch, c.Y * pitch))]);
        yield return new Repeated([new Line(stitch, 1, 1)], [.. Seeded.Cells(window, pitch, pitch)
            .Where(c => odd(c.Y + Seeded.Of(2, c.X, 0, Seed, 2)))
                .Select(c => Seeded.Place(c.X * pitch, c.Y * pitch, 0.25))]);
        yield return new Repeated([new Area(Shapes.Circle(0, 0, pitch * 0.12),
            2)], [.. Seeded.Cells(window, pitch, pitch)
            .Where(c => Seeded.Of(9, c.X, c.Y, Seed, 3) == 0).Select(c => Seeded.Place(c.X * pitch, c.Y * pitch))]);
    }
}
