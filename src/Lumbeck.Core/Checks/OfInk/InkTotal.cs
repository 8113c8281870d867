namespace Lumbeck.Core.Checks.OfInk;

/// <summary>More ink on one spot than paper takes and dries: over the house's limit on more than 1 mm².</summary>
public sealed class InkTotal : PlateRule
{
    /// <summary>Spots are told apart by squares of half a millimetre, of which four make 1 mm².</summary>
    private const double CellMm = 0.5;
    private const int FewestCells = 4, MostSpots = 4;

    /// <summary>So many points over the limit are a stop.</summary>
    private const double StopOver = 20;

    public override string Id => "ink.total";
    public override string Proves => "no spot has more ink than dries";

    protected override IEnumerable<Finding> Look(CheckContext look, PlateContext plates)
    {
        var limit = (double)look.House.InkLimit;
        foreach (var (place, most) in Spots(plates, limit).Take(MostSpots))
        {
            var item = Topmost(look, place);
            yield return new()
            {
                Severity = most >= limit + StopOver ? Severity.Stop : Severity.Caution,
                Measured = $"{most:0} % ink",
                Limit = $"{limit:0} %",
                Why = "So much ink does not dry: it sets off on the next sheet and rubs.",
                Mend = item is PictureItem
                    ? "Convert the picture to the printer’s inks, or lighten its darkest parts."
                    : "Take less of its colours; black may stay.",
                Of = item,
                Panel = item?.Hold.Panel ?? Part.Sheet,
                Place = place,
                Fix = Mending.Paint(look, item, i => Mending.Within(i, look.House.InkLimit)),
            };
        }
    }

    /// <summary>Places over a limit of percent, the largest first, each with the most ink on it.</summary>
    public static IEnumerable<(Box Place, double Most)> Spots(PlateContext plates, double limit)
    {
        var size = Math.Max(1, (int)Math.Round(CellMm / 25.4 * plates.PerInch));
        var (across, down) = ((plates.Wide + size - 1) / size, (plates.High + size - 1) / size);
        var cells = new int[across * down];
        // Coverings of 255 for each ink; rounding of both is forgiven.
        var over = (limit + 0.8) * 2.55;
        Parallel.For(0, down, row =>
        {
            for (var column = 0; column < across; column++)
            {
                var (sum, count) = (0, 0);
                for (var y = row * size; y < Math.Min((row + 1) * size, plates.High); y++)
                    for (var x = column * size; x < Math.Min((column + 1) * size, plates.Wide); x++)
                    {
                        var at = ((y * plates.Wide) + x) * 4;
                        sum += plates.Inks[at] + plates.Inks[at + 1] + plates.Inks[at + 2] + plates.Inks[at + 3];
                        count++;
                    }
                cells[(row * across) + column] = sum / count;
            }
        });
        var spots = new List<(Box, double, int)>();
        var open = new Stack<int>();
        for (var i = 0; i < cells.Length; i++)
        {
            if (cells[i] <= over) continue;
            var (l, t, r, b, most, count) = (across, down, 0, 0, 0, 0);
            open.Push(i);
            most = cells[i];
            cells[i] = 0;
            while (open.Count > 0)
            {
                var at = open.Pop();
                count++;
                var (x, y) = (at % across, at / across);
                (l, t, r, b) = (Math.Min(l, x), Math.Min(t, y), Math.Max(r, x + 1), Math.Max(b, y + 1));
                void to(int nx, int ny)
                {
                    if (nx < 0 || ny < 0 || nx >= across || ny >= down) return;
                    var n = (ny * across) + nx;
                    if (cells[n] <= over) return;
                    most = Math.Max(most, cells[n]);
                    cells[n] = 0;
                    open.Push(n);
                }
                to(x - 1, y); to(x + 1, y); to(x, y - 1); to(x, y + 1);
            }
            if (count >= FewestCells)
                spots.Add((plates.Place(l * size, t * size, Math.Min(r * size, plates.Wide),
                    Math.Min(b * size, plates.High)),
                    most / 2.55, count));
        }
        return spots.OrderByDescending(s => s.Item3).Select(s => (s.Item1, s.Item2));
    }

    /// <summary>The uppermost shape or picture that lies over the middle of a place; null for the ground.</summary>
    private static Item? Topmost(CheckContext look, Box place)
    {
        var (x, y) = (place.X.Points + (place.Width.Points / 2), place.Y.Points + (place.Height.Points / 2));
        return look.Drawn().Reverse()
            .FirstOrDefault(d => d.Drawn.Reach is var b && b.Left <= x && x <= b.Right && b.Top <= y && y <= b.Bottom)
            .Item;
    }
}
