namespace Lumbeck.Core.Art.Puzzles;

/// <summary>
/// A thing to be found by joining numbered dots: points along the way round an ornament, in
/// their order. In points.
/// </summary>
public sealed record NumberTrail(ImmutableArray<(double X, double Y)> Dots)
{
    public const int Fewest = 8, Most = 200;

    /// <param name="ornament">What is to be found.</param>
    /// <param name="box">Where it stands, as large as fits.</param>
    /// <param name="count">Dots at most; fewer where they would lie too close.</param>
    /// <param name="apart">The least way from one dot to any other, in points.</param>
    /// <param name="turn">Which time the thing is shown: each other time it faces the other way, and begins elsewhere.</param>
    /// <exception cref="Refusal">It has no shape, or its dots lie too close.</exception>
    public static NumberTrail Of(Ornament ornament, Bounds box, int count, double apart, int turn = 0)
    {
        var (wide, high) = ornament.First;
        var round = Silhouette.Of(ornament.Draw(wide, high), wide, high);
        if (round.Count == 0) throw new Refusal("thing", $"{ornament.Kind} has no shape to go round: take another");
        var b = round.Aggregate(Bounds.None, (all, p) => all.With(p.X, p.Y));
        var scale = Math.Min((box.Right - box.Left) / (b.Right - b.Left), (box.Bottom - box.Top) / (b.Bottom - b.Top));
        var (dx, dy) = (((box.Left + box.Right) / 2) - (scale * (b.Left + b.Right) / 2),
            ((box.Top + box.Bottom) / 2) - (scale * (b.Top + b.Bottom) / 2));
        var ring = round.ConvertAll(p => ((scale * p.X) + dx, (scale * p.Y) + dy));
        if (turn % 2 == 1) ring = ring.ConvertAll(p => (box.Left + box.Right - p.Item1, p.Item2));
        // As many as have room for their figures.
        for (var many = count; many >= Fewest; many -= Math.Max(1, many / 20))
        {
            var dots = Along(ring, many).ToImmutableArray();
            if (Closest(dots) < apart) continue;
            var from = turn * 7 % dots.Length;
            return new([.. dots[from..], .. dots[..from]]);
        }
        throw new Refusal("points", $"{Fewest} dots round {ornament.Kind} lie less than " +
            $"{Length.FromPoints((decimal)Math.Round(apart, 1)).Show(Unit.Millimetre)} apart, where their figures have no " +
            "room: take smaller figures, or another thing");
    }

    private static double Closest(ImmutableArray<(double X, double Y)> dots)
    {
        var closest = double.PositiveInfinity;
        for (var n = 0; n < dots.Length; n++)
            for (var other = n + 1; other < dots.Length; other++) closest = Math.Min(closest, Far(dots[n], dots[other]));
        return closest;
    }

    private static double Far((double X, double Y) a, (double X, double Y) b) =>
        Math.Sqrt(((a.X - b.X) * (a.X - b.X)) + ((a.Y - b.Y) * (a.Y - b.Y)));

    private static IEnumerable<(double X, double Y)> Along(List<(double X, double Y)> ring, int count)
    {
        var whole = 0.0;
        for (var n = 0; n < ring.Count; n++) whole += Far(ring[n], ring[(n + 1) % ring.Count]);
        var (step, gone, wanted) = (whole / count, 0.0, 0.0);
        for (var n = 0; n < ring.Count; n++)
        {
            var (a, b) = (ring[n], ring[(n + 1) % ring.Count]);
            var far = Far(a, b);
            while (wanted < gone + far - 1e-9 && wanted < whole - (step / 2))
            {
                yield return Silhouette.Mid(a, b, (wanted - gone) / far);
                wanted += step;
            }
            gone += far;
        }
    }
}
