namespace Lumbeck.Core.Checks.OfTicket;

/// <summary>What is flattened on the way to PDF/X-1a, which knows no transparency.</summary>
public sealed class PressTransparency : Rule
{
    public override string Id => "press.transparency";
    public override string Proves => "nothing has to be flattened";

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        if (look.House.Kinds.FirstOrDefault() is not { KeepsTransparency: false } kind) yield break;
        foreach (var (item, drawn) in look.Drawn())
            if (drawn.Mixes || drawn.Softens || drawn.SeesThrough)
                yield return new()
                {
                    Severity = Severity.Note,
                    Measured = drawn.Mixes
                        ? "mixed with what lies under it"
                        : drawn.Softens
                        ? "a soft shadow"
                        : "see-through pixels",
                    Limit = "opaque",
                    Why = $"{look.House.Name} takes {kind.Title}: this and what it lies on leave as pixels; words over it stay type.",
                    Of = item,
                    Place = drawn.Reach.ToBox(),
                };
    }
}
