namespace Lumbeck.Core.Art.Items;

public sealed record RectItem : ShapeItem, ICornered
{
    public Length Corner { get; init; }
    public override string Kind =>
        Height.Share == 0 && Height.Own < Length.FromMillimetres(1.5m) ? "Rule" : "Rectangle";

    public static Field<RectItem, Length> CornerField { get; } =
        CornerOf<RectItem>((s, corner) => s with { Corner = corner });

    protected override IReadOnlyList<Field> OwnFields => [CornerField];
}
