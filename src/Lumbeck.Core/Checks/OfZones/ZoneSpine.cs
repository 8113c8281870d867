namespace Lumbeck.Core.Checks.OfZones;

/// <summary>Spine text outside the spine's safe band, or on a spine where the house prints none.</summary>
public sealed class ZoneSpine : Rule
{
    public override string Id => "zone.spine";
    public override string Proves => "spine words lie in their safe band";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        if (look.Sheet.Panel(Part.Spine) is not { } spine) yield break;
        var whyNot = SpineText.WhyNot(look.House, look.Geometry.Spine.Pages, spine.Face.Width, look.Unit);
        var band = look.Sheet.Zone(ZoneKind.SpineSafe, Part.Spine)?.Box;
        foreach (var (item, drawn) in look.Drawn())
        {
            if (item is not TextItem || item.Hold.Panel != Part.Spine) continue;
            var ink = drawn.Inked.ToBox();
            if (whyNot is not null || band is not { } safe)
            {
                yield return new()
                {
                    Severity = Severity.Stop,
                    Measured = $"{look.Geometry.Spine.Pages} pages, {spine.Face.Width.Show(look.Unit)}",
                    Limit = $"from {look.House.SpineTextPages} pages and {look.House.SpineTextWidth.Show(look.Unit)}",
                    Why = $"No words on this spine: {whyNot ?? "it has no room between its safe lines"}.",
                    Mend = "Remove or hide the spine's text.",
                    Of = item,
                    Place = ink,
                    Fix = item.Locked ? null : new HideItem(item.Id, true),
                };
                continue;
            }
            var past = Length.Max(safe.X - ink.X, ink.Right - safe.Right);
            if (past <= CheckContext.Tolerance) continue;
            yield return new()
            {
                Severity = Severity.Stop,
                Measured = $"{past.Show(look.Unit)} outside the safe band",
                Limit = $"within {safe.Width.Show(look.Unit)}",
                Why = "Folds wander, and words on the spine would slip round its edge.",
                Mend = "Make it smaller, or move it to the middle of the spine.",
                Of = item,
                Place = ink,
                Fix = item is TextItem { Locked: false, Role: TextRole.Title or TextRole.Author or TextRole.Imprint }
                    ? new FitText(item.Id, Composed: true)
                    : Mending.Into(item, ink, safe),
            };
        }
    }
}
