namespace Lumbeck.Press.Plates;

/// <summary>
/// A rectangle of a flattened part: pixels, or one ink where all of them are the same.
/// </summary>
/// <param name="Place">Where it lies, in points of the sheet.</param>
/// <param name="Wide">Pixels across.</param>
/// <param name="High">Pixels down.</param>
/// <param name="Inks">Four bytes a pixel; of one pixel where it is even.</param>
/// <param name="Finishes">One byte a pixel for each finishing ink that may lie there, or one byte alone where that is
/// even.</param>
internal sealed record FlatTile(Bounds Place, int Wide, int High, byte[] Inks,
    ImmutableArray<(string Name, byte[] Tints)> Finishes)
{
    public bool IsEven => Inks.Length == 4;
}

/// <summary>
/// Paints all flattened parts of a page together, a band of it at a time: each band is composed once, and what each
/// part shows is taken from it on the way up.
/// </summary>
/// <param name="painter">Composes.</param>
/// <param name="scene">The sheet, with its transparency.</param>
/// <param name="parts">Its parts, from the lowest.</param>
/// <param name="page">What of it is seen, in points.</param>
internal sealed class FlatPainter(PlatePainter painter, Scene scene, ImmutableArray<FlatPart> parts, Bounds page)
{
    /// <summary>Most pixels of a band.</summary>
    private const int Band = 1_800_000;

    /// <summary>
    /// So many pixels further to the right and down is each rectangle drawn, under its neighbours, so that no viewer's
    /// smoothing parts them.
    /// </summary>
    private const int Lap = 8;

    /// <summary>Whether finishing inks are shown by their likeness, and have no plates.</summary>
    public bool Likeness { get; init; }

    /// <summary>Is told of each band before it is painted; may end the work by throwing.</summary>
    public Action? Before { get; init; }

    /// <summary>Each part's rectangles, in the order in which they are to be drawn.</summary>
    public IEnumerable<(FlatPart Part, FlatTile Tile)> Tiles()
    {
        foreach (var perInch in parts.Select(p => p.PerInch).Distinct().Order())
        {
            var cells = new FlatCells(scene, parts, perInch, page);
            var wanted = cells.Wanted.SelectMany(p => p.Value.Select(c => (p.Key, c.Column, c.Row))).ToList();
            if (wanted.Count == 0) continue;
            for (var row = wanted.Min(w => w.Row); row <= wanted.Max(w => w.Row);)
            {
                // As many rows of cells as a band takes, no wider than what is wanted in them.
                var here = wanted.Where(w => w.Row == row).ToList();
                if (here.Count == 0) { row++; continue; }
                var to = row + 1;
                for (; wanted.Exists(w => w.Row == to); to++)
                {
                    var more = here.Concat(wanted.Where(w => w.Row == to)).ToList();
                    if ((long)Columns(more) * (to + 1 - row) * FlatCells.Side * FlatCells.Side > Band) break;
                    here = more;
                }
                var at = new Cells(here.Min(w => w.Column), row, here.Max(w => w.Column) + 1, to);
                foreach (var tile in Painted(cells, perInch, here.ToLookup(w => w.Key, w => (w.Column, w.Row)), at))
                    yield return tile;
                row = to;
            }
        }
    }

    private static int Columns(List<(FlatPart, int Column, int)> cells) =>
        cells.Max(c => c.Column) + 1 - cells.Min(c => c.Column);

    /// <summary>A band: its columns and rows of cells, the last ones not among them.</summary>
    private readonly record struct Cells(int Left, int Top, int Right, int Bottom);

    private List<(FlatPart, FlatTile)> Painted(FlatCells cells, double perInch,
        ILookup<FlatPart, (int Column, int Row)> wanted, Cells at)
    {
        Before?.Invoke();
        var tiles = new List<(FlatPart, FlatTile)>();
        var k = perInch / 72;
        var (side, lap) = (cells.Points, Lap / k);
        var window = new Bounds(at.Left * side, at.Top * side, (at.Right * side) + lap, (at.Bottom * side) + lap);
        var stops = wanted.ToDictionary(w => (w.Key.Item, w.Key.Mark), w => w.Key);
        var from = wanted.Min(w => w.Key.Item);
        while (from > 0 && !Occlusion.Hides(scene.Items[from], window)) from--;
        painter.Paint(scene, window, perInch, new()
        {
            From = from,
            To = wanted.Max(w => w.Key.Item) + 1,
            Likeness = Likeness,
            Stops = stops.Keys.ToHashSet(),
            Reached = (drawn, mark, plates) =>
            {
                var part = stops[(drawn, mark)];
                var cutting = new Cutting(cells, k, (at.Left, at.Top), plates, Likeness ? [] : Finishes(drawn));
                tiles.AddRange(cutting.Tiles([.. wanted[part]]).Select(tile => (part, tile)));
            },
        });
        return tiles;
    }

    /// <summary>Finishing inks that may lie under a part or in it.</summary>
    private ImmutableArray<string> Finishes(int drawn) =>
        [.. scene.Items.Take(drawn + 1).SelectMany(p => p.Finishes).Distinct().Order(StringComparer.Ordinal)];

    /// <summary>Cuts rectangles out of a band.</summary>
    private sealed class Cutting(FlatCells cells, double k, (int Left, int Top) at, Plates plates,
        ImmutableArray<string> finishes)
    {
        public IEnumerable<FlatTile> Tiles(HashSet<(int Column, int Row)> wanted)
        {
            var even = wanted.ToDictionary(c => c, Even);
            // One ink first, row by row; then pixels, which know what lies under their laps.
            foreach (var row in wanted.Where(c => even[c] is not null).GroupBy(c => c.Row).OrderBy(r => r.Key))
            {
                bool alike(int a, int b) => even[(a, row.Key)]!.AsSpan().SequenceEqual(even[(b, row.Key)]);
                foreach (var (from, to) in Runs([.. row.Select(c => c.Column).Order()], alike))
                    yield return Cut(from, row.Key, to, row.Key + 1, isEven: true);
            }
            var open = new List<(int From, int To, int Top, int Bottom)>();
            foreach (var row in wanted.Where(c => even[c] is null).GroupBy(c => c.Row).OrderBy(r => r.Key))
                foreach (var (from, to) in Runs([.. row.Select(c => c.Column).Order()], (_, _) => true))
                {
                    var over = open.FindIndex(r => r.From == from && r.To == to && r.Bottom == row.Key);
                    if (over >= 0) open[over] = open[over] with { Bottom = row.Key + 1 };
                    else open.Add((from, to, row.Key, row.Key + 1));
                }
            foreach (var (from, to, top, bottom) in open) yield return Cut(from, top, to, bottom, isEven: false);
        }

        private static IEnumerable<(int From, int To)> Runs(List<int> columns, Func<int, int, bool> alike)
        {
            for (var i = 0; i < columns.Count;)
            {
                var j = i + 1;
                while (j < columns.Count && columns[j] == columns[j - 1] + 1 && alike(columns[j - 1], columns[j])) j++;
                yield return (columns[i], columns[j - 1] + 1);
                i = j;
            }
        }

        /// <summary>
        /// A cell's inks and finishing inks where all its pixels are the same; null where they are not.
        /// </summary>
        private byte[]? Even((int Column, int Row) cell)
        {
            var (x, y) = ((cell.Column - at.Left) * FlatCells.Side, (cell.Row - at.Top) * FlatCells.Side);
            var first = (y * plates.Wide) + x;
            var pixels = System.Runtime.InteropServices.MemoryMarshal.Cast<byte, uint>(plates.Inks.AsSpan());
            var ink = pixels[first];
            for (var row = 0; row < FlatCells.Side; row++)
                if (pixels.Slice(first + (row * plates.Wide), FlatCells.Side).ContainsAnyExcept(ink)) return null;
            var all = new byte[4 + finishes.Length];
            plates.Inks.AsSpan(first * 4, 4).CopyTo(all);
            for (var f = 0; f < finishes.Length; f++)
            {
                var tints = plates.Finishes[finishes[f]].AsSpan();
                for (var row = 0; row < FlatCells.Side; row++)
                    if (tints.Slice(first + (row * plates.Wide), FlatCells.Side).ContainsAnyExcept(tints[first]))
                        return null;
                all[4 + f] = tints[first];
            }
            return all;
        }

        private FlatTile Cut(int left, int top, int right, int bottom, bool isEven)
        {
            var (x, y) = ((left - at.Left) * FlatCells.Side, (top - at.Top) * FlatCells.Side);
            var wide = Math.Min(((right - left) * FlatCells.Side) + Lap, plates.Wide - x);
            var high = Math.Min(((bottom - top) * FlatCells.Side) + Lap, plates.High - y);
            var (px, py) = (left * cells.Points, top * cells.Points);
            var place = new Bounds(px, py, px + (wide / k), py + (high / k));
            byte[] part(byte[] of, int bytes)
            {
                if (isEven) return of.AsSpan(((y * plates.Wide) + x) * bytes, bytes).ToArray();
                var cut = new byte[wide * high * bytes];
                for (var row = 0; row < high; row++)
                    of.AsSpan((((y + row) * plates.Wide) + x) * bytes, wide * bytes)
                        .CopyTo(cut.AsSpan(row * wide * bytes));
                return cut;
            }
            return new(place, wide, high, part(plates.Inks, 4),
                [.. finishes.Select(f => (f, part(plates.Finishes[f], 1)))]);
        }
    }
}
