using Lumbeck.Pdf.Functions;
using Lumbeck.Pdf.Reading;

namespace Lumbeck.Pdf.Shadings;

/// <summary>
/// Shadings by triangles and patches (ISO 32000-1, 8.7.4.5.5 to 8) as fine triangles: between their corners a colour
/// runs as it did in its own space, and only then comes to inks.
/// </summary>
public static class MeshShading
{
    private readonly record struct Corner(double X, double Y, double[] C);

    /// <summary>Most triangles that are made of one.</summary>
    private const int Most = 200_000;

    /// <summary>How a mesh is written.</summary>
    /// <param name="Kind">4 to 7.</param>
    /// <param name="Place">Bits of a coordinate.</param>
    /// <param name="Colour">Bits of a figure of a colour.</param>
    /// <param name="Flag">Bits of a flag.</param>
    /// <param name="Row">Corners of a row, of kind 5.</param>
    /// <param name="Decode">Where coordinates and figures lie between.</param>
    public sealed record Written(int Kind, int Place, int Colour, int Flag, int Row, double[] Decode);

    /// <summary>Its triangles, three corners each: places, and figures of its colour space.</summary>
    /// <exception cref="PdfReadException">It has more than are made.</exception>
    public static List<(double X, double Y, double[] C)> Fine(byte[] data, Written mesh, int figures,
        CancellationToken cancel)
    {
        var corners = new List<(double, double, double[])>();
        void triangle(Corner a, Corner b, Corner c)
        {
            if (corners.Count >= 3 * Most) throw new PdfReadException("it holds a shading of more pieces than are read");
            foreach (var k in (ReadOnlySpan<Corner>)[a, b, c]) corners.Add((k.X, k.Y, k.C));
        }
        void piece(Corner a, Corner b, Corner c, int fine)
        {
            if ((corners.Count & 0xfff) == 0) cancel.ThrowIfCancellationRequested();
            if (fine == 0) { triangle(a, b, c); return; }
            var (ab, bc, ca) = (Half(a, b), Half(b, c), Half(c, a));
            piece(a, ab, ca, fine - 1);
            piece(ab, b, bc, fine - 1);
            piece(ca, bc, c, fine - 1);
            piece(ab, bc, ca, fine - 1);
        }
        if (mesh.Kind is 4 or 5)
        {
            var all = Triangles(data, mesh, figures);
            var fine = all.Count < 200 ? 4 : all.Count < 3000 ? 2 : 0;
            foreach (var (a, b, c) in all) piece(a, b, c, fine);
        }
        else
        {
            var all = Patches(data, mesh, figures);
            var across = all.Count < 40 ? 24 : all.Count < 500 ? 10 : 4;
            foreach (var patch in all)
            {
                cancel.ThrowIfCancellationRequested();
                var grid = new Corner[across + 1, across + 1];
                for (var v = 0; v <= across; v++)
                    for (var u = 0; u <= across; u++) grid[v, u] = patch.At((double)u / across, (double)v / across);
                for (var v = 0; v < across; v++)
                    for (var u = 0; u < across; u++)
                    {
                        triangle(grid[v, u], grid[v, u + 1], grid[v + 1, u]);
                        triangle(grid[v, u + 1], grid[v + 1, u + 1], grid[v + 1, u]);
                    }
            }
        }
        return corners;
    }

    private static Corner Half(Corner a, Corner b) => new((a.X + b.X) / 2, (a.Y + b.Y) / 2, [.. a.C.Zip(b.C, (x,
        y) => (x + y) / 2)]);

    private sealed class Reader(byte[] data, Written mesh, int figures)
    {
        public BitReader From { get; } = new(data);

        private double Next(int bits, int at) => mesh.Decode[2 * at]
            + (From.Next(bits) / (Math.Pow(2, bits) - 1) * (mesh.Decode[(2 * at) + 1] - mesh.Decode[2 * at]));

        public (double X, double Y) Point() => (Next(mesh.Place, 0), Next(mesh.Place, 1));

        public double[] Colour() => [.. Enumerable.Range(0, figures).Select(k =>
            Next(mesh.Colour, Math.Min(2 + k, (mesh.Decode.Length / 2) - 1)))];

        public Corner Corner()
        {
            var (x, y) = Point();
            return new(x, y, Colour());
        }
    }

    private static List<(Corner, Corner, Corner)> Triangles(byte[] data, Written mesh, int figures)
    {
        var (read, all) = (new Reader(data, mesh, figures), new List<(Corner, Corner, Corner)>());
        if (mesh.Kind == 5)
        {
            var corners = new List<Corner>();
            while (!read.From.Ended && corners.Count < 3 * Most) { corners.Add(read.Corner()); read.From.Align(); }
            for (var y = 0; y + 1 < corners.Count / mesh.Row; y++)
                for (var x = 0; x + 1 < mesh.Row; x++)
                {
                    var n = (y * mesh.Row) + x;
                    all.Add((corners[n], corners[n + 1], corners[n + mesh.Row]));
                    all.Add((corners[n + 1], corners[n + 1 + mesh.Row], corners[n + mesh.Row]));
                }
            return all;
        }
        Corner next(out uint flag)
        {
            flag = read.From.Next(mesh.Flag) & 3;
            var corner = read.Corner();
            read.From.Align();
            return corner;
        }
        while (!read.From.Ended && all.Count < Most)
        {
            var corner = next(out var edge);
            if (edge == 0 || all.Count == 0)
            {
                if (read.From.Ended) break;
                all.Add((corner, next(out _), next(out _)));
            }
            else if (all[^1] is var (a, b, c)) all.Add(edge == 1 ? (b, c, corner) : (a, c, corner));
        }
        return all;
    }

    /// <summary>A patch: sixteen points in rows, and the colours of its corners.</summary>
    private sealed record Patch((double X, double Y)[] P, double[][] C)
    {
        public Corner At(double u, double v)
        {
            static double[] weights(double t) => [(1 - t) * (1 - t) * (1 - t), 3 * t * (1 - t) * (1 - t),
                3 * t * t * (1 - t), t * t * t];
            var (bu, bv) = (weights(u), weights(v));
            var (x, y) = (0.0, 0.0);
            for (var i = 0; i < 4; i++)
                for (var j = 0; j < 4; j++)
                {
                    x += bu[i] * bv[j] * P[(i * 4) + j].X;
                    y += bu[i] * bv[j] * P[(i * 4) + j].Y;
                }
            return new(x, y, [.. Enumerable.Range(0, C[0].Length).Select(k =>
                ((1 - u) * (((1 - v) * C[0][k]) + (v * C[1][k]))) + (u * (((1 - v) * C[3][k]) + (v * C[2][k]))))]);
        }
    }

    /// <summary>
    /// Where the points round a patch lie in its sixteen, in the order they are written; then those within.
    /// </summary>
    private static readonly int[] Round = [0, 1, 2, 3, 7, 11, 15, 14, 13, 12, 8, 4, 5, 6, 10, 9];

    private static List<Patch> Patches(byte[] data, Written mesh, int figures)
    {
        var (read, all) = (new Reader(data, mesh, figures), new List<Patch>());
        var within = mesh.Kind == 7 ? 4 : 0;
        while (!read.From.Ended && all.Count < 20_000)
        {
            var edge = (int)(read.From.Next(mesh.Flag) & 3);
            var (p, c) = (new (double X, double Y)[16], new double[4][]);
            var (points, colours) = (0, 0);
            if (edge > 0 && all.Count > 0)
            {
                // It goes on from an edge of the one before: its own first edge is that one.
                var (before, from) = (all[^1], 3 * edge);
                for (; points < 4; points++) p[Round[points]] = before.P[Round[(from + points) % 12]];
                (c[0], c[1]) = (before.C[edge], before.C[(edge + 1) % 4]);
                colours = 2;
            }
            for (; points < 12 + within; points++) p[Round[points]] = read.Point();
            for (; colours < 4; colours++) c[colours] = read.Colour();
            read.From.Align();
            if (within == 0) Filled(p);
            all.Add(new(p, c));
        }
        return all;
    }

    /// <summary>The four points within a patch that is told by its edges alone (8.7.4.5.8).</summary>
    private static void Filled((double X, double Y)[] p)
    {
        void within(int at, int corner, int a, int b, int c, int d, int e, int f, int far)
        {
            double of(Func<(double X, double Y), double> k) => ((-4 * k(p[corner]))
                + (6 * (k(p[a]) + k(p[b]))) - (2 * (k(p[c]) + k(p[d])))
                + (3 * (k(p[e]) + k(p[f]))) - k(p[far])) / 9;
            p[at] = (of(q => q.X), of(q => q.Y));
        }
        within(5, 0, 1, 4, 3, 12, 13, 7, 15);
        within(6, 3, 2, 7, 0, 15, 14, 4, 12);
        within(9, 12, 13, 8, 15, 0, 1, 11, 3);
        within(10, 15, 14, 11, 12, 3, 2, 8, 0);
    }
}
