namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// The cells of points that lie by chance, one in each square of a lattice: all that is nearer to one than to any
/// other.
/// </summary>
internal static class VoronoiCells
{
    /// <summary>Each cell with its lattice place, its point and its corners in order, in millimetres.</summary>
    /// <param name="window">What is to be covered.</param>
    /// <param name="side">A lattice square's side.</param>
    /// <param name="seed">The seed.</param>
    public static IEnumerable<(int X, int Y, (double X, double Y) Point,
        IReadOnlyList<(double X, double Y)> Corners)> Of(
        Bounds window, double side, int seed)
    {
        (double X, double Y) point(int x, int y) =>
            ((x + 0.1 + (0.8 * Seeded.At(x, y, seed, 1))) * side, (y + 0.1 + (0.8 * Seeded.At(x, y, seed, 2))) * side);
        foreach (var (x, y) in Seeded.Cells(window, side, side, 2))
        {
            var own = point(x, y);
            // From a square that is larger than any cell, what is nearer to a neighbour is cut away.
            var far = side * 2.5;
            List<(double X, double Y)> corners =
                [(own.X - far, own.Y - far), (own.X + far, own.Y - far), (own.X + far, own.Y + far),
                    (own.X - far, own.Y + far)];
            for (var j = -2; j <= 2; j++)
                for (var i = -2; i <= 2; i++)
                    if ((i, j) != (0, 0)) corners = Nearer(corners, own, point(x + i, y + j));
            yield return (x, y, own, corners);
        }
    }

    /// <summary>What of a shape is nearer to one point than to another.</summary>
    private static List<(double X, double Y)> Nearer(List<(double X, double Y)> shape, (double X, double Y) to,
        (double X, double Y) than)
    {
        var (dx, dy) = (than.X - to.X, than.Y - to.Y);
        var half = ((than.X * than.X) + (than.Y * than.Y) - (to.X * to.X) - (to.Y * to.Y)) / 2;
        double beyond((double X, double Y) p) => (p.X * dx) + (p.Y * dy) - half;
        var kept = new List<(double, double)>();
        for (var n = 0; n < shape.Count; n++)
        {
            var (a, b) = (shape[n], shape[(n + 1) % shape.Count]);
            var (da, db) = (beyond(a), beyond(b));
            if (da <= 0) kept.Add(a);
            if (da < 0 != db < 0 && da != db)
            {
                var t = da / (da - db);
                kept.Add((a.X + (t * (b.X - a.X)), a.Y + (t * (b.Y - a.Y))));
            }
        }
        return kept;
    }
}
