namespace Lumbeck.Core.Art.Items;

public sealed record RectItem : ShapeItem, ICornered
{
    public Length Corner { get; init; }
    public override string Kind =>
        Height.Share == 0 && Height.Own < Length.FromMillimetres(1.5m) ? "Rule" : "Rectangle";
    protected override string? UnsoundShape => null;
}
