namespace Lumbeck.Core.Art.Patterns;

/// <summary>
/// Contour lines of a made-up sea floor: heights from two octaves of lattice noise, traced at even steps by marching
/// squares,
/// each line smoothed as one run of quadratic curves. Every fifth line is heavier, as on a chart. Its second version has
/// a paint for those, finer lines halfway between on the shallows, and a say in how close the lines lie.
/// </summary>
public sealed record ContourLines : Pattern
{
    private const double Cell = 4;      // mm between samples
    private const double Wave = 105;    // mm of the long swell

    /// <summary>Lines over half of the noise's range.</summary>
    public decimal Lines { get; init; } = 15;

    public override string Kind => "contour lines";

    public override int Newest => 2;

    public override ImmutableArray<string> Slots => Version == 1 ? ["Lines"] : ["Lines", "Every fifth", "Halfway"];

    private static readonly Field LinesField = Number<ContourLines>("lines", "Lines", "", 6, 30,
        c => c.Lines, (c, n) => c with { Lines = Math.Round(n) });

    protected override IReadOnlyList<Field> OwnFields => Version == 1 ? [] : [LinesField];

    protected override IEnumerable<Drawn> Draw(Bounds window)
    {
        // Whole cells round the window, so that a wider window traces the very same lines.
        var left = (int)Math.Floor(window.Left / Cell) - 1;
        var top = (int)Math.Floor(window.Top / Cell) - 1;
        var across = (int)Math.Ceiling(window.Right / Cell) + 2 - left;
        var down = (int)Math.Ceiling(window.Bottom / Cell) + 2 - top;
        var heights = new double[across, down];
        for (var i = 0; i < across; i++)
            for (var j = 0; j < down; j++)
                heights[i, j] = Height((left + i) * Cell, (top + j) * Cell);

        var fine = new Pen();
        var heavy = new Pen();
        var between = new Pen();
        var steps = (int)Lines;
        for (var step = 1; step < steps * 2; step++)
        {
            var pen = step % 5 == 0 ? heavy : fine;
            foreach (var line in Trace(heights, (step / (double)steps) - 1)) Smooth(pen, line, left, top);
            if (Version == 1 || step < steps) continue;
            foreach (var line in Trace(heights, ((step + 0.5) / steps) - 1)) Smooth(between, line, left, top);
        }
        yield return new Line(fine.Done(), 0.5);
        if (Version > 1) yield return new Line(between.Done(), 0.4, 2);
        yield return new Line(heavy.Done(), 1.0, Version == 1 ? 0 : 1);
    }

    private double Height(double x, double y) =>
        (0.84 * Noise(x / Wave, y / Wave, Seed)) + (0.16 * Noise(x / Wave * 2.1, y / Wave * 2.1, Seed + 101));

    /// <summary>Gradient noise on a square lattice, about −1 to 1, from integers alone.</summary>
    private static double Noise(double x, double y, int seed)
    {
        var (x0, y0) = ((int)Math.Floor(x), (int)Math.Floor(y));
        var (fx, fy) = (x - x0, y - y0);
        double Corner(int i, int j)
        {
            var h = Hash(x0 + i, y0 + j, seed);
            var (gx, gy) = ((((h & 0xffff) / 32767.5) - 1), ((h >> 16) / 32767.5) - 1);
            var length = Math.Sqrt((gx * gx) + (gy * gy)) + 1e-9;
            return ((gx * (fx - i)) + (gy * (fy - j))) / length;
        }
        static double Ease(double t) => t * t * t * ((t * ((t * 6) - 15)) + 10);
        var (u, v) = (Ease(fx), Ease(fy));
        var upper = Corner(0, 0) + (u * (Corner(1, 0) - Corner(0, 0)));
        var lower = Corner(0, 1) + (u * (Corner(1, 1) - Corner(0, 1)));
        return 1.55 * (upper + (v * (lower - upper)));
    }

    private static uint Hash(int x, int y, int seed)
    {
        unchecked
        {
            var h = ((uint)x * 0x9E3779B1u) ^ ((uint)y * 0x85EBCA77u) ^ ((uint)seed * 0xC2B2AE3Du);
            h ^= h >> 15; h *= 0x2C1B3C6Du; h ^= h >> 12; h *= 0x297A2D39u; h ^= h >> 15;
            return h;
        }
    }

    /// <summary>All lines at one height, as points in cells; each is closed or runs out of the window.</summary>
    private static List<List<(double X, double Y)>> Trace(double[,] heights, double level)
    {
        // A crossing lies on a cell edge: (column, row, upright?). Each cell joins its crossings in pairs.
        var joins = new Dictionary<(int, int, bool), List<(int, int, bool)>>();
        void Join((int, int, bool) a, (int, int, bool) b) { At(a).Add(b); At(b).Add(a); }
        List<(int, int, bool)> At((int, int, bool) k) => joins.TryGetValue(k, out var l) ? l : joins[k] = [];
        for (var i = 0; i + 1 < heights.GetLength(0); i++)
            for (var j = 0; j + 1 < heights.GetLength(1); j++)
            {
                var above = (heights[i, j] > level ? 1 : 0) | (heights[i + 1, j] > level ? 2
                    : 0) | (heights[i + 1, j + 1] > level
                    ? 4 : 0) | (heights[i, j + 1] > level ? 8 : 0);
                var (head, right, foot, leftSide) = ((i, j, false), (i + 1, j, true), (i, j + 1, false), (i, j, true));
                switch (above)
                {
                    case 1 or 14: Join(leftSide, head); break;
                    case 2 or 13: Join(head, right); break;
                    case 3 or 12: Join(leftSide, right); break;
                    case 4 or 11: Join(right, foot); break;
                    case 6 or 9: Join(head, foot); break;
                    case 7 or 8: Join(leftSide, foot); break;
                    case 5: Join(leftSide, head); Join(right, foot); break;
                    case 10: Join(head, right); Join(leftSide, foot); break;
                }
            }

        (double, double) Point((int X, int Y, bool Upright) k)
        {
            var (a, b) = k.Upright
                ? (heights[k.X, k.Y], heights[k.X, k.Y + 1])
                : (heights[k.X, k.Y], heights[k.X + 1, k.Y]);
            var t = Math.Clamp((level - a) / (b - a), 0, 1);
            return k.Upright ? (k.X, k.Y + t) : (k.X + t, k.Y);
        }

        var lines = new List<List<(double, double)>>();
        var seen = new HashSet<(int, int, bool)>();
        // Open lines first, from their ends; what is left then is closed.
        foreach (var start in joins.Keys.OrderBy(k => joins[k].Count == 1 ? 0 : 1).ThenBy(k => k))
        {
            if (!seen.Add(start)) continue;
            var line = new List<(double, double)> { Point(start) };
            var here = start;
            while (true)
            {
                var next = joins[here].FirstOrDefault(k => !seen.Contains(k), (-1, -1, false));
                if (next.Item1 < 0) break;
                seen.Add(next);
                line.Add(Point(next));
                here = next;
            }
            if (joins[start].Count > 1 && joins[here].Contains(start) && line.Count > 2) line.Add(line[0]);
            if (line.Count > 3) lines.Add(line);
        }
        return lines;
    }

    /// <summary>
    /// Through the middles of a line's points, with the points as handles: smooth, and one quad a point.
    /// </summary>
    private static void Smooth(Pen pen, List<(double X, double Y)> line, int left, int top)
    {
        (double X, double Y) Mm((double X, double Y) p) => (Math.Round((p.X + left) * Cell, 2),
            Math.Round((p.Y + top) * Cell, 2));
        static (double X, double Y) Middle((double X, double Y) a, (double X, double Y) b) =>
            ((a.X + b.X) / 2, (a.Y + b.Y) / 2);
        var p = line.ConvertAll(Mm);
        var closed = line[0] == line[^1];
        if (closed)
        {
            var start = Middle(p[^2], p[0]);
            pen.Move(start.X, start.Y);
            for (var i = 0; i < p.Count - 1; i++)
            {
                var m = Middle(p[i], p[i + 1]);
                pen.Quad(p[i].X, p[i].Y, m.X, m.Y);
            }
            pen.Close();
            return;
        }
        pen.Move(p[0].X, p[0].Y);
        for (var i = 1; i < p.Count - 1; i++)
        {
            var m = i == p.Count - 2 ? p[^1] : Middle(p[i], p[i + 1]);
            pen.Quad(p[i].X, p[i].Y, m.X, m.Y);
        }
    }
}
