namespace Lumbeck.Core.Art.Items;

public sealed record EllipseItem : ShapeItem
{
    public override string Kind => "Ellipse";
    protected override string? UnsoundShape => null;
}
