namespace Lumbeck.Core.Art.Puzzles;

/// <summary>
/// What a drawing covers, as one outline round the largest of it: shapes laid on a fine grid, and the grid’s covered part
/// gone round.
/// </summary>
internal static class Silhouette
{
    /// <summary>Cells of the grid along the drawing’s longer side.</summary>
    private const int Cells = 420;

    /// <param name="drawn">The drawing, in its own units.</param>
    /// <param name="wide">Its box.</param>
    /// <param name="high">Its box.</param>
    /// <returns>Corners in the drawing’s own units, from the uppermost on, clockwise; none where it covers nothing.</returns>
    public static List<(double X, double Y)> Of(IEnumerable<Drawn> drawn, double wide, double high)
    {
        var cell = Math.Max(wide, high) / Cells;
        // A cell of room on each side, so that the way round never leaves the grid.
        var (columns, rows) = ((int)Math.Ceiling(wide / cell) + 4, (int)Math.Ceiling(high / cell) + 4);
        var covered = new bool[columns * rows];
        foreach (var one in drawn) Lay(one, Affine.Identity, covered, columns, rows, cell);
        return Round(Largest(covered, columns), columns, cell);
    }

    private static void Lay(Drawn drawn, Affine at, bool[] covered, int columns, int rows, double cell)
    {
        switch (drawn)
        {
            case Area a: Fill(a.Shape.Under(at), covered, columns, rows, cell); break;
            case Graded g: Fill(g.Shape.Under(at), covered, columns, rows, cell); break;
            case Line l:
                foreach (var ring in Rings(l.Shape.Under(at)))
                    for (var n = 1; n < ring.Count; n++) Stroke(ring[n - 1], ring[n], covered, columns, rows, cell);
                break;
            case Repeated r:
                foreach (var place in r.Places)
                    foreach (var symbol in r.Symbol) Lay(symbol, place.Then(at), covered, columns, rows, cell);
                break;
        }
    }

    private static void Fill(Outline shape, bool[] covered, int columns, int rows, double cell)
    {
        var rings = Rings(shape).ToList();
        var crossings = new List<(double X, int Way)>();
        for (var row = 1; row < rows - 1; row++)
        {
            var y = (row - 1.5) * cell;
            crossings.Clear();
            foreach (var ring in rings)
                for (var n = 0; n < ring.Count; n++)
                {
                    var (a, b) = (ring[n], ring[(n + 1) % ring.Count]);
                    if (a.Y <= y == b.Y <= y) continue;
                    crossings.Add((a.X + ((b.X - a.X) * (y - a.Y) / (b.Y - a.Y)), b.Y > a.Y ? 1 : -1));
                }
            crossings.Sort();
            var wound = 0;
            for (var n = 0; n + 1 < crossings.Count; n++)
            {
                wound += crossings[n].Way;
                if (wound == 0) continue;
                var (from, to) = ((int)Math.Ceiling((crossings[n].X / cell) + 1.5), (int)Math.Floor((crossings[n + 1].X / cell) + 1.5));
                for (var column = Math.Max(1, from); column <= Math.Min(columns - 2, to); column++)
                    covered[(row * columns) + column] = true;
            }
        }
    }

    private static void Stroke((double X, double Y) a, (double X, double Y) b, bool[] covered, int columns, int rows, double cell)
    {
        var steps = 1 + (int)(Math.Max(Math.Abs(b.X - a.X), Math.Abs(b.Y - a.Y)) / cell);
        for (var n = 0; n <= steps; n++)
        {
            var (x, y) = ((int)(((a.X + ((b.X - a.X) * n / steps)) / cell) + 2), (int)(((a.Y + ((b.Y - a.Y) * n / steps)) / cell) + 2));
            for (var dy = -1; dy <= 1; dy++)
                for (var dx = -1; dx <= 1; dx++)
                    if (x + dx > 0 && x + dx < columns - 1 && y + dy > 0 && y + dy < rows - 1)
                        covered[((y + dy) * columns) + x + dx] = true;
        }
    }

    /// <summary>The largest part that hangs together.</summary>
    private static bool[] Largest(bool[] covered, int columns)
    {
        var part = new int[covered.Length];
        var (parts, best, most) = (0, 0, 0);
        var next = new Stack<int>();
        for (var from = 0; from < covered.Length; from++)
        {
            if (!covered[from] || part[from] != 0) continue;
            parts++;
            var size = 0;
            part[from] = parts;
            next.Push(from);
            while (next.TryPop(out var at))
            {
                size++;
                foreach (var step in (int[])[1, -1, columns, -columns])
                    if (at + step >= 0 && at + step < covered.Length && covered[at + step] && part[at + step] == 0)
                    {
                        part[at + step] = parts;
                        next.Push(at + step);
                    }
            }
            if (size > most) (best, most) = (parts, size);
        }
        return [.. part.Select(p => p == best && best > 0)];
    }

    /// <summary>The way round it, along cells’ edges with what is covered at the right hand.</summary>
    private static List<(double X, double Y)> Round(bool[] covered, int columns, double cell)
    {
        var first = Array.IndexOf(covered, true);
        if (first < 0) return [];
        var corners = new List<(double X, double Y)>();
        bool at(int x, int y) => covered[(y * columns) + x];
        // From the upper left corner of the uppermost cell, to the right.
        var (x, y, dx, dy) = (first % columns, first / columns, 1, 0);
        var (beginX, beginY) = (x, y);
        do
        {
            corners.Add(((x - 2) * cell, (y - 2) * cell));
            (x, y) = (x + dx, y + dy);
            // The two cells ahead: left and right of the way.
            var (left, right) = (dx, dy) switch
            {
                (1, 0) => (at(x, y - 1), at(x, y)),
                (-1, 0) => (at(x - 1, y), at(x - 1, y - 1)),
                (0, 1) => (at(x, y), at(x - 1, y)),
                _ => (at(x - 1, y - 1), at(x, y - 1)),
            };
            if (left) (dx, dy) = (dy, -dx);
            else if (!right) (dx, dy) = (-dy, dx);
        }
        while ((x, y) != (beginX, beginY));
        return Smoothed(corners);
    }

    /// <summary>Each corner in the middle of those round it: the steps of the grid go, the shape stays.</summary>
    private static List<(double X, double Y)> Smoothed(List<(double X, double Y)> corners)
    {
        const int reach = 3;
        var n = corners.Count;
        if (n < 4 * reach) return corners;
        return [.. Enumerable.Range(0, n).Select(k =>
        {
            var (sx, sy) = (0.0, 0.0);
            for (var d = -reach; d <= reach; d++)
            {
                var p = corners[(k + d + n) % n];
                (sx, sy) = (sx + p.X, sy + p.Y);
            }
            return (sx / ((2 * reach) + 1), sy / ((2 * reach) + 1));
        })];
    }

    /// <summary>Each ring of an outline as the corners of a polygon.</summary>
    private static IEnumerable<List<(double X, double Y)>> Rings(Outline shape)
    {
        var (ring, at, i) = (new List<(double X, double Y)>(), (X: 0.0, Y: 0.0), 0);
        (double X, double Y) next()
        {
            i += 2;
            return (shape.Points[i - 2], shape.Points[i - 1]);
        }
        foreach (var stroke in shape.Strokes)
        {
            switch (stroke)
            {
                case Outlines.PathVerb.Move:
                    if (ring.Count > 1) yield return ring;
                    at = next();
                    ring = [at];
                    break;
                case Outlines.PathVerb.Line:
                    ring.Add(at = next());
                    break;
                case Outlines.PathVerb.Quad:
                    var (q, qe) = (next(), next());
                    for (var n = 1; n <= 12; n++) ring.Add(Bent(at, Mid(at, q, 2 / 3.0), Mid(qe, q, 2 / 3.0), qe, n / 12.0));
                    at = qe;
                    break;
                case Outlines.PathVerb.Cubic:
                    var (c1, c2, ce) = (next(), next(), next());
                    for (var n = 1; n <= 16; n++) ring.Add(Bent(at, c1, c2, ce, n / 16.0));
                    at = ce;
                    break;
            }
        }
        if (ring.Count > 1) yield return ring;
    }

    internal static (double X, double Y) Mid((double X, double Y) a, (double X, double Y) b, double t) =>
        (a.X + ((b.X - a.X) * t), a.Y + ((b.Y - a.Y) * t));

    private static (double X, double Y) Bent((double X, double Y) a, (double X, double Y) b, (double X, double Y) c,
        (double X, double Y) d, double t)
    {
        var (p, q, r) = (Mid(a, b, t), Mid(b, c, t), Mid(c, d, t));
        return Mid(Mid(p, q, t), Mid(q, r, t), t);
    }
}
