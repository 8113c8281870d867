namespace Lumbeck.Core.Checks.OfTicket;

/// <summary>A pinned spine that differs from the computed one by more than folds forgive.</summary>
public sealed class TicketSpinePinned : Rule
{
    private static readonly Length Most = Length.FromMillimetres(0.3m);

    public override string Id => "ticket.spine-pinned";
    public override bool OfTicket => true;
    public override string Proves => "a pinned spine is near the computed one";
    protected override bool Limited => false;

    protected override IEnumerable<Finding> Look(CheckContext look)
    {
        if (look.Geometry.Spine is not { Pinned: { } pinned, Computed: var computed }
            || Length.Abs(pinned - computed) <= Most)
            yield break;
        yield return new()
        {
            Severity = Severity.Caution,
            Measured = $"{pinned.Show(look.Unit)}, computed {computed.Show(look.Unit)}",
            Limit = $"within {Most.Show(look.Unit)}",
            Why = "The pinned spine is not what pages and paper make.",
            Mend = "Ask the printer which is right, or unpin it on the ticket.",
            Panel = Part.Spine,
            Fix = new PinSpine(null),
        };
    }
}
