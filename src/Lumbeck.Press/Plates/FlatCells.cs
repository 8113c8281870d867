namespace Lumbeck.Press.Plates;

/// <summary>
/// The cells of a page's grid in which parts of it show. A part is wanted only where it is seen: not where it covers
/// nothing, nor where a later part or drawn item hides it,
/// so that each place of a page is painted about once, however many see-through drawn items lie over each other there.
/// </summary>
internal sealed class FlatCells
{
    /// <summary>Pixels a side.</summary>
    public const int Side = 128;
    /// <summary>Pixels a side in which it is found what a shape covers of a cell.</summary>
    private const int Coarse = 8;

    private readonly Dictionary<FlatPart, HashSet<(int Column, int Row)>> _wanted = [];

    /// <param name="scene">The sheet, with its transparency.</param>
    /// <param name="parts">All its parts, from the lowest.</param>
    /// <param name="perInch">Pixels an inch of the grid; parts of another number hide, and are not wanted.</param>
    /// <param name="page">What of the sheet is seen, in points.</param>
    public FlatCells(Scene scene, IEnumerable<FlatPart> parts, double perInch, Bounds page)
    {
        Points = Side * 72 / perInch;
        var hidden = new HashSet<(int, int)>();
        var above = scene.Items.Length;
        // From the uppermost down: what was found to be hidden stays so.
        foreach (var part in parts.Reverse())
        {
            for (; above > part.Item + 1; above--) Hide(scene.Items[above - 1], hidden, page);
            var (touched, whole) = Covered(part, page);
            if (part.PerInch == perInch) _wanted[part] = [.. touched.Where(c => !hidden.Contains(c))];
            hidden.UnionWith(whole);
        }
    }

    /// <summary>A cell's side in points.</summary>
    public double Points { get; }

    public IReadOnlyDictionary<FlatPart, HashSet<(int Column, int Row)>> Wanted => _wanted;

    /// <summary>Cells that an opaque upright rectangle hides.</summary>
    private void Hide(DrawnItem drawn, HashSet<(int, int)> hidden, Bounds page)
    {
        if (drawn.IsEmpty || drawn.Mixes) return;
        foreach (var cell in In(Seen(drawn.Reach, page)))
            if (!hidden.Contains(cell) && Occlusion.Hides(drawn, Of(cell))) hidden.Add(cell);
    }

    private (List<(int, int)> Touched, List<(int, int)> Whole) Covered(FlatPart part, Bounds page)
    {
        var window = Seen(part.Window, page);
        List<(int, int)> touched = [], whole = [];
        if (window.IsEmpty) return (touched, whole);
        if (part.Clip is null)
        {
            foreach (var cell in In(window))
            {
                touched.Add(cell);
                var b = Of(cell);
                if (!part.ByLetters && Holds(window, b)) whole.Add(cell);
            }
            return (touched, whole);
        }
        var (left, top, right, bottom) = Range(window);
        var k = Coarse / Points;
        var (wide, high) = ((right - left + 1) * Coarse, (bottom - top + 1) * Coarse);
        using var mask = new CoverageMask(wide, high);
        using var path = SkiaPath.Of(part.Clip, new Affine(k, 0, 0, k, -left * (double)Coarse, -top * (double)Coarse));
        mask.Fill(path);
        var cover = new byte[wide * high];
        var t = mask.Touched;
        for (var y = t.Top; y < t.Bottom; y++) mask.Row(y)[t.Left..t.Right].CopyTo(cover.AsSpan((y * wide) + t.Left));
        for (var row = top; row <= bottom; row++)
            for (var column = left; column <= right; column++)
            {
                // A pixel about the cell is looked at too: its edges may lie just beside the shape's.
                var (any, all) = (false, true);
                for (var y = Math.Max(0, ((row - top) * Coarse) - 1); y <= Math.Min(high - 1, (row - top + 1) * Coarse);
                    y++)
                    for (var x = Math.Max(0, ((column - left) * Coarse) - 1);
                        x <= Math.Min(wide - 1, (column - left + 1) * Coarse); x++)
                    {
                        any |= cover[(y * wide) + x] > 0;
                        all &= cover[(y * wide) + x] == 255;
                    }
                if (any) touched.Add((column, row));
                var b = Of((column, row));
                if (any && all && Holds(window, b)) whole.Add((column, row));
            }
        return (touched, whole);
    }

    private static bool Holds(Bounds outer, Bounds b) =>
        b.Left >= outer.Left && b.Top >= outer.Top && b.Right <= outer.Right && b.Bottom <= outer.Bottom;

    private static Bounds Seen(Bounds b, Bounds page) =>
        new(Math.Max(b.Left, page.Left), Math.Max(b.Top, page.Top), Math.Min(b.Right, page.Right),
            Math.Min(b.Bottom, page.Bottom));

    public Bounds Of((int Column, int Row) cell) =>
        new(cell.Column * Points, cell.Row * Points, (cell.Column + 1) * Points, (cell.Row + 1) * Points);

    private (int Left, int Top, int Right, int Bottom) Range(Bounds b) =>
        ((int)Math.Floor(b.Left / Points), (int)Math.Floor(b.Top / Points), (int)Math.Ceiling(b.Right / Points) - 1,
            (int)Math.Ceiling(b.Bottom / Points) - 1);

    private IEnumerable<(int, int)> In(Bounds b)
    {
        if (b.IsEmpty) yield break;
        var (left, top, right, bottom) = Range(b);
        for (var row = top; row <= bottom; row++)
            for (var column = left; column <= right; column++) yield return (column, row);
    }
}
