namespace Lumbeck.Core.Checks.OfInk;

/// <summary>Finishing inks that the house does not offer.</summary>
public sealed class InkFinish : Rule
{
    public override string Id => "ink.finish";
    public override string Proves => "finishing inks are ones the printer offers";

    public override IEnumerable<Finding> Check(CheckContext look)
    {
        foreach (var (item, drawn) in look.Drawn())
            foreach (var name in drawn.Marks.Select(m => m.Finish?.Name).OfType<string>()
                .Distinct(StringComparer.OrdinalIgnoreCase))
                if (!look.House.FinishingInks.Contains(name, StringComparer.OrdinalIgnoreCase))
                    yield return Found(look, Severity.Stop, name,
                        look.House.FinishingInks.Count == 0
                            ? "no finishing inks"
                            : string.Join(", ", look.House.FinishingInks),
                        $"{look.House.Name} has no {name}: the file would hold a plate nobody prints.",
                        "Take an ink or a swatch, or another printer.", item, place: drawn.Frame.ToBox());
    }
}
