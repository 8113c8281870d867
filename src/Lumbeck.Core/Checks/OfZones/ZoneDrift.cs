namespace Lumbeck.Core.Checks.OfZones;

/// <summary>
/// Harmless as drawn, but harmed where knife and folds wander as far as the house says they may (docs/geometry.md,
/// Drift).
/// </summary>
public sealed class ZoneDrift : Rule
{
    public override string Id => "zone.drift";
    public override string Proves => "knife and folds may wander";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var harm in Drift.Harms(look.On, look.Scene, look.Take, look.House))
        {
            var item = look.Take.Items.FirstOrDefault(i => i.Id == harm.Item);
            if (harm.OnFold is { } name)
                yield return new()
                {
                    Severity = Severity.Note,
                    Measured = $"ends on the {name}",
                    Limit = "past it, or blended",
                    Why = "A colour that ends exactly on a fold shows as a line beside it once the fold wanders.",
                    Mend = "Run it past the fold, or blend it.",
                    Of = item,
                    Place = harm.Place,
                };
            else if (harm.Bare is { } gap)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = $"{gap.Show(look.Unit)} bare",
                    Limit = $"covered {look.House.TrimDrift.Show(look.Unit)} past the cut",
                    Why = "Where the knife wanders outward, white paper shows.",
                    Mend = "Stretch the ground to the edge of the sheet.",
                    Panel = Part.Sheet,
                    Place = harm.Place,
                };
            else if (!harm.AsDrawn)
                yield return new()
                {
                    Severity = Severity.Caution,
                    Measured = $"{harm.Into.Show(look.Unit)} {(harm.Cut ? "cut off" : "over the fold")}",
                    Limit = $"clear by {(harm.Cut ? look.House.TrimDrift : look.House.FoldDrift).Show(look.Unit)}",
                    Why = $"As drawn it is safe; with the {(harm.Cut ? "knife" : "fold")} at the end of its drift this " +
                        $"{item!.Kind.ToLower(CultureInfo.InvariantCulture)} suffers.",
                    Mend = $"Move it {harm.Into.Show(look.Unit)} away.",
                    Of = item,
                    Place = harm.Place,
                    Fix = item.Locked || item is TextItem { Composed: true }
                        ? null
                        : new DropItem(item.Id, harm.AwayX, harm.AwayY),
                };
        }
    }
}
