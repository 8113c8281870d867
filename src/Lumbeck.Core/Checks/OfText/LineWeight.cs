namespace Lumbeck.Core.Checks.OfText;

/// <summary>Lines too thin to print whole; light ones on a colour need to be heavier, for ink closes them.</summary>
public sealed class LineWeight : Rule
{
    public override string Id => "line.weight";
    public override string Proves => "lines are heavy enough to print";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var (item, drawnItem) in look.Drawn())
        {
            (double Width, Ink Ink)? thinnest = null;
            void see(double width, Ink ink)
            {
                if (width > 0 && (thinnest is null || width < thinnest.Value.Width)) thinnest = (width, ink);
            }
            // Papers and other drawn art have a rule of their own.
            if (item is SketchedItem) continue;
            var drawn = (item is ShapeItem { Fill.Pattern: not null } ? drawnItem.Marks : MarkLeaves.Of(drawnItem.Marks))
                .OfType<LineMark>();
            foreach (var line in drawn) see(line.Width, line.Ink);
            if (item is RectItem { Kind: "Rule", Fill.Paint: { } fill } && drawnItem.Frame.ToBox() is var box)
                see(Length.Min(box.Width, box.Height).Points, fill.Resolve(look.Job.Swatches));
            if (thinnest is not { } thin) continue;
            var reversed = TextSize.IsReversed(thin.Ink) && look.Take.Ground.Paint is { } under
                && !TextSize.IsReversed(under.Resolve(look.Job.Swatches));
            var least = reversed
                ? Length.Max(look.House.RuleLeast, look.House.RuleReversedLeast)
                : look.House.RuleLeast;
            if (thin.Width >= least.Points - 0.005) continue;
            yield return new()
            {
                Severity = Severity.Caution,
                Measured = Length.FromDrawing(thin.Width).ShowPoints(),
                Limit = $"{least.ShowPoints()} or more{(reversed ? " for a light line" : "")}",
                Why = "Thinner than this a line breaks up, or ink closes it.",
                Mend = "Make the line heavier.",
                Of = item,
                Place = drawnItem.Frame.ToBox(),
                Fix = item.Locked ? null : item switch
                    {
                        PictureItem => null,
                        ShapeItem { Line: not null } and not PlateItem => ShapeItem.WeightField.Set(item.Id, least),
                        RectItem { Kind: "Rule", Height.Share: 0 } => new SizeItem(item.Id, Height: new(least)),
                        _ => null,
                    },
            };
        }
    }
}
