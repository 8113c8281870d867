namespace Lumbeck.Core.Checks.OfZones;

/// <summary>Text or a barcode past the line that the knife may wander to.</summary>
public sealed class ZoneTrim : Rule
{
    public override string Id => "zone.trim";
    public override string Proves => "words and barcode keep clear of the knife";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        var limit = look.House.TrimSafe;
        var safe = look.Sheet.Safe;
        foreach (var (item, drawn) in look.Drawn())
        {
            if (!item.IsRead && !item.Whole) continue;
            var ink = drawn.Inked.ToBox();
            var past = Length.Max(Length.Max(safe.X - ink.X, ink.Right - safe.Right),
                Length.Max(safe.Y - ink.Y, ink.Bottom - safe.Bottom));
            if (past <= CheckContext.Tolerance) continue;
            if (item is TextItem && past <= CheckContext.Overhang && safe.Contains(drawn.Frame.ToBox())) continue;
            var left = limit - past;
            var measured = left.Units >= 0
                ? $"{left.Show(look.Unit)} from the cut"
                : $"{(-left).Show(look.Unit)} past the cut";
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = measured,
                Limit = $"{limit.Show(look.Unit)} from the cut",
                Why = $"A knife that wanders would cut into this {item.Kind.ToLower(CultureInfo.InvariantCulture)}.",
                Mend = $"Move it inward by {past.Show(look.Unit)}, or make it smaller.",
                Of = item,
                Place = ink,
                Fix = Mending.Into(item, ink, safe),
            };
        }
    }
}
