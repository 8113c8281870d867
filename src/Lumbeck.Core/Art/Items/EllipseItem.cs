namespace Lumbeck.Core.Art.Items;

public sealed record EllipseItem : ShapeItem
{
    public override string Kind => "Ellipse";
}
