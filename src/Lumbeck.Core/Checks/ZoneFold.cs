using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Checks;

/// <summary>Text or a barcode across a fold, in a scored band, or too near a fold. Spine text has its own rule.</summary>
public sealed class ZoneFold : Rule
{
    public override string Id => "zone.fold";
    public override string Proves => "words and barcode keep clear of folds";

    public override IEnumerable<Finding> Find(Look look)
    {
        var limit = look.House.FoldSafe;
        foreach (var (item, piece) in look.Drawn())
        {
            if (item is not (TextItem or BarcodeItem) || item.Hold.Panel == Part.Spine) continue;
            var ink = piece.Inked.ToBox();
            var kind = item.Kind.ToLower(CultureInfo.InvariantCulture);
            foreach (var fold in look.Sheet.Folds)
            {
                if (ink.X < fold - Look.Tolerance && ink.Right > fold + Look.Tolerance)
                {
                    var reach = Length.Min(fold - ink.X, ink.Right - fold);
                    yield return Found(look, Severity.Stop, $"{reach.Show(look.Unit)} over the fold", $"{limit.Show(look.Unit)} from it", $"This {kind} would be folded over the edge of the spine.", "Keep it on one panel.", item, place: ink);
                    break;
                }
                var gap = ink.X >= fold - Look.Tolerance ? ink.X - fold : fold - ink.Right;
                if (gap >= limit - Look.Tolerance) continue;
                yield return Found(look, Severity.Stop, $"{Length.Max(gap, Length.Zero).Show(look.Unit)} from the fold", $"{limit.Show(look.Unit)} from it", $"A fold that wanders would catch this {kind}.", $"Move it {(limit - gap).Show(look.Unit)} away from the fold.", item, place: ink);
                break;
            }
            foreach (var score in look.Sheet.Zones.Where(z => z.Kind is ZoneKind.Score or ZoneKind.Hinge or ZoneKind.Punch))
                if (!score.Box.Intersect(ink).IsEmpty)
                    yield return Found(look, Severity.Stop, $"in the {score.Kind.Word()} band", "clear of it", $"This {kind} lies where the cover is worked: {score.Reason}.", "Move it to the safe box.", item, place: ink);
        }
    }
}
