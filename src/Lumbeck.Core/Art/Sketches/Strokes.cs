namespace Lumbeck.Core.Art.Sketches;

/// <summary>Lines and shapes that are drawn as a pen would: smooth, swelling, rolled up; in millimetres.</summary>
internal static class Strokes
{
    /// <summary>A smooth line through points: Catmull and Rom's, as cubics.</summary>
    public static void Smooth(this Pen pen, IReadOnlyList<(double X, double Y)> p, bool closed = false)
    {
        if (p.Count < 2) return;
        (double X, double Y) at(int i) => closed
            ? p[((i % p.Count) + p.Count) % p.Count]
            : p[Math.Clamp(i, 0, p.Count - 1)];
        pen.Move(p[0].X, p[0].Y);
        for (var i = 0; i < (closed ? p.Count : p.Count - 1); i++)
        {
            var (a, b, c, d) = (at(i - 1), at(i), at(i + 1), at(i + 2));
            pen.Cubic(b.X + ((c.X - a.X) / 6), b.Y + ((c.Y - a.Y) / 6), c.X - ((d.X - b.X) / 6), c.Y - ((d.Y - b.Y) / 6),
                c.X, c.Y);
        }
        if (closed) pen.Close();
    }

    public static Outline Smooth(IReadOnlyList<(double X, double Y)> points, bool closed = false) =>
        Shapes.Of(pen => pen.Smooth(points, closed));

    /// <summary>A stroke whose width changes along it.</summary>
    /// <param name="points">Its middle line.</param>
    /// <param name="half">Half its width at a share of the way along it.</param>
    public static Outline Swelling(IReadOnlyList<(double X, double Y)> points, Func<double, double> half)
    {
        var (left, right) = (new List<(double X, double Y)>(), new List<(double X, double Y)>());
        for (var i = 0; i < points.Count; i++)
        {
            var (a, b) = (points[Math.Max(0, i - 1)], points[Math.Min(points.Count - 1, i + 1)]);
            var (dx, dy) = (b.X - a.X, b.Y - a.Y);
            var far = Math.Sqrt((dx * dx) + (dy * dy));
            if (far == 0) continue;
            var w = half((double)i / (points.Count - 1)) / far;
            left.Add((points[i].X - (dy * w), points[i].Y + (dx * w)));
            right.Add((points[i].X + (dy * w), points[i].Y - (dx * w)));
        }
        right.Reverse();
        return Shapes.Of(pen =>
        {
            pen.Smooth(left);
            var back = Smooth(right);
            pen.Line(right[0].X, right[0].Y);
            pen.Join(back);
            pen.Close();
        });
    }

    /// <summary>Goes on with another path from where it begins.</summary>
    private static void Join(this Pen pen, Outline other)
    {
        var p = other.Points;
        for (var i = 2; i + 5 < p.Length; i += 6) pen.Cubic(p[i], p[i + 1], p[i + 2], p[i + 3], p[i + 4], p[i + 5]);
    }

    /// <summary>Points of a line that turns about a middle while it comes nearer to it or leaves it.</summary>
    public static List<(double X, double Y)> Spiral(double x, double y, double from, double to, double fromTurns,
        double toTurns, int steps = 24) =>
    [
        .. Enumerable.Range(0, steps + 1).Select(n =>
            Seeded.From(x, y, from + ((to - from) * n / steps), fromTurns + ((toTurns - fromTurns) * n / steps))),
    ];

    /// <summary>Corners of a star, the first at its head.</summary>
    public static IEnumerable<(double X, double Y)> Star(double x, double y, double outer, double inner, int points,
        double turns = 0) =>
        Enumerable.Range(0, points * 2).Select(n =>
            Seeded.From(x, y, n % 2 == 0 ? outer : inner, turns - 0.25 + (n / (2.0 * points))));

    /// <summary>What lies between two circles.</summary>
    public static Outline Ring(double x, double y, double outer, double inner) => Shapes.Of(pen =>
    {
        pen.Circle(x, y, outer);
        pen.Add(Shapes.Circle(0, 0, inner).Under(new(-1, 0, 0, 1, x, y)));
    });

    /// <summary>A band round a box: its outside, and its inside the other way round.</summary>
    public static Outline Band(double wide, double high, double outer, double inner, double corner = 0)
    {
        var hole = Outline.Rounded(0, 0, wide - (2 * inner), high - (2 * inner), Math.Max(0, corner - (inner - outer)));
        return Shapes.Of(pen =>
        {
            pen.Add(Outline.Rounded(outer, outer, wide - (2 * outer), high - (2 * outer), corner));
            pen.Add(hole.Under(new(-1, 0, 0, 1, wide - inner, inner)));
        });
    }

    /// <summary>A rounded box of this size about a middle.</summary>
    public static Outline Rounded(double x, double y, double wide, double high, double corner) =>
        Outline.Rounded(x - (wide / 2), y - (high / 2), wide, high, corner);
}
