namespace Lumbeck.Core.Checks.OfPages;

/// <summary>Facing pages of one pitch whose rows don't meet at the fold.</summary>
public sealed class PageFacing : PageRule
{
    public override string Id => "page.facing";
    public override string Proves => "rows of facing pages meet at the fold";

    protected override IEnumerable<Finding> Look(InsidePlan plan)
    {
        // Openings that are alike are looked at once.
        var openings = Enumerable.Range(1, (plan.Printed - 1) / 2)
            .Select(n => (Here: plan.Page(2 * n), There: plan.Page((2 * n) + 1)))
            .Where(o => o.Here.Design is not null && o.There.Design is not null)
                .DistinctBy(o => (o.Here.Body, o.There.Body));
        foreach (var (here, there) in openings)
            if (Off(here, there) is { } off && off > CheckContext.Tolerance.Points)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = $"rows {Length.FromDrawing(off).Show(plan.Job.Ticket.Unit)} apart at the fold",
                    Limit = "rows that meet",
                    Why = "Rows of one pitch that don’t meet look like a slip.",
                    Mend = "Give both pages the same foot margin.",
                    Page = here.Number,
                    Run = here.Run!.Id,
                };
    }

    /// <summary>
    /// How far apart rows of one pitch lie, in points; null where pitches differ, or something has no rows.
    /// </summary>
    private static double? Off(PlannedPage here, PlannedPage there)
    {
        if (Pitch(here.Design!) is not { } pitch || pitch != Pitch(there.Design!)) return null;
        if (Attempt.OrNull(() => Lowest(here.Design!, here)) is not { } a
            || Attempt.OrNull(() => Lowest(there.Design!, there)) is not { } b)
            return null;
        var off = Math.Abs(a - b) % pitch.Points;
        return Math.Min(off, pitch.Points - off);
    }

    private static Length? Pitch(PageDesign design) => design.Fields.FirstOrDefault(f => f.Key == "pitch") is { } field
        ? Typed.Length(field.Show(design, new(Unit.Millimetre, [], [])), Unit.Millimetre) : null;

    /// <summary>Where the lowest rule across most of the page lies, from the cut at the head.</summary>
    private static double? Lowest(PageDesign design, PlannedPage page)
    {
        var wide = page.Surface.Safe.Width.Points;
        var levels = design.Draw(page.Surface, page.Facts).SelectMany(Lines)
            .Where(b => b.Bottom - b.Top < 0.01 && b.Right - b.Left > 0.8 * wide).Select(b => b.Top).ToList();
        return levels.Count > 2 ? levels.Max() - page.Surface.Trim.Y.Points : null;
    }

    private static IEnumerable<Bounds> Lines(Drawn drawn) => drawn switch
    {
        Line l => [l.Shape.Bounds],
        Repeated r => r.Places.SelectMany(p => r.Symbol.OfType<Line>().Select(l => l.Shape.Under(p).Bounds)),
        _ => [],
    };
}
