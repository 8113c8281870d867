using Lumbeck.Core.Drawing;
using Lumbeck.Core.Jobs;

namespace Lumbeck.Core.Checks;

/// <summary>Text or a barcode past the line that the knife may wander to.</summary>
public sealed class ZoneTrim : Rule
{
    public override string Id => "zone.trim";
    public override string Proves => "words and barcode keep clear of the knife";

    public override IEnumerable<Finding> Find(Look look)
    {
        var limit = look.House.TrimSafe;
        var safe = look.Sheet.Safe;
        foreach (var (item, piece) in look.Drawn())
        {
            if (item is not (TextItem or BarcodeItem)) continue;
            var ink = piece.Inked.ToBox();
            var past = Length.Max(Length.Max(safe.X - ink.X, ink.Right - safe.Right), Length.Max(safe.Y - ink.Y, ink.Bottom - safe.Bottom));
            if (past <= Look.Tolerance) continue;
            var left = limit - past;
            var measured = left.Units >= 0 ? $"{left.Show(look.Unit)} from the cut" : $"{(-left).Show(look.Unit)} past the cut";
            yield return Found(look, Severity.Stop, measured, $"{limit.Show(look.Unit)} from the cut", $"A knife that wanders would cut into this {item.Kind.ToLower(CultureInfo.InvariantCulture)}.", $"Move it inward by {past.Show(look.Unit)}, or make it smaller.", item, place: ink);
        }
    }
}

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

/// <summary>Spine text outside the spine's safe band, or on a spine where the house prints none.</summary>
public sealed class ZoneSpine : Rule
{
    public override string Id => "zone.spine";
    public override string Proves => "spine words lie in their safe band";

    public override IEnumerable<Finding> Find(Look look)
    {
        if (look.Sheet.Panel(Part.Spine) is not { } spine) yield break;
        var whyNot = SpineText.WhyNot(look.House, look.Geometry.Spine.Pages, spine.Face.Width, look.Unit);
        var band = look.Sheet.Zone(ZoneKind.SpineSafe, Part.Spine)?.Box;
        foreach (var (item, piece) in look.Drawn())
        {
            if (item is not TextItem || item.Hold.Panel != Part.Spine) continue;
            var ink = piece.Inked.ToBox();
            if (whyNot is not null || band is not { } safe)
            {
                yield return Found(look, Severity.Stop, $"{look.Geometry.Spine.Pages} pages, {spine.Face.Width.Show(look.Unit)}", $"from {look.House.SpineTextPages} pages and {look.House.SpineTextWidth.Show(look.Unit)}", $"No words on this spine: {whyNot ?? "it has no room between its safe lines"}.", "Remove or hide the spine's text.", item, place: ink);
                continue;
            }
            var past = Length.Max(safe.X - ink.X, ink.Right - safe.Right);
            if (past <= Look.Tolerance) continue;
            yield return Found(look, Severity.Stop, $"{past.Show(look.Unit)} outside the safe band", $"within {safe.Width.Show(look.Unit)}", "Folds wander, and words on the spine would slip round its edge.", "Make it smaller, or move it to the middle of the spine.", item, place: ink);
        }
    }
}
