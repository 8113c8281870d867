namespace Lumbeck.Press.Drawn;

/// <summary>
/// The lines between numbered regions of squares, from where three meet to where three meet, made smooth.
/// </summary>
internal static class RegionLines
{
    /// <summary>How often a point is drawn toward the middle of its neighbours: as many squares' steps go.</summary>
    private const int Smoothings = 8;

    /// <summary>How far a point may be left out beside the line of its neighbours, in squares.</summary>
    private const double Off = 0.2;

    /// <param name="region">Row by row.</param>
    /// <param name="w">Squares in a row.</param>
    /// <param name="h">Rows.</param>
    /// <returns>Lines in squares from the upper left corner; closed ones end where they begin.</returns>
    public static IEnumerable<IReadOnlyList<(double X, double Y)>> Of(int[] region, int w, int h)
    {
        // Corners of squares, w + 1 in a row: bits for a line to the right and one downward from it.
        var wide = w + 1;
        var lines = new byte[wide * (h + 1)];
        for (var y = 0; y < h; y++)
            for (var x = 0; x < w; x++)
            {
                var here = region[(y * w) + x];
                if (x + 1 < w && region[(y * w) + x + 1] != here) lines[(y * wide) + x + 1] |= Down;
                if (y + 1 < h && region[((y + 1) * w) + x] != here) lines[((y + 1) * wide) + x] |= Right;
            }
        var ends = new bool[lines.Length];
        for (var at = 0; at < lines.Length; at++)
            ends[at] = (Has(lines, at, Right) ? 1 : 0) + (Has(lines, at, Down) ? 1 : 0)
                + (at % wide > 0 && Has(lines, at - 1, Right) ? 1 : 0)
                + (at >= wide && Has(lines, at - wide, Down) ? 1 : 0) is 1 or > 2;
        // Those that end somewhere first; what is left then are rings.
        foreach (var endless in (bool[])[false, true])
            for (var at = 0; at < lines.Length; at++)
                if (endless ? lines[at] != 0 : ends[at])
                    while (Walk(lines, at, wide, ends) is { Count: > 1 } walked)
                        yield return Fewer(Smooth([.. walked.Select(n => ((double)(n % wide), (double)(n / wide)))]));
    }

    private const byte Right = 1, Down = 2;

    private static bool Has(byte[] lines, int at, byte way) => (lines[at] & way) != 0;

    /// <summary>From a corner along a line until it ends, or is round; the line is taken up behind.</summary>
    private static List<int> Walk(byte[] lines, int from, int wide, bool[] ends)
    {
        bool take(int at, byte way)
        {
            if (!Has(lines, at, way)) return false;
            lines[at] &= (byte)~way;
            return true;
        }
        var walked = new List<int> { from };
        for (var at = from; walked.Count == 1 || !ends[at];)
        {
            if (take(at, Right)) at++;
            else if (take(at, Down)) at += wide;
            else if (at % wide > 0 && take(at - 1, Right)) at--;
            else if (at >= wide && take(at - wide, Down)) at -= wide;
            else break;
            walked.Add(at);
        }
        return walked;
    }

    /// <summary>Steps become a curve: each point goes toward its neighbours, ends stay where they are.</summary>
    private static (double X, double Y)[] Smooth((double X, double Y)[] line)
    {
        var ring = line[0] == line[^1];
        for (var time = 0; time < Smoothings && line.Length > 2; time++)
        {
            var next = ((double X, double Y)[])line.Clone();
            for (var n = ring ? 0 : 1; n < line.Length - 1; n++)
            {
                var (before, here, after) = (line[n == 0 ? line.Length - 2 : n - 1], line[n], line[n + 1]);
                next[n] = ((before.X + (2 * here.X) + after.X) / 4, (before.Y + (2 * here.Y) + after.Y) / 4);
            }
            if (ring) next[^1] = next[0];
            line = next;
        }
        return line;
    }

    /// <summary>The same line without points that lie on the way between those beside them.</summary>
    private static List<(double X, double Y)> Fewer((double X, double Y)[] line)
    {
        var kept = new List<(double X, double Y)> { line[0] };
        for (int from = 0, n = 2; n < line.Length; n++)
        {
            var (a, c) = (line[from], line[n]);
            var (dx, dy) = (c.X - a.X, c.Y - a.Y);
            var far = Math.Sqrt((dx * dx) + (dy * dy));
            var off = 0.0;
            for (var k = from + 1; k < n && off <= Off; k++)
                off = far == 0 ? 1 : Math.Abs((dx * (line[k].Y - a.Y)) - (dy * (line[k].X - a.X))) / far;
            if (off <= Off && n - from < 60) continue;
            from = n - 1;
            kept.Add(line[from]);
        }
        kept.Add(line[^1]);
        return kept;
    }
}
