namespace Lumbeck.Core.Checks.OfZones;

/// <summary>
/// Text or a barcode across a fold, in a scored band, or too near a fold. Spine text has its own rule.
/// </summary>
public sealed class ZoneFold : Rule
{
    public override string Id => "zone.fold";
    public override string Proves => "words and barcode keep clear of folds";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        var limit = look.House.FoldSafe;
        foreach (var (item, drawn) in look.Drawn())
        {
            if ((!item.IsRead && !item.Whole) || item.Hold.Panel == Part.Spine) continue;
            var ink = drawn.Inked.ToBox();
            var kind = item.Kind.ToLower(CultureInfo.InvariantCulture);
            var across =
                look.Sheet.Folds.FirstOrDefault(f => ink.X < f - CheckContext.Tolerance
                    && ink.Right > f + CheckContext.Tolerance,
                Length.Zero);
            if (!across.IsZero)
            {
                var reach = Length.Min(across - ink.X, ink.Right - across);
                yield return new()
                {
                    Severity = item.IsRead ? Severity.Stop : Severity.Caution,
                    Measured = $"{reach.Show(look.Unit)} over the fold",
                    Limit = $"{limit.Show(look.Unit)} from it",
                    Why = $"This {kind} would be folded over an edge.",
                    Mend = "Keep it on one panel.",
                    Of = item,
                    Place = ink,
                    Fix = Mending.Into(item, ink, Room(look, ink)),
                };
            }
            else if (!item.IsRead) continue;
            else if (look.Sheet.Zones.FirstOrDefault(z =>
                z.Kind is (ZoneKind.Score or ZoneKind.Hinge or ZoneKind.Punch)
                    && !z.Box.Intersect(ink).IsEmpty) is { } band)
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = $"in the {band.Kind.Word()} band",
                    Limit = "clear of it",
                    Why = $"This {kind} lies where the cover is worked: {band.Reason}.",
                    Mend = "Move it to the safe box.",
                    Of = item,
                    Place = ink,
                    Fix = Mending.Into(item, ink, Room(look, ink)),
                };
            else if (Nearest(look, ink) is { } near && near.Gap < near.Limit - CheckContext.Tolerance)
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = $"{Length.Max(near.Gap, Length.Zero).Show(look.Unit)} from the fold",
                    Limit = $"{near.Limit.Show(look.Unit)} from it",
                    Why = $"A fold that wanders would catch this {kind}.",
                    Mend = $"Move it {(near.Limit - near.Gap).Show(look.Unit)} away from the fold.",
                    Of = item,
                    Place = ink,
                    Fix = Mending.Into(item, ink, Room(look, ink)),
                };
        }
    }

    /// <summary>
    /// The fold whose inset an item comes nearest to breaking: its distance, and the distance wanted there (beside a
    /// case's spine the hinge is added).
    /// </summary>
    private static (Length Gap, Length Limit)? Nearest(CheckContext look, Box ink)
    {
        List<(Length Gap, Length Limit)> sides = [];
        var middle = ink.X + (0.5m * ink.Width);
        // The panel it lies on, which need not be the one it hangs on.
        if (look.Sheet.Panels.FirstOrDefault(p => p.Face.X <= middle && middle <= p.Face.Right) is { } panel
            && look.Sheet.Zone(ZoneKind.FoldSafe, panel.Part) is { Box: var safe })
        {
            if (safe.X > panel.Face.X) sides.Add((ink.X - panel.Face.X, safe.X - panel.Face.X));
            if (safe.Right < panel.Face.Right) sides.Add((panel.Face.Right - ink.Right, panel.Face.Right - safe.Right));
        }
        else
            foreach (var fold in look.Sheet.Folds)
                sides.Add((ink.X >= fold - CheckContext.Tolerance ? ink.X - fold : fold - ink.Right,
                    look.House.FoldSafe));
        return sides.Count == 0 ? null : sides.MinBy(s => s.Gap - s.Limit);
    }

    /// <summary>The safe box of the panel that most of an item lies on.</summary>
    private static Box Room(CheckContext look, Box ink) =>
        look.Sheet.Panels.Where(p => p.CarriesText && p.Part != Part.Spine)
            .MaxBy(p => Length.Min(p.Face.Right, ink.Right) - Length.Max(p.Face.X, ink.X)) is { } panel
            ? (look.Sheet.Zone(ZoneKind.FoldSafe, panel.Part)?.Box is { } fold ? panel.Safe.Intersect(fold)
                : panel.Safe)
            : default;
}
