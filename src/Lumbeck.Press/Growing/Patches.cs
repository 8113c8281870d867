using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using System.Runtime.Intrinsics;
using System.Runtime.Intrinsics.X86;

namespace Lumbeck.Press.Growing;

/// <summary>
/// One level of synthesis: for each small square that reaches into what is unknown, the most similar square of the
/// known picture; and the unknown pixels
/// as those squares would have them. Squares are 8 × 8 pixels, so that a row of one is 32 bytes. Everything is the same
/// from run to run, however many threads there are.
/// </summary>
internal sealed partial class Patches
{
    public const int Side = 8;
    /// <summary>
    /// Squares are searched for in bands of so many rows; what a band takes from the one above is what that had before.
    /// </summary>
    private const int Band = 24;

    private readonly PixelGrid _grid;
    private readonly Margins _m;
    private readonly int _stride, _columns, _rows, _knownWide, _knownHigh;
    private readonly int _seed;
    // Where each square's likeness lies (y × wide + x of its corner), and how unlike it is; −1 for squares that are all
    // known.
    private readonly int[] _like;
    private readonly int[] _unlike;

    public Patches(PixelGrid grid, Margins m, int stride, int seed)
    {
        (_grid, _m, _stride, _seed) = (grid, m, stride, seed);
        (_knownWide, _knownHigh) = (grid.Wide - m.Left - m.Right, grid.High - m.Top - m.Bottom);
        _columns = ((grid.Wide - Side + stride - 1) / stride) + 1;
        _rows = ((grid.High - Side + stride - 1) / stride) + 1;
        _like = new int[_columns * _rows];
        _unlike = new int[_columns * _rows];
        for (var row = 0; row < _rows; row++)
            for (var column = 0; column < _columns; column++)
                _like[(row * _columns) + column] = IsKnown(X(column), Y(row))
                    ? -1
                    : Clamped(Mirrored(X(column), m.Left, _knownWide), Mirrored(Y(row), m.Top, _knownHigh));
    }

    /// <summary>The same squares at twice the resolution: each begins with what the one it lies in had.</summary>
    public static Patches Finer(Patches coarse, PixelGrid grid, Margins m, int stride, int seed)
    {
        var fine = new Patches(grid, m, stride, seed);
        for (var row = 0; row < fine._rows; row++)
            for (var column = 0; column < fine._columns; column++)
            {
                var at = (row * fine._columns) + column;
                if (fine._like[at] < 0) continue;
                var (x, y) = (fine.X(column), fine.Y(row));
                var (cx, cy) = (Math.Min(x / 2 / coarse._stride, coarse._columns - 1),
                    Math.Min(y / 2 / coarse._stride, coarse._rows - 1));
                var like = coarse._like[(cy * coarse._columns) + cx];
                if (like < 0) continue;
                // The same way from square to likeness, doubled.
                var (dx, dy) = ((like % coarse._grid.Wide) - coarse.X(cx), (like / coarse._grid.Wide) - coarse.Y(cy));
                fine._like[at] = fine.Clamped(x + (2 * dx), y + (2 * dy));
            }
        return fine;
    }

    private int X(int column) => Math.Min(column * _stride, _grid.Wide - Side);
    private int Y(int row) => Math.Min(row * _stride, _grid.High - Side);

    private bool IsKnown(int x, int y) =>
        x >= _m.Left && y >= _m.Top && x + Side <= _m.Left + _knownWide && y + Side <= _m.Top + _knownHigh;

    private static int Mirrored(int at, int before, int size)
    {
        var middle = at + (Side / 2);
        return before + Margins.Beyond(middle, before, size).Mirror - (Side / 2);
    }

    /// <summary>The nearest corner of a square that is all known.</summary>
    private int Clamped(int x, int y) =>
        (Math.Clamp(y, _m.Top,
            _m.Top + _knownHigh - Side) * _grid.Wide) + Math.Clamp(x, _m.Left, _m.Left + _knownWide - Side);

    /// <summary>
    /// Looks for more similar squares: where the neighbours found theirs, and by chance ever nearer to the best so far.
    /// </summary>
    /// <param name="round">Its number; each second one runs the other way.</param>
    /// <param name="radius">How far chance may reach, in pixels.</param>
    public void Search(int round, int radius)
    {
        var before = (int[])_like.Clone();
        var back = (round & 1) == 1;
        var bands = (_rows + Band - 1) / Band;
        Parallel.For(0, bands, band =>
        {
            var (first, last) = (band * Band, Math.Min(_rows, (band + 1) * Band) - 1);
            for (var i = 0; i <= last - first; i++)
            {
                var row = back ? last - i : first + i;
                for (var j = 0; j < _columns; j++)
                {
                    var column = back ? _columns - 1 - j : j;
                    Improve(row, column, back ? 1 : -1, row == (back ? last : first) ? before : _like, radius, round);
                }
            }
        });
    }

    private void Improve(int row, int column, int step, int[] above, int radius, int round)
    {
        var at = (row * _columns) + column;
        var best = _like[at];
        if (best < 0) return;
        var (x, y) = (X(column), Y(row));
        var target = (y * _grid.Wide) + x;
        var least = Unlike(target, best, int.MaxValue);
        void Try(int like)
        {
            if (like == best) return;
            var unlike = Unlike(target, like, least);
            if (unlike < least) (best, least) = (like, unlike);
        }
        if (column + step >= 0 && column + step < _columns && _like[at + step] is >= 0 and var beside)
            Try(Clamped((beside % _grid.Wide) + x - X(column + step), (beside / _grid.Wide)));
        if (row + step >= 0 && row + step < _rows && above[at + (step * _columns)] is >= 0 and var over)
            Try(Clamped(over % _grid.Wide, (over / _grid.Wide) + y - Y(row + step)));
        var chance = Mixed((uint)at, (uint)round, (uint)_seed);
        for (var reach = radius; reach >= 1; reach /= 2)
        {
            chance = Mixed(chance, (uint)reach, 0x9E3779B9);
            var (dx, dy) = ((int)(chance & 0xffff) % ((2 * reach) + 1) - reach,
                (int)(chance >> 16) % ((2 * reach) + 1) - reach);
            Try(Clamped((best % _grid.Wide) + dx, (best / _grid.Wide) + dy));
        }
        (_like[at], _unlike[at]) = (best, least);
    }

    /// <summary>How far outward from the picture's edge what is off there is made good, in pixels.</summary>
    private const int Mended = 10;

    /// <summary>
    /// Lays the likenesses one over the other where they are wanted; each unknown pixel is what they have there, the
    /// more alike a square the more it counts.
    /// </summary>
    /// <param name="join">Whether what the squares have otherwise than the picture along its very edge is carried
    /// outward, ever less, so that there is no step.</param>
    public void Vote(bool join = false)
    {
        // What the squares would have along the picture's own outermost pixels: head, foot, left, right.
        var edges = new Vector128<float>[][] { new Vector128<float>[_knownWide], new Vector128<float>[_knownWide],
            new Vector128<float>[_knownHigh], new Vector128<float>[_knownHigh] };
        const int strip = 32;
        var usual = Math.Max(64, Middle());
        Parallel.For(0, (_grid.High + strip - 1) / strip, () => (Sum: new Vector128<float>[strip * _grid.Wide],
            Weight: new float[strip * _grid.Wide]), (part, _, own) =>
        {
            var (top, bottom) = (part * strip, Math.Min(_grid.High, (part + 1) * strip));
            var (sum, weight) = own;
            Array.Clear(sum);
            Array.Clear(weight);
            var pixels = MemoryMarshal.Cast<byte, uint>(_grid.Bytes.AsSpan());
            for (var row = 0; row < _rows; row++)
            {
                var y = Y(row);
                if (y + Side <= top || y >= bottom) continue;
                for (var column = 0; column < _columns; column++)
                {
                    var at = (row * _columns) + column;
                    if (_like[at] < 0) continue;
                    var far = _unlike[at] / (float)usual;
                    var x = X(column);
                    // What reaches into the known picture leads; else squares that only agree with each other would.
                    var away = 1 + (Away(x, y) / 3f);
                    var counts = 1 / ((0.02f + (far * far)) * away * away);
                    for (var dy = Math.Max(0, top - y); dy < Side && y + dy < bottom; dy++)
                    {
                        var to = ((y + dy - top) * _grid.Wide) + x;
                        var from = pixels.Slice(_like[at] + (dy * _grid.Wide), Side);
                        var sums = sum.AsSpan(to, Side);
                        var weights = weight.AsSpan(to, Side);
                        for (var dx = 0; dx < Side; dx++)
                        {
                            sums[dx] += Four(from[dx]) * counts;
                            weights[dx] += counts;
                        }
                    }
                }
            }
            for (var y = top; y < bottom; y++)
                for (var x = 0; x < _grid.Wide; x++)
                {
                    var at = ((y - top) * _grid.Wide) + x;
                    if (weight[at] > 0) Edge(edges, x - _m.Left, y - _m.Top, sum[at] / weight[at]);
                    if (weight[at] == 0
                        || (x >= _m.Left && x < _m.Left + _knownWide && y >= _m.Top && y < _m.Top + _knownHigh))
                        continue;
                    var mean = sum[at] / weight[at];
                    var pixel = _grid.Pixel(x, y);
                    for (var i = 0; i < 4; i++) pixel[i] = (byte)Math.Clamp(MathF.Round(mean[i]), 0, 255);
                }
            return own;
        }, _ => { });
        if (join) Join(edges);
    }

    private void Edge(Vector128<float>[][] edges, int x, int y, Vector128<float> value)
    {
        if (x < 0 || y < 0 || x >= _knownWide || y >= _knownHigh) return;
        // A fifth number says that there is one at all: what is nothing is marked so.
        value = value.WithElement(0, value[0] + Marked);
        if (y == 0) edges[0][x] = value;
        if (y == _knownHigh - 1) edges[1][x] = value;
        if (x == 0) edges[2][y] = value;
        if (x == _knownWide - 1) edges[3][y] = value;
    }

    private const float Marked = 1000;

    private void Join(Vector128<float>[][] edges)
    {
        void mend(Vector128<float> voted, int kx, int ky, int outX, int outY)
        {
            if (voted[0] < Marked) return;
            voted = voted.WithElement(0, voted[0] - Marked);
            var known = _grid.Pixel(kx, ky);
            for (var away = 1; away <= Mended; away++)
            {
                var (x, y) = (kx + (outX * away), ky + (outY * away));
                if (x < 0 || y < 0 || x >= _grid.Wide || y >= _grid.High) return;
                var pixel = _grid.Pixel(x, y);
                var share = MathF.Exp((1 - away) / 3f);
                for (var i = 0; i < 4; i++)
                    pixel[i] = (byte)Math.Clamp(MathF.Round(pixel[i] + ((known[i] - voted[i]) * share)), 0, 255);
            }
        }
        for (var x = 0; x < _knownWide; x++)
        {
            mend(edges[0][x], _m.Left + x, _m.Top, 0, -1);
            mend(edges[1][x], _m.Left + x, _m.Top + _knownHigh - 1, 0, 1);
        }
        for (var y = 0; y < _knownHigh; y++)
        {
            mend(edges[2][y], _m.Left, _m.Top + y, -1, 0);
            mend(edges[3][y], _m.Left + _knownWide - 1, _m.Top + y, 1, 0);
        }
    }

    private static Vector128<float> Four(uint pixel) =>
        Vector128.ConvertToSingle(Vector128.WidenLower(Vector128.WidenLower(Vector128.CreateScalar(pixel).AsByte()))
            .AsInt32());

    /// <summary>How far a square lies from the known picture, in pixels; 0 where it reaches into it.</summary>
    private int Away(int x, int y)
    {
        var across = Math.Max(_m.Left - (x + Side - 1), x - (_m.Left + _knownWide - 1));
        var down = Math.Max(_m.Top - (y + Side - 1), y - (_m.Top + _knownHigh - 1));
        return Math.Max(0, Math.Max(across, down));
    }
}
