using System.Runtime.InteropServices;
using Lumbeck.Press.Plates;
using SkiaSharp;

namespace Lumbeck.Press.Drawn;

/// <summary>
/// A drawing as regions to be coloured: a mosaic without gaps, of which each piece is large enough and nowhere narrower
/// than a pen needs beside its lines. It is made of fine squares, on which each shape hides those below it; pieces that
/// are
/// too small or too narrow go to what lies round them, and what is left between two pieces is a line.
/// </summary>
public static class ClosedRegions
{
    /// <summary>Squares along a millimetre, and the most of them in all.</summary>
    private const double Finest = 6;
    private const double Most = 3_000_000;

    /// <summary>What a pen needs between two lines, in millimetres.</summary>
    private const double Free = 0.8;

    /// <param name="drawn">The drawing in millimetres, the lowest first.</param>
    /// <param name="wide">Its box, in millimetres.</param>
    /// <param name="high">Its box, in millimetres.</param>
    /// <param name="line">The weight of its lines, in millimetres.</param>
    /// <param name="least">The area of the smallest region, to the middle of its lines, in mm².</param>
    /// <returns>The lines between regions, in millimetres; its box's own edge is none.</returns>
    public static IReadOnlyList<Outline> Of(IEnumerable<Core.Art.Sketches.Drawn> drawn, double wide, double high, double line,
        double least)
    {
        var fine = Math.Min(Finest, Math.Sqrt(Most / (wide * high)));
        var (w, h) = ((int)Math.Ceiling(wide * fine), (int)Math.Ceiling(high * fine));
        if (w < 3 || h < 3) return [];
        var regions = Numbered(Painted(drawn, w, h, fine), w);
        // Smoothing takes a little of what bulges.
        Widened(regions, w, ((line + Free) / 2 * fine), 1.2 * least * fine * fine);
        return [.. RegionLines.Of(regions, w, h).Select(l => Drawn(l, fine))];
    }

    /// <summary>
    /// The uppermost shape of each square, by its number; 0 where there is none, −1 where a line is seen.
    /// </summary>
    private static int[] Painted(IEnumerable<Core.Art.Sketches.Drawn> drawn, int w, int h, double fine)
    {
        using var bitmap = new SKBitmap(new SKImageInfo(w, h, SKColorType.Bgra8888, SKAlphaType.Opaque));
        using (var canvas = new SKCanvas(bitmap))
        {
            canvas.Clear(new(0xff000000));
            canvas.Scale((float)fine);
            using var paint = new SKPaint { IsAntialias = false };
            var number = 0u;
            foreach (var (shape, isLine) in drawn.SelectMany(VisibleEdges.Flat))
            {
                using var path = SkiaPath.Of(shape, Affine.Identity);
                (paint.IsStroke, paint.StrokeWidth) = (isLine, 0);
                paint.Color = new(0xff000000 | (isLine ? 0xffffff : ++number));
                canvas.DrawPath(path, paint);
            }
        }
        var squares = MemoryMarshal.Cast<byte, int>(bitmap.GetPixelSpan());
        var shown = new int[w * h];
        for (var n = 0; n < shown.Length; n++) shown[n] = (squares[n] & 0xffffff) is var s && s == 0xffffff ? -1 : s;
        return shown;
    }

    /// <summary>Squares that hang together and show one shape, each of them a region of its own, from 1.</summary>
    private static int[] Numbered(int[] shown, int w)
    {
        var region = new int[shown.Length];
        var (count, open) = (0, new Stack<int>());
        for (var n = 0; n < shown.Length; n++)
        {
            if (region[n] != 0 || shown[n] < 0) continue;
            region[n] = ++count;
            open.Push(n);
            while (open.TryPop(out var at))
                foreach (var beside in new Beside(at, w, shown.Length))
                    if (region[beside] == 0 && shown[beside] == shown[n])
                    {
                        region[beside] = count;
                        open.Push(beside);
                    }
        }
        Spread(region, w);
        return region;
    }

    /// <summary>Lets regions grow over squares that are nobody's.</summary>
    private static void Spread(int[] region, int w)
    {
        var from = new Queue<int>();
        for (var n = 0; n < region.Length; n++)
        {
            if (region[n] != 0) continue;
            foreach (var beside in new Beside(n, w, region.Length))
                if (region[beside] != 0) from.Enqueue(beside);
        }
        while (from.TryDequeue(out var at))
            foreach (var beside in new Beside(at, w, region.Length))
                if (region[beside] == 0)
                {
                    region[beside] = region[at];
                    from.Enqueue(beside);
                }
    }

    /// <summary>
    /// Of each region only what a disc of a radius reaches, where that is large enough; the rest goes to what is beside
    /// it.
    /// </summary>
    private static void Widened(int[] region, int w, double radius, double least)
    {
        var whole = (int[])region.Clone();
        var reach = Math.Max(1, (int)Math.Round(radius));
        // How far a square is from the next region.
        var far = new int[region.Length];
        var edge = new Queue<int>();
        void meets(int n)
        {
            if (far[n] != 0) return;
            far[n] = 1;
            edge.Enqueue(n);
        }
        for (var n = 0; n < region.Length; n++)
        {
            if ((n + 1) % w != 0 && region[n + 1] != region[n]) { meets(n); meets(n + 1); }
            if (n + w < region.Length && region[n + w] != region[n]) { meets(n); meets(n + w); }
        }
        while (edge.TryDequeue(out var at))
            foreach (var beside in new Beside(at, w, region.Length))
                if (far[beside] == 0 && far[at] < reach + 1)
                {
                    far[beside] = far[at] + 1;
                    edge.Enqueue(beside);
                }
        bool isCore(int n) => far[n] == 0 || far[n] > reach;
        Array.Clear(region);
        var (seen, open, core, grown) = (new bool[region.Length], new Stack<int>(), new List<int>(), new List<int>());
        for (var n = 0; n < region.Length; n++)
        {
            if (seen[n] || !isCore(n)) continue;
            core.Clear();
            seen[n] = true;
            open.Push(n);
            while (open.TryPop(out var at))
            {
                core.Add(at);
                foreach (var beside in new Beside(at, w, region.Length))
                    if (!seen[beside] && whole[beside] == whole[n] && isCore(beside))
                    {
                        seen[beside] = true;
                        open.Push(beside);
                    }
            }
            foreach (var at in core) region[at] = whole[n];
            grown.Clear();
            grown.AddRange(core.Where(at => far[at] == reach + 1));
            // As far out again as it was drawn in.
            for (int step = 0, from = 0; step < reach; step++)
            {
                var to = grown.Count;
                for (; from < to; from++)
                    foreach (var beside in new Beside(grown[from], w, region.Length))
                        if (region[beside] == 0 && whole[beside] == whole[n])
                        {
                            region[beside] = whole[n];
                            grown.Add(beside);
                        }
            }
            var inner = core.Count(at => far[at] != reach + 1);
            if (inner + grown.Count >= least) continue;
            foreach (var at in core) region[at] = 0;
            foreach (var at in grown) region[at] = 0;
        }
        Spread(region, w);
    }

    private static Outline Drawn(IReadOnlyList<(double X, double Y)> line, double fine)
    {
        var pen = new Pen();
        pen.Move(line[0].X / fine, line[0].Y / fine);
        foreach (var (x, y) in line.Skip(1)) pen.Line(x / fine, y / fine);
        return pen.Done();
    }
}

/// <summary>The squares beside one, of rows of so many.</summary>
internal ref struct Beside(int at, int w, int all)
{
    private int _next;

    public int Current { get; private set; }

    public readonly Beside GetEnumerator() => this;

    public bool MoveNext()
    {
        while (_next < 4)
            switch (_next++)
            {
                case 0 when at % w > 0: Current = at - 1; return true;
                case 1 when at % w < w - 1: Current = at + 1; return true;
                case 2 when at >= w: Current = at - w; return true;
                case 3 when at + w < all: Current = at + w; return true;
            }
        return false;
    }
}
