namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// A tartan from a thread count that the seed gives: three colours, mirrored at both ends, woven so that crossings are
/// half of each.
/// </summary>
public sealed record Tartan : Pattern
{
    /// <summary>How wide a thread is, in millimetres.</summary>
    public decimal Thread { get; init; } = 1m;

    public override string Kind => "tartan";

    public override ImmutableArray<string> Slots => ["First", "Second", "Fine line"];

    protected override IReadOnlyList<Field> OwnFields =>
        [
            Number<Tartan>("thread", "Thread", " mm", 0.5m, 3m, p => p.Thread, (p, n) => p with { Thread = n }),
        ];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        var count = Threads();
        var thread = (double)Thread;
        var sett = count.Sum(c => c.Wide) * thread;
        IEnumerable<(double From, double To, int Slot)> bands(double from, double to)
        {
            for (var n = (int)Math.Floor(from / sett) - 1; n * sett <= to; n++)
            {
                var x = n * sett;
                foreach (var (wide, slot) in count)
                {
                    if (slot >= 0) yield return (x, x + (wide * thread), slot);
                    x += wide * thread;
                }
            }
        }
        foreach (var (from, to, slot) in bands(window.Left, window.Right))
            yield return new Area(Shapes.Box(from, window.Top, to, window.Bottom), slot);
        // Across, every second thread lies over: the eye mixes the two.
        foreach (var (from, to, slot) in bands(window.Top, window.Bottom))
            for (var y = from; y < to - (thread * 0.25); y += thread)
                yield return new Area(Shapes.Box(window.Left, y, window.Right, y + (thread / 2)), slot);
    }

    /// <summary>How many threads of which slot, in order; −1 leaves the ground.</summary>
    private ImmutableArray<(int Wide, int Slot)> Threads()
    {
        List<(int, int)> half = [];
        for (var n = 0; n < 5; n++)
        {
            half.Add((4 + Seeded.Of(14, n, 0, Seed, 1), n % 2 == 0 ? Seeded.Of(2, n, 0, Seed, 2) : -1));
            if (n is 1 or 3) half.Add((1 + Seeded.Of(2, n, 0, Seed, 3), 2));
        }
        return [.. half, .. Enumerable.Reverse(half).Skip(1).SkipLast(1)];
    }
}
