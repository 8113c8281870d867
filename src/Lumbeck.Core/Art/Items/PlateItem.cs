namespace Lumbeck.Core.Art.Items;

/// <summary>A plate to write on or to set a title on: a ground, an inner line, and rules for a hand.</summary>
public sealed record PlateItem : ShapeItem, ICornered
{
    public const int MostRules = 12;

    public Length Corner { get; init; }
    /// <summary>How far within its edge a second, finer line runs; 0 for none.</summary>
    public Length Inner { get; init; }
    /// <summary>Rules to write on, spread over its lower half.</summary>
    public int Rules { get; init; }
    public override string Kind => "Label";

    public static Field<PlateItem, Length> CornerField { get; } =
        CornerOf<PlateItem>((s, corner) => s with { Corner = corner });

    public static Field<PlateItem, Length> InnerField { get; } =
        new("inner", "Inner line", Values.Lengths, p => p.Inner, (p, inner) => p with { Inner = inner })
        {
            Fault = (i, _) => i < Length.Zero ? "an inner line can't lie outside the label: type 0 for none" : null,
        };

    public static Field<PlateItem, int> RulesField { get; } =
        new("rules", "Rules", Values.Counts("2"), p => p.Rules, (p, rules) => p with { Rules = rules })
        {
            Fault = (n, _) => n is < 0 or > MostRules ? $"{n} rules can't be drawn: from 0 to {MostRules}" : null,
        };

    protected override IReadOnlyList<Field> OwnFields => [CornerField, InnerField, RulesField];
}
