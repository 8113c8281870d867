namespace Lumbeck.Core.Art.Patterns;

/// <summary>A fine weave, one thread over and one under, as of book cloth.</summary>
public sealed record Weave : Pattern
{
    /// <summary>How wide a thread is, in millimetres.</summary>
    public decimal Thread { get; init; } = 1.4m;

    public override string Kind => "weave";

    public override ImmutableArray<string> Slots => ["Warp", "Weft", "Slub"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Weave>("thread", "Thread", " mm", 0.6m, 6m, p => p.Thread, (p, n) => p with { Thread = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var t = (double)Thread;
        // Four crossings are a unit; one unit in a row saves thousands of marks.
        const int many = 8;
        var (warp, weft) = (new Pen(), new Pen());
        for (var x = 0; x < many; x++)
            for (var y = 0; y < many; y++)
                if (((x + y) & 1) == 0)
                    weft.Box(x * t - (t * 0.08), (y * t) + (t * 0.14), ((x + 1) * t) + (t * 0.08),
                        ((y + 1) * t) - (t * 0.14));
                else warp.Box((x * t) + (t * 0.14), y * t - (t * 0.08), ((x + 1) * t) - (t * 0.14),
                    ((y + 1) * t) + (t * 0.08));
        yield return new Repeated([new Area(warp.Done()), new Area(weft.Done(), 1)],
            [.. Seeded.Cells(window, many * t, many * t).Select(c => Seeded.Place(c.X * many * t, c.Y * many * t))]);
        // Here and there a thread is thicker.
        foreach (var (x, y) in Seeded.Cells(window, t * 26, t * 9))
            if (Seeded.Of(4, x, y, Seed) == 0)
            {
                var (left, top) = ((x * 26 * t) + (Seeded.At(x, y, Seed, 1) * 8 * t),
                    (y * 9 * t) + (Seeded.Of(8, x, y, Seed, 2) * t));
                yield return new Area(Shapes.Of(p =>
                {
                    p.Move(Seeded.Round(left), Seeded.Round(top + (t / 2)));
                    p.Quad(Seeded.Round(left + (t * 5)), Seeded.Round(top - (t * 0.1)), Seeded.Round(left + (t * 11)),
                        Seeded.Round(top + (t / 2)));
                    p.Quad(Seeded.Round(left + (t * 5)), Seeded.Round(top + (t * 1.1)), Seeded.Round(left),
                        Seeded.Round(top + (t / 2)));
                    p.Close();
                }), 2);
            }
    }
}
