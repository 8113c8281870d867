namespace Lumbeck.Core.Checks.OfInk;

/// <summary>Finishing inks that the house does not offer.</summary>
public sealed class InkFinish : Rule
{
    public override string Id => "ink.finish";
    public override string Proves => "finishing inks are ones the printer offers";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
            foreach (var name in drawn.Marks.Select(m => m.Finish?.Name).OfType<string>()
                .Distinct(StringComparer.OrdinalIgnoreCase))
                if (!look.House.FinishingInks.Contains(name, StringComparer.OrdinalIgnoreCase))
                    yield return new()
                    {
                        Severity = Severity.Stop,
                        Measured = name,
                        Limit = look.House.FinishingInks.Count == 0
                            ? "no finishing inks"
                            : string.Join(", ", look.House.FinishingInks),
                        Why = $"{look.House.Name} has no {name}: the file would hold a plate nobody prints.",
                        Mend = "Take an ink or a swatch, or another printer.",
                        Of = item,
                        Place = drawn.Frame.ToBox(),
                    };
    }
}
