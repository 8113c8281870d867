namespace Lumbeck.Core.Art.Patterns;

/// <summary>Bricks laid in herringbone, in two tones by chance, with joints between.</summary>
public sealed record Herringbone : Pattern
{
    /// <summary>A brick’s length, in millimetres; it is three times as long as it is wide.</summary>
    public decimal Brick { get; init; } = 18m;

    public override string Kind => "herringbone";

    public override ImmutableArray<string> Slots => ["Brick", "Second brick", "Joint"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Herringbone>("brick", "Brick", " mm", 4m, 60m, p => p.Brick, (p, n) => p with { Brick = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var length = (double)Brick;
        var w = length / 3;
        var joint = w * 0.1;
        var brick = Shapes.Box(joint / 2, joint / 2, length - (joint / 2), w - (joint / 2));
        var places = new List<(Affine At, int Slot)>();
        // Each level brick has an upright one at its end; a step of one width right and down meets the next pair.
        foreach (var (x, y) in Seeded.Cells(window, length * 2, w, 8))
        {
            var (px, py) = ((x * 2 * length) + (y * w), y * w);
            if (px < window.Left - (3 * length) || px > window.Right + (3 * length)) continue;
            places.Add((Seeded.Place(px, py), Seeded.Of(3, x, y, Seed) == 0 ? 1 : 0));
            places.Add((Seeded.Place(px + length + w, py - (2 * w), 0.25), Seeded.Of(3, x, y, Seed, 1) == 0 ? 1 : 0));
        }
        foreach (var slot in (int[])[0, 1])
            yield return new Repeated([new Area(brick, slot), new Line(brick, 0.4, 2)],
                [.. places.Where(p => p.Slot == slot).Select(p => p.At)]);
    }
}
