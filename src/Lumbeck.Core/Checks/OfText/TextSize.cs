namespace Lumbeck.Core.Checks.OfText;

/// <summary>
/// Words too small to be read, or to be printed: the least sizes are the house's, with a larger one for light letters
/// and for spines.
/// </summary>
public sealed class TextSize : Rule
{
    public override string Id => "text.size";
    public override string Proves => "type is large enough to print";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
        {
            if (item is not TextItem text || drawn.Layout is not { Lines: [_, ..] lines }) continue;
            var runs = lines.SelectMany(l => l.Runs).Where(r => r.Glyphs.Length > 0).ToList();
            if (runs.Count == 0) continue;
            var smallest = runs.MinBy(r => r.Size)!;
            var size = Length.FromDrawing(smallest.Size);
            var spine = item.Hold.Panel == Part.Spine;
            var reversed = IsReversed(smallest.Paint.Resolve(look.Job.Swatches));
            var least = reversed || spine
                ? Length.Max(look.House.TextLeast, look.House.TextReversedLeast)
                : look.House.TextLeast;
            if (size >= least - CheckContext.Tolerance) continue;
            var stop = size < look.House.TextStop;
            yield return new()
            {
                Severity = stop ? Severity.Stop : Severity.Caution,
                Measured = size.ShowPoints(),
                Limit = $"{least.ShowPoints()} or more{(spine ? " on a spine" : reversed ? " in light letters" : "")}",
                Why = stop
                    ? "Letters this small fill in or break up."
                    : reversed
                    ? "Ink spreads into light letters, and thin strokes close."
                    : "Letters this small are hard to read in print.",
                Mend = "Set it larger.",
                Of = item,
                Place = drawn.Inked.ToBox(),
                Fix = text.Locked || text.Composed || !text.Runs.IsEmpty
                    || text.Fit is not (Fitting.AsSet or Fitting.Grow)
                    ? null
                    : new StyleText(item.Id, Size: least),
            };
        }
    }

    /// <summary>Letters with so little ink that they stand out of a colour rather than on it.</summary>
    internal static bool IsReversed(Ink ink) => ink.C + ink.M + ink.Y + ink.K < 4000;
}
