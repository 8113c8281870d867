namespace Lumbeck.Core.Checks.OfZones;

/// <summary>A frame, rule or border that runs along a cut or fold so near that a small drift shows as uneven.</summary>
public sealed class ZoneEdge : Rule
{
    public override string Id => "zone.edge";
    public override string Proves => "no border runs too near a cut or fold";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        var limit = look.House.EdgeRule;
        var trim = look.Sheet.Trim;
        List<Length> across = [trim.X, trim.Right, .. look.Sheet.Folds],
            down = [trim.Y, trim.Bottom, .. look.Sheet.FoldsAcross];
        foreach (var (item, drawn) in look.Drawn())
        {
            if (item.Turned % 90 != 0) continue;
            var box = drawn.Frame.ToBox();
            if (item is FrameItem { Hold.Box: HoldBox.Edge } frame)
            {
                if (frame.Thickness < limit - CheckContext.Tolerance)
                    yield return new()
                    {
                        Severity = Severity.Caution,
                        Measured = $"{frame.Thickness.Show(look.Unit)} wide at the cut",
                        Limit = $"{limit.Show(look.Unit)} or more",
                        Why = "Where the knife wanders, a narrow border is seen to be wider on one side than on the other.",
                        Mend = "Make the border wider.",
                        Of = item,
                        Place = box,
                        Fix = frame.Locked ? null : FrameItem.ThicknessField.Set(item.Id, limit),
                    };
                continue;
            }
            var (upright, level) = Runs(item, box);
            var near = upright.SelectMany(x => across.Select(a => Length.Abs(x - a)))
                .Concat(level.SelectMany(y => down.Select(d => Length.Abs(y - d))))
                .Where(d => d < limit - CheckContext.Tolerance).DefaultIfEmpty(limit).Min();
            if (near < limit)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = $"{near.Show(look.Unit)} from it",
                    Limit = $"{limit.Show(look.Unit)} or more",
                    Why = "A line so near a cut or fold shows every drift of knife and fold.",
                    Mend = "Draw it farther in, or let it run out over the edge.",
                    Of = item,
                    Place = box,
                };
        }
    }

    /// <summary>
    /// Where a line's own edges run: those of a thin rule or line along its length, those of an outlined, unfilled
    /// shape on all sides.
    /// </summary>
    private static (Length[] Upright, Length[] Level) Runs(Item item, Box box)
    {
        if (item is LineItem or RectItem { Kind: "Rule" })
            return box.Width > box.Height ? ([], [box.Y + (0.5m * box.Height)]) : ([box.X + (0.5m * box.Width)], []);
        return item is RectItem { Fill: null, Line: not null } or PlateItem { Fill: null } or FrameItem
            ? ([box.X, box.Right], [box.Y, box.Bottom])
            : ([], []);
    }
}
