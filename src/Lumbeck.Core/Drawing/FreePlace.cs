namespace Lumbeck.Core.Drawing;

/// <summary>
/// Where a new item lies over nothing: the free place that is nearest to the middle of its panel's safe box, smaller where
/// there is none so large. What is laid under all else, or has its own place, stays as it is.
/// </summary>
public static class FreePlace
{
    /// <summary>How much smaller it may become, and the smallest side it may have, in points.</summary>
    private static readonly double[] Shares = [1, 0.75, 0.5, 0.35];
    private const double Least = 24, Step = 12, Gap = 4;

    /// <summary>The same item where it is free; as it is where no place is.</summary>
    /// <param name="item">As it would be added.</param>
    /// <param name="job">The job before it.</param>
    /// <param name="wrap">Which wrap it is for.</param>
    public static Item Of(Item item, Job job, int wrap)
    {
        if (item.Hold is not { Box: HoldBox.Safe, Anchor: Anchor.Middle, Panel: not (Part.Spine or Part.Sheet) })
            return item;
        if (job.Sheets().FirstOrDefault(s => s.Wrap == wrap && s.Sheet.Panel(item.Hold.Panel) is not null)?.Sheet is not { } sheet
            || Placement.Of(item, sheet) is not { Panel.Turn: Turn.None } first)
            return item;
        var safe = first.Hung;
        var taken = Taken(job, wrap, sheet, item.Hold.Panel, safe);
        foreach (var share in Shares)
        {
            var (wide, high) = (first.Box.Width.Points * share, first.Box.Height.Points * share);
            if (share < 1 && (item is TextItem or LineItem || item.OwnSize is not null || Math.Min(wide, high) < Least)) break;
            if (Nearest(safe.Width.Points, safe.Height.Points, wide, high, taken) is not { } at) continue;
            var moved = item with { Hold = item.Hold with { Dx = Whole(at.Right), Dy = Whole(at.Down) } };
            return share == 1 ? moved : moved with { Width = new(Whole(wide)), Height = new(Whole(high)) };
        }
        return item;
    }

    private static Length Whole(double points) => Length.FromPoints(Math.Round((decimal)points));

    /// <summary>What lies on the panel but for its ground, in points from its safe box's corner.</summary>
    private static List<Bounds> Taken(Job job, int wrap, Sheet sheet, Part panel, Box safe)
    {
        IEnumerable<Bounds> all = job.Wraps[wrap].Take.Items.Where(i => !i.Hidden && i is not FrameItem)
            .Select(i => Placement.Of(i, sheet)).OfType<Placement>()
            .Select(p => p.ToSheet.Of(new Bounds(0, 0, p.Box.Width.Points, p.Box.Height.Points)));
        if (sheet.Zone(ZoneKind.Barcode, panel)?.Box is { } room) all = all.Append(Bounds.Of(room));
        var (x, y) = (safe.X.Points, safe.Y.Points);
        // What covers most of a panel is its ground.
        return [.. all.Select(b => new Bounds(b.Left - x - Gap, b.Top - y - Gap, b.Right - x + Gap, b.Bottom - y + Gap))
            .Where(b => (b.Right - b.Left) * (b.Bottom - b.Top) < 0.6 * safe.Width.Points * safe.Height.Points)];
    }

    /// <summary>How far from the middle the nearest free place is; null where there is none.</summary>
    private static (double Right, double Down)? Nearest(double across, double down, double wide, double high, List<Bounds> taken)
    {
        if (wide > across + 0.5 || high > down + 0.5) return null;
        var (midX, midY) = ((across - wide) / 2, (down - high) / 2);
        IEnumerable<double> along(double middle) =>
            [0, .. Enumerable.Range(1, (int)(middle / Step) + 1).SelectMany(n => (double[])[n * Step, n * -Step])
                .Select(d => Math.Clamp(d, -middle, middle))];
        return (from dx in along(midX)
                from dy in along(midY)
                let b = new Bounds(midX + dx, midY + dy, midX + dx + wide, midY + dy + high)
                where !taken.Any(t => t.Left < b.Right && t.Right > b.Left && t.Top < b.Bottom && t.Bottom > b.Top)
                orderby (dx * dx) + (dy * dy)
                select ((double, double)?)(dx, dy)).FirstOrDefault();
    }
}
