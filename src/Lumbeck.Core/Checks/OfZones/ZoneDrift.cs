namespace Lumbeck.Core.Checks.OfZones;

/// <summary>
/// Harmless as drawn, but harmed where knife and folds wander as far as the house says they may (docs/geometry.md,
/// Drift).
/// </summary>
public sealed class ZoneDrift : Rule
{
    public override string Id => "zone.drift";
    public override string Proves => "knife and folds may wander";

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        foreach (var harm in Drift.Harms(look.On, look.Scene, look.Take, look.House))
        {
            var item = look.Take.Items.FirstOrDefault(i => i.Id == harm.Item);
            if (harm.OnFold is { } name)
                yield return Found(look, Severity.Note, $"ends on the {name}", "past it, or blended",
                    "A colour that ends exactly on a fold shows as a line beside it once the fold wanders.",
                    "Run it past the fold, or blend it.", item, place: harm.Place);
            else if (harm.Bare is { } gap)
                yield return Found(look, Severity.Caution, $"{gap.Show(look.Unit)} bare",
                    $"covered {look.House.TrimDrift.Show(look.Unit)} past the cut",
                    "Where the knife wanders outward, white paper shows.",
                    "Stretch the ground to the edge of the sheet.", panel: Part.Sheet, place: harm.Place);
            else if (!harm.AsDrawn)
                yield return Found(look, Severity.Caution, $"{harm.Into.Show(look.Unit)} " +
                    $"{(harm.Cut ? "cut off" : "over the fold")}",
                    $"clear by {(harm.Cut ? look.House.TrimDrift : look.House.FoldDrift).Show(look.Unit)}",
                    $"As drawn it is safe; with the {(harm.Cut ? "knife" : "fold")} at the end of its drift this " +
                        $"{item!.Kind.ToLower(CultureInfo.InvariantCulture)} suffers.",
                    $"Move it {harm.Into.Show(look.Unit)} away.", item, place: harm.Place,
                    by: item.Locked || item is TextItem { Composed: true }
                        ? null
                        : new DropItem(item.Id, harm.AwayX, harm.AwayY));
        }
    }
}
