namespace Lumbeck.Core.Art.Ornaments;

/// <summary>
/// What all borders have in common: a motif goes round a box, so often on each side that it ends whole at the corners.
/// </summary>
internal static class Borders
{
    /// <summary>A motif round a box.</summary>
    /// <param name="wide">The box.</param>
    /// <param name="high">The box.</param>
    /// <param name="pitch">How long a motif is, nearly; it is stretched along its side until whole ones fit.</param>
    /// <param name="motif">
    /// Draws one: its length, and whether it is the corner. It runs to the right along the head from 0, 0, into the box
    /// downward; a corner is a square of one pitch.
    /// </param>
    public static IEnumerable<Drawn> Draw(double wide, double high, double pitch, Func<double, bool,
        IEnumerable<Drawn>> motif)
    {
        pitch = Math.Min(pitch, Math.Min(wide, high) / 2);
        foreach (var (length, places) in Sides(wide, high, pitch))
            yield return new Repeated([.. motif(length, false)], places);
        yield return new Repeated([.. motif(pitch, true)],
            [Affine.Identity, Seeded.Place(wide, 0, 0.25), Seeded.Place(wide, high, 0.5), Seeded.Place(0, high, 0.75)]);
    }

    private static IEnumerable<(double Length,
        ImmutableArray<Affine> Places)> Sides(double wide, double high, double pitch)
    {
        foreach (var (side, first, second) in ((double, (double X, double Y, double Turn),
            (double X, double Y, double Turn))[])
            [(wide, (0, 0, 0), (wide, high, 0.5)), (high, (wide, 0, 0.25), (0, high, 0.75))])
        {
            var room = side - (2 * pitch);
            var many = Math.Max(1, (int)Math.Round(room / pitch));
            var length = room / many;
            if (room <= 0) continue;
            yield return (length,
            [
                .. new[] { first, second }.SelectMany(s => Enumerable.Range(0, many).Select(n =>
                    Affine.Move(pitch + (n * length), 0).Then(Seeded.Place(s.X, s.Y, s.Turn)))),
            ]);
        }
    }
}
